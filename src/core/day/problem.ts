import { workedW } from '../heat/model/energy';
import { isOn, type RunWithState } from '../run/pieces';
import { cycleOf, stepClock } from '../run/run';
import type { PaceOf } from '../run/pace';
import { inPressOf, segmentsOf } from '../schedule/fromRun';
import type {
  CircuitLine,
  InPress,
  PressLine,
  ScheduleInput,
  Route,
  LoadStep,
  Work,
} from '../schedule/problem';
import type { Press } from '../shop/press';
import type { Shop } from '../shop/shop';
import { dueMs, workingWindows } from './hours';
import type { JobWork } from './jobWork';

/** A change of temperature or mat between two jobs, until the press is ready again, s. Our own estimate. */
const CHANGE_S = 180;
/** Of a wall socket where the circuit says nothing. */
const USUAL_VOLTS = 230;

/** A press that its circuit cannot even warm up by itself. */
export interface Overloaded {
  readonly pressId: string;
  readonly pressName: string;
  readonly circuitName: string;
  readonly drawsA: number;
  readonly carriesA: number;
}

export interface DayProblem {
  readonly problem: ScheduleInput;
  readonly presses: readonly Press[];
  readonly overloaded: readonly Overloaded[];
}

const carriesA = (c: { readonly ratingA: number; readonly continuousPct: number }): number =>
  (c.ratingA * c.continuousPct) / 100;

interface Making {
  readonly shop: Shop;
  readonly jobs: readonly JobWork[];
  readonly pace: PaceOf;
  readonly nowMs: number;
  readonly presses: readonly Press[];
  readonly overloaded: ReadonlySet<string>;
}

/** The load that is in the press of a run: its segment, and the time left. */
const loadOf = (work: number, run: RunWithState, { pace, nowMs }: Making): InPress | null =>
  inPressOf(work, run, stepClock(run.run, run.state, nowMs).elapsedS, (o) => pace(o, run.run.press.id, null));

/** A press that a run of the job is on goes on as the run has it, whatever its plan says by now. */
function pressing(j: JobWork, r: JobWork['routes'][number], pace: PaceOf): Pick<Route, 'atOnce' | 'cycle'> {
  const on = j.runs.find((x) => isOn(x) && x.run.press.id === r.press.id);
  if (!on) return r.times;
  const cycle = segmentsOf(cycleOf(on.run), (o) => pace(o, r.press.id, null));
  return { atOnce: on.run.load?.piecesAtOnce ?? 1, cycle };
}

function pressLine(m: Making, press: Press): PressLine {
  const { circuits } = m.shop.settings.day;
  const at = circuits.findIndex((c) => c.pressIds.includes(press.id));
  const volts = press.power.volts ?? circuits[at]?.volts ?? USUAL_VOLTS;
  const times = m.jobs.flatMap((j) => j.routes.filter((r) => r.press.id === press.id).map((r) => r.times));
  const most = (f: (t: (typeof times)[number]) => number) => Math.max(0, ...times.map(f));
  const onHere = m.jobs
    .map((j, i) => ({ i, run: j.runs.find((r) => isOn(r) && r.run.press.id === press.id) }))
    .find((x) => x.run);
  return {
    id: press.id,
    circuit: at >= 0 ? at : null,
    warmS: most((t) => t.energy.warmS),
    warmA: most((t) => t.energy.powerW) / volts,
    holdA: most((t) => workedW(t.energy, t.loadJ, t.cycleS)) / volts,
    hotFromS: onHere ? 0 : null,
    setting:
      onHere === undefined
        ? null
        : (m.jobs[onHere.i]?.routes.find((r) => r.press.id === press.id)?.times.setting ?? null),
    inPress: onHere?.run ? loadOf(onHere.i, onHere.run, m) : null,
  };
}

const NO_WAIT: LoadStep = { hands: true, s: 1, logSd: 0 };

