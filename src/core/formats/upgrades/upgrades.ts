import type { Upgrade } from '../file';
import { isRaw, list, type Raw, type VersionStep } from './raw';
import { TO_2 } from './to2';
import { TO_3 } from './to3';
import { TO_4 } from './to4';
import { TO_5 } from './to5';
import { TO_6 } from './to6';
import { TO_7 } from './to7';
import { TO_8 } from './to8';
import { TO_9 } from './to9';
import { TO_10 } from './to10';
import { TO_11 } from './to11';
import { TO_12 } from './to12';
import { TO_13 } from './to13';
import { TO_14 } from './to14';
import { TO_15 } from './to15';

/** Every step ever made, in order. The database climbs by the same steps. */
export const STEPS = [
  TO_2,
  TO_3,
  TO_4,
  TO_5,
  TO_6,
  TO_7,
  TO_8,
  TO_9,
  TO_10,
  TO_11,
  TO_12,
  TO_13,
  TO_14,
  TO_15,
] as const satisfies readonly VersionStep[];

/** Version of the records that today's code writes. */
export const NEWEST = Math.max(...STEPS.map((s) => s.to));

/** A job by itself, of some version, as today's code reads it: what an unsaved edit of before climbs by. */
export const jobOfToday = (job: unknown, version: number): unknown =>
  STEPS.filter((s) => s.to > version).reduce<unknown>((j, step) => jobBy(step, j, undefined), job);

const same = (v: unknown): unknown => v;

function shopBy(step: VersionStep, v: unknown): unknown {
  if (!isRaw(v)) return v;
  const each = (key: string, change: (record: unknown) => unknown = same): Raw =>
    Array.isArray(v[key]) ? { [key]: list(v[key]).map(change) } : {};
  return {
    ...v,
    settings: (step.settings ?? same)(v.settings),
    ...each('blanks', step.blank),
    ...each('presses', step.press),
    ...each('papers', step.paper),
    ...each('recipes', step.recipe),
    ...each('log', step.logEntry),
    ...each('runs', step.run),
  };
}

const settingsIn = (shop: unknown): unknown => (isRaw(shop) ? shop.settings : undefined);
const jobBy = (step: VersionStep, job: unknown, shop: unknown): unknown =>
  step.job ? step.job(job, settingsIn(shop)) : job;

export const jobFileBy =
  (step: VersionStep): Upgrade =>
  (raw) => ({
    ...(step.jobFile?.(raw) ?? raw),
    job: jobBy(step, raw.job, raw.shop),
    shop: shopBy(step, raw.shop),
  });

export const shopFileBy =
  (step: VersionStep): Upgrade =>
  (raw) => ({
    ...(step.shopFile?.(raw) ?? raw),
    shop: shopBy(step, raw.shop),
    jobs: list(raw.jobs).map((job) => jobBy(step, job, raw.shop)),
  });
