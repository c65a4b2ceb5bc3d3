import fc from 'fast-check';
import { normalCdf } from '../../figures/normal';
import { seeded } from '../../random/random';
import { conductorAlong, type Sectors } from './along';
import { buildColumn, cellsOf, type StackLayer } from './column';
import {
  INSULATED,
  Stepper,
  storedJ,
  type Exposed,
  type Heater,
  type BoundarySide,
  type Temperatures,
} from './step';

const layer = (over: Partial<StackLayer> = {}): StackLayer => ({
  name: 'body',
  conductivity: 1,
  capacity: 2e6,
  thicknessM: 0.01,
  contact: Infinity,
  firstCellM: null,
  cells: 20,
  ...over,
});
/** So large that it keeps its temperature whatever it gives. */
const BATH: Heater = { capacityJK: 1e15, powerW: 0, lossWK: 0, roomC: 22, setC: 200 };
const held: BoundarySide = { ...INSULATED, heater: 1e9, heaterShare: 1 };
const inAir = (air: number, airC = 22): BoundarySide => ({ ...INSULATED, air, airC });

function stack(layers: readonly StackLayer[], top: BoundarySide, bottom: BoundarySide): Exposed {
  const column = buildColumn(layers);
  return { column, areaM2: 1, from: 0, to: column.capacity.length, top, bottom };
}
function run(
  e: Exposed,
  start: (i: number) => number,
  heater: Heater,
  heaterC: number,
  dt: number,
  steps: number,
) {
  const cells = Float64Array.from(e.column.capacity, (_, i) => start(i));
  const t: Temperatures = { heaterC, cells };
  const stepper = new Stepper([e]);
  for (let i = 0; i < steps; i += 1) stepper.step(heater, t, dt);
  return { cells, t };
}
const erfc = (x: number): number => 2 * normalCdf(-x * Math.SQRT2);

describe('closed forms', () => {
  test('a thick body whose face is brought to 200 °C at once: T = erfc(x / 2√(αt)) (Carslaw & Jaeger, 2.4)', () => {
    const body = layer({ thicknessM: 0.04, cells: 400 });
    const alpha = 1 / 2e6;
    const { cells } = run(stack([body], held, INSULATED), () => 0, BATH, 200, 0.1, 600);
    for (const i of [10, 40, 80, 120, 200]) {
      const x = ((i + 0.5) * 0.04) / 400;
      expect(cells[i]).toBeCloseTo(200 * erfc(x / (2 * Math.sqrt(alpha * 60))), 0);
      expect(Math.abs((cells[i] ?? 0) - 200 * erfc(x / (2 * Math.sqrt(alpha * 60))))).toBeLessThan(0.15);
    }
  });

  test('a thin metal body in air cools as one lump: exp(−t/τ), τ = ρc·d/h', () => {
    const metal = layer({ conductivity: 140, capacity: 2.4e6, thicknessM: 0.001, cells: 3 });
    const { cells } = run(stack([metal], inAir(10), INSULATED), () => 180, BATH, 0, 1, 240);
    const tau = (2.4e6 * 0.001) / 10;
    expect(cells[1]).toBeCloseTo(22 + (180 - 22) * Math.exp(-240 / tau), 1);
  });

  test('a steady wall of layers: the flow is the difference over the sum of the resistances', () => {
    const layers = [
      layer({ conductivity: 0.15, thicknessM: 1e-4, cells: 2 }),
      layer({ conductivity: 1.4, thicknessM: 4e-3, cells: 8, contact: 5000 }),
    ];
    const { cells } = run(stack(layers, held, inAir(12)), () => 22, BATH, 200, 20, 4000);
    const resistance = 1e-4 / 0.15 + 1 / 5000 + 4e-3 / 1.4 + 1 / 12;
    const flow = (200 - 22) / resistance;
    const far = 22 + flow / 12;
    // The last cell’s middle lies half a cell short of the far face.
    expect(cells[9]).toBeCloseTo(far + (flow * (4e-3 / 8 / 2)) / 1.4, 3);
  });

  test('two thick bodies laid together meet at the mean of their temperatures, weighed by effusivity', () => {
    const hot = layer({ name: 'hot', conductivity: 1, capacity: 2e6, thicknessM: 0.03, cells: 300 });
    const cold = layer({
      name: 'cold',
      conductivity: 0.16,
      capacity: 1.25e6,
      thicknessM: 0.03,
      cells: 300,
      contact: 1e9,
    });
    const { cells } = run(
      stack([hot, cold], INSULATED, INSULATED),
      (i) => (i < 300 ? 180 : 20),
      BATH,
      0,
      0.05,
      400,
    );
    const [e1, e2] = [Math.sqrt(1 * 2e6), Math.sqrt(0.16 * 1.25e6)];
    const meets = (e1 * 180 + e2 * 20) / (e1 + e2);
    const [a, b] = [cells[299] ?? 0, cells[300] ?? 0];
    const [ga, gb] = [2 / (0.03 / 300), (2 * 0.16) / (0.03 / 300)];
    expect((ga * a + gb * b) / (ga + gb)).toBeCloseTo(meets, 0);
  });

  test('a heater at full power warms in a straight line, and stands still at its set temperature', () => {
    const heater: Heater = { capacityJK: 2000, powerW: 100, lossWK: 0, roomC: 22, setC: 60 };
    const nothing = stack([layer({ cells: 1, thicknessM: 1e-9 })], INSULATED, INSULATED);
    expect(run(nothing, () => 22, heater, 22, 0.5, 40).t.heaterC).toBeCloseTo(22 + (100 / 2000) * 20, 9);
    expect(run(nothing, () => 22, heater, 22, 0.5, 4000).t.heaterC).toBeCloseTo(60, 9);
  });
});