function workLine(m: Making, j: JobWork): Work {
  const { times: t, job } = j;
  const { settings } = m.shop;
  const due = dueMs(settings.day, job.dueOn, job.day.dueAtMin);
  const cut = Math.max(0, Math.min(j.printed, j.toPress) - j.taped);
  const toPrint = Math.max(0, j.toPress - cut - j.taped);
  const routes = j.routes
    .filter((r) => !m.overloaded.has(r.press.id))
    .map((r): Route => {
      const { atOnce, cycle } = pressing(j, r, m.pace);
      const pin = job.day.pins.find((p) => p.pressId === r.press.id);
      return {
        press: m.presses.indexOf(r.press),
        atOnce,
        cycle: cycle.length > 0 ? cycle : [NO_WAIT],
        setting: r.times.setting,
        setS: r.times.setUpS,
        changeS: CHANGE_S,
        // A press a person set is first there even where the moment has passed.
        fromS: pin ? Math.max(0.001, (pin.from - m.nowMs) / 1000) : 0,
      };
    });
  return {
    id: job.id,
    dueS: due === null ? null : (due - m.nowMs) / 1000,
    releaseS: 0,
    printer: Math.max(
      0,
      settings.printers.findIndex((p) => p.id === j.printerId),
    ),
    sheets: Math.ceil((toPrint * t.sheets) / t.sheetPieces - 1e-9),
    perSheet: Math.max(1, Math.round(t.sheetPieces / Math.max(1, t.sheets))),
    printS: t.printSheetS,
    dryS: settings.day.dryS,
    trimS: t.trimSheetS,
    pieces: j.toPress,
    cut,
    taped: j.taped,
    prepareS: t.prepareS,
    routes,
    coolS: t.coolS,
    toFinish: j.toFinish,
    finishS: t.finishS,
    logSd: t.logSd,
    spoilage: 0,
  };
}

/** Days to plan over: all the work done by one pair of hands on one press, and some to spare. */
function horizonDays(work: readonly Work[]): number {
  const s = work.reduce(
    (sum, w) =>
      sum +
      w.pieces *
        (w.prepareS + w.finishS + Math.max(60, ...w.routes.map((r) => r.cycle.reduce((a, x) => a + x.s, 0)))),
    0,
  );
  return Math.min(800, Math.max(30, Math.ceil(s / (4 * 3600)) + 14));
}

const OVERLOAD_MARGIN_A = 1e-9;

/** The jobs of a day as one problem. Times are s from now. */
export function dayProblem(
  shop: Shop,
  jobs: readonly JobWork[],
  pace: PaceOf,
  nowMs: number,
  spoilage: (j: JobWork) => number,
): DayProblem {
  const { day } = shop.settings;
  const used = new Set(jobs.flatMap((j) => j.routes.map((r) => r.press.id)));
  const presses = shop.presses.filter((p) => used.has(p.id));
  const bare: Making = { shop, jobs, pace, nowMs, presses, overloaded: new Set() };
  const lines = presses.map((p) => pressLine(bare, p));
  const circuits = day.circuits.map((c): CircuitLine => ({
    id: c.id,
    carriesA: carriesA(c),
    otherA: c.otherA,
  }));
  const overloaded = lines.flatMap((l, i): Overloaded[] => {
    const [press, circuit] = [presses[i], l.circuit === null ? undefined : day.circuits[l.circuit]];
    const drawsA = Math.max(l.warmA, l.holdA) + (circuit?.otherA ?? 0);
    if (!press || !circuit || drawsA <= carriesA(circuit) + OVERLOAD_MARGIN_A) return [];
    return [
      {
        pressId: press.id,
        pressName: press.name,
        circuitName: circuit.name,
        drawsA,
        carriesA: carriesA(circuit),
      },
    ];
  });
  const making = { ...bare, overloaded: new Set(overloaded.map((o) => o.pressId)) };
  const work = jobs.map((j) => ({ ...workLine(making, j), spoilage: spoilage(j) }));
  return {
    presses,
    overloaded,
    problem: {
      windows: workingWindows(day, nowMs, horizonDays(work)),
      people: day.hands,
      printers: shop.settings.printers.length,
      presses: lines,
      circuits,
      coolingPlaces: day.coolingPlaces,
      work,
    },
  };
}
