import type { Done, Outcome, ScheduleInput } from './problem';

/*
 * What every schedule must keep to, checked from its list of what was done and from the problem alone: nothing here is shared with the
 * simulation.
 */

const NEAR = 1e-6;

const overlaps = (list: readonly { readonly fromS: number; readonly toS: number }[]): boolean => {
  const sorted = [...list].sort((a, b) => a.fromS - b.fromS || a.toS - b.toS);
  return sorted.some((x, i) => i > 0 && x.fromS < (sorted[i - 1]?.toS ?? 0) - NEAR);
};

const lasts = (list: readonly Done[]): number => list.reduce((s, d) => s + d.toS - d.fromS, 0);
const ends = (list: readonly Done[]): number => Math.max(...list.map((d) => d.toS));
const begins = (list: readonly Done[]): number => Math.min(...list.map((d) => d.fromS));

function groups(done: readonly Done[], key: (d: Done) => string): ReadonlyMap<string, readonly Done[]> {
  const map = new Map<string, Done[]>();
  for (const d of done) map.set(key(d), [...(map.get(key(d)) ?? []), d]);
  return map;
}

/** Counts something that rises by steps, at a moment: what has come before or at it. */
const upTo = (steps: readonly { readonly atS: number; readonly n: number }[], atS: number): number =>
  steps.reduce((s, x) => (x.atS <= atS + NEAR ? s + x.n : s), 0);

function resources(problem: ScheduleInput, done: readonly Done[]): string[] {
  const wrong: string[] = [];
  for (const [who, list] of groups(
    done.filter((d) => d.person !== null),
    (d) => String(d.person),
  )) {
    if (Number(who) >= problem.people) wrong.push(`person ${who} does not work here`);
    if (overlaps(list)) wrong.push(`person ${who} does two things at once`);
  }
  for (const [press, list] of groups(
    done.filter((d) => d.press !== null),
    (d) => String(d.press),
  )) {
    if (overlaps(list)) wrong.push(`press ${press} holds two loads at once`);
    const steps = [...list].sort((a, b) => a.fromS - b.fromS).map((d) => d.kind);
    if (steps.some((k, i) => k === 'set' && i > 0 && ['set', 'change'].includes(steps[i - 1] ?? '')))
      wrong.push(`press ${press} is set twice without a load between`);
  }
  for (const [printer, list] of groups(
    done.filter((d) => d.printer !== null),
    (d) => String(d.printer),
  ))
    if (overlaps(list)) wrong.push(`printer ${printer} prints two sheets at once`);
  const cooling = done.filter((d) => d.kind === 'cool');
  for (const c of cooling) {
    const n = cooling.filter((x) => x.fromS <= c.fromS + NEAR && x.toS > c.fromS + NEAR).length;
    if (n > problem.coolingPlaces) wrong.push(`${n} loads cool in ${problem.coolingPlaces} places`);
  }
  return wrong;
}

/** No load is in a press while nobody is there, unless it was as the plan began or no stretch is long enough for it. */
function outInTime(problem: ScheduleInput, done: readonly Done[]): string[] {
  const longest = Math.max(...problem.windows.map((w) => w.toS - w.fromS));
  const loads = groups(
    done.filter((d) => (d.kind === 'hands' || d.kind === 'press') && d.part >= 0),
    (d) => `${String(d.work)} ${d.part}`,
  );
  return [...loads].flatMap(([name, list]) => {
    const route = problem.work[list[0]?.work ?? -1]?.routes.find((r) => r.press === list[0]?.press);
    const takesS = (route?.cycle ?? []).reduce((s, x) => s + x.s, 0);
    const [from, to] = [begins(list), ends(list)];
    const w = problem.windows.find((x) => x.fromS - NEAR <= from && from <= x.toS + NEAR);
    return takesS <= longest && w && to > w.toS + NEAR
      ? [`load ${name} is out ${Math.round(to - w.toS)} s after everybody should have left`]
      : [];
  });
}

/** Hands away from the press work only while somebody is there; presses are loaded only then. */
function hours(problem: ScheduleInput, done: readonly Done[]): string[] {
  const within = (fromS: number, toS: number) =>
    problem.windows.some((w) => w.fromS - NEAR <= fromS && toS <= w.toS + NEAR);
  return done
    .filter((d) => d.kind === 'trim' || d.kind === 'tape' || d.kind === 'finish')
    .filter((d) => !within(d.fromS, d.toS))
    .map((d) => `${d.kind} of job ${String(d.work)} at ${d.fromS} while nobody is there`);
}

function circuits(problem: ScheduleInput, outcome: Outcome): string[] {
  const wrong: string[] = [];
  const moments = outcome.on.flatMap((o) => [o.fromS, o.hotS]);
  problem.circuits.forEach((c, index) => {
    for (const t of moments) {
      const drawn = outcome.on
        .filter((o) => problem.presses[o.press]?.circuit === index && o.fromS <= t + NEAR && o.toS > t + NEAR)
        .reduce((s, o) => {
          const p = problem.presses[o.press];
          return s + (t + NEAR < o.hotS ? (p?.warmA ?? 0) : (p?.holdA ?? 0));
        }, c.otherA);
      if (drawn > c.carriesA + NEAR) wrong.push(`circuit ${c.id} draws ${drawn} A of ${c.carriesA} at ${t}`);
    }
  });
  return wrong;
}