describe('orders of accuracy', () => {
  /** Middle of a plate of 10 mm after 40 s, both faces cooling into moving air: smooth in space and time. */
  const middle = (cells: number, dt: number): number => {
    const e = stack([layer({ cells })], inAir(300), inAir(300));
    const c = run(
      e,
      (i) => 100 * Math.cos(((i + 0.5) / cells - 0.5) * 1.2),
      BATH,
      0,
      dt,
      Math.round(40 / dt),
    ).cells;
    // Cell means at the middle: the two cells about it.
    return ((c[cells / 2 - 1] ?? 0) + (c[cells / 2] ?? 0)) / 2;
  };

  test('second in space: half the width, a quarter of the error', () => {
    const exact = middle(256, 0.02);
    const errors = [8, 16, 32].map((n) => Math.abs(middle(n, 0.02) - exact));
    expect((errors[0] ?? 0) / (errors[1] ?? 1)).toBeGreaterThan(3.2);
    expect((errors[1] ?? 0) / (errors[2] ?? 1)).toBeGreaterThan(3.2);
  });

  test('second in time: half the step, a quarter of the error', () => {
    const exact = middle(40, 0.005);
    const errors = [4, 2, 1].map((dt) => Math.abs(middle(40, dt) - exact));
    expect((errors[0] ?? 0) / (errors[1] ?? 1)).toBeGreaterThan(3);
    expect((errors[1] ?? 0) / (errors[2] ?? 1)).toBeGreaterThan(3);
  });
});

describe('a random stack under a heater', () => {
  const material = fc.record({
    conductivity: fc.double({ min: 0.05, max: 200, noNaN: true }),
    capacity: fc.double({ min: 0.3e6, max: 4e6, noNaN: true }),
    thicknessM: fc.double({ min: 5e-5, max: 0.03, noNaN: true }),
    contact: fc.double({ min: 200, max: 20000, noNaN: true }),
    cells: fc.integer({ min: 1, max: 8 }),
  });

  test('heat is conserved to one part in a million, and nothing leaves the range of what it started between', () => {
    fc.assert(
      fc.property(
        fc.array(material, { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 1, max: 1e9 }),
        fc.double({ min: 0.05, max: 3, noNaN: true }),
        (layers, seed, dt) => {
          const random = seeded(seed);
          const heater: Heater = {
            capacityJK: 100 + random() * 8000,
            powerW: random() * 3000,
            lossWK: random() * 3,
            roomC: 22,
            setC: 150 + random() * 60,
          };
          const side = (): BoundarySide => ({
            heater: 500 + random() * 9000,
            heaterShare: random(),
            heaterOffsetK: 0,
            air: random() * 20,
            emissivity: random(),
            airC: 22,
          });
          const e = {
            ...stack(
              layers.map((l, i) => layer({ ...l, name: `l${i}` })),
              side(),
              random() < 0.5 ? side() : INSULATED,
            ),
            areaM2: 0.01 + random() * 0.2,
          };
          const start = 22 + random() * 60;
          const cells = Float64Array.from(e.column.capacity, () => start);
          const t: Temperatures = { heaterC: 120 + random() * 90, cells };
          const hottest = Math.max(t.heaterC, heater.setC, start);
          const stepper = new Stepper([e]);
          const before = storedJ(heater, [e], t);
          let [put, lost] = [0, 0];
          for (let i = 0; i < 12; i += 1) {
            const flow = stepper.step(heater, t, dt);
            put += flow.inJ;
            lost += flow.heaterLossJ + flow.airJ;
          }
          const after = storedJ(heater, [e], t);
          expect(Math.abs(after - before - put + lost)).toBeLessThan(
            1e-6 * Math.max(1, Math.abs(put), before),
          );
          // The method damps but may swing past by a hundredth of a jump.
          for (const c of [...cells, t.heaterC]) {
            expect(Number.isFinite(c)).toBe(true);
            expect(c).toBeGreaterThan(22 - 1.5);
            expect(c).toBeLessThan(hottest + 1.5);
          }
        },
      ),
      { numRuns: 1000, seed: 11, endOnFailure: true },
    );
  }, 120_000);
});

