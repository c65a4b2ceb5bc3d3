import type { LoadStep } from './problem';
import type { ScheduledPress, Sim } from './state';

/*
 * A load is begun only where it is out before everybody leaves, and no other load is kept in by it. What takes hands at hot presses comes before
 * all else, so the presses and the people are all that decides it: they are followed from now on with the usual times.
 */

/** A press as it goes on from now. */
interface Going {
  readonly segments: readonly LoadStep[];
  at: number;
  /** When the segment in hand is over; infinite while it waits for hands. */
  endS: number;
  sinceS: number;
  byHand: boolean;
  /** Whether it has to be out in time: not what was in a press as the plan began, nor what no stretch is long enough for. */
  readonly held: boolean;
}

const lastsS = (segments: readonly LoadStep[], from = 0): number => {
  let s = 0;
  for (let i = from; i < segments.length; i += 1) s += segments[i]?.s ?? 0;
  return s;
};

/** Hands a press still asks for after those it has now, s. */
function handsLeftS(g: Going): number {
  let s = 0;
  for (let i = g.at; i < g.segments.length; i += 1) {
    const x = g.segments[i];
    if (x?.hands && !(i === g.at && g.byHand)) s += x.s;
  }
  return s;
}

function goingOn(sim: Sim, p: ScheduledPress, index: number): Going {
  const whose = sim.people.find((x) => x.press === index);
  return {
    segments: p.segments,
    at: p.segment,
    endS: p.handled ? (whose?.endS ?? sim.nowS) : p.untilS >= 0 ? p.untilS : Infinity,
    sinceS: p.waitsSinceS,
    byHand: p.handled,
    held: p.part >= 0 && lastsS(p.segments) <= sim.longestS,
  };
}

/** The next segment of a press, from a moment on; false where there is none. */
function next(g: Going, atS: number): boolean {
  g.at += 1;
  g.byHand = false;
  const s = g.segments[g.at];
  if (!s) return false;
  g.sinceS = atS;
  g.endS = s.hands ? Infinity : atS + s.s;
  return true;
}

/** Free hands go to the press that waits longest. */
function hand(going: readonly Going[], free: number, atS: number): number {
  let left = free;
  while (left > 0) {
    let first: Going | null = null;
    for (const g of going) if (g.endS === Infinity && (!first || g.sinceS < first.sinceS)) first = g;
    if (!first) return left;
    first.endS = atS + (first.segments[first.at]?.s ?? 0);
    first.byHand = true;
    left -= 1;
  }
  return left;
}

/** Whether all that has to be out is out by a moment. */
function followed(going: Going[], people: number, fromS: number, byS: number): boolean {
  let left = going;
  let nowS = fromS;
  let free = people;
  for (const g of left) if (g.byHand) free -= 1;
  while (left.length > 0) {
    free = hand(left, free, nowS);
    nowS = Infinity;
    for (const g of left) nowS = Math.min(nowS, g.endS);
    if (!Number.isFinite(nowS)) return false;
    const still: Going[] = [];
    for (const g of left) {
      if (g.endS > nowS) still.push(g);
      else {
        if (g.byHand) free += 1;
        if (next(g, nowS)) still.push(g);
        else if (g.held && nowS > byS) return false;
      }
    }
    left = still;
  }
  return true;
}

/** Whether a press that begins some segments now is through with them by a moment, and so are the presses that are going. */
export function outBy(sim: Sim, segments: readonly LoadStep[], byS: number): boolean {
  const [first] = segments;
  const held = lastsS(segments) <= sim.longestS;
  const begun: Going = {
    segments,
    at: 0,
    endS: first?.hands ? Infinity : sim.nowS + (first?.s ?? 0),
    sinceS: sim.nowS,
    byHand: false,
    held,
  };
  const going = [begun];
  let handsS = handsLeftS(begun);
  let latestS = sim.nowS + lastsS(segments);
  for (let i = 0; i < sim.presses.length; i += 1) {
    const p = sim.presses[i];
    if (p?.state !== 'going') continue;
    const g = goingOn(sim, p, i);
    going.push(g);
    handsS += handsLeftS(g);
    const nowEndsS = g.endS === Infinity ? sim.nowS + (g.segments[g.at]?.s ?? 0) : g.endS;
    if (g.held) latestS = Math.max(latestS, nowEndsS + lastsS(g.segments, g.at + 1));
  }
  const near = 1e-9;
  // No wait for hands is longer than all that hands have to do at the presses.
  if (latestS + handsS <= byS + near) return true;
  return followed(going, sim.people.length, sim.nowS, byS + near);
}
