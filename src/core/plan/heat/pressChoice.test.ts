import { english } from '@/words/english';
import { demoShop } from '../../demo/demoShop';
import type { Job } from '../../job/job';
import { isFlatPress, type Press } from '../../shop/press';
import type { Shop } from '../../shop/shop';
import { figureById, plan } from '../plan';
import { planAnswered } from '../planAnswered';
import { toPress } from '../press/toPress';
import { onPress } from './compare';
import { bestPress, jobOnPress, pressOptions, type PressOption } from './pressChoice';

const { shop, jobs } = demoShop(new Date('2026-12-01T09:00:00Z'));
const jobOf = (id: string): Job => {
  const job = jobs.find((j) => j.id === id);
  if (!job) throw new Error(id);
  return job;
};
/** A job on no press, as it is before anyone has chosen one. */
const free = (id: string): Job => ({ ...jobOf(id), pressId: null, heat: {}, load: {} });
const shopWith = (presses: readonly Press[], recipes: Shop['recipes'] = []): Shop => ({
  ...shop,
  presses: [...presses],
  recipes,
});
const of = (...kinds: readonly Press['kind'][]): Press[] =>
  shop.presses.filter((p) => kinds.includes(p.kind));

function options(job: Job, s: Shop = shop): readonly PressOption[] {
  const made = plan(job, s);
  const { blank } = made.blank;
  const wrap = toPress({ wrap: made.wrap, blank, asked: job.wrap });
  if (!blank || !wrap) throw new Error('nothing to press');
  return pressOptions({
    blank,
    wrap,
    pieces: job.pieces,
    presses: s.presses,
    recipes: s.recipes,
    proven: undefined,
    log: s.log,
  });
}
const why = (o: PressOption | undefined): string => (o?.problems ?? []).map((m) => english.text(m)).join(' ');

test.each(jobs.map((j) => j.id))(
  '%s: every press is listed once, those that fit before those that do not',
  (id) => {
    const found = options(free(id));
    expect(found.map((o) => o.press.id).sort()).toEqual(shop.presses.map((p) => p.id).sort());
    const fit = found.map((o) => o.problems.length === 0);
    expect(fit).toEqual([...fit].sort((a, b) => Number(b) - Number(a)));
    for (const o of found) expect(o.reason === null).toBe(o.problems.length > 0);
  },
);

test.each(jobs.map((j) => j.id))('%s: the press that is taken plans as if a person had chosen it', (id) => {
  const alone = plan(free(id), shop);
  if (!alone.heat.press) return expect(options(free(id)).every((o) => o.problems.length > 0)).toBe(true);
  const chosen = plan({ ...free(id), pressId: alone.heat.press.id }, shop);
  expect(alone.heat.chosenFor).not.toBeNull();
  expect(chosen.heat.chosenFor).toBeNull();
  expect({ ...alone.heat, chosenFor: null }).toEqual(chosen.heat);
});

test('a handled mug under a flat press is no choice, and says why', () => {
  const flat = options(free('constellation-mugs')).find((o) => isFlatPress(o.press));
  expect(why(flat)).toBe('A flat press takes flat blanks only.');
});

test('a press too small for a panel says both sizes', () => {
  const small = of('flat').map((p) => ({ ...p, platenWidthMm: 150, platenHeightMm: 200 }) as Press);
  expect(why(options(free('star-map-panel'), shopWith(small))[0])).toMatch(/150 mm.*200 mm/);
  const p = plan(free('star-map-panel'), shopWith(small));
  expect(p.heat.press).toBeNull();
  expect(p.heat.findings.map((f) => f.id)).toEqual(['heat.none']);
});

test('where one press fits it is taken, and said to be the only one', () => {
  const s = shopWith(of('mug', 'flat'));
  const p = plan(free('constellation-mugs'), s);
  expect(p.heat.press?.kind).toBe('mug');
  expect(english.text(p.heat.chosenFor ?? { id: 'common.name' })).toMatch(/only press here that fits/);
});

test('without recipes a mug goes to a mug press, a straight tumbler to a tumbler press, a panel to a flat press', () => {
  const s = shopWith(shop.presses);
  const kind = (id: string) => options(free(id), s)[0]?.press.kind;
  expect([kind('constellation-mugs'), kind('star-party-tumblers'), kind('star-map-panel')]).toEqual([
    'mug',
    'tumbler',
    'flat',
  ]);
});

test('a press with a recipe of the shop comes before one made for the blank', () => {
  const job = free('constellation-mugs');
  const oven = of('oven')[0];
  const [recipe] = shop.recipes;
  if (!oven || !recipe || !job.blankId) throw new Error('no oven or recipe');
  const kept = { ...recipe, id: 'own', blankId: job.blankId, pressId: oven.id };
  expect(options(job, shopWith(shop.presses, [kept]))[0]?.press.id).toBe(oven.id);
  expect(bestPress(options(job, shopWith(shop.presses, [kept])))?.press.id).toBe(oven.id);
});

test('a shop without a press says to add one', () => {
  const p = plan(free('constellation-mugs'), shopWith([]));
  expect(p.heat.findings.map((f) => english.text(f.text))).toEqual([
    'There is no press yet. Add one under Presses.',
  ]);
});

describe('one piece on several presses', () => {
  const job = free('constellation-mugs');
  const rows = options(job)
    .filter((o) => o.problems.length === 0)
    .map((o) => onPress(job, shop, o.press.id));

  test('each has the chance and the settings of its own plan', () => {
    expect(rows.length).toBeGreaterThan(1);
    for (const row of rows) {
      if (!row) throw new Error('no row');
      const p = planAnswered({ ...job, pressId: row.pressId }, shop);
      expect(row.settings).toEqual(p.heat.chosen?.settings);
      expect(figureById(p, 'heat.good')?.quantity).toMatchObject({ kind: 'ratio', value: row.good });
      expect(row.atOnce).toBe(p.heat.load?.load.piecesAtOnce);
    }
  });

  test('a piece takes its share of a cycle, and at least the heat that it takes up', () => {
    // 0.33 kg of stoneware at 880 J/(kg K) from 22 °C to 190 °C takes up 14 Wh; a thinner printed wall a part of it.
    for (const row of rows) {
      expect(row?.pressS ?? 0).toBeGreaterThan((row?.settings.dwellS ?? 0) / (row?.atOnce ?? 1));
      expect(row?.energyWh ?? 0).toBeGreaterThan(3);
      expect(row?.energyWh ?? 0).toBeLessThan(400);
    }
  });
});

test('a job keeps what was set by hand on its own press, and starts anew on another', () => {
  const job = { ...jobOf('constellation-mugs'), heat: { dwellS: 200 } };
  expect(jobOnPress(job, job.pressId ?? '')).toBe(job);
  expect(jobOnPress(job, 'bench-oven')).toMatchObject({ pressId: 'bench-oven', heat: {}, load: {} });
});
