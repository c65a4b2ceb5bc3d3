import { inEnglish } from '@/words/inEnglish';
import { english } from '@/words/english';
import { JOB_STEPS, type JobStep } from '../figures/jobSteps';
import {
  NO_ART,
  pictureLayer,
  textLayer,
  type Layer,
  type PicturePlacement,
  type TextLayer,
} from '../job/art';
import type { Paper } from '../shop/paper';
import fc from 'fast-check';
import { DRAWN_PICTURES } from '../art/drawn';
import { demoShop } from '../demo/demoShop';
import { newJob, type Job, type Reading } from '../job/job';
import { SEAM_METHODS } from '../shop/settings';
import type { Shop } from '../shop/shop';

import { improvementsOf } from './wrap/improvements';
import { allFindings, figureById, plan, currentStep } from './plan';
import { preparationWords } from './press/operationWords';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const job = (id: string): Job => {
  const found = jobs.find((j) => j.id === id);
  if (!found) throw new Error(id);
  return found;
};
const JOB = job('star-party-tumblers');
const said = (j: Job, s: Shop = shop) =>
  allFindings(plan(j, s)).map((f) => `${f.level} ${f.id} ${english.text(f.text)}`);
const tape = (text: string): Reading => ({ id: 'x', text, bareUnit: 'mm', method: 'soft tape' });

const A4 = shop.papers.find((p) => p.id === 'a4') as Paper;
const only = (...layers: Layer[]): Job['art'] => ({ ...NO_ART, layers });
/** The job with its picture placed otherwise. */
const transform = (placement: Partial<PicturePlacement>): Job => ({
  ...JOB,
  art: {
    ...JOB.art,
    layers: JOB.art.layers.map((l) =>
      l.kind === 'picture' ? { ...l, placement: { ...l.placement, ...placement } } : l,
    ),
  },
});

test('every figure explains itself, has a unit kind and names inputs that exist', () => {
  for (const j of jobs) {
    const p = plan(j, shop);
    const figures = JOB_STEPS.flatMap((t) => p[t].figures);
    const ids = new Set(figures.map((f) => f.id));
    expect(ids.size).toBe(figures.length);
    for (const f of figures) {
      expect(english.text(f.working).length).toBeGreaterThan(3);
      for (const i of f.inputs) expect([...ids, 'blank.wall']).toContain(i);
      if (f.standardU !== undefined) expect(f.standardU).toBeGreaterThanOrEqual(0);
      if (f.spread) expect(f.spread[0]).toBeLessThanOrEqual(f.spread[1]);
    }
  }
});

test('the plan is plain JSON and the same each time', () => {
  const p = plan(JOB, shop);
  expect(JSON.parse(JSON.stringify(p))).toEqual(p);
  expect(plan(JOB, shop)).toEqual(p);
});

describe('a worked tumbler, by hand', () => {
  // Rim 9 1/8 in and 23.2 cm; foot 9 1/8 in and 232 mm; tape 0.4 mm; paper 0.1 mm; over-and-trim method.
  const mean = (231.775 + 232) / 2;
  const circumference = mean - Math.PI * 0.4;
  const value = (id: string) => figureById(plan(JOB, shop), id)?.quantity.value;
  test('circumference, closing length, height, front', () => {
    expect(value('measure.girth')).toBeCloseTo(circumference, 9);
    expect(value('wrap.closing')).toBeCloseTo(circumference + Math.PI * 0.1, 9);
    expect(value('wrap.height')).toBeCloseTo(193 - 3, 9);
    expect(value('common.front')).toBeCloseTo(circumference / 3, 9);
    expect(value('heat.cover')).toBeCloseTo((203 / circumference) * 360, 9);
  });
  test('which reading to improve is named', () => {
    const improve = improvementsOf(figureById(plan(JOB, shop), 'wrap.long') ?? {});
    // Two readings at each end, in sixteenths and in whole millimetres: the printer and the readings weigh alike.
    expect(inEnglish(improve.map((i) => i.label))).toContain('print scale');
    const shares = improve.map((i) => i.share);
    expect(shares).toEqual([...shares].sort((a, b) => b - a));
    expect(improve.reduce((s, i) => s + i.share, 0)).toBeLessThanOrEqual(1 + 1e-9);
  });
});

