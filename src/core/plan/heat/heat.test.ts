import { inEnglish } from '@/words/inEnglish';
import { english } from '@/words/english';
import { demoShop } from '../../demo/demoShop';
import { newJob, type Job, type Reading } from '../../job/job';
import type { Press } from '../../shop/press';
import { BARE_ENTRY, type LogEntry } from '../../shop/records';
import type { Shop } from '../../shop/shop';

import { newRun } from '../press/newRun';
import { figureById, plan } from '../plan';
import { type Plan } from '../planShape';
import { planAnswered } from '../planAnswered';
import { preparationWords } from '../press/operationWords';

const { shop, jobs } = demoShop(new Date('2026-11-26T12:00:00Z'));
const demo = (id: string): Job => {
  const job = jobs.find((j) => j.id === id);
  if (!job) throw new Error(id);
  return job;
};
/** Readings with the ids and texts a screen gives them. */
const read = (text: string): Reading[] => [
  { id: `reading-${text}`, text, bareUnit: 'mm', method: 'steel rule' },
];
const jobOn = (blankId: string, pressId: string, over: Partial<Job> = {}): Job => ({
  ...newJob('a-job', 'A job'),
  blankId,
  pressId,
  ...over,
});
const flatJob = (blankId: string, width: string, height: string, over: Partial<Job> = {}): Job => {
  const job = jobOn(blankId, 'flat-press-a', over);
  return { ...job, readings: { ...job.readings, width: read(width), height: read(height) } };
};
const value = (p: Plan, id: string): number => {
  const q = figureById(p, id)?.quantity;
  if (!q || !('value' in q) || typeof q.value !== 'number') throw new Error(id);
  return q.value;
};
const found = (p: Plan): string =>
  p.heat.findings.map((f) => `${f.level} ${f.id} ${english.text(f.text)}`).join('\n');
const changed = (id: string, change: Partial<Press>): Shop => ({
  ...shop,
  presses: shop.presses.map((p) => (p.id === id ? ({ ...p, ...change } as Press) : p)),
});

const FIGURES = [
  'heat.dose',
  'heat.doseMost',
  'heat.doseNeeded',
  'heat.doseLimit',
  'heat.good',
  'heat.passes',
  'heat.load',
  'heat.peakC',
  'heat.touch',
];

describe('figures by their fixed names, for a mug, a full wrap, eight plates, two faces, a pen and slate', () => {
  const cases: readonly (readonly [string, Job])[] = [
    ['a mug', demo('constellation-mugs')],
    ['a full-wrap tumbler', demo('star-party-tumblers')],
    ['name plates', flatJob('name-plate-80-50', '80', '50', { pieces: 24 })],
    ['a two-sided ornament', demo('moon-and-star-ornaments')],
    ['a pen in the oven', jobOn('pen-aluminium', 'bench-oven', { pieces: 30 })],
    ['slate', demo('slate-trail-markers')],
  ];
  test.each(cases)('%s', (_, job) => {
    const p = planAnswered(job, shop);
    for (const id of FIGURES) expect(Number.isFinite(value(p, id))).toBe(true);
    expect(value(p, 'heat.dose')).toBeLessThanOrEqual(value(p, 'heat.doseMost') * 1.001);
    expect(value(p, 'heat.dose')).toBeGreaterThan(value(p, 'heat.doseNeeded'));
    expect(value(p, 'heat.doseMost')).toBeLessThan(value(p, 'heat.doseLimit'));
    expect(value(p, 'heat.good')).toBeGreaterThan(0.7);
    expect(value(p, 'heat.good')).toBeLessThanOrEqual(1);
    expect(value(p, 'heat.peakC')).toBeLessThan((p.heat.chosen?.settings.platenC ?? 0) + 6);
    expect(p.heat.model?.wanted).toEqual([]);
    expect(found(p)).not.toMatch(/^blocker/m);
  });
});

