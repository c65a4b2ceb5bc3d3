import { english } from '@/words/english';
import fc from 'fast-check';
import { demoShop } from '../../demo/demoShop';
import { newJob, METHODS, type Job, type Method, type Reading } from '../../job/job';
import { LIBRARY } from '../../library/library';
import { placesOf } from '../../readings/places';
import { profileAt } from '../../shapes/profile';
import { isRound, type Blank } from '../../shop/blank';
import type { Shop } from '../../shop/shop';

import { figureById, plan } from '../plan';
import { type Plan } from '../planShape';

const DEMO = demoShop(new Date('2026-11-24T12:00:00Z')).shop;
const shop: Shop = { ...DEMO, blanks: [...LIBRARY] };

/** Readings as the Measure screen writes them. */
let n = 0;
const read = (text: string, method: Method = 'soft tape'): Reading[] => [
  { id: `reading-${(n += 1)}`, text, bareUnit: 'mm', method },
];
/** A station as the Measure screen makes one: its id says that it is of a circumference. */
const station = (fromRimMm: number, text: string) => ({
  id: `circumference-${(n += 1)}abc`,
  fromRimMm,
  readings: read(text),
});
const jobFor = (blankId: string, over: Partial<Job> = {}): Job => ({
  ...newJob('j', 'j'),
  blankId,
  pressId: 'tumbler-press-a',
  ...over,
});
const readings = (over: Partial<Job['readings']>): Job['readings'] => ({
  ...newJob('x', 'x').readings,
  ...over,
});
const measuredShapeOf = (p: Plan) => {
  if (p.measure.measuredShape?.kind !== 'round') throw new Error('no wall');
  return p.measure.measuredShape;
};
const value = (p: Plan, id: string): number => Number(figureById(p, id)?.quantity.value);
const texts = (p: Plan, step: 'measure' | 'wrap' | 'heat') =>
  p[step].findings.map((f) => english.text(f.text));

describe('a circumference typed between rim and foot', () => {
  const ends = readings({
    circumferenceTop: read('231'),
    circumferenceFoot: read('231'),
    wall: read('193', 'steel rule'),
  });
  test('a belly of 23 mm makes a shaped wall, and paper that lies flat only over a band', () => {
    const p = plan(jobFor('straight-steel-590', { readings: ends, stations: [station(100, '254')] }), shop);
    expect(measuredShapeOf(p).form).toBe('shaped');
    expect(p.wrap.warp).not.toBeNull();
    expect(value(p, 'wrap.height')).toBeLessThan(150);
  });
  test('one on the line of the wall changes nothing', () => {
    const p = plan(jobFor('straight-steel-590', { readings: ends, stations: [station(100, '231')] }), shop);
    expect(measuredShapeOf(p).form).toBe('straight');
  });
  test('two at one height are repeats of one: their mean, no NaN', () => {
    const p = plan(
      jobFor('straight-steel-590', { readings: ends, stations: [station(100, '253'), station(100, '255')] }),
      shop,
    );
    const one = plan(jobFor('straight-steel-590', { readings: ends, stations: [station(100, '254')] }), shop);
    expect(value(p, 'wrap.height')).toBeCloseTo(value(one, 'wrap.height'), 6);
  });
  test('one at the very rim is another reading of the rim', () => {
    const top = measuredShapeOf(plan(jobFor('straight-steel-590', { readings: ends }), shop)).wall.topMm;
    const p = plan(jobFor('straight-steel-590', { readings: ends, stations: [station(top, '233')] }), shop);
    expect(measuredShapeOf(p).top.value + Math.PI * 0.4).toBeCloseTo(232, 6);
    expect(p.measure.findings.map((f) => f.id)).not.toContain('measure.shape');
  });
});

describe('a handled mug by caliper', () => {
  const mug = LIBRARY.find((b) => b.id === 'mug-325') as Blank;
  const handleMm = isRound(mug) ? (mug.shape.handle?.widthMm ?? 0) : 0;
  const at = (diameterMm: number, handle: string | null) =>
    plan(
      jobFor('mug-325', {
        readings: readings({
          circumferenceTop: read(String(diameterMm), 'caliper'),
          circumferenceFoot: read(String(diameterMm), 'caliper'),
          handle: handle === null ? [] : read(handle, 'steel rule'),
        }),
      }),
      shop,
    );
  test('closes from handle to handle by the handle as it was measured', () => {
    // π D less the handle, and the paper’s own thickness round the rest.
    for (const h of [handleMm, handleMm + 6]) {
      const p = at(82, String(h));
      expect(value(p, 'wrap.closing')).toBeCloseTo(
        Math.PI * (82 + (p.sheet.paper?.thicknessMm ?? 0.1)) - h,
        1,
      );
      expect(texts(p, 'measure').join(' ')).not.toMatch(/bulges/);
    }
  });
});

