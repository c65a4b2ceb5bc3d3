import type { Route, LoadStep } from './problem';
import { handFor, pause } from './people';
import { outBy } from './outInTime';
import { inHand, type ScheduledPress, type Sim } from './state';

/** What a circuit would carry with one more press warming up, A. */
function fitsCircuit(sim: Sim, index: number): boolean {
  const line = sim.problem.presses[index];
  const circuit = line && line.circuit !== null ? sim.problem.circuits[line.circuit] : undefined;
  if (!line || !circuit) return true;
  let sumA = circuit.otherA + Math.max(line.warmA, line.holdA);
  for (let i = 0; i < sim.presses.length; i += 1) {
    const other = sim.problem.presses[i];
    const p = sim.presses[i];
    if (i === index || !other || !p || other.circuit !== line.circuit || p.state === 'off') continue;
    sumA += p.state === 'warming' ? other.warmA : other.holdA;
  }
  return sumA <= circuit.carriesA + 1e-9;
}

/** Whether any job still has pieces for a press. */
function wanted(sim: Sim, p: ScheduledPress): boolean {
  for (const r of p.routes) if ((sim.jobs[r.work]?.pool ?? 0) > 0) return true;
  return false;
}

/** When the hands that tape pieces of a job just now are done with them, s, and how many those are. */
function atTape(sim: Sim, work: number): { readonly untilS: number; readonly pieces: number } {
  let [untilS, pieces] = [-1, 0];
  for (const p of sim.people) {
    if (p.item?.kind !== 'tape' || p.item.work !== work) continue;
    untilS = Math.max(untilS, p.endS);
    pieces += p.item.pieces;
  }
  return { untilS, pieces };
}

/**
 * From when a cold press is to warm up for the first load of a job, s: so that it is hot as the load is taped up. Infinite while that takes hands
 * longer than the press, however soon they begin: it is looked at again when something is done.
 */
function warmFrom(sim: Sim, work: number, atOnce: number, warmS: number): number {
  const [job, w] = [sim.jobs[work], sim.problem.work[work]];
  if (!job || !w) return Infinity;
  const need = Math.min(atOnce, job.pool);
  const tapeS = w.prepareS * Math.max(0, need - job.taped);
  const inTime = (handS: number) => (handS <= warmS ? sim.nowS : Infinity);
  if (job.taped >= need) return sim.nowS;
  if (job.cut + job.taped + job.beingTaped >= need) {
    const { untilS, pieces } = atTape(sim, work);
    const left = Math.max(0, need - job.taped - pieces);
    return pieces > 0 ? Math.max(sim.nowS, untilS + w.prepareS * left - warmS) : inTime(tapeS);
  }
  if (job.beingCut > 0 || job.drySheets > 0) return inTime(w.trimS + tapeS);
  const nextDry = job.dry[job.dryFrom];
  if (nextDry !== undefined) return nextDry + w.trimS + tapeS - warmS;
  for (const p of sim.printers) if (p.work === work) return p.untilS + w.dryS + w.trimS + tapeS - warmS;
  return Infinity;
}

/** Turns a cold press on where its first load will be ready by the time it is hot, and its circuit carries it. Gives when to look again. */
export function turnOn(sim: Sim, index: number): number {
  const p = sim.presses[index];
  const line = sim.problem.presses[index];
  if (!p || !line || p.state !== 'off' || !sim.open) return Infinity;
  // Nothing it depends on has changed since it was looked at.
  if (p.stamp === sim.stamp && sim.nowS < p.againS) return p.againS;
  p.stamp = sim.stamp;
  p.againS = Infinity;
  if (!wanted(sim, p) || !fitsCircuit(sim, index)) return Infinity;
  for (const { work, route } of p.routes)
    if ((sim.jobs[work]?.pool ?? 0) > 0)
      p.againS = Math.min(
        p.againS,
        Math.max(warmFrom(sim, work, route.atOnce, line.warmS), route.fromS - line.warmS),
      );
  if (p.againS > sim.nowS) return p.againS;
  sim.stamp += 1;
  p.state = line.warmS > 0 ? 'warming' : 'idle';
  p.onS = sim.nowS;
  p.hotS = sim.nowS + sim.chance.time(line.warmS, 0.05, 'wait');
  return p.hotS;
}

export function turnOff(sim: Sim, index: number): void {
  const p = sim.presses[index];
  if (!p || p.state === 'off') return;
  if (sim.keep) sim.on.push({ press: index, fromS: p.onS, hotS: Math.min(p.hotS, sim.nowS), toS: sim.nowS });
  p.state = 'off';
  p.route = null;
  sim.stamp += 1;
}

/** The segment a press is in begins: with hands it waits for them. */
function enter(sim: Sim, p: ScheduledPress): void {
  const s = p.segments[p.segment];
  p.segmentFromS = sim.nowS;
  p.handled = false;
  if (s?.hands) {
    p.untilS = -1;
    p.waitsSinceS = sim.nowS;
  } else p.untilS = sim.nowS + sim.chance.time(s?.s ?? 0, s?.logSd ?? 0, 'wait');
}

/** Whether it is being set, before the load it is set for. */
const setting = (p: ScheduledPress): boolean => p.segment < p.setSegments;

function note(sim: Sim, index: number, p: ScheduledPress, person: number | null): void {
  if (!sim.keep || sim.nowS <= p.segmentFromS) return;
  sim.done.push({
    kind: setting(p) ? (person === null ? 'change' : 'set') : person === null ? 'press' : 'hands',
    work: p.work,
    part: p.part,
    pieces: setting(p) ? 0 : p.pieces,
    fromS: p.segmentFromS,
    toS: sim.nowS,
    press: index,
    person,
    printer: null,
  });
}

