import { execFileSync } from 'node:child_process';
import { demoShop } from '../demo/demoShop';
import { newRun } from '../plan/press/newRun';
import { plan } from '../plan/plan';
import { laneOf } from '../run/board';
import { paceFrom, timedSteps, type PaceOf } from '../run/pace';
import { toCome, withState } from '../run/pieces';
import { cycleOf } from '../run/run';
import { openBetween } from '../schedule/calendar';
import { boardProblem, forecast, lastOutS } from '../schedule/forecast';
import { simulateSchedule } from '../schedule/simulate';
import { wrongs } from '../schedule/testCheck';
import { DEFAULT_DAY, type DaySettings } from '../shop/day';
import type { Run } from '../shop/run';
import type { Shop } from '../shop/shop';
import { finish } from '../basics/steps';
import { dayPlan, earlierWindows, planDay, type DayPlan } from './dayPlan';
import { createJobBases } from './jobWork';
import { jobWants } from './jobWants';
import { dueMs, stretches, workingWindows } from './hours';
import { blocksOf, type Task } from './tasks';
import { answer, latestStart } from './whatIf';

/** A Friday at nine. */
const NOW = new Date(2026, 10, 27, 9, 0).getTime();
const DEMO = demoShop(new Date(NOW));
const jobsOf = (...ids: string[]) => DEMO.jobs.filter((j) => ids.includes(j.id));
const withDay = (day: Partial<DaySettings>, shop: Shop = DEMO.shop): Shop => ({
  ...shop,
  settings: { ...shop.settings, day: { ...shop.settings.day, ...day } },
});
const planned = (
  shop: Shop,
  jobs = jobsOf('constellation-mugs', 'slate-trail-markers'),
  nowMs = NOW,
): DayPlan => dayPlan({ shop, jobs, proven: {}, nowMs, spoilage: {}, sheets: {}, plays: 40 });

describe('opening hours', () => {
  test('a day is its hours less its breaks', () => {
    expect(
      stretches({ fromMin: 540, toMin: 1020 }, [
        { name: 'Lunch', hours: { fromMin: 720, toMin: 750 } },
        { name: 'Early', hours: { fromMin: 500, toMin: 550 } },
        { name: 'Night', hours: { fromMin: 1100, toMin: 1200 } },
      ]),
    ).toEqual([
      { fromMin: 550, toMin: 720 },
      { fromMin: 750, toMin: 1020 },
    ]);
  });

  test('from a Friday noon there is the afternoon, then Monday', () => {
    const noon = new Date(2026, 10, 27, 12, 15).getTime();
    const windows = workingWindows(DEFAULT_DAY, noon, 4);
    expect(windows.map((w) => new Date(noon + w.fromS * 1000).toString().slice(0, 21))).toEqual([
      'Fri Nov 27 2026 12:30',
      'Mon Nov 30 2026 09:00',
      'Mon Nov 30 2026 12:30',
    ]);
    expect(openBetween(windows, 0, 4 * 86_400)).toBe((4.5 + 3 + 4.5) * 3600);
    expect(openBetween(workingWindows(DEFAULT_DAY, noon, 4, 60), 0, 4 * 86_400)).toBe((4.5 + 4 + 4.5) * 3600);
  });

  test('a job is due at its time, else at closing, else at five', () => {
    const at = (dueOn: string, min: number | null) => {
      const due = dueMs(DEFAULT_DAY, dueOn, min);
      return due === null ? '' : new Date(due).toString().slice(0, 21);
    };
    expect(at('2026-11-30', 600)).toBe('Mon Nov 30 2026 10:00');
    expect(at('2026-11-30', null)).toBe('Mon Nov 30 2026 17:00');
    expect(at('2026-11-29', null)).toBe('Sun Nov 29 2026 17:00');
    expect(dueMs(DEFAULT_DAY, null, null)).toBeNull();
  });

  test('a job due at ten is due at ten by the clock on the wall on days when clocks change', () => {
    // A program of its own: the clock of this one cannot be moved to another place.
    const code = `
      import { dueMs } from './src/core/day/hours';
      import { DEFAULT_DAY } from './src/core/shop/day';
      console.log(JSON.stringify(['2026-11-01', '2026-03-08'].map((d) => dueMs(DEFAULT_DAY, d, 600))));`;
    const said = execFileSync('node_modules/.bin/tsx', ['-e', code], {
      env: { ...process.env, TZ: 'America/New_York' },
      encoding: 'utf8',
    });
    // The end of daylight saving time: 10:00 is 15:00 UTC by then. Its beginning: 14:00 UTC.
    expect(JSON.parse(said)).toEqual([Date.UTC(2026, 10, 1, 15), Date.UTC(2026, 2, 8, 14)]);
  });
});