describe('the plan and its book', () => {
  test('nothing is simulated in a plan: without a cache it names what it wants, the start first', () => {
    const p = plan(flatJob('name-plate-80-50', '80', '50'), shop);
    expect(p.heat.model?.outcome).toBeNull();
    expect(p.heat.model?.wanted.map((q) => q.kind)).toEqual([
      'start',
      'outcome',
      'window',
      'options',
      'window',
    ]);
    expect(figureById(p, 'heat.good')).toBeUndefined();
    // What is only roughly known is not shown; the wait is planned with it all the same.
    expect(figureById(p, 'heat.touch')).toBeUndefined();
    expect(p.heat.operations.find((o) => o.kind === 'cooling')?.plannedS).toBeGreaterThan(10);
  });

  test('the start of the table is moved by thickness, load, faces and sheets', () => {
    const dwell = (job: Job) => planAnswered(job, shop).heat.chosen?.settings.dwellS ?? 0;
    const board = flatJob('hardboard-panel-200-250', '200', '250');
    expect(dwell(flatJob('photo-block', '100', '150'))).not.toBe(0);
    expect(dwell({ ...board, load: { wasteSheets: 3 } })).toBeGreaterThan(dwell(board));
    const plates = flatJob('steel-sheet-150-200', '150', '200', { pieces: 4 });
    expect(dwell({ ...plates, load: { piecesAtOnce: 4 } })).toBeGreaterThanOrEqual(
      dwell({ ...plates, load: { piecesAtOnce: 1 } }),
    );
  });

  test('nothing proven is overruled, and a hand wins over both', () => {
    const job = demo('star-party-tumblers');
    const p = planAnswered(job, shop);
    expect(p.heat.chosen).toMatchObject({ baseOrigin: 'proven', settings: { dwellS: 65, platenC: 188 } });
    expect(p.heat.model?.subject.seen.length).toBeGreaterThan(0);
    expect(planAnswered({ ...job, heat: { dwellS: 90 } }, shop).heat.chosen?.settings).toMatchObject({
      dwellS: 90,
      platenC: 188,
      laterDwellS: null,
    });
  });

  test('good results in the log move the answer; those of another coating do not', () => {
    const job = flatJob('name-plate-80-50', '80', '50', { heat: { platenC: 190, dwellS: 20 } });
    const s = plan(job, shop).heat.chosen?.settings;
    if (!s) throw new Error('no settings');
    const entry = (blankId: string): LogEntry => ({
      id: 'log-new',
      at: 1,
      jobId: 'x',
      jobName: 'X',
      blankId,
      blankName: 'B',
      pressId: 'flat-press-a',
      pressName: 'P',
      settings: s,
      load: null,
      verdict: 'good',
      paperState: 'even',
      good: 20,
      spoiled: 0,
      ...BARE_ENTRY,
    });
    const good = (log: readonly LogEntry[]) =>
      value(planAnswered(job, { ...shop, log: [...log] }), 'heat.good');
    const none = good([]);
    expect(good([entry('name-plate-80-50')])).toBeGreaterThan(none + 0.03);
    expect(good([entry('badge-oval')])).toBeGreaterThan(none);
    expect(good([entry('ornament-star')])).toBe(none);
  });

  test('a recipe proven with another mat is proven with that mat', () => {
    const load = {
      piecesAtOnce: 1,
      wasteSheets: 1,
      wasteKind: 'plain',
      heatedFrom: 'paper',
      heaterId: 'mat-slim',
    } as const;
    const slim: Shop = { ...shop, recipes: shop.recipes.map((r) => ({ ...r, load })) };
    expect(plan(demo('star-party-tumblers'), shop).heat.heater?.id).toBe('mat-wide');
    expect(plan(demo('star-party-tumblers'), slim).heat.heater?.id).toBe('mat-slim');
  });

  test('a recipe proven on another press is held against this one, with its chain', () => {
    const job = demo('night-walk-tumblers');
    const elsewhere: Shop = {
      ...shop,
      presses: [
        ...shop.presses,
        {
          ...(shop.presses.find((p) => p.id === 'tumbler-press-a') as Press),
          id: 'second',
          name: 'Tumbler press B',
        },
      ],
    };
    const p = planAnswered({ ...demo('star-party-tumblers'), pressId: 'second' }, elsewhere);
    expect(inEnglish(figureById(p, 'heat.same')?.arithmetic[0])).toMatch(
      /590 ml straight steel on Tumbler press A/,
    );
    // The same press by another name: the same time, give or take the turn.
    expect(Math.abs(value(p, 'heat.same') - 65)).toBeLessThan(8);
    expect(figureById(planAnswered(job, shop), 'heat.same')).toBeUndefined();
  });
});

