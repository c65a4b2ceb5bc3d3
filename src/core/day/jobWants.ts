import type { ProvenCounts } from '../heat/settings/choose';
import type { Job } from '../job/job';
import { partsOf } from '../finish/parts';
import { TAPE_STRIP_MM } from '../plan/press/workTimes';
import { paceFrom, timedSteps } from '../run/pace';
import { withState } from '../run/pieces';
import type { Shop } from '../shop/shop';
import type { StockItem } from '../shop/stock';
import { daysBefore, type StockNeed } from '../stock/wants';
import { createJobBases, jobWork, type JobWork } from './jobWork';

export interface StockNeedInput {
  readonly jobs: readonly Job[];
  readonly shop: Shop;
  readonly items: readonly StockItem[];
  readonly proven: ProvenCounts;
  /** Share of pieces spoiled, by job. */
  readonly spoilage: Readonly<Record<string, number>>;
  /** Sheets printed, by job. */
  readonly sheets: Readonly<Record<string, number>>;
}

/** Stock must be on hand the day before it is used. */
const BEFORE_DAYS = 1;

const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

function wantsOfJob(w: JobWork, items: readonly StockItem[], spoilage: number): readonly StockNeed[] {
  const { job, times } = w;
  // What is spoiled on the way takes blank and paper too.
  const pressed = Math.ceil(w.toPress / (1 - Math.min(0.9, spoilage)) - 1e-9);
  const toPrint = Math.max(0, pressed - w.printed);
  const by = job.dueOn === null ? null : daysBefore(job.dueOn, BEFORE_DAYS);
  const want = (item: StockItem | undefined, count: number): readonly StockNeed[] =>
    item && count > 0 ? [{ jobId: job.id, jobName: job.name, itemId: item.id, count, by }] : [];
  const of = (kind: StockItem['kind'], id: string) => items.find((i) => i.kind === kind && i.ofId === id);
  const paper = of('paper', w.paperId);
  const sheets = Math.ceil((toPrint * times.sheets) / times.sheetPieces - 1e-9);
  const toFinish = w.pieces - w.packed;
  return [
    ...want(of('blank', w.blank.id), pressed),
    ...want(paper?.unit === 'sheets' ? paper : undefined, sheets),
    ...want(
      items.find((i) => i.kind === 'tape'),
      Math.round((times.tapeStrips * TAPE_STRIP_MM * pressed) / 100) / 10,
    ),
    ...partsOf(w.blank, job.finish.hanger).flatMap(({ part, count }) =>
      want(
        items.find((i) => i.kind === 'part' && sameName(i.name, part)),
        toFinish * count,
      ),
    ),
  ];
}

/** What the open jobs of a shop will take from stock. */
export function jobWants(
  { jobs, shop, items, proven, spoilage, sheets }: StockNeedInput,
  bases = createJobBases(),
): readonly StockNeed[] {
  const around = { shop, proven, bases, pace: paceFrom(timedSteps(shop.runs.map(withState))) };
  return jobs.flatMap((job) => {
    const of = jobWork(job, around, { sheets: sheets[job.id] ?? 0, taped: 0 });
    return 'work' in of ? wantsOfJob(of.work, items, spoilage[job.id] ?? 0) : [];
  });
}
