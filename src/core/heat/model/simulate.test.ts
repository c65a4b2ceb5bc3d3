import fc from 'fast-check';
import { MATERIALS } from '../../shop/blank';
import { STARTING_RANGES } from '../settings/starting';
import { USUAL_UNKNOWNS, contactWM2K, type HeatCase } from './case';
import { coatingPrior } from './coatings';
import { chances, priorBelief } from '../settings/fit';
import { doseSensitivity, USUAL_SPREADS } from './sensitivity';
import { coveredShare, heatedPlaces } from './places';
import { dosesOf, simulateHeat } from './simulate';
import { FLAT, MUG, OVEN_CASE, setting, TUMBLER, wrapCase, VACUUM } from './testCases';

const least = (c: HeatCase, s = setting(200, 40)): number => dosesOf(simulateHeat(c, s)).leastS;

describe('a grid and steps twice as fine move the answer by less than half a percent', () => {
  test.each([
    ['a thin panel', FLAT, setting(200, 60)],
    ['a thick plaque', { ...FLAT, material: 'hardboard', wallMm: 19 }, setting(200, 100)],
    ['slate', { ...FLAT, material: 'slate', wallMm: 7 }, setting(195, 420, { pressure: 'light-medium' })],
    [
      'a tile heated through',
      { ...FLAT, material: 'ceramic', wallMm: 6, heatedFrom: 'blank' },
      setting(200, 400),
    ],
    [
      'both faces of steel at once',
      { ...FLAT, material: 'steel', wallMm: 1, faces: 'together' },
      setting(200, 90),
    ],
    ['a mug', MUG, setting(195, 200)],
    ['a mug by the timer of its press', MUG, setting(195, 60, { timerStart: 'at-temperature' })],
    ['a full wrap in two passes', TUMBLER, setting(188, 65, { passes: 2, coolDownC: 170 })],
    ['an oven load', OVEN_CASE, setting(190, 300, { pressure: 'film', timerStart: 'at-temperature' })],
  ] as readonly (readonly [string, HeatCase, ReturnType<typeof setting>])[])('%s', (_, c, s) => {
    const [coarse, fine] = [0, 1].map((finer) => dosesOf(simulateHeat(c, s, { finer })));
    expect(Math.abs((coarse?.leastS ?? 0) / (fine?.leastS ?? 1) - 1)).toBeLessThan(0.005);
    expect(Math.abs((coarse?.mostS ?? 0) / (fine?.mostS ?? 1) - 1)).toBeLessThan(0.005);
  });
});

describe('random loads', () => {
  const load = fc
    .record({
      material: fc.constantFrom(...MATERIALS),
      wallMm: fc.double({ min: 0.4, max: 20, noNaN: true }),
      wasteSheets: fc.integer({ min: 0, max: 3 }),
      padMm: fc.double({ min: 2, max: 12, noNaN: true }),
      pieces: fc.integer({ min: 1, max: 4 }),
      pieceM2: fc.double({ min: 0.002, max: 0.04, noNaN: true }),
      powerW: fc.double({ min: 500, max: 2500, noNaN: true }),
      platenC: fc.integer({ min: 170, max: 210 }),
      dwellS: fc.integer({ min: 10, max: 60 }),
    })
    .map(({ powerW, platenC, dwellS, ...rest }) => ({
      c: { ...FLAT, ...rest, heater: { ...FLAT.heater, powerW } } as HeatCase,
      s: setting(platenC, dwellS),
    }));
  const slack = 1 + 2e-3;

  test('finite, between the coldest and the hottest start; thicker, lighter, more sheets and more load are slower; time adds', () => {
    fc.assert(
      fc.property(load, fc.integer({ min: 0, max: 4 }), ({ c, s }, which) => {
        const sim = simulateHeat(c, s);
        const { leastS, mostS } = dosesOf(sim);
        expect(Number.isFinite(leastS) && Number.isFinite(mostS)).toBe(true);
        expect(sim.peakC).toBeLessThan(s.platenC + c.heater.hottestK + 1);
        expect(sim.peakC).toBeGreaterThan(c.roomC - 1);
        expect(leastS).toBeLessThanOrEqual(mostS * slack);
        // One ordering a load: all five over the thousand.
        const slower: readonly (() => number)[] = [
          () => least({ ...c, wallMm: c.wallMm * 1.3 }, s),
          () => least(c, { ...s, pressure: 'light' }),
          () => least({ ...c, wasteSheets: c.wasteSheets + 1 }, s),
          () => least({ ...c, pieces: c.pieces + 1 }, s),
          () => least(c, { ...s, dwellS: s.dwellS * 0.8 }),
        ];
        // An insulating board is as thick as the heat goes at once: there thicker is the same.
        const other = slower[which]?.() ?? 0;
        expect(other).toBeLessThanOrEqual(leastS * (which === 0 ? 1.05 : 1 + 5e-3) + 0.02);
      }),
      { numRuns: 1000, seed: 5, endOnFailure: true },
    );
  }, 240_000);
});

