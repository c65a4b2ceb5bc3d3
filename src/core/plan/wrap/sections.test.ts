import { allOf } from '@/words/all';
import { createWriter } from '@/words/writer';
import { METRIC, type UnitChoice } from '@/core/units/format';
import { inEnglish } from '@/words/inEnglish';
import { english } from '@/words/english';
import { NO_ART, pictureLayer } from '../../job/art';
import { DRAWN_PICTURES } from '../../art/drawn';
import { demoShop } from '../../demo/demoShop';
import type { Finding } from '../../figures/figure';
import { newJob, type Job, type Reading } from '../../job/job';
import { isBarrel, type Blank } from '../../shop/blank';
import type { SeamMethod } from '../../shop/settings';
import type { Shop } from '../../shop/shop';

import { figureById, plan } from '../plan';
import { type Plan } from '../planShape';
import { withPages } from '../sheet/pages';
import { preparationWords } from '../press/operationWords';

/** JobStep by step: what each says for a job a person would bring. Expected values are worked by hand. */
const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const INCHES = { length: 'in', temperature: 'F', inchDenominator: 16 } as const;

const find = <T extends { id: string }>(list: readonly T[], id: string): T => {
  const found = list.find((x) => x.id === id);
  if (!found) throw new Error(`${id} is not in the demo`);
  return found;
};
const JOB = find(jobs, 'star-party-tumblers');
const rule = (id: string, text: string): Reading => ({ id, text, bareUnit: 'mm', method: 'paper strip' });
const measured = (circumference: string, wall: string): Job['readings'] => ({
  ...JOB.readings,
  circumferenceTop: [rule('t', circumference)],
  circumferenceFoot: [rule('f', circumference)],
  wall: [{ ...rule('w', wall), method: 'steel rule' }],
});
const says = (p: Plan, id: string, units: UnitChoice = METRIC): string => {
  const f = figureById(p, id);
  if (!f) throw new Error(`no figure ${id}`);
  const { quantity, text } = createWriter(allOf('en'), units, 'en-GB');
  return `${quantity(f.quantity)} | ${text(f.working)}`;
};
const findingIds = (p: Plan) => Object.values(p).flatMap((s) => s.findings.map((f: Finding) => f.id));

describe('blank', () => {
  const withBlank = (change: Partial<Blank>): Shop => ({
    ...shop,
    blanks: shop.blanks.map((b) => (b.id === 'straight-steel-590' ? { ...b, ...change } : b)),
  });

  test('the wall is what lip and foot leave', () => {
    expect(inEnglish(says(plan(JOB, shop), 'blank.wall'))).toBe(
      '193 mm | less 5 mm at the rim and 6 mm at the foot',
    );
    expect(says(plan(JOB, shop), 'blank.wall', INCHES)).toBe(
      '7 5/8 in | less 3/16 in at the rim and 1/4 in at the foot',
    );
  });

  test('parts and film are asked for until they are ticked', () => {
    const fresh = { ...JOB, prepared: [] };
    const filmed = withBlank({ film: true });
    expect(inEnglish(plan(fresh, filmed).blank.toPrepare.map((x) => x.text))).toEqual([
      'Take off: lid and straw',
      'Take off: rubber foot',
      'Peel the film before wrapping',
    ]);
    expect(plan(fresh, filmed).blank.progress).toBe('ready');
    expect(
      inEnglish(
        plan({ ...JOB, prepared: plan(JOB, filmed).blank.toPrepare.map((p) => p.id) }, filmed).blank.progress,
      ),
    ).toBe('done');
  });

  test('a tinted blank says what white will be', () => {
    const tinted = plan(JOB, withBlank({ coating: { colour: '#e9d8b0', finish: 'matte', stock: 'opaque' } }));
    expect(says(tinted, 'blank.coat')).toContain('shows as this tint');
    expect(findingIds(tinted)).toContain('art.tint');
    expect(findingIds(plan(JOB, shop))).not.toContain('art.tint');
  });
});