describe('afterwards', () => {
  test('slate peeled cold: the dye lies still, then it can be touched, then packed; peeled hot there is nothing to wait for', () => {
    const p = planAnswered(demo('slate-trail-markers'), shop);
    expect(value(p, 'heat.peelAfter')).toBeLessThan(value(p, 'heat.touch'));
    expect(value(p, 'heat.touch')).toBeLessThan(value(p, 'heat.pack'));
    // Minutes are shown no finer than they are known.
    expect(value(p, 'heat.touch') % 60).toBe(0);
    const hot = planAnswered({ ...demo('slate-trail-markers'), heat: { peel: 'hot' } }, shop);
    expect(figureById(hot, 'heat.peelAfter')).toBeUndefined();
  });
});

describe('away from what was proven', () => {
  const job = demo('star-party-tumblers');
  test('another temperature, or another sheet, says the time that gives the same dose; as proven there is nothing to say', () => {
    expect(figureById(planAnswered(job, shop), 'heat.same')).toBeUndefined();
    const hotter = planAnswered({ ...job, heat: { platenC: 198 } }, shop);
    expect(value(hotter, 'heat.same')).toBeLessThan(63);
    expect(figureById(hotter, 'heat.same')?.arithmetic.length).toBeGreaterThan(1);
    const thicker = planAnswered({ ...job, load: { wasteSheets: 3 } }, shop);
    expect(value(thicker, 'heat.same')).toBeGreaterThan(67);
  });
});

describe('loads', () => {
  const plates = flatJob('name-plate-80-50', '80', '50', { pieces: 24 });

  test('eight at once: laid, level, three loads, each one closing of eight', () => {
    const p = planAnswered({ ...plates, load: { piecesAtOnce: 8 } }, shop);
    expect(p.heat.load).toMatchObject({ load: { piecesAtOnce: 8 }, most: 21 });
    expect(p.heat.load?.bed?.placements).toHaveLength(8);
    expect(p.heat.load?.bed?.pressure.offMm).toBeLessThan(1);
    expect(p.press.cycle.find((o) => o.kind === 'load')?.uses).toEqual([
      { what: 'blank', count: 8 },
      { what: 'print', count: 8 },
    ]);
    const each = value(p, 'press.each');
    expect(value(p, 'press.all')).toBeCloseTo(3 * each, 6);
    const run = newRun(plates, p, { id: 'run-1', startedAt: 5 });
    expect(run).toMatchObject({ pieces: 24, load: { piecesAtOnce: 8 } });
  });

  test('by itself a job goes in as few loads as fit, alike', () => {
    expect(plan({ ...plates, pieces: 40 }, shop).heat.load?.load.piecesAtOnce).toBe(20);
    expect(plan({ ...plates, pieces: 3 }, shop).heat.load?.load.piecesAtOnce).toBe(3);
    expect(plan(demo('star-party-tumblers'), shop).heat.load?.load.piecesAtOnce).toBe(1);
  });

  test('more than fit is refused in words; a load that would tip says what to lay beside it', () => {
    expect(found(plan({ ...plates, load: { piecesAtOnce: 40 } }, shop))).toMatch(
      /blocker heat\.load 40 pieces do not fit in Flat press A: 21 at most/,
    );
    const heavy = flatJob('panel-200-300', '200', '300', { pieces: 1 });
    expect(found(plan(heavy, shop))).not.toMatch(/heat\.level/);
  });
});