describe('passes', () => {
  test('each adds to every place; the places one pass misses are heated by the next', () => {
    const { places } = simulateHeat(TUMBLER, setting(188, 65, { passes: 2, coolDownC: 170 }));
    for (const p of places) {
      const [one = 0, two = 0] = p.afterPassS;
      expect(two).toBeGreaterThanOrEqual(one);
    }
    const up = places[0];
    const down = places.at(-1);
    expect(up?.afterPassS[0]).toBeLessThan(2);
    expect(up?.afterPassS[1]).toBeGreaterThan(20);
    expect(down?.afterPassS[0]).toBeGreaterThan(15);
  });

  test('what the gap gets is not nothing in aluminium, which carries heat round the wall, and next to nothing in glass', () => {
    const size = { circumferenceMm: 235, tallMm: 150, heaterMm: 203, printMm: 235 };
    const gap = (material: HeatCase['material']) => {
      const sim = simulateHeat(wrapCase({ material, wallMm: 1.2, vacuum: false }, size), setting(190, 120));
      return sim.places[0]?.transferS ?? 0;
    };
    expect(gap('aluminium')).toBeGreaterThan(20 * gap('glass'));
  });

  test('a heater that meets all round heats every place alike in one pass', () => {
    const round = { circumferenceMm: 200, tallMm: 100, heaterMm: 210, printMm: 200 };
    const sim = simulateHeat(
      wrapCase({ material: 'steel', wallMm: 0.5, vacuum: true }, round),
      setting(190, 60),
    );
    const doses = sim.places.map((p) => p.transferS);
    expect(Math.max(...doses) / Math.min(...doses)).toBeLessThan(1.001);
  });

  test('a second pass may be shorter by itself, and shortens nothing of the first', () => {
    const s = setting(188, 65, { passes: 2 });
    const [same, short] = [simulateHeat(TUMBLER, s), simulateHeat(TUMBLER, { ...s, laterDwellS: 40 })];
    expect(short.places[0]?.afterPassS[0]).toBeCloseTo(same.places[0]?.afterPassS[0] ?? 0, 6);
    expect(dosesOf(short).leastS).toBeLessThan(dosesOf(same).leastS);
  });

  test('one face then the other: metal heats both faces twice; board heats each once, and keeps the first from more', () => {
    const s = setting(200, 75);
    const of = (material: HeatCase['material'], wallMm: number): readonly [number, number] => {
      const c: HeatCase = { ...FLAT, material, wallMm, faces: 'one then the other' };
      return simulateHeat(c, s).places[0]?.facesS ?? [0, 0];
    };
    const once = least({ ...FLAT, wallMm: 3 }, s);
    for (const dose of of('aluminium', 3)) expect(dose).toBeGreaterThan(1.6 * once);
    const board: HeatCase = { ...FLAT, material: 'hardboard', wallMm: 6 };
    const [first, other] = of('hardboard', 6);
    expect(first).toBeGreaterThan(0.97 * least(board, s));
    expect(first).toBeLessThan(1.2 * least(board, s));
    // Warm from the first closing, the other face is there a little sooner.
    expect(other).toBeGreaterThan(first);
  });

  test('both faces at once: thin metal is heated through, thick board is not', () => {
    const faces = (material: HeatCase['material'], wallMm: number) =>
      simulateHeat({ ...FLAT, material, wallMm, faces: 'together' }, setting(200, 75)).places[0]?.facesS ?? [
        0, 0,
      ];
    const [top, low] = faces('aluminium', 1);
    expect(low).toBeGreaterThan(0.6 * top);
    const [boardTop, boardLow] = faces('hardboard', 6);
    expect(boardLow).toBeLessThan(0.02 * boardTop);
  });
});

