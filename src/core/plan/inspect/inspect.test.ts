import { english } from '@/words/english';
import { demoShop } from '../../demo/demoShop';
import { apply } from '../../geometry/affine';
import { heatKey } from '../../heat/question';
import { EMPTY_INSPECTION, type Job } from '../../job/job';
import { pointAt, entryOf, mark } from '../../inspect/testInspections';
import { isFlatPress } from '../../shop/press';
import type { Shop } from '../../shop/shop';

import { heaterGaps, onBed, seenFace } from './lay';
import { plan } from '../plan';
import { type Plan } from '../planShape';
import { planAnswered } from '../planAnswered';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const jobOf = (id: string): Job => {
  const found = jobs.find((j) => j.id === id);
  if (!found) throw new Error(`no job ${id}`);
  return found;
};
const inspected = (id: string, inspection: Partial<Job['inspection']>): Job => ({
  ...jobOf(id),
  inspection: { ...EMPTY_INSPECTION, ...inspection },
});
const changeText = (p: Plan): string =>
  p.inspect.change
    ? [p.inspect.change.text, ...p.inspect.change.does].map((m) => english.text(m)).join(' ')
    : '';

describe('where a piece lay', () => {
  const face = { widthMm: 80, heightMm: 50 };
  const bed = { xMm: 100, yMm: 200, dummy: false };

  test('as it came: its own corner is the corner of its place', () => {
    const to = onBed({ ...bed, widthMm: 80, heightMm: 50, turned: false }, face, false);
    expect(apply(to, { x: 0, y: 0 })).toEqual({ x: 100, y: 200 });
    expect(apply(to, { x: 80, y: 50 })).toEqual({ x: 180, y: 250 });
  });

  test('turned a quarter it still fills its place; face down it is mirrored', () => {
    const corners = [
      { x: 0, y: 0 },
      { x: 80, y: 50 },
    ];
    for (const faceDown of [false, true]) {
      const to = onBed({ ...bed, widthMm: 50, heightMm: 80, turned: true }, face, faceDown);
      const xs = corners.map((c) => apply(to, c).x);
      const ys = corners.map((c) => apply(to, c).y);
      expect([Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]).toEqual([
        100, 150, 200, 280,
      ]);
    }
    const down = onBed({ ...bed, widthMm: 80, heightMm: 50, turned: false }, face, true);
    expect(apply(down, { x: 0, y: 0 })).toEqual({ x: 180, y: 200 });
  });

  test('one panel lies where the bed shows it; a wrap stands with its front in the middle of the mat', () => {
    const panel = plan(jobOf('star-map-panel'), shop);
    const [placement] = panel.heat.load?.bed?.placements ?? [];
    const lay = panel.inspect.lay;
    expect(lay).toMatchObject({ on: 'platen', widthMm: 500, heightMm: 700 });
    const [, , , , x, y] = lay?.pieces[0]?.to ?? [];
    expect([x, y]).toEqual([placement?.xMm, placement?.yMm]);
    const mug = plan(jobOf('constellation-mugs'), shop);
    const front = mug.wrap.pattern?.front?.x ?? 0;
    const to = mug.inspect.lay?.pieces[0]?.to;
    expect(to && apply(to, { x: front, y: 0 }).x).toBeCloseTo((mug.heat.heater?.lengthMm ?? 0) / 2, 9);
  });
});

test('a mat too short for a handled mug leaves a gap at both ends of the wrap, one that reaches leaves none', () => {
  const mug = plan(jobOf('constellation-mugs'), shop);
  const gaps = heaterGaps(mug.heat, mug.wrap) ?? [];
  const width = mug.wrap.pattern?.trim.width ?? 0;
  const missed = (width - (mug.heat.heater?.lengthMm ?? 0)) / 2;
  expect(missed).toBeGreaterThan(0);
  expect(gaps).toHaveLength(2);
  for (const g of gaps) expect(Math.abs(g.toMm - g.fromMm - missed)).toBeLessThan(1.5);
  expect(heaterGaps(plan(jobOf('star-map-panel'), shop).heat, mug.wrap)).toBeNull();
});

test('the face that is kept is the one that was pressed, its holes with it', () => {
  const marker = plan(jobOf('slate-trail-markers'), shop).wrap.pattern;
  if (!marker) throw new Error('no pattern');
  const face = seenFace(marker);
  expect(face.form).toBe('flat');
  expect(face.rings.length).toBeGreaterThan(1);
  expect(Math.max(...(face.rings[0] ?? []).map(([x]) => x))).toBeCloseTo(face.widthMm, 0);
});

