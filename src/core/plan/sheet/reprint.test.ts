import { demoShop } from '../../demo/demoShop';
import type { Job } from '../../job/job';
import { jobSchema } from '../../job/job';
import { cycleOf } from '../../run/run';
import type { RunEvent } from '../../shop/run';
import { newRun } from '../press/newRun';
import { plan } from '../plan';
import { printPackageOf } from './printPackage';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const named = jobs.find((j) => j.art.names !== null && j.art.names.rows.length > 2) as Job;
const alike = jobs.find((j) => j.id === 'star-party-tumblers') as Job;

/** A run with some of its first pieces spoiled, then stopped. */
function spoiled(job: Job, n: number) {
  const run = newRun(job, plan(job, shop), { id: 'run-1', startedAt: 1000 });
  const first = run && cycleOf(run)[0];
  if (!run?.queue || !first) throw new Error('no run');
  const events = run.queue.slice(0, n).map((p, i): RunEvent => ({
    kind: 'spoiled',
    at: 2000 + i,
    operationId: first.id,
    piece: p.number,
    why: 'ghost',
    next: run.queue?.slice(i + 1, i + 2) ?? [],
  }));
  return { ...run, load: null, events: [...events, { kind: 'stop' as const, at: 9000 }] };
}

test('spoiled pieces are a list of their own; printed again they keep their names and their art', () => {
  const shopWith = { ...shop, runs: [spoiled(named, 2)] };
  const { press, art, sheet } = plan(named, shopWith);
  expect(press.reprints.map((r) => [r.piece.number, r.why])).toEqual([
    [1, 'ghost'],
    [2, 'ghost'],
  ]);
  const [, second] = art.pieces;
  const again: Job = { ...named, reprint: press.reprints.slice(1).map((r) => r.piece) };
  expect(jobSchema.safeParse(again).success).toBe(true);
  const reprinted = plan(again, shopWith);
  const placed = reprinted.sheet.layout?.sheets.flatMap((s) => s.placements) ?? [];
  expect(placed).toHaveLength(1);
  expect(sheet.layout?.sheets.flatMap((s) => s.placements).length).toBeGreaterThan(1);
  expect(reprinted.sheet.parts[0]?.pieces).toEqual([second]);
  expect(printPackageOf(again, reprinted).pieces).toBe(1);
  // Its art is the second guest's, as a list of nobody else would have it.
  const { names } = named.art;
  const alone: Job = {
    ...named,
    art: { ...named.art, names: names && { ...names, rows: names.rows.slice(1, 2) } },
  };
  const placedLayers = reprinted.sheet.toDraw?.jobs[0]?.placedLayers;
  expect(placedLayers).toEqual(plan(alone, shopWith).art.placedLayers);
  expect(placedLayers).not.toEqual(art.placedLayers);
});

test('pieces that are all alike are printed again by their count', () => {
  const { press } = plan(alike, { ...shop, runs: [spoiled(alike, 3)] });
  expect(press.reprints).toHaveLength(3);
  const again = plan({ ...alike, reprint: press.reprints.map((r) => r.piece) }, shop);
  const placed = again.sheet.layout?.sheets.reduce((n, s) => n + s.placements.length * s.copies, 0);
  expect(placed).toBe(3);
});

test('nobody of the list is on the job any more: everything is printed, as without a list', () => {
  const gone: Job = { ...named, reprint: [{ number: 1, name: 'Nobody at all' }] };
  expect(plan(gone, shop).sheet.layout).toEqual(plan(named, shop).sheet.layout);
});
