import type { ProvenCounts } from '@/core/heat/choose';
import { picturesOf } from '@/core/job/art';
import type { Job } from '@/core/job/job';
import type { JobTally } from '@/core/look/tally';
import { shopKey, standingKey, type Beside } from '@/core/plan/standing';
import type { Shop } from '@/core/shop/shop';
import { db as theDb, type JobRecord, type MesaDb, type StandingRecord } from './db';
import { goodBehind, jobTallies } from './log';
import { lookedInto } from './looks';

/** Standings kept from before; none where they cannot be read, since all can be reckoned again. */
export const loadStandings = (db: MesaDb = theDb): Promise<readonly StandingRecord[]> =>
  db.standings.toArray().catch(() => []);

/** What the bench knows beside jobs and shop: counts of the log, and which pictures have been looked into. */
export interface BenchFacts {
  readonly proven: ProvenCounts;
  readonly tallies: Readonly<Record<string, JobTally>>;
  readonly looks: ReadonlySet<string>;
}

export async function benchFacts(
  shop: Shop,
  jobs: readonly JobRecord[],
  db: MesaDb = theDb,
): Promise<BenchFacts> {
  const [proven, tallies, looks] = await Promise.all([
    goodBehind(shop.recipes, db),
    jobTallies(
      jobs.map((j) => j.id),
      db,
    ),
    lookedInto(db),
  ]);
  return { proven, tallies, looks };
}

/** The jobs a job shares its sheets with. */
export const togetherWith = (job: Job, jobs: readonly JobRecord[]): readonly Job[] =>
  jobs.flatMap((r) => (r.id !== job.id && job.sheet.withJobs.includes(r.id) ? [r.job] : []));

/** Everything a job's standing is made from beside itself and the shop. */
export function besideOf(job: Job, shop: Shop, jobs: readonly JobRecord[], facts: BenchFacts): Beside {
  const together = togetherWith(job, jobs);
  const pictures = [job, ...together].flatMap((j) => picturesOf(j.art).map((p) => p.id));
  return {
    runs: shop.runs.filter((r) => r.jobId === job.id),
    tally: facts.tallies[job.id] ?? null,
    together,
    looks: [...new Set(pictures.filter((id) => facts.looks.has(id)))],
  };
}

/** Keys the standings of all jobs go by now, by job. */
export function standingKeys(
  shop: Shop,
  jobs: readonly JobRecord[],
  facts: BenchFacts,
): ReadonlyMap<string, string> {
  const ofShop = shopKey(shop, facts.proven);
  return new Map(jobs.map(({ id, job }) => [id, standingKey(job, ofShop, besideOf(job, shop, jobs, facts))]));
}

/** Keeps standings, and lets go those of jobs no longer there. A full disk is no matter: they are only a help. */
export async function keepStandings(
  records: readonly StandingRecord[],
  jobIds: readonly string[],
  db: MesaDb = theDb,
): Promise<void> {
  try {
    const there = new Set(jobIds);
    const gone = (await db.standings.toCollection().primaryKeys()).filter((id) => !there.has(id));
    await db.standings.bulkDelete(gone);
    await db.standings.bulkPut(records);
  } catch {
    // Reckoned again next time.
  }
}