test('the same readings in inches or millimetres give the same plan', () => {
  const with_ = (t: string, f: string, h: string): Job => ({
    ...JOB,
    readings: { ...JOB.readings, circumferenceTop: [tape(t)], circumferenceFoot: [tape(f)], wall: [tape(h)] },
  });
  const a = plan(with_('228.6 mm', '228.6 mm', '190.5 mm'), shop).wrap.round;
  const b = plan(with_('9.00 in', '9.00 in', '7.50 in'), shop).wrap.round;
  expect(a?.lengthMm).toBeCloseTo(b?.lengthMm ?? 0, 9);
  expect(a?.height.value).toBeCloseTo(b?.height.value ?? 0, 9);
});

describe('an empty job leads by the hand', () => {
  test('first the blank, and nothing else is said', () => {
    expect(said(newJob('n', 'New'))).toEqual(['blocker blank.none Choose the blank, or add a new one.']);
    expect(currentStep(plan(newJob('n', 'New'), shop))).toBe('blank');
  });
  test('a blank deleted from the shop is said, not crashed on', () => {
    expect(said({ ...JOB, blankId: 'gone' })[0]).toMatch(/no longer in the shop/);
  });
  const stages: readonly [string, Partial<Job>, JobStep][] = [
    ['blank chosen', { blankId: 'ceramic-beaker-330' }, 'measure'],
    [
      'measured',
      {
        blankId: 'ceramic-beaker-330',
        readings: {
          ...JOB.readings,
          circumferenceTop: [tape('259')],
          circumferenceFoot: [tape('259')],
          wall: [tape('89')],
        },
      },
      'art',
    ],
  ];
  test.each(stages)('%s', (_, decided, step) => {
    expect(currentStep(plan({ ...newJob('n', 'New'), ...decided }, shop))).toBe(step);
  });
});

