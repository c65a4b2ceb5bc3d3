import { seeded } from '../random/random';
import { CAUSE_IDS, FAULT_IDS, type CauseId, type FaultId } from '../shop/faultIds';
import { CLUES, rowOf, type Clue } from './evidence';
import { costS, QUESTIONS, type Question } from './questions';
import { causeWeights, seenWeights, type ConfirmedCounts } from './shopTable';

/** What is known of an inspection: faults marked, and by clue how likely each of its values is. What is not known is absent. */
export interface Evidence {
  readonly faults: readonly FaultId[];
  readonly clues: Readonly<Record<string, readonly number[]>>;
}

export const certain = (c: Clue, value: string): readonly number[] =>
  c.values.map((v) => (v === value ? 1 : 0));

const ALL_CLUES: readonly Clue[] = [...CLUES, ...QUESTIONS];

/** ln of how likely one cause makes all that is known but the faults: ln Σ P(value | cause) · P(value). */
function cluesLn(e: Evidence, cause: CauseId): number {
  let ln = 0;
  for (const c of ALL_CLUES) {
    const known = e.clues[c.id];
    if (!known) continue;
    const row = rowOf(c, cause);
    ln += Math.log(
      Math.max(
        1e-12,
        known.reduce((s, p, i) => s + p * (row[i] ?? 0), 0),
      ),
    );
  }
  return ln;
}

const toShares = (lns: readonly number[]): readonly number[] => {
  const top = Math.max(...lns);
  const ws = lns.map((v) => Math.exp(v - top));
  const sum = ws.reduce((a, b) => a + b, 0);
  return ws.map((w) => w / sum);
};

/** Probability of every cause, in the order of CAUSE_IDS: naive Bayes on the table as this shop has it (Mitchell 1997, 6.9). */
export function posterior(e: Evidence, counts: ConfirmedCounts): readonly number[] {
  const weights = causeWeights(counts);
  const total = weights.reduce((a, b) => a + b, 0);
  return toShares(
    CAUSE_IDS.map((cause, i) => {
      let ln = Math.log((weights[i] ?? 0) / total) + cluesLn(e, cause);
      for (const f of FAULT_IDS) {
        const [seen, not] = seenWeights(counts, cause, f);
        ln += Math.log((e.faults.includes(f) ? seen : not) / (seen + not));
      }
      return ln;
    }),
  );
}

/** One draw of a gamma distribution, scale 1 (Marsaglia & Tsang 2000; below 1 by their boost). */
function gamma(shape: number, random: () => number): number {
  if (shape < 1) return gamma(shape + 1, random) * Math.max(1e-300, random()) ** (1 / shape);
  const d = shape - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const z = Math.sqrt(-2 * Math.log(Math.max(1e-300, random()))) * Math.cos(2 * Math.PI * random());
    const v = (1 + c * z) ** 3;
    if (v > 0 && Math.log(Math.max(1e-300, random())) < 0.5 * z * z + d - d * v + d * Math.log(v))
      return d * v;
  }
}

const DRAWS = 160;
const SPREAD_SEED = 20260;

export interface CauseShare {
  readonly cause: CauseId;
  readonly share: number;
  /** Nine in ten within, for what the table itself does not know. */
  readonly low: number;
  readonly high: number;
}

/** Causes, most likely first, with the spread that the table's own uncertainty makes. Nothing where nothing is marked or known. */
export function rankCauses(e: Evidence, counts: ConfirmedCounts): readonly CauseShare[] {
  if (e.faults.length === 0) return [];
  const shares = posterior(e, counts);
  const random = seeded(SPREAD_SEED);
  const weights = causeWeights(counts);
  const fixed = CAUSE_IDS.map((cause) => cluesLn(e, cause));
  const betas = CAUSE_IDS.map((cause) => e.faults.map((f) => seenWeights(counts, cause, f)));
  const draws = Array.from({ length: DRAWS }, () =>
    toShares(
      CAUSE_IDS.map((_, i) => {
        let ln = Math.log(Math.max(1e-300, gamma(weights[i] ?? 0, random))) + (fixed[i] ?? 0);
        for (const [a, b] of betas[i] ?? []) {
          const x = gamma(a, random);
          ln += Math.log(Math.max(1e-300, x / (x + gamma(b, random))));
        }
        return ln;
      }),
    ),
  );
  const at = (sorted: readonly number[], q: number): number =>
    sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] ?? 0;
  return CAUSE_IDS.map((cause, i) => {
    const share = shares[i] ?? 0;
    const drawn = draws.map((d) => d[i] ?? 0).sort((a, b) => a - b);
    return { cause, share, low: Math.min(share, at(drawn, 0.05)), high: Math.max(share, at(drawn, 0.95)) };
  }).sort((a, b) => b.share - a.share || CAUSE_IDS.indexOf(a.cause) - CAUSE_IDS.indexOf(b.cause));
}

const entropyBits = (shares: readonly number[]): number =>
  shares.reduce((s, p) => (p > 0 ? s - p * Math.log2(p) : s), 0);

/** How much an answer to a question is expected to tell of the cause, bits (Shannon's mutual information). */
export function expectedBits(shares: readonly number[], q: Clue): number {
  const before = entropyBits(shares);
  const after = q.values.reduce((sum, _, k) => {
    const joint = shares.map((p, i) => p * (rowOf(q, CAUSE_IDS[i] ?? 'lint')[k] ?? 0));
    const p = joint.reduce((a, b) => a + b, 0);
    return p <= 0 ? sum : sum + p * entropyBits(joint.map((x) => x / p));
  }, 0);
  return Math.max(0, before - after);
}

export interface NextQuestion {
  readonly question: Question;
  readonly bits: number;
  readonly costS: number;
  /** Expected probability of the likeliest cause once it is answered. */
  readonly sureAfter: number;
}

/** A question that tells less than this is not worth asking, bits. */
const WORTH_BITS = 0.03;
/** Of the questions that tell nearly as much as the best one, the cheapest for what it tells. */
const NEARLY = 0.85;

/** Questions worth asking now, the best for its cost first. Those answered are not asked again. */
export function nextQuestions(e: Evidence, counts: ConfirmedCounts): readonly NextQuestion[] {
  if (e.faults.length === 0) return [];
  const shares = posterior(e, counts);
  const open = QUESTIONS.filter((q) => e.clues[q.id] === undefined)
    .map((question) => ({
      question,
      bits: expectedBits(shares, question),
      costS: costS(question),
      sureAfter: sureAfter(shares, question),
    }))
    .filter((q) => q.bits >= WORTH_BITS);
  const most = Math.max(0, ...open.map((q) => q.bits));
  const worth = (q: NextQuestion): number => (q.bits >= NEARLY * most ? 1 : 0) * 1000 + q.bits / q.costS;
  return open.sort((a, b) => worth(b) - worth(a) || a.question.id.localeCompare(b.question.id));
}

function sureAfter(shares: readonly number[], q: Clue): number {
  return q.values.reduce(
    (sum, _, k) => sum + Math.max(...shares.map((p, i) => p * (rowOf(q, CAUSE_IDS[i] ?? 'lint')[k] ?? 0))),
    0,
  );
}
