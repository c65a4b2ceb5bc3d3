import { demoShop } from '../../demo/demoShop';
import type { Job } from '../../job/job';
import { plan } from '../plan';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const find = (id: string): Job => jobs.find((j) => j.id === id) as Job;
const FIRST = find('star-party-tumblers');
const SECOND = find('slate-trail-markers');

const shared = (over: Partial<Job['sheet']> = {}, sharedJobs: readonly Job[] = [SECOND]) =>
  plan({ ...FIRST, sheet: { ...FIRST.sheet, paperId: 'a3', sharedJobIds: [SECOND.id], ...over } }, shop, {
    sharedJobs,
  });
const placementsOf = (p: ReturnType<typeof plan>) =>
  (p.sheet.layout?.sheets ?? []).flatMap((s) =>
    s.placements.map((placement) => ({ ...placement, copies: s.copies })),
  );

test('every piece of both jobs is on a sheet, no more and no fewer', () => {
  const p = shared();
  const count = (name: string) =>
    placementsOf(p).reduce((n, s) => n + (p.sheet.parts[s.part]?.job === name ? s.copies : 0), 0);
  expect(count(FIRST.name)).toBe(FIRST.pieces);
  expect(count(SECOND.name)).toBe(SECOND.pieces);
});

test('each is printed with its own outline at its own size', () => {
  const p = shared();
  const own = plan({ ...SECOND, sheet: { ...SECOND.sheet, paperId: 'a3' } }, shop).wrap.pattern?.whole;
  for (const s of placementsOf(p).filter((x) => p.sheet.parts[x.part]?.job === SECOND.name)) {
    const sides = [s.box.width, s.box.height].sort((a, b) => a - b);
    const want = [own?.width ?? NaN, own?.height ?? NaN].sort((a, b) => a - b);
    sides.forEach((v, i) => expect(v).toBeCloseTo(want[i] ?? NaN, 6));
  }
});

test('neighbours of different jobs keep the knife’s room between them', () => {
  const p = shared({ gapMm: 6 });
  for (const sheet of p.sheet.layout?.sheets ?? [])
    sheet.placements.forEach((a, i) =>
      sheet.placements.slice(i + 1).forEach((b) => {
        const apartX = Math.max(a.box.x - b.box.x - b.box.width, b.box.x - a.box.x - a.box.width);
        const apartY = Math.max(a.box.y - b.box.y - b.box.height, b.box.y - a.box.y - a.box.height);
        // Outlines may lie closer than their boxes; these two are a rectangle and a stone in one another's boxes nowhere.
        expect(Math.max(apartX, apartY)).toBeGreaterThanOrEqual(6 - 1e-6);
      }),
    );
});

test('sharing never takes more sheets than each alone on the same paper', () => {
  const alone = (job: Job) =>
    plan({ ...job, sheet: { ...job.sheet, paperId: 'a3' } }, shop).sheet.layout?.sheetCount ?? NaN;
  expect(shared().sheet.layout?.sheetCount).toBeLessThanOrEqual(alone(FIRST) + alone(SECOND));
});

test('a job not named to share is not laid, however it is handed in', () => {
  const p = shared({ sharedJobIds: [] });
  expect(p.sheet.parts.map((x) => x.job)).toEqual([FIRST.name]);
});

test('one with no size yet is left out, and the rest printed', () => {
  const unmeasured: Job = { ...SECOND, blankId: null };
  const p = shared({}, [unmeasured]);
  expect(p.sheet.parts.map((x) => x.job)).toEqual([FIRST.name]);
  expect(p.sheet.layout).not.toBeNull();
});

test('the paper must hold the largest of them', () => {
  const p = shared({ paperId: null });
  const boxes = placementsOf(p).map((s) => s.box);
  const { paper } = p.sheet;
  expect(paper).not.toBeNull();
  for (const b of boxes) expect(b.x + b.width).toBeLessThanOrEqual((paper?.widthMm ?? 0) + 1e-9);
});
