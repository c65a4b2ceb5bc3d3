import { figure, type Figure } from '../figures/figure';
import type { Job } from '../job/job';
import { oneChange, rankCauses, type OneChange, type RankedCause } from '../look/causes';
import type { LogEntry } from '../shop/records';
import type { Shop } from '../shop/shop';
import { say } from '../units/phrase';
import { count, ratio } from '../units/quantity';
import type { HeatPlan } from './heat';
import type { PressPlan } from './press';
import { tallyOf, type JobTally } from '../look/tally';
import { finding, type TerracePlan } from './terracePlan';

export interface LookPlan extends TerracePlan<'look'> {
  readonly ranked: readonly RankedCause[];
  readonly change: OneChange | null;
  /** This job's entries in the log, newest first. */
  readonly entries: readonly LogEntry[];
  /** Pieces pressed and not yet written in the log. */
  readonly unlogged: { readonly good: number; readonly spoiled: number };
}

/** `tally` is what the job's entries add up to where the shop given holds only the newest of them. */
export function planLook(job: Job, shop: Shop, heat: HeatPlan, press: PressPlan, tally?: JobTally): LookPlan {
  const { marks, paperState, verdict } = job.look;
  const ranked = rankCauses(marks, paperState, verdict);
  const change = heat.chosen && oneChange(ranked, verdict, heat.chosen.settings);
  const entries = shop.log.filter((e) => e.jobId === job.id).sort((a, b) => b.at - a.at);
  const { good, spoiled, entries: written } = tally ?? tallyOf(entries);
  const figures: Figure[] = [
    ...(good + spoiled > 0
      ? [
          figure({
            id: 'look.yield',
            label: 'Yield',
            quantity: ratio(good / (good + spoiled)),
            origin: 'measured',
            working: say`${String(good)} good, ${String(spoiled)} spoiled in ${count(written, 'entry', 'entries')}`,
          }),
        ]
      : []),
    ...ranked.slice(0, 3).map((c, i) =>
      figure({
        id: `look.cause-${i}`,
        label: c.label,
        quantity: ratio(c.share),
        origin: 'estimated',
        working: say`${c.change}`,
      }),
    ),
  ];
  const pressed = press.good + press.spoiled > 0;
  return {
    terrace: 'look',
    progress: written > 0 ? 'done' : pressed ? 'ready' : 'todo',
    summary:
      written > 0
        ? say`${String(good)} good, ${String(spoiled)} spoiled`
        : pressed
          ? say`not looked at yet`
          : say`no pieces yet`,
    figures,
    findings:
      pressed && written === 0
        ? [finding('look', 'none', 'info', say`Look it over, then write it in the log.`)]
        : [],
    ranked,
    change,
    entries,
    unlogged: { good: Math.max(0, press.good - good), spoiled: Math.max(0, press.spoiled - spoiled) },
  };
}