describe('the demo’s day', () => {
  const day = planned(withDay({ hands: 2 }), [...DEMO.jobs]);
  test('holds every job, and breaks nothing a schedule must keep to', () => {
    expect(day.jobs).toHaveLength(DEMO.jobs.length);
    expect(day.leftOut).toEqual([]);
    const outcome = simulateSchedule(day.problem, day.policy, { keep: true });
    expect(wrongs(day.problem, outcome)).toEqual([]);
    expect(day.makespanS).toBe(outcome.makespanS);
    expect(day.bound.leastS).toBeLessThanOrEqual(day.makespanS);
    expect(day.spread.ninetyS).toBeGreaterThanOrEqual(day.spread.usualS);
  });

  test('every piece is on the line of a press, and everything pressed on that of cooling', () => {
    const pressed = day.lines
      .filter((l) => l.kind === 'press')
      .flatMap((l) => l.bars.filter((b) => b.kind === 'press'));
    const pieces = DEMO.jobs.reduce((s, j) => s + (j.art.names ? 24 : j.pieces), 0);
    expect(pressed.reduce((s, b) => s + b.count, 0)).toBe(pieces);
    const cooled = day.lines.find((l) => l.kind === 'cooling')?.bars ?? [];
    expect(cooled.reduce((s, b) => s + b.count, 0)).toBe(pieces);
  });

  test('the tasks of the people press, tape and finish every piece once', () => {
    const tasks = day.tasks.flat();
    day.problem.work.forEach((w, work) => {
      const of = (kind: Task['kind']) =>
        tasks.reduce((s, k) => (k.work === work && k.kind === kind ? s + k.pieces : s), 0);
      expect([of('prepare'), of('press'), of('finish')]).toEqual([
        w.pieces - w.taped,
        w.pieces,
        w.pieces + w.toFinish,
      ]);
    });
    // A lane is read, not counted: far fewer blocks than things done.
    const { done } = simulateSchedule(day.problem, day.policy, { keep: true });
    const blocks = day.tasks.flatMap((own) => blocksOf(own));
    expect(blocks.length).toBeLessThan(0.06 * done.filter((d) => d.person !== null).length);
    for (const tier of [true, false])
      for (const own of day.tasks.map((k) => blocksOf(k).filter((b) => b.atPress === tier)))
        own.slice(1).forEach((b, i) => expect(b.fromS).toBeGreaterThan(own[i]?.toS ?? Infinity));
  });

  test('every piece is taped once and finished once on the lines of the people, however often work is put down', () => {
    // One pair of hands at four presses is called away all the time.
    const busy = planned(withDay({ hands: 1 }), [...DEMO.jobs]);
    const bars = busy.lines.filter((l) => l.kind === 'hands').flatMap((l) => l.bars);
    const pauses = simulateSchedule(busy.problem, busy.policy, { keep: true }).done.filter(
      (d) => d.kind === 'tape',
    );
    const parts = new Set(pauses.map((d) => `${String(d.work)} ${d.part}`));
    expect(pauses.length).toBeGreaterThan(parts.size);
    busy.problem.work.forEach((w, work) => {
      const of = (kind: 'tape' | 'finish') =>
        bars.reduce((s, b) => (b.work === work && b.kind === kind ? s + b.count : s), 0);
      expect([busy.jobs[work]?.name, of('tape'), of('finish')]).toEqual([
        busy.jobs[work]?.name,
        w.pieces - w.taped,
        w.pieces + w.toFinish,
      ]);
    });
  });

  test('one more pair of hands, or an earlier start, never ends later', () => {
    expect(answer(day.problem, day.policy, { kind: 'person' }).makespanS).toBeLessThanOrEqual(day.makespanS);
    const windows = earlierWindows(withDay({ hands: 2 }), NOW + 8 * 3600_000, 30, 60);
    expect(windows[0]?.fromS).toBeGreaterThan(0);
    const more = answer(day.problem, day.policy, { kind: 'more', work: 2, pieces: 24 });
    expect(more.makespanS).toBeGreaterThan(day.makespanS);
    expect(answer(day.problem, day.policy, { kind: 'press', press: 1 }).makespanS).toBeLessThanOrEqual(
      day.makespanS,
    );
  });
});

