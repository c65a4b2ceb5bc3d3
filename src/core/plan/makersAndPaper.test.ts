import { english } from '@/words/english';
import { demoShop } from '../demo/demoShop';
import { LIBRARY } from '../library/library';
import { newJob, type Job, type Reading } from '../job/job';
import { scaleOf } from '../calibration/calibration';
import { isFlat } from '../shop/blank';
import type { Paper } from '../shop/paper';
import type { Shop } from '../shop/shop';

import { figureById, plan } from './plan';

const DEMO = demoShop(new Date('2026-11-24T12:00:00Z')).shop;
const shop: Shop = { ...DEMO, blanks: [...LIBRARY] };
const jobOn = (blankId: string, over: Partial<Job> = {}): Job => ({ ...newJob('j', 'J'), blankId, ...over });
const read = (id: string, text: string, method: Reading['method'] = 'soft tape'): Reading => ({
  id,
  text,
  bareUnit: 'mm',
  method,
});
const u = (job: Job, id: string) => figureById(plan(job, shop), id)?.standardU ?? NaN;

describe('what only the maker says of a blank', () => {
  test('a diameter is good to a millimetre, so a circumference to π of it: uniform, π/√3', () => {
    expect(u(jobOn('straight-steel-590'), 'measure.girth')).toBeCloseTo(Math.PI / Math.sqrt(3), 9);
  });
  test('a wall and a handle are good to two millimetres, a flat piece to one: 2/√3 and 1/√3', () => {
    expect(u(jobOn('straight-steel-590'), 'measure.wall')).toBeCloseTo(2 / Math.sqrt(3), 9);
    expect(u(jobOn('mug-325'), 'measure.handle')).toBeCloseTo(2 / Math.sqrt(3), 9);
    expect(u(jobOn('slate-heart'), 'measure.width')).toBeCloseTo(1 / Math.sqrt(3), 9);
    expect(u(jobOn('slate-heart'), 'measure.height')).toBeCloseTo(1 / Math.sqrt(3), 9);
  });
});

describe('paper that shrinks one way only', () => {
  const bar = (printedMm: number, pressedMm: number) => ({ nominalMm: 200, printedMm, pressedMm });
  const A3 = DEMO.papers.find((p) => p.id === 'a3');
  const panel = LIBRARY.find((b) => isFlat(b) && b.id === 'panel-200-300') ?? LIBRARY.find(isFlat);
  if (!A3 || !panel || !isFlat(panel)) throw new Error('nothing to print');
  const { widthMm, heightMm } = panel.shape.outline;
  /** The cut piece on a paper that loses a hundredth along the feed, or across the sheet. */
  const trim = (across: number, along: number) => {
    const paper: Paper = {
      ...A3,
      calibration: { across: bar(200, 200 * (1 - across)), along: bar(200, 200 * (1 - along)) },
    };
    const job = jobOn(panel.id, { sheet: { ...newJob('j', 'J').sheet, paperId: 'a3' } });
    const made = plan(job, { ...shop, papers: [paper] });
    const t = made.wrap.pattern?.trim;
    if (!t) throw new Error('no wrap');
    return { width: t.width, height: t.height, turned: made.sheet.layout?.turned ?? false };
  };
  test('the calibration keeps both ways apart', () => {
    const paper: Paper = { ...A3, calibration: { across: bar(200, 199), along: bar(200, 196) } };
    expect(scaleOf(paper).across.shrink).toBeCloseTo(0.005, 12);
    expect(scaleOf(paper).along.shrink).toBeCloseTo(0.02, 12);
  });
  test.each([
    [0, 0.01],
    [0.01, 0],
    [0.01, 0.02],
  ])('across %f, along %f: each side of the piece is longer by what its own way loses', (across, along) => {
    const { width, height, turned } = trim(across, along);
    const [x, y] = turned ? [along, across] : [across, along];
    expect(width).toBeCloseTo(widthMm / (1 - x), 6);
    expect(height).toBeCloseTo(heightMm / (1 - y), 6);
  });
});

describe('a circumference between rim and foot of a handled wall', () => {
  const mug = (between: string) =>
    plan(
      jobOn('mug-325', {
        readings: {
          ...newJob('x', 'x').readings,
          circumferenceTop: [read('t', '241')],
          circumferenceFoot: [read('f', '241')],
          handle: [read('h', '16', 'caliper')],
        },
        stations: [{ id: 'circumference-1', fromRimMm: 45, readings: [read('s', between)] }],
      }),
      shop,
    ).measure.findings.filter((f) => f.id.includes('line-'));
  test('is compared with the handle counted, as rim and foot are', () => {
    expect(mug('241')).toEqual([]);
    const [off] = mug('251');
    expect(off && english.text(off.text)).toMatch(/10 mm more than a straight side/);
  });
});
