'use client';

import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { inOrderText } from '@/core/plan/press/runWords';
import { PAPER_STATES, VERDICTS, type PaperState, type Verdict } from '@/core/shop/records';
import { Labelled } from '@/ui/Labelled';
import { NumberField } from '@/ui/NumberField';
import { Segments } from '@/ui/Segments';
import { useJob } from '../job/jobContext';
import { LotField } from './LotField';

const PAPER_WORDS: Readonly<Record<PaperState, Message>> = {
  even: say('common.paleEven'),
  'left-all': say('common.dyeLeftAllOver'),
  'left-in-places': say('common.dyeLeftPlaces'),
  browned: say('common.browned'),
};
export const VERDICT_WORDS: Readonly<Record<Verdict, Message>> = {
  good: say('common.good22'),
  under: say('inspect.tooLittle'),
  over: say('inspect.tooMuch'),
  other: say('inspect.otherFault'),
};

const textField = 'block min-h-9 w-full border-b-2 border-rule bg-white px-2 text-base text-ink';

/** The used paper, the verdict, the counts. */
export function Judgement() {
  const t = useWords();
  const { job, plan, edit } = useJob();
  const { inspection } = job;
  const put = (next: Partial<typeof inspection>, group?: string) =>
    edit((j) => ({ ...j, inspection: { ...j.inspection, ...next } }), group);
  const inOrder = inOrderText(plan.press.runs);
  return (
    <div className="grid gap-1.5 border-t border-rule bg-sheet/80 px-3 py-1.5">
      {inOrder && (
        <p className="truncate font-label" title={t(inOrder)}>
          <strong className="font-semibold">{t('inspect.orderTheyCameOut')}</strong> {t(inOrder)}
        </p>
      )}
      <div className="flex flex-wrap items-end gap-x-3 gap-y-1.5">
        <Labelled label={t('inspect.usedPaper')}>
          <Segments
            label={t('inspect.usedPaper')}
            value={inspection.paperState}
            onChange={(paperState) => put({ paperState })}
            options={PAPER_STATES.map((p) => ({ value: p, label: t(PAPER_WORDS[p]) }))}
          />
        </Labelled>
        <Labelled label={t('common.verdict')}>
          <Segments
            label={t('common.verdict')}
            value={inspection.verdict}
            onChange={(verdict) => put({ verdict })}
            options={VERDICTS.map((v) => ({ value: v, label: t(VERDICT_WORDS[v]) }))}
          />
        </Labelled>
        <NumberField
          label={t('common.goodPieces')}
          value={inspection.good ?? plan.inspect.unlogged.good}
          min={0}
          max={100000}
          whole
          byHand={inspection.good !== null}
          onValue={(good) => put({ good }, 'good')}
        />
        <NumberField
          label={t('common.seconds')}
          value={inspection.seconds ?? plan.inspect.unlogged.seconds}
          min={0}
          max={100000}
          whole
          byHand={inspection.seconds !== null}
          onValue={(seconds) => put({ seconds }, 'seconds')}
        />
        <NumberField
          label={t('common.spoiled')}
          value={inspection.spoiled ?? plan.inspect.unlogged.spoiled}
          min={0}
          max={100000}
          whole
          byHand={inspection.spoiled !== null}
          onValue={(spoiled) => put({ spoiled }, 'spoiled')}
        />
        <LotField className={textField} />
        <label className="min-w-52 flex-1 font-label text-fine font-medium text-soft">
          {t('common.note')}
          <input
            value={inspection.note}
            maxLength={2000}
            onChange={(e) => put({ note: e.target.value }, 'note')}
            className={textField}
          />
        </label>
      </div>
    </div>
  );
}
