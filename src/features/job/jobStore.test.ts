import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import 'fake-indexeddb/auto';
import { newJob } from '@/core/job/job';
import { readUnsaved, saveIdOf, type Note } from '@/data/journal';
import { addJob, openJob, removeJob, saveJob } from '@/data/jobs';
import { createJobStore, type JobStore } from './jobStore';
import { createSaver } from './saver';

const rename = (name: string) => (job: ReturnType<typeof newJob>) => ({ ...job, name });

describe('undo and redo', () => {
  let now = 0;
  let drag: number | null = null;
  const fresh = (): JobStore => createJobStore(newJob('a', 'first'), { now: () => now, drag: () => drag });
  const undo = (s: JobStore) => s.temporal.getState().undo();
  const redo = (s: JobStore) => s.temporal.getState().redo();
  const name = (s: JobStore) => s.getState().job.name;

  test('each edit is a step', () => {
    const s = fresh();
    s.getState().edit(rename('second'));
    s.getState().edit(rename('third'));
    undo(s);
    expect(name(s)).toBe('second');
    undo(s);
    expect(name(s)).toBe('first');
    redo(s);
    redo(s);
    expect(name(s)).toBe('third');
  });

  test('a drag held for long between its moves is one step, and the next drag is another', () => {
    const s = fresh();
    for (drag of [1, 2])
      for (let i = 0; i < 3; i += 1) {
        now += 5000;
        s.getState().edit(rename(`drag ${drag}, move ${i}`), 'edge');
      }
    drag = null;
    undo(s);
    expect(name(s)).toBe('drag 1, move 2');
    undo(s);
    expect(name(s)).toBe('first');
  });

  test('edits of one group are one step while they follow each other; a pause starts another', () => {
    const s = fresh();
    for (let i = 0; i < 20; i += 1) {
      now += 100;
      s.getState().edit(rename(`drag ${i}`), 'drag');
    }
    now += 5000;
    s.getState().edit(rename('again'), 'drag');
    undo(s);
    expect(name(s)).toBe('drag 19');
    undo(s);
    expect(name(s)).toBe('first');
  });

  test('an edit that changes nothing leaves no step, and an adopted job none to undo', () => {
    const s = fresh();
    s.getState().edit((j) => j);
    expect(s.temporal.getState().pastStates).toHaveLength(0);
    s.getState().edit(rename('mine'));
    s.getState().adopt(newJob('a', 'theirs'));
    expect(name(s)).toBe('theirs');
    expect(s.temporal.getState().pastStates).toHaveLength(0);
  });
});

