import { english } from '@/words/english';
import { demoShop } from '../../demo/demoShop';
import type { Job } from '../../job/job';
import { ofStage, plannedS } from '../../shop/operation';
import type { Press } from '../../shop/press';
import type { Run } from '../../shop/run';
import type { Shop } from '../../shop/shop';
import { plan } from '../plan';
import { heatUp, lastSetFor, otherSetting, pressureText, rememberedPressure, throughMm } from './heatUp';
import { newRun } from './newRun';

const { shop, jobs } = demoShop(new Date('2026-11-26T12:00:00Z'));
const must = <T>(x: T | null | undefined): T => {
  if (x === undefined || x === null) throw new Error('missing');
  return x;
};
const JOB = must(jobs.find((j) => j.id === 'star-party-tumblers'));
const withScale = (pressureScale: 'turns' | 'none'): Shop => ({
  ...shop,
  presses: shop.presses.map((p): Press => ('pressureScale' in p ? { ...p, pressureScale } : p)),
});
const runOf = (job: Job, startedAt: number, pressureAt: number | null, of = shop): Run =>
  must(newRun(job, plan(job, of), { id: `run-${startedAt}`, startedAt, pressureAt }));
const steps = (job: Job, runs: readonly Run[], of = shop) =>
  must(heatUp(plan(job, of), runs)).steps.map((s) => `${s.id}: ${english.text(s.text)}`);

test('the press first, in its order: heater, pressure cold, screws, switch on, then taping', () => {
  expect(steps(JOB, [], withScale('none')).map((s) => s.split(':')[0])).toEqual([
    'fit',
    'set-pressure',
    'screws',
    'on',
    'tape',
  ]);
});

test('taping begins so that press and first load are ready together', () => {
  const made = plan(JOB, shop);
  const h = must(heatUp(made, []));
  expect(h.prepareS).toBe(plannedS(ofStage(made.heat.operations, 'prepare')));
  expect(h.tapeAfterS).toBe(Math.max(0, h.warmS - h.prepareS));
});

test('a mug press is warmed with a spare blank after it is hot; not where the shop does without', () => {
  const mugs = must(jobs.find((j) => j.id === 'constellation-mugs'));
  expect(steps(mugs, []).at(-1)).toMatch(/^warm-spare: First cycle with a spare blank/);
  expect(steps({ ...mugs, practices: { firstPiece: 'job' } }, []).join()).not.toMatch(/spare/);
});

test('a press that was last set for another size names that size', () => {
  const slim = must(
    shop.blanks.find(
      (b) =>
        b.shape.kind === 'round' && Math.abs(throughMm(b) - throughMm(must(plan(JOB, shop).blank.blank))) > 3,
    ),
  );
  const before = { ...runOf(JOB, 1000, null), blank: slim };
  const found = steps(JOB, [before]).find((s) => s.startsWith('last-set'));
  expect(found).toMatch(new RegExp(`Last set for “${slim.name}”, .* mm across; this is .* mm across`));
  // The newest run counts.
  expect(steps(JOB, [before, runOf(JOB, 2000, null)]).join()).not.toMatch(/last-set/);
  expect(lastSetFor('another-press', [before])).toBeNull();
});

test('another heater asks for the pressure again', () => {
  const blank = must(plan(JOB, shop).blank.blank);
  const last = { blank, heaterId: 'mat-slim', pressureAt: 3 };
  expect(english.text(must(otherSetting(last, blank, 'mat-wide')))).toMatch(/another heater/);
  expect(otherSetting(last, blank, 'mat-slim')).toBeNull();
});

test('what the press showed is remembered: by the newest run of this blank on it, or by a recipe kept later', () => {
  const runs = [runOf(JOB, 1000, 3), runOf(JOB, 2000, 3.5), runOf(JOB, 3000, null)];
  const [run] = runs;
  const at = (recipe: Shop['recipes'][number] | null) =>
    rememberedPressure(must(run).blank.id, must(run).press.id, recipe, runs);
  expect(at(null)).toBe(3.5);
  expect(at({ ...must(shop.recipes[0]), pressureAt: 2.25, keptAt: 2500 })).toBe(2.25);
  expect(at({ ...must(shop.recipes[0]), pressureAt: 2.25, keptAt: 1500 })).toBe(3.5);
  expect(at({ ...must(shop.recipes[0]), pressureAt: null, keptAt: 2500 })).toBe(3.5);
  expect(rememberedPressure('another', must(run).press.id, null, runs)).toBeNull();
});

test('it is said on the scale of the press, with as many decimals as were noted, and not on one without', () => {
  const press = must(withScale('turns').presses.find((p) => p.id === must(JOB.pressId)));
  expect(english.text(must(pressureText(press, 2.25)))).toBe('Screw at 2.25 turns, as last time');
  expect(english.text(must(pressureText(press, 3)))).toBe('Screw at 3 turns, as last time');
  expect(pressureText(must(withScale('none').presses.find((p) => p.id === press.id)), 3)).toBeNull();
});