describe('the one change', () => {
  test('nothing seen and no verdict: nothing to change; good: nothing', () => {
    expect(plan(jobOf('star-map-panel'), shop).inspect.change).toBeNull();
    expect(plan(inspected('star-map-panel', { verdict: 'good' }), shop).inspect.change).toBeNull();
  });

  test('a corner that is pale: the gaps of the platen, and no setting', () => {
    const p = plan(
      inspected('star-map-panel', {
        marks: [mark('faded-edge', pointAt(10, 10))],
        paperState: 'left-in-places',
      }),
      shop,
    );
    expect(p.inspect.ranked[0]?.cause).toBe('uneven-pressure');
    expect(p.inspect.change).toMatchObject({ heat: null, goTo: 'flatness' });
  });

  test('too little: the model is asked, and its answer is one setting with what it does', () => {
    const job = inspected('star-map-panel', { verdict: 'under', spoiled: 2 });
    const waiting = plan(job, shop);
    expect(waiting.inspect.wanted).toHaveLength(0);
    const answered = planAnswered(job, shop);
    expect(answered.inspect.wanted).toHaveLength(0);
    const change = answered.inspect.change;
    expect(Object.keys(change?.heat ?? {})).toHaveLength(1);
    expect(change?.heat?.dwellS).toBeGreaterThan(answered.heat.chosen?.settings.dwellS ?? Infinity);
    expect(changeText(answered)).toMatch(
      /coldest printed place gets \d+ % more; the hottest stays \d+ % under/,
    );
  });

  test('the cause settled on decides: time for a wrong time, temperature for a cool press', () => {
    const as = (cause: 'too-short' | 'too-cool') =>
      planAnswered(
        inspected('star-map-panel', { marks: [mark('faded-all')], verdict: 'under', cause, spoiled: 1 }),
        shop,
      ).inspect.change;
    expect(Object.keys(as('too-short')?.heat ?? {})).toEqual(['dwellS']);
    expect(Object.keys(as('too-cool')?.heat ?? {})).toEqual(['platenC']);
  });

  test('where no heat mends it, it says so and points to the platen', () => {
    const job = inspected('star-map-panel', { verdict: 'under', spoiled: 1 });
    const first = planAnswered(job, shop);
    const { model, chosen } = first.heat;
    if (!model || !chosen) throw new Error('no model');
    const question = {
      kind: 'change' as const,
      subject: model.subject,
      settings: chosen.settings,
      ask: { verdict: 'under' as const, pieces: 1 },
    };
    const beyond = plan(job, shop, {
      heatCache: { [heatKey(question)]: { kind: 'change', time: null, temperature: null, beyondHeat: true } },
    });
    // Only where the cache holds the answer of this very load.
    if (beyond.heat.chosen && JSON.stringify(beyond.heat.chosen.settings) === JSON.stringify(chosen.settings))
      expect(changeText(beyond)).toMatch(/Heat alone does not mend this/);
  });

  test('set for the next pressing, it is not added to again, and two changes at once are warned of', () => {
    const job = inspected('star-map-panel', { verdict: 'under', spoiled: 2 });
    const first = planAnswered(job, shop);
    const set: Job = {
      ...job,
      heat: { ...job.heat, ...first.inspect.change?.heat },
      inspection: { ...job.inspection, next: 'too-short', pressed: first.inspect.pressed },
    };
    const second = planAnswered(set, shop);
    expect(second.inspect.change?.heat).toEqual(first.inspect.change?.heat);
    // What the model says of the load is said of what was pressed.
    expect(second.inspect.evidence.clues.model).toEqual(first.inspect.evidence.clues.model);
    expect(second.inspect.findings).toEqual([]);
    const two = planAnswered({ ...set, heat: { ...set.heat, platenC: 206 } }, shop);
    expect(two.inspect.findings.map((f) => [f.id, f.level])).toEqual([['inspect.two-changes', 'warning']]);
  });

  test('pressure and hands: a step of pressure, a cold peel, or words', () => {
    const of = (cause: Job['inspection']['cause']) =>
      plan(inspected('star-map-panel', { marks: [mark('ghost')], cause }), shop).inspect.change;
    expect(of('light-pressure')?.heat).toEqual({ pressure: 'medium-firm' });
    expect(of('heavy-pressure')?.heat).toEqual({ pressure: 'light-medium' });
    expect(of('moved-hot')?.heat).toEqual({ peel: 'cold' });
    expect(of('not-recovered')?.heat).toEqual({ timerStart: 'at-temperature' });
    expect(of('lint')?.heat).toBeNull();
  });
});

describe('what an inspection is weighed by', () => {
  const withLog = (over: Parameters<typeof entryOf>[1][]): Shop => ({
    ...shop,
    log: over.map((o, i) =>
      entryOf(`e${i}`, {
        at: i,
        blankId: 'panel-400-600',
        pressId: 'flat-press-b',
        verdict: 'good',
        good: 3,
        spoiled: 0,
        ...o,
      }),
    ),
  });

  test('a lot that came out good, and one nobody knows', () => {
    const clue = (lot: string, s: Shop) =>
      plan(inspected('star-map-panel', { marks: [mark('faded-all')], lot }), s).inspect.evidence.clues.lot;
    const s = withLog([{ lot: 'A1' }]);
    expect(clue('A1', s)).toEqual([1, 0]);
    expect(clue('B2', s)).toEqual([0, 1]);
    expect(clue('', s)).toBeUndefined();
  });

  test('an entry that was corrected is not the last good one, nor its cause counted', () => {
    const s = withLog([
      { cause: null },
      { good: 0, spoiled: 3, verdict: 'other', corrects: 'e0', cause: 'lint' },
    ]);
    const p = plan(inspected('star-map-panel', {}), s);
    expect(p.inspect.lastGood).toBeNull();
    expect(p.inspect.tried.map((e) => e.id)).toEqual(['e1']);
    expect(plan(inspected('star-map-panel', {}), withLog([{}])).inspect.lastGood?.id).toBe('e0');
  });

  test('a press whose face was read lately speaks against a wrong temperature', () => {
    const press = shop.presses.find((p) => isFlatPress(p) && p.id === 'flat-press-b');
    if (!press) throw new Error('no press');
    const s: Shop = {
      ...withLog([{ at: 1_000_000 }]),
      presses: [
        {
          ...press,
          checks: [{ id: 'c', at: 1, setC: 200, with: 'probe', points: [{ x: 0.5, y: 0.5, readC: 199 }] }],
        },
      ],
    };
    const p = plan(inspected('star-map-panel', { marks: [mark('faded-all')] }), s);
    expect(p.inspect.evidence.clues['press-checked']).toEqual([1, 0, 0]);
    expect(
      plan(inspected('star-map-panel', { marks: [mark('faded-all')] }), shop).inspect.evidence.clues[
        'press-checked'
      ],
    ).toEqual([0, 0, 1]);
  });
});