/** Loads of one job: each through every step in order and for as long as it takes, on one press that is hot. */
function loads(problem: ScheduleInput, outcome: Outcome, work: number): string[] {
  const wrong: string[] = [];
  const w = problem.work[work];
  if (!w) return wrong;
  const of = outcome.done.filter((d) => d.work === work);
  for (const [part, list] of groups(
    of.filter((d) => d.kind === 'hands' || d.kind === 'press'),
    (d) => String(d.part),
  )) {
    const route = w.routes.find((r) => r.press === list[0]?.press);
    if (!route || list.some((d) => d.press !== route.press)) {
      wrong.push(`load ${part} of job ${work} changes its press`);
      continue;
    }
    const steps = [...list].sort((a, b) => a.fromS - b.fromS);
    if (steps.length !== route.cycle.length) wrong.push(`load ${part} of job ${work} misses a step`);
    steps.forEach((d, i) => {
      const s = route.cycle[i];
      if (!s || Math.abs(d.toS - d.fromS - s.s) > 1e-3 || (d.kind === 'hands') !== s.hands)
        wrong.push(`step ${i} of load ${part} of job ${work} is not as its cycle says`);
    });
    const [from, to] = [begins(list), ends(list)];
    if (!outcome.on.some((o) => o.press === route.press && o.hotS <= from + NEAR && o.toS >= to - NEAR))
      wrong.push(`load ${part} of job ${work} is in a press that is not hot`);
    if (from < route.fromS - NEAR) wrong.push(`load ${part} of job ${work} begins before it may`);
    if ((list[0]?.pieces ?? 0) > route.atOnce) wrong.push(`load ${part} of job ${work} holds too many`);
    const cool = of.find((d) => d.kind === 'cool' && String(d.part) === part);
    if (!cool || cool.fromS < to - NEAR || cool.toS - cool.fromS < w.coolS - 1e-3)
      wrong.push(`load ${part} of job ${work} is not left to cool`);
  }
  return wrong;
}

/** No step before what it is made of: counted, since pieces of a job are alike. */
function causes(problem: ScheduleInput, outcome: Outcome, work: number): string[] {
  const wrong: string[] = [];
  const w = problem.work[work];
  if (!w) return wrong;
  const of = (kind: Done['kind']) => outcome.done.filter((d) => d.work === work && d.kind === kind);
  const parts = (kind: Done['kind']) =>
    [...groups(of(kind), (d) => String(d.part)).values()].map((list) => ({
      fromS: begins(list),
      toS: ends(list),
      tookS: lasts(list),
      pieces: list[0]?.pieces ?? 0,
    }));
  const trims = parts('trim');
  const tapes = parts('tape');
  const loaded = [...groups([...of('hands'), ...of('press')], (d) => String(d.part)).values()].map((l) => ({
    fromS: begins(l),
    pieces: l[0]?.pieces ?? 0,
  }));
  const finishes = parts('finish');
  const ready = w.dryS > 0 ? of('dry') : of('print');
  const dryAt = ready.map((d) => ({ atS: d.toS, n: 1 }));
  for (const t of trims)
    if (trims.filter((x) => x.fromS <= t.fromS).length > upTo(dryAt, t.fromS))
      wrong.push(`a sheet of job ${work} is cut before it is dry`);
  const cutAt = trims.map((t) => ({ atS: t.toS, n: t.pieces }));
  for (const t of tapes) {
    const begun = tapes.reduce((s, x) => (x.fromS <= t.fromS ? s + x.pieces : s), 0);
    if (begun > w.cut + upTo(cutAt, t.fromS)) wrong.push(`a piece of job ${work} is taped before it is cut`);
    if (Math.abs(t.tookS - t.pieces * w.prepareS) > 1e-3)
      wrong.push(`taping of job ${work} takes another time`);
  }
  const tapedAt = tapes.map((t) => ({ atS: t.toS, n: t.pieces }));
  for (const l of loaded) {
    const gone = loaded.reduce((s, x) => (x.fromS <= l.fromS ? s + x.pieces : s), 0);
    if (gone > w.taped + upTo(tapedAt, l.fromS))
      wrong.push(`a piece of job ${work} is pressed before it is taped`);
  }
  const coolAt = of('cool').map((d) => ({ atS: d.toS, n: d.pieces }));
  for (const f of finishes) {
    const begun = finishes.reduce((s, x) => (x.fromS <= f.fromS ? s + x.pieces : s), 0);
    if (begun > w.toFinish + upTo(coolAt, f.fromS))
      wrong.push(`a piece of job ${work} is finished while it is hot`);
  }
  const counts = {
    print: of('print').length - w.sheets,
    pressed: loaded.reduce((s, l) => s + l.pieces, 0) - w.pieces,
    finished: finishes.reduce((s, f) => s + f.pieces, 0) - w.pieces - w.toFinish,
  };
  for (const [what, off] of Object.entries(counts))
    if (w.finishS > 0 && off !== 0) wrong.push(`job ${work}: ${what} is off by ${off}`);
  if (of('print').some((d) => d.fromS < w.releaseS - NEAR)) wrong.push(`job ${work} is printed too soon`);
  return wrong;
}

/** Everything a schedule does that it may not; empty for a right one. Jobs no press takes are left out. */
export function wrongs(problem: ScheduleInput, outcome: Outcome): readonly string[] {
  const going = problem.work.flatMap((w, i) => (w.routes.length > 0 ? [i] : []));
  return [
    ...resources(problem, outcome.done),
    ...hours(problem, outcome.done),
    ...outInTime(problem, outcome.done),
    ...circuits(problem, outcome),
    ...going.flatMap((i) => [...loads(problem, outcome, i), ...causes(problem, outcome, i)]),
    ...going.filter((i) => !Number.isFinite(outcome.endS[i])).map((i) => `job ${i} is never packed`),
  ];
}