describe('what stands in the way', () => {
  test('a reading in the wrong unit', () => {
    expect(said({ ...JOB, readings: { ...JOB.readings, circumferenceTop: [tape('8.4')] } })[0]).toMatch(
      /blocker measure.*too small.*Did you mean 8\.4 in\?/,
    );
  });
  test('a “straight” cup that is not', () => {
    const tapered = {
      ...JOB,
      readings: { ...JOB.readings, circumferenceTop: [tape('240')], circumferenceFoot: [tape('228')] },
    };
    expect(said(tapered).join()).toMatch(/blocker measure\.taper.*tapers/);
    const slight = {
      ...JOB,
      readings: { ...JOB.readings, circumferenceTop: [tape('232.8')], circumferenceFoot: [tape('230.9')] },
    };
    expect(said(slight).join()).toMatch(/warning measure\.taper/);
  });
  test('readings that are of another blank', () => {
    expect(
      said({
        ...JOB,
        readings: { ...JOB.readings, circumferenceTop: [tape('260')], circumferenceFoot: [tape('260')] },
      }).join(),
    ).toMatch(/right blank\?/);
  });
  test('setbacks that eat the wall', () => {
    expect(said({ ...JOB, wrap: { ...JOB.wrap, topSetbackMm: 150, footSetbackMm: 40 } }).join()).toMatch(
      /blocker wrap\.height/,
    );
  });
  test('a picture slid off the bleed, and one meant to stand free', () => {
    const art = (placement: Partial<PicturePlacement>): Job => transform(placement);
    expect(inEnglish(said(art({ dxMm: 2 })).join())).toMatch(/warning art\.bleed.*2 mm at the left end/);
    expect(said(art({ dxMm: 9 })).join()).toMatch(
      /warning art\.bare.*White will show at these edges: 6 mm at the left end/,
    );
    expect(said(art({ base: 'fit', scale: 0.5 })).join()).toMatch(/info art\.bare/);
  });
  test('too few pixels', () => {
    const picture = DRAWN_PICTURES[0];
    if (!picture) throw new Error('none');
    expect(
      said({ ...JOB, art: only(pictureLayer('p', { ...picture, widthPx: 600, heightPx: 500 })) }).join(),
    ).toMatch(/art\.ppi Only \d+ ppi.*pixelated/);
  });
  test('words past the edge, in the seam, with a missing letter', () => {
    const words = (w: Partial<TextLayer>): Job => ({
      ...JOB,
      art: {
        ...JOB.art,
        layers: [
          ...JOB.art.layers.filter((l) => l.kind === 'picture'),
          textLayer('w', 'Odalys', { font: 'plain', capHeightMm: 10, colour: '#ffffff', ...w }),
        ],
      },
    });
    expect(said(words({ dyMm: -88 })).join()).toMatch(/art\.safe/);
    expect(said(words({ dxMm: 110 })).join()).toMatch(/art\.seam/);
    expect(said(words({ text: 'Łucja' })).join()).toMatch(/blocker art\.letters.*“Ł”/);
    expect(said(words({})).join()).not.toMatch(/art\.(safe|seam|letters|front)/);
  });
  test('paper too small: the sheet that would hold it is named', () => {
    const papers = [{ ...A4, id: 'a5', name: 'A5', widthMm: 148, heightMm: 210 }, ...shop.papers];
    expect(said({ ...JOB, sheet: { ...JOB.sheet, paperId: 'a5' } }, { ...shop, papers }).join()).toMatch(
      /blocker sheet\.fit.*does not fit on A5.*Tabloid on Desk printer is large enough/,
    );
    expect(said(JOB, { ...shop, papers: [] }).join()).toMatch(
      /blocker sheet\.none.*No paper of the shop is large enough/,
    );
  });
  test('presses that cannot: too wide, too short, not all round', () => {
    expect(said({ ...JOB, pressId: 'mug-press' }).join()).toMatch(/blocker heat\.tall.*no heat/);
    expect(
      said({
        ...job('dome-beakers'),
        blankId: 'ceramic-beaker-330',
        pressId: 'tumbler-press-a',
        readings: {
          ...JOB.readings,
          circumferenceTop: [tape('300')],
          circumferenceFoot: [tape('300')],
          wall: [tape('89')],
        },
      }).join(),
    ).toMatch(/blocker heat\.across/);
    expect(said({ ...JOB, heat: { passes: 1 } }).join()).toMatch(/blocker heat\.passes.*needs 2 passes/);
  });
  test('glass is never quenched, nor baked without known settings', () => {
    const glass = job('comet-cans');
    expect(said({ ...glass, pressId: 'tumbler-press-a', heat: { peel: 'quench' } }).join()).toMatch(
      /blocker heat\.quench/,
    );
    expect(said({ ...glass, pressId: 'bench-oven' }).join()).toMatch(/blocker heat\.unknown/);
  });
  test('an auto-timing press closed twice without cooling down', () => {
    expect(said({ ...JOB, heat: { coolDownC: null } }).join()).toMatch(/warning heat\.fall/);
  });
  test('the worst comes first', () => {
    const levels = said({ ...JOB, heat: { passes: 1, platenC: 230 } }).map((s) => s.split(' ')[0] ?? '');
    const order = ['stop', 'warning', 'info'];
    expect(levels).toEqual([...levels].sort((a, b) => order.indexOf(a) - order.indexOf(b)));
  });
});

test('a hand-set temperature brings the equal-dose time as an estimate', () => {
  const f = figureById(plan({ ...JOB, heat: { platenC: 180 } }, shop), 'heat.equal');
  expect(f?.origin).toBe('estimated');
  expect(f?.quantity.value).toBeGreaterThan(65);
  expect(f?.spread?.[0]).toBeLessThan(f?.spread?.[1] ?? 0);
  expect(figureById(plan(JOB, shop), 'heat.equal')).toBeUndefined();
});

test('the wrap is sized for the paper it will be printed on', () => {
  const papers = [
    { ...A4, id: 'a5', name: 'A5', widthMm: 148, heightMm: 210 },
    { ...A4, id: 'thick', name: 'Thick A3', widthMm: 297, heightMm: 420, thicknessMm: 0.3 },
  ];
  const p = plan(JOB, { ...shop, papers });
  expect(p.sheet.paper?.id).toBe('thick');
  expect((p.wrap.round?.closing.value ?? 0) - (p.measure.circumference?.value ?? 0)).toBeCloseTo(
    Math.PI * 0.3,
    9,
  );
});

