import type { Item, ScheduledJob, Person, Sim } from './state';
import { fromSheets, targetOf } from './state';

/** Pieces taped or finished in one go take no longer than about this, s: then hands look up. */
const ONE_GO_S = 600;

const goOf = (eachS: number, most: number): number =>
  Math.max(1, Math.min(most, Math.floor(ONE_GO_S / Math.max(eachS, 1))));

function record(sim: Sim, person: number, item: Item): void {
  const tookS = sim.nowS - item.startedS;
  sim.handsS += tookS;
  if (sim.keep && tookS > 0)
    sim.done.push({
      kind: item.kind,
      work: item.work,
      part: item.part,
      pieces: item.pieces,
      fromS: item.startedS,
      toS: sim.nowS,
      press: null,
      person,
      printer: null,
    });
}

function begun(sim: Sim, p: Person, item: Item): void {
  item.startedS = sim.nowS;
  p.item = item;
  p.last = item.work;
  p.press = -1;
  p.endS = sim.nowS + item.leftS;
}

/** What a person does is put down for the next person to continue. */
export function pause(sim: Sim, index: number): void {
  const p = sim.people[index];
  if (!p?.item) return;
  record(sim, index, p.item);
  p.item.leftS = Math.max(0, p.endS - sim.nowS);
  sim.jobs[p.item.work]?.paused.push(p.item);
  sim.nothing = false;
  p.item = null;
  p.endS = Infinity;
}

/** What a person did is done. */
export function finishItem(sim: Sim, index: number): void {
  const p = sim.people[index];
  const item = p?.item;
  const job = item && sim.jobs[item.work];
  if (!p || !item || !job) return;
  record(sim, index, item);
  sim.nothing = false;
  sim.stamp += 1;
  p.item = null;
  p.endS = Infinity;
  if (item.kind === 'trim') {
    job.cut += item.pieces;
    job.beingCut -= item.pieces;
  } else if (item.kind === 'tape') {
    job.taped += item.pieces;
    job.beingTaped -= item.pieces;
  } else {
    job.left -= item.pieces;
    if (job.left <= 0) {
      job.endS = sim.nowS;
      sim.unfinished -= 1;
    }
  }
}

/** Somebody free, or who does what can be left; -1 for nobody. */
export function handFor(sim: Sim): number {
  let leaves = -1;
  for (let i = 0; i < sim.people.length; i += 1) {
    const p = sim.people[i];
    if (!p || p.press >= 0) continue;
    if (!p.item) return i;
    leaves = i;
  }
  return leaves;
}

function paused(job: ScheduledJob, kind: Item['kind']): number {
  for (let i = 0; i < job.paused.length; i += 1) if (job.paused[i]?.kind === kind) return i;
  return -1;
}

const canTrim = (job: ScheduledJob): boolean => job.drySheets > 0 || paused(job, 'trim') >= 0;
const canTape = (job: ScheduledJob): boolean => job.cut > 0 || paused(job, 'tape') >= 0;
const canFinish = (job: ScheduledJob): boolean => job.toFinish > 0 || paused(job, 'finish') >= 0;

function takeUp(job: ScheduledJob, kind: Item['kind']): Item | null {
  const at = paused(job, kind);
  return at < 0 ? null : (job.paused.splice(at, 1)[0] ?? null);
}

function trimItem(sim: Sim, work: number, job: ScheduledJob): Item {
  const w = sim.problem.work[work];
  job.drySheets -= 1;
  const k = job.sheetsTrimmed;
  job.sheetsTrimmed += 1;
  const [sheets, total] = [w?.sheets ?? 0, (w?.pieces ?? 0) - (w?.cut ?? 0) - (w?.taped ?? 0)];
  const pieces = k < sheets ? fromSheets(total, sheets, k + 1) - fromSheets(total, sheets, k) : 1;
  job.beingCut += pieces;
  const leftS = sim.chance.time(w?.trimS ?? 0, w?.logSd ?? 0, 'hands');
  return { kind: 'trim', work, part: k, pieces, leftS, startedS: 0 };
}

function tapeItem(sim: Sim, work: number, job: ScheduledJob): Item {
  const w = sim.problem.work[work];
  const most = Math.max(1, ...(w?.routes ?? []).map((r) => r.atOnce));
  const pieces = Math.min(job.cut, goOf(w?.prepareS ?? 0, most));
  job.cut -= pieces;
  job.beingTaped += pieces;
  const part = job.tapePart;
  job.tapePart += 1;
  const leftS = sim.chance.time((w?.prepareS ?? 0) * pieces, w?.logSd ?? 0, 'hands');
  return { kind: 'tape', work, part, pieces, leftS, startedS: 0 };
}