describe('measure', () => {
  test('with nothing taken the maker’s figures stand in, marked as estimates', () => {
    const p = plan({ ...newJob('n', 'n'), blankId: 'straight-steel-590' }, shop);
    const circumference = figureById(p, 'measure.girth');
    expect(circumference?.origin).toBe('estimated');
    expect(circumference?.quantity.value).toBeCloseTo(73.5 * Math.PI, 9);
    expect(circumference?.spread?.[1]).toBeGreaterThan(73.5 * Math.PI);
    expect(p.measure.progress).toBe('todo');
  });

  test('a paper strip reads longer than the wall by π times its thickness', () => {
    const p = plan({ ...JOB, readings: measured('231.0', '193') }, shop);
    expect(figureById(p, 'measure.girth')?.quantity.value).toBeCloseTo(231 - Math.PI * 0.1, 9);
    expect(says(p, 'measure.girthTop')).toContain('paper strip 231 mm less 0.31 mm');
  });

  test('a caliper is taken round by π', () => {
    const caliper: Reading[] = [{ id: 'c', text: '73.4', bareUnit: 'mm', method: 'caliper' }];
    const p = plan(
      { ...JOB, readings: { ...JOB.readings, circumferenceTop: caliper, circumferenceFoot: caliper } },
      shop,
    );
    expect(figureById(p, 'measure.girth')?.quantity.value).toBeCloseTo(73.4 * Math.PI, 9);
  });

  test('what is still missing is named', () => {
    const p = plan({ ...JOB, readings: { ...JOB.readings, circumferenceFoot: [] } }, shop);
    const missing = p.measure.findings.find((f) => f.id === 'measure.some');
    expect(missing && english.text(missing.text)).toBe('Still to measure: circumference near the foot.');
    expect(p.measure.progress).toBe('ready');
  });

  test('a finer tape narrows the uncertainty', () => {
    const u = (s: Shop) => figureById(plan(JOB, s), 'measure.girth')?.standardU ?? NaN;
    const fine: Shop = {
      ...shop,
      settings: {
        ...shop.settings,
        units: { ...shop.settings.units, inchDenominator: 64 },
        tape: { thicknessMm: 0.4, finestMm: 0.5, stringMm: 1.2 },
      },
    };
    expect(u(fine)).toBeLessThan(u(shop));
  });
});

describe('wrap', () => {
  const seamMethod = (s: SeamMethod, amountMm: number | null = null): Plan =>
    plan(
      { ...JOB, readings: measured('231.0', '193'), wrap: { ...JOB.wrap, seamMethod: s, amountMm } },
      shop,
    );
  const closing = 231 - Math.PI * 0.1 + Math.PI * 0.1;

  test.each<[SeamMethod, number, string]>([
    ['butt', closing, 'ends touch, nothing added'],
    ['lap', closing + 3, '231 mm plus 3 mm overlap'],
    ['under', closing - 6, '231 mm less 6 mm (margin each end)'],
    ['gap', closing - 10, '231 mm less 10 mm (gap)'],
    ['over', closing + 3, '231 mm plus 3 mm overprint'],
  ])('%s', (s, length, working) => {
    const p = seamMethod(s);
    expect(figureById(p, 'wrap.length')?.quantity.value).toBeCloseTo(length, 9);
    expect(says(p, 'wrap.length')).toContain(working);
  });

  test('the shop default holds until the job says otherwise', () => {
    const defaults: Shop = {
      ...shop,
      settings: {
        ...shop.settings,
        defaults: {
          ...shop.settings.defaults,
          seamMethods: { ...shop.settings.defaults.seamMethods, round: 'lap' },
          bleedMm: 4,
          safeMm: 8,
          setbackMm: 2,
        },
      },
    };
    const p = plan(JOB, defaults);
    expect(p.wrap).toMatchObject({
      seamMethod: 'lap',
      bleedMm: 4,
      safeMm: 8,
      setbacks: { topMm: 2, footMm: 2 },
    });
    const own = plan(
      { ...JOB, wrap: { ...JOB.wrap, seamMethod: 'gap', bleedMm: 0, topSetbackMm: 7 } },
      defaults,
    );
    expect(own.wrap).toMatchObject({ seamMethod: 'gap', bleedMm: 0, setbacks: { topMm: 7, footMm: 2 } });
  });

  test('a seam that seldom comes right says what to measure better', () => {
    const rough = plan(
      {
        ...JOB,
        readings: { ...JOB.readings, circumferenceTop: [], circumferenceFoot: [] },
        wrap: { ...JOB.wrap, seamMethod: 'butt' },
      },
      shop,
    );
    const chance = rough.wrap.findings.find((f) => f.id === 'wrap.chance');
    expect(chance && english.text(chance.text)).toMatch(/only \d+% of the time.*maker’s figure/);
  });

  test('a gap wider than the circumference leaves nothing', () => {
    const p = seamMethod('gap', 200);
    expect(p.wrap.findings.map((f) => f.id)).not.toContain('wrap.length');
    const gone = plan(
      { ...JOB, readings: measured('140.0', '193'), wrap: { ...JOB.wrap, seamMethod: 'gap', amountMm: 135 } },
      shop,
    );
    expect(gone.wrap.findings.map((f) => f.id)).toContain('wrap.length');
    expect(gone.wrap.round).toBeNull();
  });
});

