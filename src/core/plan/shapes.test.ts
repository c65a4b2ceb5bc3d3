import { inEnglish } from '@/words/inEnglish';
import { english } from '@/words/english';
import fc from 'fast-check';
import { demoShop } from '../demo/demoShop';
import { newJob, type Job, type Method, type Reading } from '../job/job';
import { sizeRoundWrap } from '../wrap/roundWrap';
import { wrapInput } from '../wrap/testWraps';
import { roundPlaces } from '../readings/places';
import { readPlace } from '../readings/readings';
import { isRound } from '../shop/blank';

import { figureById, plan } from './plan';
import { circumferenceAt, middleCircumference, measuredRound } from './measure/measuredShape';
import { ALONE } from '../readings/testPlaces';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const read = (
  id: string,
  text: string,
  method: Method = 'paper strip',
  bareUnit: 'mm' | 'in' = 'mm',
): Reading => ({
  id,
  text,
  bareUnit,
  method,
});
const rule = (text: string) => [read('r', text, 'steel rule')];
const jobOn = (blankId: string, over: Partial<Job> = {}): Job => ({ ...newJob('j', 'j'), blankId, ...over });
const said = (job: Job) =>
  plan(job, shop)
    .measure.findings.concat(plan(job, shop).wrap.findings)
    .map((f) => `${f.level} ${f.id} ${english.text(f.text)}`);
const value = (job: Job, id: string) => Number(figureById(plan(job, shop), id)?.quantity.value);
const EMPTY = newJob('e', 'e').readings;

describe('a tapered cup, by hand', () => {
  // Paper strips 270.0 and 220.0 round, 0.1 mm paper; 190 mm along the wall; setbacks 1.5 mm; butt.
  const job = jobOn('tapered-steel-590', {
    readings: {
      ...EMPTY,
      circumferenceTop: [read('t', '270')],
      circumferenceFoot: [read('f', '220')],
      wall: rule('190'),
    },
    wrap: { ...newJob('w', 'w').wrap, seamMethod: 'butt' },
  });
  const p = 0.1;
  const [c1, c2] = [270 - Math.PI * p, 220 - Math.PI * p];
  const k = (c1 - c2) / (2 * Math.PI) / 190;
  const cos = Math.sqrt(1 - k * k);
  test('arcs are the circumferences at the paper’s edges plus its own thickness, square to the wall', () => {
    const at = (v: number) => c1 - (c1 - c2) * (v / 190) + Math.PI * p * cos;
    expect(value(job, 'wrap.topArc')).toBeCloseTo(at(1.5), 6);
    expect(value(job, 'wrap.footArc')).toBeCloseTo(at(188.5), 6);
    expect(value(job, 'wrap.closing')).toBeCloseTo(at(95), 6);
    expect(value(job, 'wrap.height')).toBeCloseTo(187, 9);
  });
  test('radii from one centre: slant × wide ÷ (wide − narrow)', () => {
    const r1 = value(job, 'wrap.topArc') / (2 * Math.PI);
    const r2 = value(job, 'wrap.footArc') / (2 * Math.PI);
    expect(value(job, 'wrap.radius')).toBeCloseTo((187 * r1) / (r1 - r2), 4);
    const R = (187 * r1) / (r1 - r2);
    const theta = (2 * Math.PI * r1) / R;
    expect(value(job, 'wrap.bow')).toBeCloseTo(R * (1 - Math.cos(theta / 2)), 4);
  });
  test('laid out as a rectangle it says how far the ends part', () => {
    const flat = { ...job, wrap: { ...job.wrap, form: 'rectangle' as const } };
    expect(said(flat).join()).toMatch(/warning wrap\.opens .*part or overlap by 49\.2 mm/);
    expect(plan(flat, shop).wrap.pattern?.form).toBe('rectangle');
  });
  test('circumferences swapped, a wall too short for its taper, a circumference that is not on the line', () => {
    const swapped = {
      ...job,
      readings: {
        ...job.readings,
        circumferenceTop: [read('t', '220')],
        circumferenceFoot: [read('f', '270')],
      },
    };
    expect(said(swapped).join()).toMatch(/Were the two circumferences swapped/);
    const steep = jobOn('pet-bowl-steel', {
      readings: {
        ...EMPTY,
        circumferenceTop: [read('t', '400')],
        circumferenceFoot: [read('f', '700')],
        wall: rule('40'),
      },
    });
    expect(said(steep).join()).toMatch(/blocker measure\.shape .*pass its own tip/);
    const bulging = { ...job, stations: [{ id: 'mid', fromRimMm: 100, readings: [read('m', '254')] }] };
    expect(said(bulging).join()).toMatch(/warning measure\.line-mid .*mm more than a straight side/);
    expect(plan(bulging, shop).wrap.warp).not.toBeNull();
  });
});

