import fc from 'fast-check';
import { demoShop } from '../demo/demoShop';
import { plan } from './plan';
import { createPlanner, reuseEqual } from './reuse';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const JOB = jobs.find((j) => j.id === 'star-party-tumblers') ?? jobs[0];

test('the result always equals what it was given', () => {
  fc.assert(
    fc.property(fc.jsonValue(), fc.jsonValue(), (a, b) => {
      expect(reuseEqual(a, b)).toEqual(b);
    }),
  );
});

test('a copy comes back as the original, to the object', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (a) => {
      expect(reuseEqual(a, structuredClone(a))).toBe(a);
    }),
  );
});

test('one change keeps its brothers', () => {
  const before = { a: { x: 1 }, b: [{ y: 2 }, { z: 3 }] };
  const after = reuseEqual(before, { a: { x: 1 }, b: [{ y: 2 }, { z: 4 }] });
  expect(after.a).toBe(before.a);
  expect(after.b[0]).toBe(before.b[0]);
  expect(after.b[1]).toEqual({ z: 4 });
});

test('a long list is kept or replaced whole', () => {
  const points = Array.from({ length: 200 }, (_, i) => ({ x: i, y: i * i }));
  const before = { points, name: 'a' };
  expect(reuseEqual(before, { points: structuredClone(points), name: 'b' }).points).toBe(points);
  const moved = points.map((p, i) => (i === 199 ? { ...p, y: 0 } : p));
  expect(reuseEqual(before, { points: moved, name: 'a' }).points).toBe(moved);
  const shorter = points.slice(0, 150);
  expect(reuseEqual(before, { points: shorter, name: 'a' }).points).toEqual(shorter);
});

test('planning again keeps the terraces an edit does not touch', () => {
  if (!JOB) throw new Error('no demo job');
  const planner = createPlanner();
  const first = planner(JOB, shop);
  const second = planner({ ...JOB, heat: { dwellS: 70 } }, shop);
  expect(second).toEqual(plan({ ...JOB, heat: { dwellS: 70 } }, shop));
  expect(second.wrap).toBe(first.wrap);
  expect(second.sheet).toBe(first.sheet);
  expect(second.heat).not.toBe(first.heat);
});