test('a plan comes out of anything a job can hold', () => {
  fc.assert(
    fc.property(
      fc.record({
        blank: fc.constantFrom(null, ...shop.blanks.map((b) => b.id)),
        press: fc.constantFrom(null, ...shop.presses.map((p) => p.id)),
        paper: fc.constantFrom(null, ...shop.papers.map((p) => p.id)),
        seamMethod: fc.constantFrom(null, ...SEAM_METHODS),
        amount: fc.option(fc.double({ min: 0, max: 200, noNaN: true })),
        setback: fc.option(fc.double({ min: 0, max: 200, noNaN: true })),
        texts: fc.array(
          fc.oneof(fc.string({ minLength: 1, maxLength: 12 }), fc.integer({ min: 1, max: 500 }).map(String)),
          { maxLength: 4 },
        ),
        pieces: fc.integer({ min: 1, max: 10000 }),
        turn: fc.double({ min: -360, max: 360, noNaN: true }),
      }),
      (r) => {
        const readings = r.texts.map((text, i): Reading => ({
          id: `t${i}`,
          text,
          bareUnit: 'mm',
          method: 'soft tape',
        }));
        const any: Job = {
          ...JOB,
          pieces: r.pieces,
          blankId: r.blank,
          pressId: r.press,
          readings: {
            ...JOB.readings,
            circumferenceTop: readings,
            circumferenceFoot: readings,
            wall: readings,
          },
          wrap: { ...JOB.wrap, seamMethod: r.seamMethod, amountMm: r.amount, topSetbackMm: r.setback },
          art: transform({ rotationDeg: r.turn }).art,
          sheet: { ...JOB.sheet, paperId: r.paper },
        };
        const p = plan(any, shop);
        const numbers = JOB_STEPS.flatMap((t) => p[t].figures).map((f) => f.quantity.value);
        expect(numbers.every((v) => typeof v !== 'number' || Number.isFinite(v))).toBe(true);
      },
    ),
    { numRuns: 100 },
  );
});

test('a lap says which end lies on top, at the step where it is taped', () => {
  const steps = (over: 'left' | 'right') =>
    preparationWords(plan({ ...JOB, wrap: { ...JOB.wrap, seamMethod: 'lap', lapOver: over } }, shop))
      .map((p) => english.text(p))
      .join('|');
  expect(steps('left')).toContain('The left end on top');
  expect(steps('right')).toContain('The right end on top');
});

test('pieces, spoilage and what is still unwritten follow from runs and log', () => {
  const { chosen, press } = plan(JOB, shop).heat;
  const { blank } = plan(JOB, shop).blank;
  if (!chosen || !press || !blank) throw new Error('no settings');
  const { operations } = plan(JOB, shop).heat;
  const cycle = plan(JOB, shop).press.cycle.map((o) => o.id);
  const at = 1_790_000_000_000;
  const events = [
    ...[...cycle, ...cycle].map((operationId, i) => ({
      kind: 'done' as const,
      operationId,
      at: at + i * 1000,
    })),
    { kind: 'spoiled' as const, operationId: 'load', at: at + 900_000 },
    { kind: 'stop' as const, at: at + 901_000 },
  ];
  const run = {
    id: 'r1',
    jobId: JOB.id,
    blank,
    press,
    startedAt: at,
    pieces: 24,
    queue: null,
    blanks: null,
    dose: null,
    settings: chosen.settings,
    pressureAt: null,
    load: null,
    operations: [...operations],
    events,
  };
  const pressed: Shop = { ...shop, runs: [run] };
  const p = plan(JOB, pressed);
  expect(p.press).toMatchObject({ good: 2, spoiled: 1, left: 22, running: null, last: { id: 'r1' } });
  expect(p.inspect.unlogged).toEqual({ good: 2, seconds: 0, spoiled: 1 });
  const [entry] = shop.log;
  if (!entry) throw new Error('no log');
  const logged: Shop = {
    ...pressed,
    log: [...shop.log, { ...entry, id: 'new', jobId: JOB.id, good: 2, spoiled: 1 }],
  };
  expect(plan(JOB, logged).inspect.unlogged).toEqual({ good: 0, seconds: 0, spoiled: 0 });
  expect(plan(JOB, logged).inspect.progress).toBe('done');
  // Neither a press taken out of the shop nor an edited blank changes what was pressed.
  const bare: Shop = { ...pressed, presses: [], blanks: [] };
  expect(plan(JOB, bare).press).toMatchObject({ good: 2, spoiled: 1, left: 22 });
  const edited: Shop = { ...pressed, blanks: shop.blanks.map((b) => ({ ...b, takeOff: [] })) };
  expect(plan({ ...JOB, heat: { passes: 1 } }, edited).press).toMatchObject({ good: 2, spoiled: 1 });
});
