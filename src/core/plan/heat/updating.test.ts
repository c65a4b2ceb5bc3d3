import { demoShop } from '../../demo/demoShop';
import { answerHeat, type HeatCache } from '../../heat/answer';
import { heatKey, lastKey, type HeatQuestion } from '../../heat/question';
import type { Job } from '../../job/job';
import { figureById, plan } from '../plan';
import { type Plan } from '../planShape';

const { shop, jobs } = demoShop(new Date('2026-11-26T12:00:00Z'));
/** Slate marked by hand with a tape: flat, so that the model answers in a moment. */
const slate = (over: Partial<Job> = {}): Job => {
  const job = jobs.find((j) => j.id === 'slate-trail-markers');
  if (!job) throw new Error('no slate');
  return { ...job, ...over };
};
const wide = (text: string): Job => {
  const job = slate();
  return {
    ...job,
    readings: { ...job.readings, width: [{ id: 'w', text, bareUnit: 'mm', method: 'steel rule' }] },
  };
};
const wanted = (p: Plan): readonly HeatQuestion[] => p.heat.model?.wanted ?? [];
const keys = (p: Plan): readonly string[] => wanted(p).map(heatKey);

/** The cache as the screen fills it: each answer by its question, and as the last of its like. */
function answered(job: Job, before: HeatCache = {}): HeatCache {
  let cache = before;
  for (const kind of ['start', 'outcome', 'window'] as const) {
    const q = wanted(plan(job, shop, { heatCache: cache })).find((x) => x.kind === kind);
    if (!q) continue;
    const answer = answerHeat(q);
    cache = { ...cache, [heatKey(q)]: answer, [lastKey(q)]: answer };
  }
  return cache;
}

describe('while the model is asked again', () => {
  const cache = answered(slate());
  const settled = plan(slate(), shop, { heatCache: cache });
  const other = plan(slate({ load: { ...slate().load, piecesAtOnce: 3 } }), shop, { heatCache: cache });

  test('settings stay as they were, never those of the table, and it is marked as being updated', () => {
    const table = plan(slate(), shop).heat.chosen?.settings.dwellS;
    const dwellS = settled.heat.chosen?.settings.dwellS;
    expect(dwellS).not.toBe(table);
    expect(other.heat.chosen?.settings.dwellS).toBe(dwellS);
    expect([settled.heat.model?.updating, other.heat.model?.updating]).toEqual([false, true]);
  });

  test('what was said of the setting before stays on screen; nothing is decided by it', () => {
    expect(other.heat.model?.outcome).toBeNull();
    expect(other.heat.model?.shown).toBe(settled.heat.model?.outcome);
    expect(figureById(other, 'heat.dose')?.quantity).toEqual(figureById(settled, 'heat.dose')?.quantity);
    expect(wanted(other).map((q) => q.kind)).toEqual(expect.arrayContaining(['start', 'outcome']));
  });

  test('the window before stands still as long as the setting lies in it, marked as being calculated', () => {
    const window = settled.heat.model?.window;
    expect(window).not.toBeNull();
    expect(other.heat.model?.window).toBe(window);
    expect(other.heat.model?.range).toEqual({ platenC: window?.platenC, dwellS: window?.dwellS });
    expect(other.heat.model?.rough).toBe(true);
    const far = plan(slate({ heat: { dwellS: 3500 } }), shop, { heatCache: cache });
    expect(far.heat.model?.window).toBeNull();
    expect(far.heat.model?.range.dwellS[1]).toBeGreaterThanOrEqual(3500);
  });

  test('another press asks from the table: what held for one kind of press says nothing of another', () => {
    const oven = plan(slate({ pressId: 'bench-oven' }), shop, { heatCache: cache });
    expect(oven.heat.model?.shown ?? null).toBeNull();
  });

  test('a keystroke that no tape could tell asks nothing; a tenth of a millimetre more on a small piece does', () => {
    const asked = (text: string) => keys(plan(wide(text), shop));
    expect(asked('150')).toEqual(asked('150.0'));
    expect(asked('150.001')).toEqual(asked('150'));
    expect(asked('151')).not.toEqual(asked('150'));
  });
});