function finishOf(sim: Sim, work: number, job: ScheduledJob): Item {
  const w = sim.problem.work[work];
  const pieces = Math.min(job.toFinish, goOf(w?.finishS ?? 0, 60));
  job.toFinish -= pieces;
  const part = job.finishPart;
  job.finishPart += 1;
  const leftS = sim.chance.time((w?.finishS ?? 0) * pieces, w?.logSd ?? 0, 'hands');
  return { kind: 'finish', work, part, pieces, leftS, startedS: 0 };
}

/** Towards taped pieces of a job: what was left, else what is cut, else what is printed and dry. */
function towardsTaped(sim: Sim, work: number, job: ScheduledJob): Item | null {
  const left = takeUp(job, 'tape');
  if (left) return left;
  if (job.cut > 0) return tapeItem(sim, work, job);
  const trimming = takeUp(job, 'trim');
  if (trimming) return trimming;
  return job.drySheets > 0 ? trimItem(sim, work, job) : null;
}

/** Hands go on with their job unless another's presses have less than this share of what they should have ahead. */
const BARE = 0.34;

/** Pieces a round of its presses takes, by job. */
function roundsOf(sim: Sim): readonly number[] {
  const { wants } = sim;
  wants.fill(0);
  for (const p of sim.presses) {
    const target = targetOf(sim, p);
    if (target) wants[target.work] = (wants[target.work] ?? 0) + target.route.atOnce;
  }
  return wants;
}

/** How much of what should lie taped ahead of its presses does, 1 for all. What was laid down half taped does not. */
function aheadOf(sim: Sim, job: ScheduledJob, want: number): number {
  let ready = job.taped + job.beingTaped;
  for (const item of job.paused) if (item.kind === 'tape') ready -= item.pieces;
  return ready / Math.min(job.pool, sim.policy.ahead * want);
}

/**
 * The job whose presses will be without taped pieces soonest; -1 where all have as many ahead as they should. Hands stay with the job they were
 * on as long as nothing is bare: every change of job costs a look at the sheet.
 */
function starving(sim: Sim, lastWork: number): number {
  const wants = roundsOf(sim);
  let [found, least, stays] = [-1, 1, false];
  for (const work of sim.policy.order) {
    const want = wants[work] ?? 0;
    const job = sim.jobs[work];
    if (want === 0 || !job || (!canTape(job) && !canTrim(job))) continue;
    const ratio = aheadOf(sim, job, want);
    if (work === lastWork && ratio < 1) stays = true;
    if (ratio < least) [found, least] = [work, ratio];
  }
  return stays && least >= BARE ? lastWork : found;
}

function finishing(sim: Sim): Item | null {
  for (const work of sim.policy.order) {
    const job = sim.jobs[work];
    if (job && canFinish(job)) return takeUp(job, 'finish') ?? finishOf(sim, work, job);
  }
  return null;
}

function feeding(sim: Sim, lastWork: number): Item | null {
  const work = starving(sim, lastWork);
  const job = sim.jobs[work];
  return job ? towardsTaped(sim, work, job) : null;
}

function anyTaping(sim: Sim): Item | null {
  for (const work of sim.policy.order) {
    const job = sim.jobs[work];
    const item = job && towardsTaped(sim, work, job);
    if (item) return item;
  }
  return null;
}

/** Job by job in strict order: what is cool is finished, then its presses are fed. */
function inOrder(sim: Sim): Item | null {
  const wants = roundsOf(sim);
  for (const work of sim.policy.order) {
    const job = sim.jobs[work];
    if (!job) continue;
    if (canFinish(job)) return takeUp(job, 'finish') ?? finishOf(sim, work, job);
    const want = wants[work] ?? 0;
    const item = want > 0 && aheadOf(sim, job, want) < 1 ? towardsTaped(sim, work, job) : null;
    if (item) return item;
  }
  return null;
}

function wanted(sim: Sim, p: Person): Item | null {
  if (sim.policy.strict) return inOrder(sim);
  return sim.policy.finishFirst
    ? (finishing(sim) ?? feeding(sim, p.last))
    : (feeding(sim, p.last) ?? finishing(sim));
}

/** Free hands take up what is wanted most. */
export function handsToWork(sim: Sim): void {
  if (sim.nothing) return;
  for (const p of sim.people) {
    if (p.item || p.press >= 0) continue;
    const item = wanted(sim, p) ?? anyTaping(sim);
    if (!item) {
      sim.nothing = true;
      return;
    }
    begun(sim, p, item);
  }
}
