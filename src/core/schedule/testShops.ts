import { seeded } from '../random/random';
import type { CircuitLine, PressLine, ScheduleInput, Route, LoadStep, WorkingTime, Work } from './problem';

/** Shops made up from a seed, for tests and measurements. */
export interface ShopSize {
  readonly jobs: number;
  readonly pieces: number;
  readonly presses: number;
  readonly people: number;
}

const hand = (s: number, logSd = 0.2): LoadStep => ({ hands: true, s, logSd });
const alone = (s: number): LoadStep => ({ hands: false, s, logSd: 0.02 });

/** Two working days with a break each, over and over. */
const usualDays = (days: number): readonly WorkingTime[] =>
  Array.from({ length: days }, (_, d) => [
    { fromS: d * 86_400, toS: d * 86_400 + 3 * 3600 },
    { fromS: d * 86_400 + 3.5 * 3600, toS: d * 86_400 + 8 * 3600 },
  ]).flat();

export function madeUpShop(seed: number, size: ShopSize, loose = false): ScheduleInput {
  const random = seeded(seed);
  const between = (a: number, b: number) => a + random() * (b - a);
  const whole = (a: number, b: number) => Math.floor(between(a, b + 1));
  const circuits: CircuitLine[] =
    loose && random() < 0.7 ? [{ id: 'c1', carriesA: between(9, 22), otherA: random() < 0.3 ? 1 : 0 }] : [];
  const presses = Array.from({ length: size.presses }, (_, i): PressLine => {
    const warmA = between(2, 8);
    return {
      id: `p${i}`,
      circuit: circuits.length > 0 && random() < 0.8 ? 0 : null,
      warmS: between(300, 900),
      warmA,
      holdA: warmA * between(0.3, 0.6),
      hotFromS: loose && random() < 0.2 ? 0 : null,
      setting: null,
      inPress: null,
    };
  });
  const work = Array.from({ length: size.jobs }, (_, j): Work => {
    const pieces = Math.max(1, Math.round(size.pieces / size.jobs + (loose ? between(-2, 3) : 0)));
    const open = presses.flatMap((_p, i) => (random() < 0.6 ? [i] : []));
    const on = open.length > 0 ? open : [whole(0, size.presses - 1)];
    const dwell = between(100, 260);
    const twice = random() < 0.4;
    const atOnce = loose && random() < 0.2 ? whole(2, 4) : 1;
    const routes = on.map((press): Route => ({
      press,
      atOnce,
      cycle: [
        hand(between(10, 20)),
        alone(twice ? dwell / 2 : dwell),
        ...(twice ? [hand(between(8, 14)), alone(dwell / 2)] : []),
        hand(between(15, 30)),
      ],
      setting: `t${whole(0, 1)}`,
      setS: loose ? 30 : 0,
      changeS: loose ? between(0, 200) : 0,
      fromS: loose && random() < 0.25 ? between(0, 7200) : 0,
    }));
    const perSheet = whole(1, 3);
    const given = loose && random() < 0.3 ? Math.min(pieces, 2) : 0;
    return {
      id: `j${j}`,
      dueS: random() < 0.6 ? between(2, 30) * 3600 : null,
      releaseS: loose && random() < 0.2 ? between(0, 3600) : 0,
      printer: 0,
      sheets: Math.ceil((pieces - given) / perSheet),
      perSheet,
      printS: between(30, 60),
      dryS: between(60, 300),
      trimS: between(10, 20),
      pieces,
      cut: 0,
      taped: given,
      prepareS: between(25, 60),
      routes,
      coolS: between(200, 700),
      toFinish: loose && random() < 0.2 ? 1 : 0,
      finishS: between(10, 30),
      logSd: 0.2,
      spoilage: 0.03,
    };
  });
  return {
    windows: usualDays(40),
    people: size.people,
    printers: 1,
    presses,
    circuits,
    coolingPlaces: loose ? whole(2, 8) : 40,
    work,
  };
}