describe('heat is asked of the wall under the paper', () => {
  const cone = (form: 'rectangle' | 'cone') =>
    plan(
      jobFor('tapered-steel-590', {
        readings: readings({
          circumferenceTop: read(String(Math.round(Math.PI * 86))),
          circumferenceFoot: read(String(Math.round(Math.PI * 70))),
        }),
        wrap: { ...newJob('x', 'x').wrap, form, seamMethod: 'butt' },
      }),
      {
        ...shop,
        presses: shop.presses.map((x) =>
          x.id === 'tumbler-press-a' && x.kind === 'tumbler' ? { ...x, heaterLengthMm: 248 } : x,
        ),
      },
    );
  test('the wide end of a cone decides how far the heater reaches', () => {
    const p = cone('cone');
    expect(value(p, 'heat.cover')).toBeLessThan((248 / (Math.PI * 84)) * 360);
    expect(value(p, 'heat.passes')).toBe(2);
  });
  test('a rectangle on it does not silence the taper', () => {
    for (const form of ['rectangle', 'cone'] as const)
      expect(cone(form).heat.findings.map((f) => f.id)).toContain('heat.cone');
  });
  test('a rectangle on a belly closes on the belly and says what it does elsewhere', () => {
    const p = plan(
      jobFor('bellied-glass-400', {
        wrap: { ...newJob('x', 'x').wrap, form: 'rectangle', seamMethod: 'butt' },
      }),
      shop,
    );
    const s = measuredShapeOf(p);
    const widest = Math.max(...s.circumferences.map((g) => g.circumference.value));
    expect(value(p, 'wrap.closing')).toBeGreaterThan(widest);
    expect(p.wrap.findings.map((f) => f.id)).toContain('wrap.opens');
  });
});

describe('readings along a sloping wall', () => {
  const bowl = LIBRARY.filter(isRound).find((b) => b.id === 'planter-ceramic');
  test('the length along a steep cone is believed, and stands for less height', () => {
    if (!bowl) throw new Error('no planter');
    const place = placesOf(bowl, []).find((p) => p.role === 'wall');
    const [top, foot] = [bowl.shape.sections[0], bowl.shape.sections.at(-1)];
    if (!place || !top || !foot) throw new Error('no wall');
    const tall = foot.fromRimMm - top.fromRimMm;
    // Pythagoras over the catalogue’s own figures.
    const slant = Math.hypot(tall, (top.diameterMm - foot.diameterMm) / 2);
    expect(place.expectedMm).toBeCloseTo(slant, 6);
    const s = measuredShapeOf(
      plan(jobFor(bowl.id, { readings: readings({ wall: read(slant.toFixed(3), 'steel rule') }) }), shop),
    );
    expect(s.wall.footMm - s.wall.topMm).toBeCloseTo(tall, 2);
  });
  test('on a shaped wall too: as long along it as was read', () => {
    const p = plan(
      jobFor('bellied-glass-400', { readings: readings({ wall: read('120', 'steel rule') }) }),
      shop,
    );
    const { profile, wall } = measuredShapeOf(p);
    let along = 0;
    const steps = 20_000;
    const r = (z: number) => profileAt(profile, z).r;
    for (let i = 0; i < steps; i += 1) {
      const h = (wall.footMm - wall.topMm) / steps;
      along += Math.hypot(h, r(wall.topMm + (i + 1) * h) - r(wall.topMm + i * h));
    }
    expect(along).toBeCloseTo(120, 1);
  });
});

describe('setbacks larger than the wall', () => {
  test('are refused in words, and nothing negative is shown', () => {
    const p = plan(
      jobFor('straight-steel-590', {
        wrap: { ...newJob('x', 'x').wrap, topSetbackMm: 150, footSetbackMm: 150 },
      }),
      shop,
    );
    expect(p.wrap.findings.find((f) => f.id === 'wrap.height')?.level).toBe('blocker');
    expect(JSON.stringify([p.wrap.summary, p.wrap.figures])).not.toMatch(/-\d/);
  });
});

