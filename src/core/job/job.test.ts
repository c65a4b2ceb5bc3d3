import { demoShop } from '../demo/demoShop';
import { artSchema, NO_ART, picturesOf, pictureLayer, textLayer, type PictureRef } from './art';
import { jobSchema, newJob } from './job';

const JOB = newJob('a-job', 'A job');
const REF: PictureRef = {
  id: 'p',
  name: 'p.png',
  mime: 'image/png',
  widthPx: 10,
  heightPx: 10,
  orientation: 1,
  drawn: null,
};

/** The same job with one field, named by its path, put to something else. */
function put(path: string, value: unknown, of: unknown = JOB): unknown {
  const [head = '', ...rest] = path.split('.');
  const here = of as Record<string, unknown>;
  return { ...here, [head]: rest.length === 0 ? value : put(rest.join('.'), value, here[head]) };
}
const refusedAt = (job: unknown): string | null => {
  const r = jobSchema.safeParse(job);
  return r.success ? null : (r.error.issues[0]?.path.join('.') ?? '');
};

test('a fresh job, and every demo job, can be kept', () => {
  expect(jobSchema.parse(JOB)).toEqual(JOB);
  for (const job of demoShop(new Date('2026-11-24T12:00:00Z')).jobs)
    expect(jobSchema.parse(job)).toEqual(job);
});

test.each([
  ['id', 'Has Spaces'],
  ['id', ''],
  ['id', `a${'b'.repeat(64)}`],
  ['name', '   '],
  ['name', 'x'.repeat(81)],
  ['pieces', 0],
  ['pieces', 10_001],
  ['pieces', 2.5],
  ['dueOn', '24/11/2026'],
  ['dueOn', '2026-02-30'],
  ['note', 'x'.repeat(2001)],
  ['wrap.seamMethod', 'cheek to cheek'],
  ['wrap.topSetbackMm', -15.1],
  ['wrap.tailMm', 4],
  ['practices.rims', 'glued'],
  ['wrap.seamDeg', 181],
  ['wrap.bleedMm', 15.1],
  ['wrap.amountMm', Number.NaN],
  ['wrap.band', { topMm: 10 }],
  ['sheet.gapMm', 51],
  ['sheet.cut', 'scissors'],
  ['sheet.sharedJobIds', Array.from({ length: 9 }, (_, i) => `j${i}`)],
  ['sheet.panels.overlapMm', 1],
  ['sheet.panels.joins', [{ forArt: 'a', index: 0, offsMm: [1], shows: 5 }]],
  ['sheet.panels.joins', [{ forArt: 'a', index: 0, offsMm: [1, 61], shows: 5 }]],
  ['art.warp', 'sideways'],
  ['readings.wall', [{ id: 'r', text: '', bareUnit: 'mm', method: 'soft tape' }]],
  ['readings.wall', [{ id: 'r', text: '12', bareUnit: 'cm', method: 'soft tape' }]],
  ['inspection.good', -1],
])('%s cannot be %j, and is named', (path, value) => {
  expect(refusedAt(put(path, value))?.startsWith(path)).toBe(true);
});

test('a field nobody knows is refused, not dropped', () => {
  expect(jobSchema.safeParse({ ...JOB, colour: 'red' }).success).toBe(false);
  expect(jobSchema.safeParse(put('wrap.glitter', true)).success).toBe(false);
});

test('a field left out is refused', () => {
  for (const key of Object.keys(JOB)) {
    const { [key as 'note']: _gone, ...rest } = JOB;
    expect(jobSchema.safeParse(rest).success).toBe(false);
  }
});

describe('art', () => {
  const refused = (layer: object): boolean => !artSchema.safeParse({ ...NO_ART, layers: [layer] }).success;

  test.each([
    ['no size', { picture: { ...REF, widthPx: 0 } }],
    ['too many pixels', { picture: { ...REF, heightPx: 40_001 } }],
    ['a ninth way up', { picture: { ...REF, orientation: 9 } }],
    ['another kind of file', { picture: { ...REF, mime: 'image/gif' } }],
    [
      'enlarged fifty-one times',
      { placement: { base: 'cover', scale: 51, dxMm: 0, dyMm: 0, rotationDeg: 0 } },
    ],
    ['a keep of no width', { focalArea: { x: 0, y: 0, width: 0, height: 1 } }],
    ['a keep outside', { focalArea: { x: 1.2, y: 0, width: 0.1, height: 1 } }],
    ['for a third face', { on: 'inside' }],
  ])('a picture with %s', (_what, over) => {
    expect(refused({ ...pictureLayer('l', REF), ...over })).toBe(true);
    expect(refused(pictureLayer('l', REF))).toBe(false);
  });

  test.each([
    ['none at all', { text: '' }],
    ['sixty-one letters', { text: 'x'.repeat(61) }],
    ['capitals of 121 mm', { capHeightMm: 121 }],
    ['a colour by name', { colour: 'navy' }],
    ['a face not shipped', { font: 'gothic' }],
    ['a room of 4 mm', { mostMm: 4 }],
  ])('words: %s', (_what, over) => {
    expect(refused({ ...textLayer('w', 'Hi'), ...over })).toBe(true);
    expect(refused(textLayer('w', 'Hi'))).toBe(false);
  });

  test('every picture is listed, those of the list too', () => {
    const art = artSchema.parse({
      ...NO_ART,
      layers: [pictureLayer('l', REF), textLayer('w', 'Hi')],
      names: { columns: ['Name'], rows: [], countColumn: null, pictures: [{ ...REF, id: 'q' }] },
    });
    expect(picturesOf(art).map((p) => p.id)).toEqual(['p', 'q']);
  });
});
