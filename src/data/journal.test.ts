import { english } from '@/words/english';
import 'fake-indexeddb/auto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readJobFile } from '@/core/formats/jobFile';
import { newJob } from '@/core/job/job';
import { MesaDb } from './db';
import { clearUnsaved, holdsUnkept, noteInDb, noteOf, noteUnsaved, readUnsaved, saveIdOf } from './journal';

const held = new Map<string, string>();
let n = 0;
const fresh = () => new MesaDb(`journal-${(n += 1)}`);
const job = newJob('a', 'A');
const note = (id: string, at = 1, over = ['save-1']) => noteOf({ ...job, note: id }, id, over, at);

/** A job as a file of version 4 holds it, and as that file opens today. */
function fixture4() {
  const text = readFileSync(join(__dirname, '../core/formats/fixtures/job-4.mesajob.json'), 'utf8');
  const read = readJobFile(text);
  if (!read.ok) throw new Error(english.text(read.problem.what));
  return { shopJob: { then: (JSON.parse(text) as { job: unknown }).job, now: read.value.job } };
}

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
  const { shopJob } = fixture4();
  held.set('mesa-drift.unsaved.a', JSON.stringify({ baseRev: 3, job: shopJob.then }));
  const read = await readUnsaved('a', fresh());
  expect(read?.over).toEqual([saveIdOf({ rev: 3 })]);
  expect(read?.job).toEqual(shopJob.now);
});

test('a note of an older version climbs to today’s; one of a newer version is no note, and stays', async () => {
  const { shopJob } = fixture4();
  const old = { id: 'edit-1', over: ['save-1'], at: 5, job: shopJob.then };
  held.set('mesa-drift.unsaved.a', JSON.stringify(old));
  expect((await readUnsaved('a', fresh()))?.job).toEqual(shopJob.now);
  const newer = JSON.stringify({ ...note('edit-2'), version: 99 });
  held.set('mesa-drift.unsaved.a', newer);
  expect(await readUnsaved('a', fresh())).toBeNull();
  expect(held.get('mesa-drift.unsaved.a')).toBe(newer);
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
  const d = fresh();
  const refused = note('edit-1');
  noteUnsaved(refused);
  // Nothing keeps it but the page: it is found again there, and leaving the page is asked about.
  expect(holdsUnkept()).toBe(true);
  expect(await readUnsaved('a', d)).toEqual(refused);
  // As soon as the database has it, the page may go.
  await noteInDb(refused, d);
  expect(holdsUnkept()).toBe(false);
  expect(await readUnsaved('a', d)).toEqual(refused);
  noteUnsaved(note('edit-2'));
  await clearUnsaved('a', 'edit-1', d);
  expect(holdsUnkept()).toBe(true);
  await clearUnsaved('a', 'edit-2', d);
  expect(holdsUnkept()).toBe(false);
});