describe('along the wall', () => {
  /** Two of four depths take part, the second half as warm. */
  const along = (of: readonly number[], sectors: Sectors, alphaDt: number, steps = 1): number[] => {
    const out = of.map(() => -1);
    const cells = Float64Array.from([...out, ...of, ...of.map((t) => t / 2), ...out]);
    const conduct = conductorAlong(sectors);
    for (let k = 0; k < steps; k += 1) conduct(cells, 1, 3, alphaDt);
    const depth = (i: number): number[] => [...cells.slice(i * of.length, (i + 1) * of.length)];
    expect([depth(0), depth(3)]).toEqual([out, out]);
    depth(2).forEach((t, j) => expect(t).toBeCloseTo((depth(1)[j] ?? 0) / 2, 9));
    return depth(1);
  };

  test('a wave round a ring of 36 dies out as the scheme says it must, and what is even stays', () => {
    const even: Sectors = { widthsM: Array.from({ length: 36 }, () => 0.007), closed: true };
    for (const number of [0.05, 0.15, 0.5, 3]) {
      const ring = along(
        Array.from({ length: 36 }, (_, i) => 100 + 10 * Math.cos((2 * Math.PI * i) / 36)),
        even,
        number * 0.007 ** 2,
        20,
      );
      // The amplification of an implicit step for a cosine (von Neumann).
      const swing = 2 - 2 * Math.cos((2 * Math.PI) / 36);
      expect((ring[0] ?? 0) - 100).toBeCloseTo(10 * (1 / (1 + number * swing)) ** 20, 6);
      expect(ring.reduce((a, b) => a + b, 0)).toBeCloseTo(3600, 6);
    }
  });

  test('an open wall is half of the closed one that is its mirror image, whatever the widths', () => {
    const half = [0.001, 0.002, 0.004, 0.007, 0.003];
    const temperatures = [180, 160, 90, 40, 25];
    const mirrored = {
      widthsM: [...half, ...[...half].reverse()],
      closed: true,
    };
    const whole = along([...temperatures, ...[...temperatures].reverse()], mirrored, 3e-6, 7);
    expect(along(temperatures, { widthsM: half, closed: false }, 3e-6, 7)).toEqual(
      whole.slice(0, 5).map((t) => expect.closeTo(t, 9) as number),
    );
  });

  test('heat from a hot stretch of a long wall spreads as the closed form says: (T₀/2)·erfc(x / 2√(αt))', () => {
    // 1 mm sectors near the step, growing outwards; half of the wall at 100 °C.
    const grown = Array.from({ length: 24 }, (_, i) => 0.0005 * 1.15 ** i);
    const widthsM = [...[...grown].reverse(), ...grown];
    const start = widthsM.map((_, i) => (i < grown.length ? 100 : 0));
    const alphaT = 40e-6;
    const end = along(start, { widthsM, closed: false }, alphaT / 400, 400);
    let x = 0;
    grown.slice(0, 14).forEach((w, i) => {
      const exact = 50 * erfc((x + w / 2) / (2 * Math.sqrt(alphaT)));
      expect(Math.abs((end[grown.length + i] ?? 0) - exact)).toBeLessThan(0.35);
      x += w;
    });
  });

  test('heat is conserved along any wall, and nothing leaves the range it began in', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.double({ min: 0, max: 250, noNaN: true }),
            fc.double({ min: 0.0005, max: 0.02, noNaN: true }),
          ),
          { minLength: 3, maxLength: 40 },
        ),
        fc.double({ min: 1e-8, max: 1e-3, noNaN: true }),
        fc.boolean(),
        (wall, alphaDt, closed) => {
          const [temperatures, widthsM] = [wall.map(([t]) => t), wall.map(([, w]) => w)];
          const after = along(temperatures, { widthsM, closed }, alphaDt);
          const heat = (t: readonly number[]) => t.reduce((s, x, i) => s + x * (widthsM[i] ?? 0), 0);
          expect(heat(after)).toBeCloseTo(heat(temperatures), 9);
          expect(Math.max(...after)).toBeLessThanOrEqual(Math.max(...temperatures) + 1e-9);
          expect(Math.min(...after)).toBeGreaterThanOrEqual(Math.min(...temperatures) - 1e-9);
        },
      ),
      { numRuns: 80 },
    );
  });
});

describe('cells', () => {
  test('add up to their layer, finest at the face; both faces alike where both matter; halved they stay so', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-4, max: 0.05, noNaN: true }),
        fc.boolean(),
        fc.integer({ min: 0, max: 2 }),
        (thicknessM, bothFaces, halvings) => {
          const widths = cellsOf(layer({ thicknessM, firstCellM: 8e-5, cells: 4, bothFaces }), halvings);
          expect(widths.reduce((a, b) => a + b, 0)).toBeCloseTo(thicknessM, 9);
          for (const w of widths) expect(w).toBeGreaterThan(0);
          if (bothFaces) expect(widths[0]).toBeCloseTo(widths[widths.length - 1] ?? 0, 12);
        },
      ),
    );
  });
});
