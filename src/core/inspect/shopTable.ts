import { CAUSE_IDS, FAULT_IDS, type CauseId, type FaultId } from '../shop/faultIds';
import { CAUSE_TABLE, SELDOM } from './table';

/** Causes a shop settled on, and which faults were seen with each. */
export interface ConfirmedCounts {
  readonly causes: Readonly<Partial<Record<CauseId, number>>>;
  /** By cause, how often each fault was seen with it. */
  readonly faults: Readonly<Partial<Record<CauseId, Readonly<Partial<Record<FaultId, number>>>>>>;
}

export const NONE_CONFIRMED: ConfirmedCounts = { causes: {}, faults: {} };

/**
 * Our table weighs as much as this many inspections of a shop, so that a few surprises do not turn it over and many do: the weight of a Dirichlet prior
 * on the causes, and of a beta prior on each fault under a cause (Gelman et al., Bayesian Data Analysis, 3rd ed., 3.4).
 */
export const PRIOR_INSPECTIONS = 40;
const PRIOR_SEEN = 12;

const PRIOR_SUM = CAUSE_IDS.reduce((s, c) => s + CAUSE_TABLE[c].prior, 0);

/** Our probability of a cause before anything is seen, 0..1. */
export const priorOf = (cause: CauseId): number => CAUSE_TABLE[cause].prior / PRIOR_SUM;
export const priorSeen = (cause: CauseId, fault: FaultId): number =>
  CAUSE_TABLE[cause].faults[fault] ?? SELDOM;

/** Weights of the Dirichlet distribution over causes, in the order of CAUSE_IDS. */
export const causeWeights = (counts: ConfirmedCounts): readonly number[] =>
  CAUSE_IDS.map((c) => PRIOR_INSPECTIONS * priorOf(c) + (counts.causes[c] ?? 0));

/** Weights of the beta distribution of a fault under a cause: seen, not seen. */
export function seenWeights(
  counts: ConfirmedCounts,
  cause: CauseId,
  fault: FaultId,
): readonly [number, number] {
  const p = priorSeen(cause, fault);
  const seen = Math.min(counts.faults[cause]?.[fault] ?? 0, counts.causes[cause] ?? 0);
  return [PRIOR_SEEN * p + seen, PRIOR_SEEN * (1 - p) + (counts.causes[cause] ?? 0) - seen];
}

/** The counts with one more inspection, or with `by` −1 one taken back. A fault counts once per inspection. */
export function withConfirmed(
  counts: ConfirmedCounts,
  cause: CauseId,
  faults: readonly FaultId[],
  by: 1 | -1 = 1,
): ConfirmedCounts {
  const more = (n: number | undefined) => Math.max(0, (n ?? 0) + by);
  const own = counts.faults[cause] ?? {};
  const seen = FAULT_IDS.filter((f) => faults.includes(f)).map((f) => [f, more(own[f])] as const);
  return {
    causes: { ...counts.causes, [cause]: more(counts.causes[cause]) },
    faults: { ...counts.faults, [cause]: { ...own, ...Object.fromEntries(seen) } },
  };
}
