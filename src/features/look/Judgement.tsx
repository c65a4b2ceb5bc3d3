'use client';

import { inOrderText } from '@/core/plan/runWords';
import { PAPER_STATES, VERDICTS, type PaperState, type Verdict } from '@/core/shop/records';
import { Labelled } from '@/ui/Labelled';
import { NumberField } from '@/ui/NumberField';
import { Segments } from '@/ui/Segments';
import { useJob } from '../job/jobContext';
import { LotField } from './LotField';

const PAPER_WORDS: Readonly<Record<PaperState, string>> = {
  even: 'pale and even',
  'left-all': 'dye left all over',
  'left-in-places': 'dye left in places',
  browned: 'browned',
};
export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  good: 'Good',
  under: 'Too little',
  over: 'Too much',
  other: 'Other fault',
};

const textField = 'block min-h-9 w-full border-b-2 border-rule bg-white px-2 text-base text-ink';

/** The used paper, the verdict, the counts. */
export function Judgement() {
  const { job, plan, edit } = useJob();
  const { look } = job;
  const put = (next: Partial<typeof look>, group?: string) =>
    edit((j) => ({ ...j, look: { ...j.look, ...next } }), group);
  const inOrder = inOrderText(plan.press.runs);
  return (
    <div className="grid gap-1.5 border-t border-rule bg-sheet/80 px-3 py-1.5">
      {inOrder !== '' && (
        <p className="truncate font-label" title={inOrder}>
          <strong className="font-semibold">In the order they came out:</strong> {inOrder}
        </p>
      )}
      <div className="flex flex-wrap items-end gap-x-3 gap-y-1.5">
        <Labelled label="The used paper">
          <Segments
            label="The used paper"
            value={look.paperState}
            onChange={(paperState) => put({ paperState })}
            options={PAPER_STATES.map((p) => ({ value: p, label: PAPER_WORDS[p] }))}
          />
        </Labelled>
        <Labelled label="Verdict">
          <Segments
            label="Verdict"
            value={look.verdict}
            onChange={(verdict) => put({ verdict })}
            options={VERDICTS.map((v) => ({ value: v, label: VERDICT_WORDS[v] }))}
          />
        </Labelled>
        <NumberField
          label="Good pieces"
          value={look.good ?? plan.look.unlogged.good}
          min={0}
          max={100000}
          whole
          byHand={look.good !== null}
          onValue={(good) => put({ good }, 'good')}
        />
        <NumberField
          label="Spoiled"
          value={look.spoiled ?? plan.look.unlogged.spoiled}
          min={0}
          max={100000}
          whole
          byHand={look.spoiled !== null}
          onValue={(spoiled) => put({ spoiled }, 'spoiled')}
        />
        <LotField className={textField} />
        <label className="min-w-52 flex-1 font-label text-fine font-medium text-soft">
          Note
          <input
            value={look.note}
            maxLength={2000}
            onChange={(e) => put({ note: e.target.value }, 'note')}
            className={textField}
          />
        </label>
      </div>
    </div>
  );
}