describe('by hand', () => {
  test('a mat of 317° leaves nothing at its opening, all opposite, half of an arc its end halves; one of 360° leaves none', () => {
    const about = (deg: number) => ({ fromDeg: deg - 5, toDeg: deg + 5 });
    expect(coveredShare(about(0), 0, 317)).toBe(0);
    expect(coveredShare(about(180), 0, 317)).toBe(1);
    // Its end lies 21.5° from the opening.
    expect(coveredShare(about(21.5), 0, 317)).toBeCloseTo(0.5, 9);
    expect(coveredShare(about(338.5), 0, 317)).toBeCloseTo(0.5, 9);
    expect(coveredShare(about(180), 180, 317)).toBe(0);
    for (const deg of [0, 90, 180]) expect(coveredShare(about(deg), 0, 360)).toBe(1);
  });

  test('arcs cover the wall once, begin and end where a mat does, and are finest there', () => {
    for (const passes of [1, 2, 3, 4]) {
      const places = heatedPlaces(TUMBLER, setting(188, 65, { passes }));
      const turns = passes <= 2 ? 180 : 360;
      expect(places.reduce((s, p) => s + p.toDeg - p.fromDeg, 0)).toBeCloseTo(turns, 9);
      places.slice(1).forEach((p, i) => expect(p.fromDeg).toBe(places[i]?.toDeg));
      expect(places.reduce((s, p) => s + p.areaM2, 0)).toBeCloseTo(TUMBLER.pieceM2, 12);
      // No arc lies half under a mat in any pass.
      const coveredDeg = (203 / 270) * 360;
      for (let k = 0; k < passes; k += 1)
        for (const p of places)
          expect([0, 1]).toContainEqual(
            expect.closeTo(coveredShare(p, (k * 360) / passes, coveredDeg), 6) as number,
          );
      const end = (360 - coveredDeg) / 2;
      const at = places.find((p) => Math.abs(p.fromDeg - end) < 1e-6);
      expect(at && at.toDeg - at.fromDeg).toBeLessThan(2.5);
      expect(Math.max(...places.map((p) => p.toDeg - p.fromDeg))).toBeLessThan(12.1);
    }
  });

  test('the lever’s force is shared: twice the area, 2^0.95 times less contact; within limits, and only under a platen', () => {
    const usual = { ...FLAT, pieceM2: 0.05 };
    const at = (c: HeatCase) => contactWM2K(c, setting(200, 60), USUAL_UNKNOWNS);
    expect(at(usual)).toBeCloseTo(6000, 9);
    expect(at({ ...usual, pieces: 2 })).toBeCloseTo(6000 / 2 ** 0.95, 6);
    expect(at({ ...usual, pieces: 50 })).toBeCloseTo(1500, 6);
    expect(at({ ...usual, pieceM2: 0.001 })).toBeCloseTo(12000, 6);
    expect(at({ ...MUG, pieceM2: 0.5 })).toBeCloseTo(6000, 6);
  });
});

describe('what the press does', () => {
  test('a timer at temperature starts when the display is back, and the pass is that much longer', () => {
    const from = simulateHeat(MUG, setting(195, 300));
    const at = simulateHeat(MUG, setting(195, 60, { timerStart: 'at-temperature' }));
    const timer = at.marks.find((m) => m.kind === 'timer')?.atS ?? 0;
    expect(timer).toBeCloseTo(from.backS, 0);
    expect(at.pressS).toBeCloseTo(timer + 60, 6);
    // A cold mug pulls a mug press down by tens of degrees, and it takes a minute or more to climb back.
    expect(195 - from.lowestC).toBeGreaterThan(30);
    expect(195 - from.lowestC).toBeLessThan(60);
    expect(from.backS).toBeGreaterThan(60);
  });

  test('a display that reads six degrees high is a press six degrees cooler', () => {
    const high = { ...FLAT, heater: { ...FLAT.heater, readsHighK: 6 } };
    expect(least(high, setting(200, 60))).toBeCloseTo(least(FLAT, setting(194, 60)), 6);
  });

  test('a heater too weak to come back is said not to have reached', () => {
    const weak = { ...MUG, heater: { ...MUG.heater, powerW: 20 } };
    expect(simulateHeat(weak, setting(195, 60, { timerStart: 'at-temperature' })).reached).toBe(false);
    expect(simulateHeat(MUG, setting(195, 60, { timerStart: 'at-temperature' })).reached).toBe(true);
  });

  test('a press that rests cooler starts there, and heats up on closing', () => {
    const rests = { ...MUG, heater: { ...MUG.heater, restingC: 150 } };
    const sim = simulateHeat(rests, setting(195, 30, { timerStart: 'at-temperature' }), { record: true });
    expect(sim.samples[0]?.displayC).toBeCloseTo(150, 6);
    expect(sim.backS).toBeGreaterThan(simulateHeat(MUG, setting(195, 300)).backS);
  });

  test('the cool-down target is waited for between passes', () => {
    const s = setting(188, 65, { passes: 2 });
    const opened = (coolDownC: number | null) => {
      const { marks } = simulateHeat(TUMBLER, { ...s, coolDownC });
      const at = (kind: string, pass: number) =>
        marks.find((m) => m.kind === kind && m.pass === pass)?.atS ?? 0;
      return at('closed', 2) - at('opened', 1);
    };
    expect(opened(null)).toBeCloseTo(12, 3);
    expect(opened(150)).toBeGreaterThan(opened(175));
    expect(opened(175)).toBeGreaterThan(12);
  });
});