describe('saving as it is edited', () => {
  const instant = { later: (f: () => void) => setTimeout(f, 0), cancel: clearTimeout };
  const settled = () => new Promise((resolve) => setTimeout(resolve, 60));
  /** Writing takes as long as the machine needs. */
  const eventually = async (check: () => Promise<void>): Promise<void> => {
    for (let i = 0; i < 200; i += 1) {
      try {
        return await check();
      } catch {
        await new Promise((resolve) => setTimeout(resolve, 20));
      }
    }
    return check();
  };
  const begin = async (id: string) => {
    await addJob(newJob(id, 'first'));
    const store = createJobStore(newJob(id, 'first'));
    return { store, saver: createSaver(store, { record: await record(id), unsaved: null }, instant) };
  };
  const record = async (id: string) => {
    const r = await openJob(id);
    if (!r) throw new Error(`no job ${id}`);
    return r;
  };
  const elsewhere = async (id: string) =>
    saveJob(newJob(id, 'theirs'), saveIdOf(await record(id)), `theirs-${id}`);
  const stored = async (id: string) => (await openJob(id))?.job.name;

  test('an edit is written and said to be saved', async () => {
    const { store, saver } = await begin('s1');
    store.getState().edit(rename('second'));
    expect(saver.state.getState().save.kind).toBe('saving');
    await settled();
    expect(saver.state.getState().save.kind).toBe('saved');
    expect(await stored('s1')).toBe('second');
  });

  test('edits made while one is being written are written too', async () => {
    const { store } = await begin('s2');
    for (const n of ['b', 'c', 'd']) {
      store.getState().edit(rename(n));
      await new Promise((resolve) => setTimeout(resolve, 1));
    }
    await settled();
    expect(await stored('s2')).toBe('d');
  });

  test('another tab first: a conflict, theirs untouched until someone chooses', async () => {
    const { store, saver } = await begin('s3');
    await elsewhere('s3');
    store.getState().edit(rename('mine'));
    await settled();
    expect(saver.state.getState().save.kind).toBe('conflict');
    expect(await stored('s3')).toBe('theirs');
    expect(store.getState().job.name).toBe('mine');
    saver.takeTheirs();
    expect(store.getState().job.name).toBe('theirs');
    store.getState().edit(rename('after'));
    await settled();
    expect(await stored('s3')).toBe('after');
  });

  test('an idle tab takes over what another one saved', async () => {
    const { store, saver } = await begin('s4');
    await elsewhere('s4');
    saver.seen(await record('s4'));
    expect(store.getState().job.name).toBe('theirs');
    expect(saver.state.getState().save.kind).toBe('saved');
  });

  test('leaving writes what is still unwritten', async () => {
    const { store, saver } = await begin('s5');
    store.getState().edit(rename('last word'));
    saver.stop();
    await eventually(async () => expect(await stored('s5')).toBe('last word'));
  });

  test('edited while a save was being written, then left: written too, and no note is left', async () => {
    const { store, saver } = await begin('s7');
    store.getState().edit(rename('first edit'));
    await new Promise((resolve) => setTimeout(resolve, 1));
    store.getState().edit(rename('second edit'));
    saver.stop();
    await eventually(async () => expect(await stored('s7')).toBe('second edit'));
    await eventually(async () => expect(await readUnsaved('s7')).toBeNull());
  });

  test('a note names the save it follows, and one still being written', async () => {
    const noted: Note[] = [];
    Object.defineProperty(globalThis, 'localStorage', {
      configurable: true,
      value: {
        getItem: () => null,
        removeItem: () => undefined,
        setItem: (_key: string, text: string) => void noted.push(JSON.parse(text) as Note),
      },
    });
    const { store } = await begin('s8');
    const before = saveIdOf(await record('s8'));
    store.getState().edit(rename('first edit'));
    await new Promise((resolve) => setTimeout(resolve, 1));
    store.getState().edit(rename('second edit'));
    await eventually(async () => {
      expect(noted[1]?.id).toBeDefined();
      expect((await record('s8')).saveId).toBe(noted[1]?.id);
    });
    Reflect.deleteProperty(globalThis, 'localStorage');
    const [first, second] = noted;
    expect(first?.over).toEqual([before]);
    // The page may end between the first write and anything else: the second note still follows what is stored.
    expect(second?.over).toContain(first?.id);
  });

  test('taken out in another tab: said, not brought back, until someone chooses', async () => {
    const { store, saver } = await begin('s9');
    await removeJob('s9');
    store.getState().edit(rename('mine'));
    await settled();
    expect(saver.state.getState().save.kind).toBe('removed');
    expect(await stored('s9')).toBeUndefined();
    await saver.putBack();
    expect(await stored('s9')).toBe('mine');
    store.getState().edit(rename('after'));
    await settled();
    expect(await stored('s9')).toBe('after');
  });

  test('a job out of range is not written, and the reason is said', async () => {
    const { store, saver } = await begin('s6');
    store.getState().edit((j) => ({ ...j, pieces: 0 }));
    await settled();
    const { save } = saver.state.getState();
    expect(inEnglish(save.kind === 'failed' && english.text(save.problem.what))).toBe('At least one piece.');
    expect(await stored('s6')).toBe('first');
  });
});