describe('a handled mug, by hand', () => {
  const job = jobOn('mug-325', {
    readings: {
      ...EMPTY,
      circumferenceTop: [read('t', '241')],
      circumferenceFoot: [read('f', '241')],
      wall: rule('87'),
      handle: [read('h', '16', 'caliper')],
    },
    wrap: { ...newJob('w', 'w').wrap, seamMethod: 'under', amountMm: 3 },
  });
  test('from handle to handle, a margin each side; the handle’s own width cancels from the uncertainty', () => {
    const share = 241 / (241 + 16);
    const arc = 241 - Math.PI * 0.1 * share;
    expect(value(job, 'wrap.closing')).toBeCloseTo(arc + Math.PI * 0.1, 6);
    expect(value(job, 'wrap.length')).toBeCloseTo(arc + Math.PI * 0.1 - 6, 6);
    const parts = plan(job, shop).wrap.round?.closing.parts ?? {};
    expect(Math.abs(parts['reading: width of the handle'] ?? 0)).toBeLessThan(1e-6);
  });
  test('marks: opposite the handle in the middle, the faces a quarter turn either side', () => {
    const marks = plan(job, shop).wrap.pattern?.marks ?? [];
    const length = value(job, 'wrap.length');
    expect(marks.map((m) => m.id)).toEqual(['opposite', 'left-face', 'right-face']);
    expect(marks[0]?.alongMm).toBeCloseTo(length / 2, 6);
    const round = 241 - Math.PI * 0.1 * (241 / 257) + 16 + Math.PI * 0.1;
    expect((marks[2]?.alongMm ?? 0) - (marks[0]?.alongMm ?? 0)).toBeCloseTo(round / 4, 6);
  });
  test('gap counts the handle; a lap cannot pass it; a handle wider than the wall is a slip', () => {
    const gap = { ...job, wrap: { ...job.wrap, seamMethod: 'gap' as const, amountMm: null } };
    // 16 mm of handle and 6 mm of white each side.
    expect(value(gap, 'wrap.closing') - value(gap, 'wrap.length')).toBeCloseTo(12, 6);
    expect(said({ ...job, wrap: { ...job.wrap, seamMethod: 'lap' } }).join()).toMatch(
      /blocker wrap\.lap .*cannot overlap at a handle/,
    );
    const wide = { ...job, readings: { ...job.readings, handle: [read('h', '130', 'caliper')] } };
    expect(said(wide).join()).toMatch(/Width of the handle: 130 read as mm is too large/);
  });
});

describe('a bellied glass', () => {
  const job = jobs.find((j) => j.id === 'comet-glasses') as Job;
  test('paper lies where its gap is within the hold; more in a sleeve than by bare tape', () => {
    const warp = (hold: Job['wrap']['hold']) => plan({ ...job, wrap: { ...job.wrap, hold } }, shop).wrap.warp;
    const tall = (hold: Job['wrap']['hold']) => {
      const l = warp(hold);
      if (!l) throw new Error('a belly lies somewhere');
      expect(l.cone.worstLiftMm).toBeLessThanOrEqual(l.toleranceMm + 1e-9);
      return l.band.footMm - l.band.topMm;
    };
    expect(tall('bare tape')).toBeLessThan(tall('tape pulled tight'));
    expect(tall('tape pulled tight')).toBeLessThan(tall('sleeve'));
  });
  test('a band of one’s own: the gap grows with it and the worst lift is named', () => {
    const own = { ...job, wrap: { ...job.wrap, band: { topMm: 12, footMm: 106 } } };
    const l = plan(own, shop).wrap.warp;
    expect(l?.chosen).toBe(true);
    expect(l?.cone.worstLiftMm).toBeGreaterThan(2);
    expect(said(own).join()).toMatch(/warning wrap\.lift The paper stands .* off the wall/);
  });
  test('circumferences that fall and rise absurdly are refused, nothing lost', () => {
    const absurd = { ...job, stations: [{ id: 'x', fromRimMm: 8, readings: [read('m', '400')] }] };
    expect(said(absurd).join()).toMatch(/blocker measure\.shape .*faster than a wall can/);
    expect(plan(absurd, shop).measure.places.find((p) => p.place.id === 'x')?.items).toHaveLength(1);
  });
});