function cooled(sim: Sim, p: ScheduledPress): void {
  const [job, w] = [sim.jobs[p.work], sim.problem.work[p.work]];
  if (!job || !w) return;
  const bad = sim.chance.spoiled(p.pieces, w.spoilage);
  if (bad > 0) {
    // What is spoiled is printed again, a sheet each, and pressed again.
    job.pool += bad;
    job.sheetsLeft += bad;
    sim.stamp += 1;
    sim.toPrint[w.printer] = (sim.toPrint[w.printer] ?? 0) + bad;
  }
  if (p.pieces - bad > 0) {
    const at = Math.max(job.coolAt.at(-1) ?? 0, sim.nowS + sim.chance.time(w.coolS, 0.1, 'wait'));
    job.coolAt.push(at);
    job.coolPieces.push(p.pieces - bad);
    sim.coolingNow += 1;
    sim.nextJobS = Math.min(sim.nextJobS, at);
    if (sim.keep)
      sim.done.push({
        kind: 'cool',
        work: p.work,
        part: p.part,
        pieces: p.pieces - bad,
        fromS: sim.nowS,
        toS: at,
        press: null,
        person: null,
        printer: null,
      });
  }
}

/** A segment is over: the next one, or the load is out. */
export function leave(sim: Sim, index: number, person: number | null): void {
  const p = sim.presses[index];
  if (!p) return;
  note(sim, index, p, person);
  p.segment += 1;
  if (p.segment === p.setSegments) p.setting = p.route?.setting ?? null;
  if (p.segment < p.segments.length) return enter(sim, p);
  sim.busyS[index] = (sim.busyS[index] ?? 0) + sim.nowS - p.loadFromS;
  cooled(sim, p);
  p.state = 'idle';
  sim.stamp += 1;
  p.untilS = -1;
}

function go(sim: Sim, p: ScheduledPress, change: readonly LoadStep[], cycle: readonly LoadStep[]): void {
  p.segments = change.length > 0 ? [...change, ...cycle] : cycle;
  p.setSegments = change.length;
  p.segment = 0;
  p.state = 'going';
  p.loadFromS = sim.nowS;
  enter(sim, p);
}

/** Hands come to a press that waits for them. */
export function handle(sim: Sim, index: number): boolean {
  const p = sim.presses[index];
  const s = p?.segments[p.segment];
  const who = handFor(sim);
  const person = sim.people[who];
  if (!p || !s || !person) return false;
  pause(sim, who);
  const tookS = sim.chance.time(p.begunLeftS >= 0 ? p.begunLeftS : s.s, s.logSd, 'hands');
  p.begunLeftS = -1;
  sim.waited.hands += sim.nowS - p.waitsSinceS;
  person.press = index;
  person.endS = sim.nowS + tookS;
  p.handled = true;
  p.segmentFromS = sim.nowS;
  return true;
}

/** Whether a load begun now is out before everybody leaves, waits for hands included; one that never would be may begin whenever somebody is there. */
function fits(sim: Sim, segments: readonly LoadStep[]): boolean {
  const w = sim.problem.windows[sim.window];
  return w !== undefined && outBy(sim, segments, w.toS);
}

/** The job an idle press takes next: in order, but for no change of setting while an earlier one is nearly ready. Null where none can begin. */
function nextLoad(sim: Sim, p: ScheduledPress): { readonly work: number; readonly route: Route } | null {
  let soon = false;
  for (const r of p.routes) {
    const job = sim.jobs[r.work];
    if (!job || job.pool <= 0 || r.route.fromS > sim.nowS) continue;
    const same = r.route.setting === p.setting;
    const ready = job.taped >= Math.min(r.route.atOnce, job.pool);
    if (ready && (same || !soon) && fits(sim, [...changeFor(r.route, p.setting), ...r.route.cycle])) return r;
    if (ready || inHand(job)) soon = true;
  }
  return null;
}

const NO_CHANGE: readonly LoadStep[] = [];
/** What sets a press for a route, before its load; nothing where it is set for it. Pieces are taken with it: no press is set in vain. */
const changeFor = ({ setting: wanted, setS, changeS }: Route, now: string | null): readonly LoadStep[] =>
  wanted === now || (setS <= 0 && changeS <= 0)
    ? NO_CHANGE
    : [
        { hands: true, s: setS, logSd: 0 },
        { hands: false, s: changeS, logSd: 0.05 },
      ];

/** An idle press takes its next load, or is set for it, where hands and a place to cool are to be had. */
export function load(sim: Sim, index: number): void {
  const p = sim.presses[index];
  if (p?.state !== 'idle' || !sim.open || handFor(sim) < 0) return;
  const next = nextLoad(sim, p);
  const job = next && sim.jobs[next.work];
  if (!next || !job) return;
  let coming = 0;
  for (const x of sim.presses) if (x.state === 'going') coming += 1;
  if (sim.coolingNow + coming >= sim.problem.coolingPlaces) return;
  p.route = next.route;
  p.work = next.work;
  p.part = job.loadPart;
  p.pieces = Math.min(next.route.atOnce, job.pool);
  job.loadPart += 1;
  job.pool -= p.pieces;
  job.taped -= p.pieces;
  sim.stamp += 1;
  go(sim, p, changeFor(next.route, p.setting), next.route.cycle);
  p.setting = p.setSegments > 0 ? p.setting : next.route.setting;
  if (p.untilS < 0 && !p.handled) handle(sim, index);
}

/** Whether a press has nothing more to do: neither pieces left for it nor a load in it. */
export const idleForGood = (sim: Sim, p: ScheduledPress): boolean => p.state === 'idle' && !wanted(sim, p);