test('a job in danger says the latest it can be begun, and begun then it is in time', () => {
  const [mugs] = jobsOf('constellation-mugs');
  if (!mugs) throw new Error('no mugs');
  // 18 mugs take one pair of hands about two and a half hours.
  const soon = { ...mugs, dueOn: '2026-11-27', day: { ...mugs.day, dueAtMin: 13 * 60 } };
  const day = planned(withDay({ hands: 1 }), [soon, ...jobsOf('slate-trail-markers')]);
  const work = day.jobs.findIndex((j) => j.id === mugs.id);
  const latest = latestStart(day.problem, day.policy, work, 1);
  if (latest === null) throw new Error('late already');
  expect(latest).toBeGreaterThan(0);
  const endAt = (fromS: number) => {
    const held = {
      ...day.problem,
      work: day.problem.work.map((w, i) =>
        i === work ? { ...w, releaseS: fromS, routes: w.routes.map((r) => ({ ...r, fromS })) } : w,
      ),
    };
    const order = [work, ...day.policy.order.filter((x) => x !== work)];
    return simulateSchedule(held, { ...day.policy, order }).endS[work] ?? Infinity;
  };
  const dueS = day.jobs[work]?.dueS ?? 0;
  expect(endAt(latest)).toBeLessThanOrEqual(dueS);
  expect(endAt(latest + 1200)).toBeGreaterThan(dueS);
});

describe('a press that a person chose', () => {
  test('is taken, from that moment on', () => {
    const [slates] = jobsOf('slate-trail-markers');
    if (!slates) throw new Error('no slates');
    const from = NOW + 2 * 3600_000;
    const pinned = { ...slates, day: { ...slates.day, pins: [{ pressId: 'flat-press-b', from }] } };
    const day = planned(DEMO.shop, [pinned]);
    const [line] = day.lines.filter((l) => l.kind === 'press');
    expect(day.presses).toEqual([{ id: 'flat-press-b', name: 'Wide flat press B', kind: 'flat' }]);
    const first = line?.bars.find((b) => b.kind === 'press');
    expect(first?.fromS).toBeGreaterThanOrEqual(2 * 3600 - 1);
    expect(first?.fromS).toBeLessThan(2 * 3600 + 900);
  });
});

describe('what really happened at the press', () => {
  const [job] = jobsOf('constellation-mugs');
  if (!job) throw new Error('no mugs');
  const started = newRun(job, plan(job, DEMO.shop), { id: 'run-1', startedAt: NOW - 3600_000 });
  if (!started) throw new Error('no run');
  const cycle = cycleOf(started);
  /** So many mugs through, and the next loaded and closed. */
  const gone = (through: number): Run => {
    const events: Run['events'] = [];
    const queue = started.queue ?? [];
    for (let p = 0; p < through; p += 1)
      cycle.forEach((o, i) =>
        events.push({
          kind: 'done',
          at: NOW - (through - p) * 400_000 + i * 1000,
          operationId: o.id,
          ...(i === cycle.length - 1 ? { next: queue.slice(p + 1, p + 2) } : {}),
        }),
      );
    for (const o of cycle.slice(0, 2)) events.push({ kind: 'done', at: NOW - 10_000, operationId: o.id });
    return { ...started, events };
  };
  test('what is pressed is not pressed again, and the press goes on with what is in it', () => {
    const day = planned({ ...DEMO.shop, runs: [gone(5)] }, [job]);
    expect(day.jobs[0]).toMatchObject({ toPress: 12, pieces: 18 });
    expect(day.problem.work[0]).toMatchObject({ pieces: 12, toFinish: 5 });
    expect(day.problem.presses[0]).toMatchObject({ hotFromS: 0, inPress: { pieces: 1, segment: 1 } });
    // Closed ten seconds ago: what is left until hands are wanted again is the wait and the press, less those.
    const next = cycle.findIndex((o, i) => i > 2 && o.resource === 'hands');
    const waitS = cycle.slice(2, next).reduce((s, o) => s + o.plannedS, 0);
    expect(day.problem.presses[0]?.inPress?.leftS).toBeCloseTo(waitS - 10, 6);
    expect(day.past[0]?.bars).toHaveLength(5);
    const all = planned(DEMO.shop, [job]);
    expect(day.makespanS).toBeLessThan(all.makespanS);
  });

  test.each([0, 5, 12, 17])(
    'with %i mugs through, the board at the press foretells the same end as the day',
    (through) => {
      const run = gone(through);
      const shop = withDay({ hands: 2, breaks: [] }, { ...DEMO.shop, runs: [run] });
      const day = planned(shop, [job]);
      const [out] = lastOutS(day.problem, simulateSchedule(day.problem, day.policy, { keep: true }));
      const all = shop.runs.map(withState);
      const pace = paceFrom(timedSteps(all));
      const steady: PaceOf = (...of) => ({ ...pace(...of), logSd: 0 });
      const lanes = all.flatMap((r) => laneOf(r, NOW, steady) ?? []);
      const left = new Map([[job.id, toCome(all)]]);
      const board = forecast(boardProblem(lanes, left, steady, 2));
      expect(board.runs[run.id]?.usualS).toBeCloseTo(out ?? NaN, 6);
      expect(board.usualS).toBeGreaterThan((17 - through) * 200);
    },
  );

  test('a job held back is left out, but for one that is on', () => {
    const held = { ...job, day: { ...job.day, waits: true } };
    expect(planned(DEMO.shop, [held]).leftOut).toMatchObject([{ left: { why: 'waits' } }]);
    expect(planned({ ...DEMO.shop, runs: [gone(2)] }, [held]).jobs).toHaveLength(1);
  });

  test('a job that is packed is no longer in the day', () => {
    const packed = { ...job, finish: { ...job.finish, packed: 18 } };
    expect(planned(DEMO.shop, [packed])).toMatchObject({ jobs: [], leftOut: [{ left: { why: 'packed' } }] });
  });
});

