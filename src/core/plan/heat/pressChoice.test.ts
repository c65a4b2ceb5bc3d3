import { english } from '@/words/english';
import { demoShop } from '../../demo/demoShop';
import type { Job } from '../../job/job';
import { isFlatPress, type Press } from '../../shop/press';
import type { Shop } from '../../shop/shop';
import { figureById, plan } from '../plan';
import { planAnswered } from '../planAnswered';
import { toPress } from '../press/toPress';
import { onPress } from './compare';
import { pieceJ, pressEnergy } from '../../heat/model/energy';
import { bestPress, jobOnPress, pressOptions, type PressOption } from './pressChoice';

const { shop, jobs } = demoShop(new Date('2026-12-01T09:00:00Z'));
const jobOf = (id: string): Job => {
  const job = jobs.find((j) => j.id === id);
  if (!job) throw new Error(id);
  return job;
};
/** A job without a chosen press. */
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

test('a handled mug under a flat press cannot be chosen, and says why', () => {
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

  test('the press takes the time of a cycle per piece, and between what the wall takes up and its full power', () => {
    for (const row of rows) {
      if (!row) throw new Error('no row');
      const p = planAnswered({ ...job, pressId: row.pressId }, shop);
      const { press, heater, load } = p.heat;
      const { blank } = p.blank;
      if (!press || !load || !blank) throw new Error('no press');
      // A cycle holds every closing whole, and is shared by the pieces pressed at once.
      expect(row.pressS * row.atOnce).toBeGreaterThan(row.settings.dwellS * row.settings.passes);
      const wallWh = pieceJ(blank, load.piece.areaM2, row.settings.platenC) / 3600;
      const powerWh = (pressEnergy(press, heater, row.settings.platenC).powerW * row.pressS) / 3600;
      expect(row.energyWh).toBeLessThanOrEqual(powerWh + 1e-9);
      expect(row.energyWh).toBeGreaterThan(Math.min(wallWh, powerWh) - 1e-9);
    }
  });

  test('twice the pieces at once halve the share of the press', () => {
    const oven = (pieces: number) =>
      onPress({ ...job, pressId: 'bench-oven', pieces, load: { piecesAtOnce: pieces } }, shop, 'bench-oven');
    const [two, four] = [oven(2), oven(4)];
    if (!two || !four) throw new Error('no row');
    // Loading and unloading grow with the pieces: the rest of the cycle does not.
    expect(four.pressS).toBeGreaterThan(two.pressS / 2);
    expect(four.pressS).toBeLessThan(two.pressS * 0.75);
  });
});

test('a job keeps what was set by hand on its own press, and starts from the usual settings on another', () => {
  const job = { ...jobOf('constellation-mugs'), heat: { dwellS: 200 } };
  expect(jobOnPress(job, job.pressId ?? '')).toBe(job);
  expect(jobOnPress(job, 'bench-oven')).toMatchObject({ pressId: 'bench-oven', heat: {}, load: {} });
});