describe('art and sheet', () => {
  const small = find(shop.blanks, 'ceramic-beaker-330');

  test('printed size and resolution go together', () => {
    const [picture] = DRAWN_PICTURES;
    if (!picture) throw new Error('none');
    const p = plan(
      {
        ...JOB,
        art: { ...NO_ART, layers: [pictureLayer('p', { ...picture, widthPx: 2400, heightPx: 1960 })] },
      },
      shop,
    );
    const widthMm = figureById(p, 'art.size')?.quantity.value;
    const resolution = figureById(p, 'art.ppi')?.quantity.value;
    expect((Number(widthMm) / 25.4) * Number(resolution)).toBeCloseTo(2400, 6);
  });

  test('no picture is enough where there are words', () => {
    const words = JOB.art.layers.filter((l) => l.kind === 'text');
    expect(findingIds(plan({ ...JOB, art: { ...NO_ART, layers: words } }, shop))).not.toContain('art.none');
    expect(findingIds(plan({ ...JOB, art: NO_ART }, shop))).toContain('art.none');
  });

  test('copies gang up where there is room, and sheets are counted', () => {
    const job: Job = {
      ...JOB,
      pieces: 7,
      blankId: small.id,
      readings: measured('257', '89'),
      sheet: { ...JOB.sheet, paperId: 'a3-plus' },
    };
    const { layout, pages } = withPages(plan(job, shop), english.text).sheet;
    if (!layout) throw new Error('no layout');
    expect(layout.perSheet).toBeGreaterThanOrEqual(4);
    expect(layout.sheetCount).toBe(Math.ceil(7 / layout.perSheet));
    expect(pages.reduce((n, p) => n + p.copies, 0)).toBe(layout.sheetCount);
    const words = pages.flatMap((p) => p.items.filter((i) => i.kind === 'letters'));
    expect(words).toHaveLength(layout.perSheet + (layout.onLast === layout.perSheet ? 0 : layout.onLast));
  });

  test('who mirrors: the job over the shop', () => {
    const driver: Shop = {
      ...shop,
      settings: {
        ...shop.settings,
        printers: shop.settings.printers.map((p) => ({ ...p, mirrorBy: 'driver' as const })),
      },
    };
    expect(plan(JOB, driver).sheet.mirrorBy).toBe('driver');
    expect(plan({ ...JOB, sheet: { ...JOB.sheet, mirrorBy: 'app' } }, driver).sheet.mirrorBy).toBe('app');
    expect(inEnglish(says(plan(JOB, driver), 'sheet.mirror'))).toBe(
      'the driver | turn mirror ON in the printer driver',
    );
  });
});

describe('heat', () => {
  test('an oven: one pass, all round, the clock on reaching temperature, its own steps', () => {
    const p = plan({ ...JOB, pressId: 'bench-oven' }, shop);
    expect(p.heat.chosen?.settings).toMatchObject({
      passes: 1,
      timerStart: 'at-temperature',
      pressure: 'film',
      coolDownC: null,
    });
    expect(p.heat.chosen?.heaterReach).toBeNull();
    const steps = preparationWords(p)
      .map((s) => english.text(s))
      .join('|');
    expect(steps).toContain('shrink film over the whole wrap');
    expect(steps).not.toContain('pressure cold');
  });

  test('a wrap taller than the oven', () => {
    const low: Shop = {
      ...shop,
      presses: shop.presses.map((x) => (x.kind === 'oven' ? { ...x, insideHeightMm: 150 } : x)),
    };
    expect(findingIds(plan({ ...JOB, pressId: 'bench-oven' }, low))).toContain('heat.tall');
  });

  test('outside the usual range: a warning, no blocker; inside: nothing', () => {
    const levels = (heat: Job['heat']) =>
      plan({ ...JOB, heat }, shop)
        .heat.findings.filter((f) => f.id.startsWith('heat.range'))
        .map((f) => `${f.id} ${f.level}`);
    expect(levels({ platenC: 215 })).toEqual(['heat.range-c warning']);
    expect(levels({ dwellS: 120 })).toEqual(['heat.range-s warning']);
    expect(levels({ platenC: 190, dwellS: 70 })).toEqual([]);
  });

  test('the same figures in Fahrenheit', () => {
    const p = plan({ ...JOB, pressId: 'bench-oven' }, shop);
    expect(inEnglish(says(p, 'heat.platen', INCHES))).toBe('374 °F | usual 356 °F to 392 °F');
  });

  test('thicker walls stay hot longer', () => {
    const touch = (wallMm: number) => {
      const s: Shop = { ...shop, blanks: shop.blanks.map((b) => ({ ...b, wallMm })) };
      return plan(JOB, s).heat.operations.find((o) => o.kind === 'cooling')?.spreadS[1] ?? 0;
    };
    expect(touch(1)).toBeGreaterThan(1.9 * touch(0.5));
  });
});