test('a caliper and a tape that disagree are asked about', () => {
  const job = jobOn('straight-steel-590', {
    readings: {
      ...EMPTY,
      circumferenceTop: [read('a', '231'), read('b', '71.5', 'caliper')],
      circumferenceFoot: [read('c', '231')],
      wall: rule('193'),
    },
  });
  expect(said(job).join()).toMatch(/by caliper, .* by paper strip/);
});

test('an edge left plain to hold by: no ink on it, no mark in it', () => {
  const job = jobOn('straight-steel-590', { wrap: { ...newJob('w', 'w').wrap, grip: 'foot' } });
  const { pattern } = plan(job, shop).wrap;
  if (!pattern?.grip) throw new Error('no grip');
  expect(pattern.whole.height - pattern.trim.height).toBeCloseTo(3 + 8, 6);
  const foot = pattern.trim.height;
  const inside = pattern.ticks.filter((t) =>
    [t.from, t.to].some((p) => p.y > foot + 0.01 && p.y < foot + 7.9 && p.x > 0 && p.x < pattern.trim.width),
  );
  expect(inside).toEqual([]);
});

test('bleed per edge, and the seam where it is put', () => {
  const base = newJob('w', 'w').wrap;
  const job = jobOn('straight-steel-590', {
    wrap: { ...base, bleedRimMm: 0, bleedFootMm: 2, bleedEndsMm: 5, seamMethod: 'butt' },
  });
  const { pattern } = plan(job, shop).wrap;
  expect(pattern?.bleed).toMatchObject({ x: -5, y: 0 });
  expect((pattern?.bleed.height ?? 0) - (pattern?.trim.height ?? 0)).toBeCloseTo(2, 9);
  const turned = plan({ ...job, wrap: { ...job.wrap, seamDeg: 90 } }, shop).wrap.pattern;
  // Seam a quarter turn to the right of the front: the front stands three quarters along the paper.
  expect((turned?.front?.x ?? 0) / (turned?.trim.width ?? 1)).toBeCloseTo(0.75, 9);
});

test('identical wraps whichever unit was typed', () => {
  const blank = shop.blanks.find((b) => b.id === 'tapered-steel-590');
  if (!blank || !isRound(blank)) throw new Error('round');
  const places = roundPlaces(blank.shape, []);
  // Sixty-fourths of an inch are exact in decimals of a millimetre: 25.4/64 = 0.396875.
  const sixtyFourth = fc.integer({ min: 0, max: 63 });
  fc.assert(
    fc.property(sixtyFourth, sixtyFourth, sixtyFourth, (a, b, c) => {
      const wrapOf = (write: (whole: number, part: number) => string) => {
        const texts: Readonly<Record<string, string>> = {
          circumferenceTop: write(10, a),
          circumferenceFoot: write(8, b),
          wall: write(7, c),
        };
        const measuredShape = measuredRound(
          blank.shape,
          places.map((p) =>
            readPlace(
              p,
              [read(p.id, texts[p.id] ?? '', p.id === 'wall' ? 'steel rule' : 'soft tape')],
              ALONE,
            ),
          ),
        );
        if (!measuredShape.ok) throw new Error(english.text(measuredShape.problem.what));
        const s = measuredShape.value;
        return sizeRoundWrap(
          wrapInput({ circumferenceTop: s.top, circumferenceFoot: s.foot, slant: s.slant }),
        );
      };
      const inches = wrapOf((w, n) => `${w + n / 64} in`);
      const mm = wrapOf((w, n) => `${((w * 64 + n) * 0.396875).toFixed(6)} mm`);
      return (
        Math.abs(inches.lengthMm - mm.lengthMm) < 1e-9 * mm.lengthMm &&
        Math.abs(inches.pattern.trim.height - mm.pattern.trim.height) < 1e-8
      );
    }),
    { numRuns: 2000 },
  );
});

test('a circumference between two readings takes its uncertainty from both', () => {
  const blank = shop.blanks.find((b) => b.id === 'tapered-steel-590');
  if (!blank || !isRound(blank)) throw new Error('round');
  const made = measuredRound(
    blank.shape,
    roundPlaces(blank.shape, []).map((p) =>
      readPlace(
        p,
        [read(p.id, p.expectedMm.toFixed(1), p.kind === 'circumference' ? 'paper strip' : 'steel rule')],
        ALONE,
      ),
    ),
  );
  if (!made.ok) throw new Error(english.text(made.problem.what));
  const mid = circumferenceAt(made.value, (made.value.wall.topMm + made.value.wall.footMm) / 2);
  expect(mid.value).toBeCloseTo(middleCircumference(made.value).value, 6);
  expect(inEnglish(Object.keys(mid.parts))).toEqual(
    expect.arrayContaining(['reading: rim', 'reading: foot']),
  );
});
