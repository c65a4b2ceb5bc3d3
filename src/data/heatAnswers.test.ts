import 'fake-indexeddb/auto';
import { MesaDb } from './db';
import { keepAnswer, keptAnswer } from './heatAnswers';

const answer = (dwellS: number) => ({ kind: 'start' as const, dwellS, laterS: null });

test('an answer comes back as it was kept, but not to another build, and none is kept without one', async () => {
  const d = new MesaDb('heat-answers');
  expect(await keptAnswer('q', d, 'a')).toBeNull();
  await keepAnswer('q', answer(60), d, 'a');
  expect(await keptAnswer('q', d, 'a')).toEqual(answer(60));
  expect(await keptAnswer('q', d, 'b')).toBeNull();
  await keepAnswer('q', answer(70), d, 'b');
  expect(await keptAnswer('q', d, 'b')).toEqual(answer(70));
  await keepAnswer('r', answer(1), d, '');
  expect(await keptAnswer('r', d, '')).toBeNull();
  expect(await d.heatAnswers.count()).toBe(1);
});

test('the oldest go once there are many; a database that is closed is no matter', async () => {
  const d = new MesaDb('heat-answers-many');
  await d.heatAnswers.bulkPut(
    Array.from({ length: 400 }, (_, i) => ({ id: `k${i}`, build: 'a', at: i, answer: answer(i) })),
  );
  await keepAnswer('new', answer(1), d, 'a', 1000);
  expect(await d.heatAnswers.count()).toBe(400);
  expect(await keptAnswer('k0', d, 'a')).toBeNull();
  expect(await keptAnswer('k1', d, 'a')).toEqual(answer(1));
  d.close();
  await keepAnswer('q', answer(1), d, 'a');
  expect(await keptAnswer('q', d, 'a')).toBeNull();
});