describe('what the model says stands in the way', () => {
  test('a back that nothing is printed on needs no heat', () => {
    const bare = flatJob('ornament-star', '84', '80');
    expect(planAnswered(bare, shop).heat.model?.subject.load.faces).toBe('one');
    expect(found(planAnswered(bare, shop))).not.toMatch(/heat\.lower-face/);
  });

  test('both faces of a board at once: by how much the lower one lacks, and the way out', () => {
    const job = demo('moon-and-star-ornaments');
    const together = planAnswered({ ...job, wrap: { ...job.wrap, faces: 'together' } }, shop);
    expect(found(together)).toMatch(
      /warning heat\.lower-face The lower face gets .*, the upper .*; the coating needs .* and tolerates .*press one face, then the other/,
    );
    expect(found(planAnswered(job, shop))).toMatch(/info heat\.first-face/);
    expect(found(planAnswered(job, shop))).not.toMatch(/heat\.chance/);
  });

  test('a setting that would fail says so, and which way to change it', () => {
    const plate = flatJob('name-plate-80-50', '80', '50');
    expect(found(planAnswered({ ...plate, heat: { dwellS: 15 } }, shop))).toMatch(
      /warning heat\.chance .*too little heat/,
    );
    expect(found(planAnswered({ ...plate, heat: { platenC: 215, dwellS: 240 } }, shop))).toMatch(
      /warning heat\.chance .*too much heat/,
    );
  });

  test('a press too weak to come back is named; one nobody checked is said to be', () => {
    const weak = changed('mug-press', { power: { watts: 20, from: 'measured', volts: null } });
    expect(found(planAnswered(demo('constellation-mugs'), weak))).toMatch(
      /warning heat\.recovery Mug press does not return to temperature/,
    );
    expect(found(planAnswered(demo('constellation-mugs'), shop))).toMatch(/info heat\.unchecked/);
    const checked = changed('mug-press', {
      checks: [{ id: 'c', at: 1, setC: 195, with: 'probe', points: [{ x: 0.5, y: 0.5, readC: 189 }] }],
    });
    expect(found(planAnswered(demo('constellation-mugs'), checked))).not.toMatch(/heat\.unchecked/);
  });

  test('a display that reads high makes the time longer, by itself', () => {
    const plate = flatJob('name-plate-80-50', '80', '50');
    const high = changed('flat-press-a', {
      checks: [{ id: 'c', at: 1, setC: 200, with: 'probe', points: [{ x: 0.5, y: 0.5, readC: 190 }] }],
    });
    const dwell = (s: Shop) => planAnswered(plate, s).heat.chosen?.settings.dwellS ?? 0;
    expect(dwell(high)).toBeGreaterThan(dwell(shop) + 5);
  });

  test('a mat that does not close on the blank is said with its name, and another mat of the press found first', () => {
    const can = jobOn('steel-can-sleeve', 'tumbler-press-a');
    const of = (mm: string, heaterId?: string): Plan => {
      const job = { ...can, load: heaterId ? { heaterId } : {} };
      return plan(
        {
          ...job,
          readings: {
            ...job.readings,
            circumferenceTop: read(mm),
            circumferenceFoot: read(mm),
            wall: read('110'),
          },
        },
        shop,
      );
    };
    expect(of('170').heat.heater?.name).toBe('Slim heater');
    expect(found(of('170'))).not.toMatch(/heat\.across/);
    expect(found(of('170', 'mat-wide'))).toMatch(
      /blocker heat\.across Wide heater of Tumbler press A closes on 62 mm to 90 mm/,
    );
  });
});

test('steps before the press are those of this blank, hold and press: a pen is wound, a mug has no seam, two faces no tape', () => {
  const steps = (job: Job) =>
    preparationWords(plan(job, shop))
      .map((p) => english.text(p))
      .join('\n');
  const pen = steps(jobOn('pen-aluminium', 'bench-oven'));
  expect(pen).toMatch(/Wind heat-proof tape from the middle to both ends/);
  expect(pen).toMatch(/inside the overlap/);
  expect(steps(demo('constellation-mugs'))).not.toMatch(/seam its full length/);
  expect(steps(demo('moon-and-star-ornaments'))).toMatch(/none on a face/);
});
