import 'fake-indexeddb/auto';
import { newJob } from '@/core/job/job';
import { MesaDb } from './db';
import { clearUnsaved, noteInDb, noteOf, noteUnsaved, readUnsaved, saveIdOf } from './journal';

const held = new Map<string, string>();
let n = 0;
const fresh = () => new MesaDb(`journal-${(n += 1)}`);
const job = newJob('a', 'A');
const note = (id: string, at = 1, over = ['save-1']) => noteOf({ ...job, note: id }, id, over, at);

const keepInMemory = () =>
  Object.defineProperty(globalThis, 'localStorage', {
    configurable: true,
    value: {
      getItem: (k: string) => held.get(k) ?? null,
      setItem: (k: string, v: string) => void held.set(k, v),
      removeItem: (k: string) => void held.delete(k),
    },
  });

beforeEach(() => {
  held.clear();
  keepInMemory();
});

test('is there at once, and goes only when that very edit is saved, whatever the order of its keys', async () => {
  const d = fresh();
  const made = note('edit-1');
  noteUnsaved(made);
  await noteInDb(made, d);
  expect(await readUnsaved('a', d)).toEqual(made);
  await clearUnsaved('a', 'edit-0', d);
  expect(await readUnsaved('a', d)).toEqual(made);
  await clearUnsaved('a', 'edit-1', d);
  expect(await readUnsaved('a', d)).toBeNull();
});

test('killed before the browser wrote localStorage: the database has it; of two notes the newer counts', async () => {
  const d = fresh();
  await noteInDb(note('edit-2', 20), d);
  expect((await readUnsaved('a', d))?.id).toBe('edit-2');
  noteUnsaved(note('edit-1', 10));
  expect((await readUnsaved('a', d))?.id).toBe('edit-2');
  noteUnsaved(note('edit-3', 30));
  expect((await readUnsaved('a', d))?.id).toBe('edit-3');
});

test('a note written before saves had ids is read as one over its revision', async () => {
  held.set('mesa-drift.unsaved.a', JSON.stringify({ baseRev: 3, job }));
  const read = await readUnsaved('a', fresh());
  expect(read?.over).toEqual([saveIdOf({ rev: 3 })]);
  expect(read?.job).toEqual(job);
});

test('a spoiled note is no note', async () => {
  held.set('mesa-drift.unsaved.a', '{"baseRev":1');
  expect(await readUnsaved('a', fresh())).toBeNull();
});

test('a browser that refuses is answered, not crashed on', async () => {
  Object.defineProperty(globalThis, 'localStorage', {
    configurable: true,
    get: () => {
      throw new Error('denied');
    },
  });
  expect(noteUnsaved(note('edit-1'))).toBe(false);
  expect(await readUnsaved('a', fresh())).toBeNull();
});
