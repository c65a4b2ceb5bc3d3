import { packed, amountMessage } from '@/core/message/message';
import type { Job } from '@/core/job/job';
import type { Plan } from '@/core/plan/planShape';
import { allFigures } from '@/core/plan/plan';
import type { HeatSettings } from '@/core/shop/heatSettings';
import type { LogEntry, Stood } from '@/core/shop/records';
import type { Shop } from '@/core/shop/shop';
import { printerOf } from '@/core/shop/settings';
import type { Figure } from '@/core/figures/figure';

const MOST_FIGURES = 60;
const MOST_LETTERS = 400;
const JOB_STEPS_KEPT = /^(blank|measure|wrap|art|sheet|heat|press)\./;

/** The figures of the plan as they stand now, so that an entry can be read when job and code have moved on. */
function stoodOf(figures: readonly Figure[]): Stood[] {
  return figures
    .filter((f) => JOB_STEPS_KEPT.test(f.id))
    .slice(0, MOST_FIGURES)
    .map(({ label, quantity: q }): Stood => {
      const name = packed(label);
      switch (q.kind) {
        case 'length':
        case 'temperature':
        case 'duration':
        case 'angle':
        case 'ratio':
        case 'resolution':
          return { label: name, kind: q.kind, value: q.value };
        case 'word': {
          const text = typeof q.value === 'string' ? q.value : packed(q.value);
          return { label: name, kind: 'word', value: text.slice(0, MOST_LETTERS) };
        }
        default:
          return { label: name, kind: 'word', value: packed(amountMessage(q)) };
      }
    });
}

/** What an inspection says of its own: all an entry holds that the plan does not. */
type Said = Pick<
  LogEntry,
  'id' | 'at' | 'verdict' | 'paperState' | 'good' | 'seconds' | 'spoiled' | 'by' | 'note'
> & {
  readonly settings?: HeatSettings;
};

/**
 * An entry of what was pressed. Blank, press and settings are those the last run copied: job and shop may have been changed since. Null where
 * blank or press are not chosen.
 */
export function entryFrom(job: Job, plan: Plan, shop: Shop, said: Said): LogEntry | null {
  // A test on the ladder is pressed as the job stands now, whatever a run was begun with.
  const last = said.settings ? null : plan.press.last;
  const blank = last?.blank ?? plan.blank.blank;
  const press = last?.press ?? plan.heat.press;
  const settings = said.settings ?? plan.inspect.pressed;
  if (!blank || !press || !settings) return null;
  const { inspection } = job;
  const printer = printerOf(shop.settings, job.sheet.printerId);
  return {
    corrects: null,
    jobId: job.id,
    jobName: job.name,
    blankId: blank.id,
    blankName: blank.name,
    pressId: press.id,
    pressName: press.name,
    load: last ? last.load : (plan.heat.load?.load ?? null),
    keptDwellS: said.settings ? null : plan.inspect.keptDwellS,
    spoiledCostCents: blank.costCents === null ? null : blank.costCents * said.spoiled,
    marks: inspection.marks,
    replies: inspection.replies,
    cause: inspection.cause,
    tried: inspection.tried,
    paperName: plan.sheet.paper?.name ?? '',
    printerName: printer.name,
    inkName: printer.inkName,
    supplier: blank.supplier,
    lot: inspection.lot,
    face: plan.inspect.face,
    lay: plan.inspect.lay,
    photos: inspection.photos,
    stood: stoodOf(allFigures(plan)),
    ...said,
    settings,
  };
}
