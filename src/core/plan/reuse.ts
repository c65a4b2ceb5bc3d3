import type { Job } from '../job/job';
import type { Shop } from '../shop/shop';
import { plan, type Extra, type Plan } from './plan';

/** Longer lists are outlines and letters: kept or replaced whole, since one point moved has nearly always moved them all. */
const LONG = 40;

/** Whether two plain values are the same all through; stops at the first difference. */
function equal(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) || Array.isArray(b))
    return Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((v, i) => equal(v, b[i]));
  const other = b as Readonly<Record<string, unknown>>;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((k) => k in other && equal((a as Readonly<Record<string, unknown>>)[k], other[k]))
  );
}

/** `after`, with every part that equals its counterpart in `before` taken from `before`: equal is then identical. */
export function reuseEqual<T>(before: unknown, after: T): T {
  if (Object.is(before, after)) return after;
  if (typeof before !== 'object' || typeof after !== 'object' || before === null || after === null)
    return after;
  if (Array.isArray(before) !== Array.isArray(after)) return after;
  if (Array.isArray(after) && after.length > LONG) return equal(before, after) ? (before as T) : after;
  const old = before as Readonly<Record<string, unknown>>;
  const keys = Object.keys(after);
  let same = keys.length === Object.keys(old).length;
  const made: Record<string, unknown> = {};
  for (const key of keys) {
    const next = (after as Readonly<Record<string, unknown>>)[key];
    const kept = key in old ? reuseEqual(old[key], next) : next;
    if (!(key in old) || !Object.is(kept, old[key])) same = false;
    made[key] = kept;
  }
  if (same) return before as T;
  return (Array.isArray(after) ? keys.map((k) => made[k]) : made) as T;
}

/** Plans one job again and again, keeping what did not change identical, so that screens redraw only what did. */
export function createPlanner(): (job: Job, shop: Shop, extra?: Extra) => Plan {
  let last: Plan | null = null;
  return (job, shop, extra) => {
    const next = reuseEqual(last, plan(job, shop, extra));
    last = next;
    return next;
  };
}