test('jobs want their blanks, their paper, their tape and their parts the day before they are due', () => {
  const { items } = DEMO.books;
  const wants = jobWants({
    shop: DEMO.shop,
    jobs: DEMO.jobs,
    items,
    proven: {},
    spoilage: { 'constellation-mugs': 0.1 },
    sheets: {},
  });
  const of = (jobId: string) =>
    Object.fromEntries(wants.filter((w) => w.jobId === jobId).map((w) => [w.itemId, w.count]));
  // 18 mugs of which one in ten is spoiled: 20; nine sheets for 18 of two a sheet, ten for 20.
  expect(of('constellation-mugs')).toMatchObject({ 'shelf-mug-325': 20, 'shelf-letter': 10 });
  expect(of('star-map-panel')).toMatchObject({ 'shelf-panel-400-600': 1, 'shelf-hanger': 2 });
  expect(wants.find((w) => w.jobId === 'constellation-mugs')?.by).toBe('2026-12-02');
  // Nothing of what is packed.
  const packed = DEMO.jobs.map((j) => ({ ...j, finish: { ...j.finish, packed: j.pieces } }));
  expect(jobWants({ shop: DEMO.shop, jobs: packed, items, proven: {}, spoilage: {}, sheets: {} })).toEqual(
    [],
  );
});

test('sheets said to be printed are neither needed from stock nor printed again', () => {
  const jobs = jobsOf('constellation-mugs');
  const prints = (sheets: Readonly<Record<string, number>>) =>
    dayPlan({ shop: DEMO.shop, jobs, proven: {}, nowMs: NOW, spoilage: {}, sheets, plays: 1 });
  const paper = (sheets: Readonly<Record<string, number>>) =>
    jobWants({ shop: DEMO.shop, jobs, items: DEMO.books.items, proven: {}, spoilage: {}, sheets }).find(
      (w) => w.itemId === 'shelf-letter',
    )?.count ?? 0;
  // 18 mugs, two a sheet.
  expect(paper({})).toBe(9);
  expect(paper({ 'constellation-mugs': 4 })).toBe(5);
  expect(paper({ 'constellation-mugs': 9 })).toBe(0);
  expect(paper({ 'constellation-mugs': 40, other: 3 })).toBe(0);
  expect(prints({}).problem.work[0]).toMatchObject({ sheets: 9, cut: 0 });
  expect(prints({ 'constellation-mugs': 4 }).problem.work[0]).toMatchObject({ sheets: 5, cut: 8 });
  expect(prints({ 'constellation-mugs': 9 }).makespanS).toBeLessThan(prints({}).makespanS);
});

