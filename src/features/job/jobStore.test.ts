import 'fake-indexeddb/auto';
import { newJob } from '@/core/job/job';
import { addJob, openJob, saveJob } from '@/data/jobs';
import { createJobStore, type JobStore } from './jobStore';
import { createSaver } from './saver';

const rename = (name: string) => (job: ReturnType<typeof newJob>) => ({ ...job, name });

describe('undo and redo', () => {
  let now = 0;
  const fresh = (): JobStore => createJobStore(newJob('a', 'first'), () => now);
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

  test('a drag is one step, however many moves it made; a pause starts another', () => {
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
  const begin = async (id: string) => {
    await addJob(newJob(id, 'first'));
    const store = createJobStore(newJob(id, 'first'));
    return { store, saver: createSaver(store, 1, false, instant) };
  };
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
    await saveJob({ ...newJob('s3', 'theirs') }, 1);
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
    await saveJob({ ...newJob('s4', 'theirs') }, 1);
    const record = await openJob('s4');
    if (!record) throw new Error('gone');
    saver.seen(record);
    expect(store.getState().job.name).toBe('theirs');
    expect(saver.state.getState().save.kind).toBe('saved');
  });

  test('leaving writes what is still unwritten', async () => {
    const { store, saver } = await begin('s5');
    store.getState().edit(rename('last word'));
    saver.stop();
    await settled();
    expect(await stored('s5')).toBe('last word');
  });

  test('a job out of range is not written, and the reason is said', async () => {
    const { store, saver } = await begin('s6');
    store.getState().edit((j) => ({ ...j, pieces: 0 }));
    await settled();
    const { save } = saver.state.getState();
    expect(save.kind === 'failed' && save.problem.what).toBe('At least one piece.');
    expect(await stored('s6')).toBe('first');
  });
});