describe('the edge of the paper at rim and foot', () => {
  const wrapOf = (over: Partial<Job['wrap']>, practices: Job['practices'] = {}) =>
    plan({ ...JOB, wrap: { ...JOB.wrap, ...over }, practices }, shop);

  test('just inside, at the edge, or past it: the wall less or plus what the shop says', () => {
    const wallMm = plan(JOB, shop).measure.measuredShape;
    if (wallMm?.kind !== 'round') throw new Error('not round');
    const heightMm = (edge: 'inside' | 'exact' | 'past') =>
      (wrapOf({}, { paperEdge: edge }).wrap.round?.height.value ?? 0) - wallMm.slant.value;
    const { setbackMm, pastMm } = shop.settings.defaults;
    expect(heightMm('inside')).toBeCloseTo(-2 * setbackMm, 6);
    expect(heightMm('exact')).toBeCloseTo(0, 6);
    expect(heightMm('past')).toBeCloseTo(2 * pastMm, 6);
  });

  test('a barrel keeps its setback: it is wound, and nothing is cut on it', () => {
    const barrel = shop.blanks.find(isBarrel);
    if (!barrel) throw new Error('no barrel');
    const job: Job = { ...newJob('pens', 'Pens'), blankId: barrel.id };
    const at = (paperEdge: 'inside' | 'past') =>
      plan({ ...job, practices: { paperEdge } }, shop).wrap.setbacks;
    expect(at('past')).toEqual(at('inside'));
    expect(at('past').topMm).toBe(shop.settings.defaults.setbackMm);
  });

  test('past the edge it is cut on the piece, a step more; left standing out, that is warned of instead', () => {
    const kinds = (p: Plan) => p.heat.operations.map((o) => o.kind);
    const past = wrapOf({ topSetbackMm: -4, footSetbackMm: -2 });
    expect(kinds(past)).toContain('cut-at-edge');
    expect(says(past, 'wrap.past')).toBe(
      '4 mm | 4 mm past the rim, 2 mm past the foot, cut off on the piece',
    );
    const out = wrapOf({ topSetbackMm: -4, footSetbackMm: -2, standsOut: true });
    expect(kinds(out)).not.toContain('cut-at-edge');
    expect(findingIds(out)).toContain('wrap.stands-out');
    expect(kinds(plan(JOB, shop))).not.toContain('cut-at-edge');
  });

  test('on a taper the paper goes on along the same cone', () => {
    const job = find(jobs, 'night-walk-tumblers');
    const at = (topSetbackMm: number) =>
      plan({ ...job, wrap: { ...job.wrap, form: 'cone', topSetbackMm, footSetbackMm: 0, band: null } }, shop)
        .wrap;
    const [on, past] = [at(0), at(-6)];
    if (!on.round || !past.round || on.warp) throw new Error('not a cone');
    // Arcs of one cone grow by the same for every millimetre down the paper.
    const perMm = (on.round.topArc.value - on.round.footArc.value) / on.round.height.value;
    expect(past.round.topArc.value).toBeCloseTo(on.round.topArc.value + 6 * perMm, 2);
    expect(past.round.sector?.angleRad).toBeCloseTo(on.round.sector?.angleRad ?? 0, 3);
  });

  test('tails: so much more paper at both ends, a step to pull by them; none past a handle', () => {
    const tailed = wrapOf({ tailMm: 20 });
    expect(says(tailed, 'wrap.tail')).toMatch(/^20 mm .*40 mm more paper/);
    expect(tailed.heat.operations.map((o) => o.kind)).toContain('pull-tails');
    const mug = find(jobs, 'constellation-mugs');
    expect(findingIds(plan({ ...mug, wrap: { ...mug.wrap, tailMm: 20 } }, shop))).toContain('wrap.tail');
  });
});