describe('a plan from what jobs took before', () => {
  const FEW = jobsOf('constellation-mugs', 'slate-trail-markers', 'star-map-panel');
  const ask = (change: Partial<Parameters<typeof dayPlan>[0]> = {}) =>
    // As a worker gets it: a copy each time.
    structuredClone({
      shop: DEMO.shop,
      jobs: FEW,
      proven: {},
      nowMs: NOW,
      spoilage: {},
      sheets: {},
      plays: 20,
      ...change,
    });
  test('is the same as one from nothing, whatever changed in between', () => {
    const bases = createJobBases();
    const [first, ...others] = FEW;
    if (!first) throw new Error('no jobs');
    const fewer = { ...DEMO.shop, presses: DEMO.shop.presses.slice(1) };
    for (const change of [
      {},
      {},
      { jobs: [{ ...first, pieces: first.pieces + 5 }, ...others] },
      { shop: fewer },
      { shop: { ...DEMO.shop, settings: { ...DEMO.shop.settings, day: { ...DEFAULT_DAY, printA4S: 300 } } } },
      {},
    ])
      expect(finish(planDay(ask(change), 'whole', null, bases))).toEqual(dayPlan(ask(change)));
  });

  test('a first look holds what is on and what is due soon, and says how much is left for later', () => {
    const jobs = Array.from({ length: 60 }, (_, i) => {
      const of = DEMO.jobs[i % DEMO.jobs.length];
      if (!of) throw new Error('no job');
      return { ...of, id: `j${i}`, dueOn: i < 30 ? '2027-03-01' : '2026-12-03' };
    });
    const look = finish(planDay(ask({ jobs }), 'first plan', null, createJobBases()));
    expect(look.jobs.map((j) => j.id)).toEqual(jobs.slice(30).map((j) => j.id));
    expect(look.later).toBe(30);
    const few = finish(planDay(ask({ jobs: jobs.slice(0, 25) }), 'first plan', null, createJobBases()));
    expect([few.jobs.length, few.later]).toEqual([20, 5]);
  });
});

describe('what is wrong is said, and nothing is lost', () => {
  test('nobody to work', () => {
    const day = planned(withDay({ hands: 0 }));
    expect(day.makespanS).toBe(Infinity);
    expect(day.jobs).toHaveLength(2);
  });

  test('no presses', () => {
    const day = planned({ ...DEMO.shop, presses: [] });
    expect(day.jobs).toEqual([]);
    expect(day.leftOut.map((l) => l.left.why)).toEqual(['no-press', 'no-press']);
  });

  test('due yesterday: it is late however soon it is begun', () => {
    const [mugs] = jobsOf('constellation-mugs');
    if (!mugs) throw new Error('no mugs');
    const day = planned(DEMO.shop, [{ ...mugs, dueOn: '2026-11-26' }]);
    expect(day.jobs[0]).toMatchObject({ inTime: 0, latestS: null });
    expect(day.score.late).toBe(1);
  });

  test('10,000 pieces: planned over as many days as it takes', () => {
    const [mugs] = jobsOf('constellation-mugs');
    if (!mugs) throw new Error('no mugs');
    const day = dayPlan({
      shop: DEMO.shop,
      jobs: [{ ...mugs, pieces: 10_000 }],
      proven: {},
      nowMs: NOW,
      spoilage: {},
      sheets: {},
      plays: 1,
    });
    expect(Number.isFinite(day.makespanS)).toBe(true);
    expect(day.makespanS).toBeGreaterThan(100 * 86_400);
  });

  test('a breaker smaller than one press: the press is left out, with what it draws', () => {
    const circuit = {
      id: 'c',
      name: 'Circuit 1',
      ratingA: 6,
      volts: 230,
      continuousPct: 80,
      otherA: 0,
      pressIds: ['flat-press-a'],
    };
    const day = planned(withDay({ circuits: [circuit] }), jobsOf('slate-trail-markers'));
    // 1,800 W of 230 V.
    expect(day.overloaded).toMatchObject([
      { pressName: 'Flat press A', carriesA: expect.closeTo(4.8, 9) as number },
    ]);
    expect(day.overloaded[0]?.drawsA).toBeCloseTo(1800 / 230, 6);
    const used = day.lines
      .filter((l) => l.kind === 'press' && l.bars.length > 0)
      .map((l) => day.presses[l.index]?.id);
    expect(used).toEqual(['flat-press-b']);
  });

  test('two on one circuit: never more than it carries', () => {
    const circuit = {
      id: 'c',
      name: 'Circuit 2',
      ratingA: 12,
      volts: 230,
      continuousPct: 80,
      otherA: 0.5,
      pressIds: ['flat-press-a', 'mug-press'],
    };
    const day = planned(withDay({ circuits: [circuit], hands: 2 }));
    expect(day.circuits[0]?.carriesA).toBeCloseTo(9.6, 9);
    expect(day.circuits[0]?.mostA).toBeLessThanOrEqual(9.6);
    // The flat press warms up at its full 1,800 W.
    expect(day.circuits[0]?.mostA).toBeGreaterThanOrEqual(0.5 + 1800 / 230 - 1e-9);
    const mugA = day.problem.presses.find((p) => p.id === 'mug-press')?.warmA ?? 0;
    expect(day.circuits[0]?.togetherA).toBeCloseTo(0.5 + 1800 / 230 + mugA, 6);
  });
});