describe('round the wall, held against sectors of half a degree, cells and steps four times as fine', () => {
  const wall = (
    of: Pick<HeatCase, 'material' | 'wallMm' | 'vacuum'>,
    circumferenceMm: number,
    heaterMm: number,
    printMm: number,
  ) => wrapCase(of, { circumferenceMm, tallMm: 95, heaterMm, printMm });
  const mug = { material: 'ceramic', wallMm: 4, vacuum: false } as const;
  const steel = { material: 'steel', wallMm: 0.5, vacuum: true } as const;
  const can = { material: 'aluminium', wallMm: 0.8, vacuum: false } as const;
  test.each([
    ['a mug printed to 220 mm', wall(mug, 258, 228, 220), setting(195, 200)],
    ['a mug printed past its heater', wall(mug, 258, 203, 240), setting(195, 200)],
    ['a tumbler in one pass', wall(steel, 270, 203, 200), setting(190, 60)],
    ['a tumbler in two', wall(steel, 270, 203, 270), setting(190, 45, { passes: 2, coolDownC: 172 })],
    ['a can in two', wall(can, 235, 203, 235), setting(190, 60, { passes: 2 })],
  ] as readonly (readonly [string, HeatCase, ReturnType<typeof setting>])[])(
    '%s: least and most within three percent',
    (_, c, s) => {
      const [coarse, fine] = [0, 2].map((finer) => dosesOf(simulateHeat(c, s, { finer })));
      expect(Math.abs((coarse?.leastS ?? 0) / (fine?.leastS ?? 1) - 1)).toBeLessThan(0.03);
      expect(Math.abs((coarse?.mostS ?? 0) / (fine?.mostS ?? 1) - 1)).toBeLessThan(0.03);
    },
    30_000,
  );

  test('the least dose does not jump as the print grows by a millimetre', () => {
    let before = Infinity;
    for (let printMm = 188; printMm <= 236; printMm += 1) {
      const now = least(wall(mug, 258, 228, printMm), setting(195, 200));
      expect(now).toBeLessThanOrEqual(before * 1.0005);
      if (before < Infinity) expect(now / before).toBeGreaterThan(0.93);
      before = now;
    }
  });
});

describe('ranges in common use', () => {
  const loadFor = (r: (typeof STARTING_RANGES)[number]): HeatCase => {
    const wall: Partial<Record<HeatCase['material'], number>> = {
      ceramic: 4,
      glass: 3,
      steel: 0.5,
      slate: 7,
      aluminium: 0.8,
    };
    const of = { material: r.material, wallMm: wall[r.material] ?? 3, vacuum: r.material === 'steel' };
    if (r.press === 'flat')
      return {
        ...FLAT,
        ...of,
        vacuum: false,
        wallMm:
          r.wallMm && r.wallMm[0] > 0
            ? (r.wallMm[0] + Math.min(25, r.wallMm[1])) / 2
            : r.material === 'ceramic'
              ? 6
              : r.material === 'steel'
                ? 2
                : of.wallMm,
        heatedFrom: r.material === 'ceramic' ? 'blank' : 'paper',
      };
    const flatPiece = { round: null, pieceM2: 0.02, vacuum: false };
    if (r.press === 'vacuum')
      return { ...VACUUM, ...of, ...(['FRP', 'slate', 'polymer'].includes(r.material) ? flatPiece : {}) };
    if (r.press === 'oven') return { ...OVEN_CASE, ...of };
    return r.material === 'ceramic' ? MUG : { ...TUMBLER, ...of };
  };

  /** What is not known of a press nobody has checked. */
  const SPREADS = { ...USUAL_SPREADS, offsetK: 5, power: 0.2, capacity: 0.25 };

  test.each(
    STARTING_RANGES.map((r) => [`${r.material} ${r.wallMm?.join(' to ') ?? ''} in a ${r.press}`, r] as const),
  )(
    '%s: before anything was tried, no corner of it is called likely to fail, and its middle is well inside',
    (_, r) => {
      const passes = !['flat', 'oven', 'vacuum'].includes(r.press) && r.material !== 'ceramic' ? 2 : 1;
      const timerStart = r.press === 'oven' ? 'at-temperature' : 'from-closing';
      const belief = priorBelief(coatingPrior(r.material, r.press));
      const good = (platenC: number, dwellS: number) => {
        const s = setting(platenC, dwellS, { passes, timerStart, pressure: r.pressure });
        return chances(doseSensitivity(loadFor(r), s, SPREADS), belief).good;
      };
      const [[c0, c1], [t0, t1]] = [r.platenC, r.dwellS];
      const corners = [good(c0, t0), good(c1, t0), good(c0, t1), good(c1, t1)];
      for (const g of corners) expect(g).toBeGreaterThanOrEqual(0.6);
      expect(good((c0 + c1) / 2, (t0 + t1) / 2)).toBeGreaterThan(0.85);
    },
  );
});