describe('the piece that is drawn by hand', () => {
  test('bow and turn are those of the cut piece, handle and margin left away', () => {
    const p = plan(jobFor('latte-mug', { wrap: { ...newJob('x', 'x').wrap, seamMethod: 'under' } }), shop);
    const w = p.wrap.round;
    if (!w?.sector) throw new Error('no cone');
    // Along the wide arc on its own radius, and the sagitta of that.
    const arc = Math.max(w.topArc.value, w.footArc.value) - 2 * w.amountMm;
    const theta = arc / w.sector.outerMm;
    expect(w.sector.angleRad).toBeCloseTo(theta, 6);
    const bow = Math.max(Math.abs(w.sector.topBowMm), Math.abs(w.sector.footBowMm));
    expect(bow).toBeCloseTo(w.sector.outerMm * (1 - Math.cos(theta / 2)), 6);
  });
});

/** Every number in a plain value is one, and nothing that should be a number is missing. */
function notNumbers(v: unknown, path: string, found: string[] = []): string[] {
  if (typeof v === 'number') {
    if (!Number.isFinite(v)) found.push(`${path}: ${v}`);
  } else if (v !== null && typeof v === 'object')
    for (const [k, x] of Object.entries(v)) notNumbers(x, `${path}.${k}`, found);
  return found;
}

test('no plan of a job as screens make it holds NaN or infinity, whatever is read where', () => {
  const choice = fc.record({
    blank: fc.nat(LIBRARY.length - 1),
    method: fc.constantFrom(...METHODS),
    factor: fc.double({ min: 0.6, max: 1.6, noNaN: true }),
    factors: fc.array(fc.double({ min: 0.85, max: 1.2, noNaN: true }), { minLength: 6, maxLength: 6 }),
    taken: fc.array(fc.boolean(), { minLength: 6, maxLength: 6 }),
    stations: fc.array(
      fc.record({
        at: fc.double({ min: 0, max: 1, noNaN: true }),
        k: fc.double({ min: 0.9, max: 1.15, noNaN: true }),
      }),
      { maxLength: 5 },
    ),
    seamMethod: fc.constantFrom('under', 'butt', 'lap', 'over', 'gap', null),
    form: fc.constantFrom('rectangle', 'cone', null),
    setback: fc.double({ min: 0, max: 200, noNaN: true }),
    amount: fc.option(fc.double({ min: 0, max: 200, noNaN: true })),
    press: fc.nat(shop.presses.length - 1),
  });
  fc.assert(
    fc.property(choice, (c) => {
      const blank = LIBRARY[c.blank] as Blank;
      const height = isRound(blank) ? blank.shape.heightMm : 100;
      const own = readings({});
      const written: Record<string, Reading[]> = { ...own };
      placesOf(blank, []).forEach((p, i) => {
        if (!c.taken[i]) return;
        const across =
          p.kind === 'circumference' && (c.method === 'caliper' || c.method === 'maker’s figure');
        const mm = (p.expectedMm + (across ? p.gapMm : 0)) * (c.factors[i] ?? 1) * (across ? 1 / Math.PI : 1);
        written[p.id] = [...read(mm.toFixed(1), c.method), ...read((mm * 1.01).toFixed(1), c.method)];
      });
      const base = newJob('x', 'x');
      const job = jobFor(blank.id, {
        pressId: shop.presses[c.press]?.id ?? null,
        readings: written as Job['readings'],
        stations: isRound(blank)
          ? c.stations.map((s) => {
              const mm = Math.round(s.at * height);
              const there = placesOf(blank, [{ id: 'x', fromRimMm: mm }]).find((p) => p.id === 'x');
              return station(mm, ((there?.expectedMm ?? 200) * s.k).toFixed(0));
            })
          : [],
        wrap: {
          ...base.wrap,
          seamMethod: c.seamMethod,
          form: c.form,
          topSetbackMm: c.setback,
          amountMm: c.amount,
        },
      });
      const made = plan(job, shop);
      expect(notNumbers(made, 'plan')).toEqual([]);
      expect(JSON.parse(JSON.stringify(made))).toEqual(made);
    }),
    { numRuns: 60 },
  );
});
