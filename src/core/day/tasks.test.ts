import type { Done, PressOn } from '../schedule/problem';
import { blocksOf, tasksOf, type Task } from './tasks';
import { workListPages } from './workList';

const done = (kind: Done['kind'], fromS: number, toS: number, over: Partial<Done> = {}): Done => ({
  kind,
  work: 0,
  part: 0,
  pieces: 1,
  fromS,
  toS,
  press: kind === 'hands' || kind === 'set' || kind === 'change' ? 0 : null,
  person: 0,
  printer: null,
  ...over,
});
const on = (press: number, fromS: number, hotS: number, toS: number): PressOn => ({
  press,
  fromS,
  hotS,
  toS,
});
const named = (tasks: readonly Task[] = []) =>
  tasks.map(({ kind, work, pieces, fromS, toS }) => [kind, work, pieces, fromS, toS]);

test('loads of one job at one press are one task, and taping between them another', () => {
  const list = [0, 1, 2].flatMap((part) => [
    done('hands', part * 600, part * 600 + 30, { part, pieces: 4 }),
    done('tape', part * 600 + 60, part * 600 + 400, { part: part + 10 }),
    // The same load is unloaded later: its pieces count once.
    done('hands', part * 600 + 500, part * 600 + 560, { part, pieces: 4 }),
  ]);
  expect(named(tasksOf({ done: list, on: [] }, 1)[0])).toEqual([
    ['press', 0, 12, 0, 1760],
    ['prepare', 0, 3, 60, 1600],
  ]);
});

test('another job at the press, or a long pause, begins a task of its own', () => {
  const list = [
    done('hands', 0, 30),
    done('hands', 600, 630, { work: 1 }),
    done('hands', 900, 930, { part: 1 }),
    done('hands', 900 + 30 + 3601, 4600, { part: 2 }),
    done('tape', 5000, 5100),
    done('tape', 5100 + 1801, 7000, { part: 1 }),
  ];
  expect(named(tasksOf({ done: list, on: [] }, 1)[0]).map(([kind, work]) => `${kind} ${work}`)).toEqual([
    'press 0',
    'press 1',
    'press 0',
    'press 0',
    'prepare 0',
    'prepare 0',
  ]);
});

test('interrupted work counts for the person who finishes it', () => {
  const list = [done('tape', 0, 60), done('tape', 90, 200, { person: 1 })];
  const [first, second] = tasksOf({ done: list, on: [] }, 2);
  expect(named(first)).toEqual([['prepare', 0, 0, 0, 60]]);
  expect(named(second)).toEqual([['prepare', 0, 1, 90, 200]]);
});

test('the person who uses a press first switches it on; a press that is already hot is not listed', () => {
  const list = [
    done('set', 500, 560, { person: 1 }),
    done('hands', 1200, 1230, { person: 0 }),
    done('hands', 1300, 1330, { press: 1, person: 0 }),
  ];
  const [first, second] = tasksOf({ done: list, on: [on(0, 300, 1100, 4000), on(1, 0, 0, 4000)] }, 2);
  expect(named(second)).toEqual([
    ['on', null, 0, 300, 1100],
    ['set', 0, 0, 500, 560],
  ]);
  expect(named(first).map(([kind]) => kind)).toEqual(['press', 'press']);
});

test('a lane is blocks that do not overlap, at the presses and away from them apart', () => {
  const list = [
    done('trim', 0, 20),
    done('tape', 20, 100),
    done('hands', 40, 60, { work: 1 }),
    done('hands', 50, 400, { work: 2, press: 1 }),
    done('finish', 90, 130, { work: 3 }),
    done('finish', 3000, 3100, { work: 3, part: 1 }),
  ];
  const blocks = blocksOf(tasksOf({ done: list, on: [] }, 1)[0] ?? []);
  expect(blocks.map((b) => [b.atPress, b.tasks.map((k) => k.work), b.fromS, b.toS])).toEqual([
    [false, [0, 3], 0, 130],
    [false, [3], 3000, 3100],
    [true, [1, 2], 40, 400],
  ]);
});

test('on paper: every task has one box and its time, and a long list goes on to a second page', () => {
  const lines = Array.from({ length: 40 }, (_, i) => ({ time: `${i}:00`, text: `Tape ${i} pieces` }));
  const pages = workListPages([
    { title: 'Ana', lines },
    { title: 'Ben', lines: [{ time: '9:00', text: 'word '.repeat(30).trim() }] },
  ]);
  expect(pages).toHaveLength(3);
  expect(pages.reduce((n, p) => n + p.shapes.length, 0)).toBe(41);
  const words = pages.flatMap((p) => p.words.map((w) => w.text));
  for (const { time, text } of lines) expect(words).toEqual(expect.arrayContaining([time, text]));
  expect(words.filter((w) => w === 'Ana')).toHaveLength(2);
  for (const w of pages.flatMap((p) => p.words)) {
    expect(w.x + 0.52 * w.sizeMm * w.text.length).toBeLessThan(210);
    expect(w.y).toBeLessThan(297);
  }
});
