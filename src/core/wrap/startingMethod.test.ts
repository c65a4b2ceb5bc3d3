import { verbatim } from '@/core/message/message';
import { english } from '@/words/english';
import { demoShop } from '../demo/demoShop';
import { NO_ART, pictureLayer, type PictureRef } from '../job/art';
import { newJob, type Job } from '../job/job';
import { LIBRARY } from '../library/library';
import { figureById, plan } from '../plan/plan';

const DEMO = demoShop(new Date('2026-11-24T12:00:00Z')).shop;
const shop = { ...DEMO, blanks: [...LIBRARY] };
const picture = (widthPx: number, heightPx: number): PictureRef => ({
  id: 'p',
  name: 'p.png',
  mime: 'image/png',
  widthPx,
  heightPx,
  orientation: 1,
  drawn: null,
});
const started = (blankId: string, ref: PictureRef | null, over: Partial<Job> = {}) =>
  plan(
    {
      ...newJob('j', 'j'),
      blankId,
      art: ref ? { ...NO_ART, layers: [pictureLayer('l', ref)] } : NO_ART,
      ...over,
    },
    shop,
  );
const why = (p: ReturnType<typeof started>) =>
  english.text(figureById(p, 'wrap.seam')?.working ?? verbatim(''));

test('a handled mug starts under, with even margins, and says why', () => {
  const p = started('mug-325', picture(4000, 1500));
  expect(p.wrap.seamMethod).toBe('under');
  expect(why(p)).toMatch(/shop default.*handle stands between/);
  const w = p.wrap.round;
  expect(w && w.closing.value - w.lengthMm).toBeCloseTo(2 * (w?.amountMm ?? NaN), 9);
  expect(figureById(p, 'wrap.long')).toBeUndefined();
  expect(figureById(p, 'wrap.margin')?.quantity.value).toBeCloseTo(w?.amountMm ?? NaN, 9);
});

test('a pen starts as a lap', () => {
  const p = started('pen-aluminium', null);
  expect(p.wrap.seamMethod).toBe('lap');
  expect(why(p)).toMatch(/barrel/);
});

test('a wide picture goes right round; a single upright one gets the paper it needs and no more', () => {
  expect(started('straight-steel-590', picture(4000, 3000)).wrap.seamMethod).toBe('over');
  const p = started('straight-steel-590', picture(1200, 1500));
  expect(p.wrap.seamMethod).toBe('under');
  const { round, pattern } = p.wrap;
  // As wide as four fifths of its height, to the paper’s own thickness.
  expect((pattern?.trim.width ?? NaN) / (pattern?.trim.height ?? NaN)).toBeCloseTo(0.8, 2);
  expect(round?.lengthMm).toBeLessThan(0.8 * (round?.closing.value ?? 0));
  // Its one closing covers it: nothing bare has to be heated.
  const heated = started('straight-steel-350', picture(1000, 1500), { pressId: 'tumbler-press-a' });
  expect(figureById(heated, 'heat.passes')?.quantity.value).toBe(1);
});

test('what a person chooses stands, with its usual amount', () => {
  const base = newJob('x', 'x').wrap;
  const p = started('straight-steel-590', picture(1200, 1500), { wrap: { ...base, seamMethod: 'under' } });
  expect(p.wrap.round?.amountMm).toBe(3);
  expect(why(p)).not.toMatch(/shop default/);
});

test('the shop’s own defaults are the start', () => {
  const own = {
    ...shop,
    settings: {
      ...shop.settings,
      defaults: {
        ...shop.settings.defaults,
        seamMethods: { ...shop.settings.defaults.seamMethods, handled: 'gap' as const },
      },
    },
  };
  expect(plan({ ...newJob('j', 'j'), blankId: 'mug-325' }, own).wrap.seamMethod).toBe('gap');
});
