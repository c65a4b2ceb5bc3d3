'use client';

import { useWords } from '@/ui/words';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { CAUSES } from '@/core/inspect/faults';
import { CAUSE_IDS } from '@/core/shop/faultIds';
import { VERDICTS, type LogEntry } from '@/core/shop/records';
import { newId } from '@/data/ids';
import { writeLog } from '@/data/log';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { Labelled } from '@/ui/Labelled';
import { NumberField } from '@/ui/NumberField';
import { notify, notifyProblem } from '@/ui/notify';
import { Segments } from '@/ui/Segments';
import { Select } from '@/ui/Select';
import { VERDICT_WORDS } from '../inspect/Judgement';
import { personHere } from '../press/tap';

const NONE = 'none';

/** An entry is corrected by another one: both stay, the new one counts. */
export function CorrectDialog({ entry, onClose }: { entry: LogEntry; onClose: () => void }) {
  const t = useWords();
  const router = useRouter();
  const [id] = useState(() => newId('log'));
  const [now, setNow] =
    useState<Pick<LogEntry, 'verdict' | 'good' | 'seconds' | 'spoiled' | 'cause' | 'note'>>(entry);
  const put = (next: Partial<typeof now>) => setNow((n) => ({ ...n, ...next }));
  const write = async () => {
    const each =
      entry.spoiledCostCents === null || entry.spoiled === 0 ? null : entry.spoiledCostCents / entry.spoiled;
    const r = await writeLog({
      ...entry,
      verdict: now.verdict,
      good: now.good,
      seconds: now.seconds,
      spoiled: now.spoiled,
      cause: now.cause,
      note: now.note,
      spoiledCostCents: each === null ? entry.spoiledCostCents : Math.round(each * now.spoiled),
      id,
      at: Date.now(),
      by: personHere() || entry.by,
      corrects: entry.id,
    });
    if (!r.ok) return notifyProblem(r.problem);
    onClose();
    notify(t('logbook.savedNewEntryOld'));
    router.push(`/logbook/${id}`);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('logbook.correctEntry')}
      about={t('logbook.oldEntryStaysCorrection')}
    >
      <div className="grid gap-4">
        <Labelled label={t('common.verdict')}>
          <Segments
            label={t('common.verdict')}
            value={now.verdict}
            options={VERDICTS.map((v) => ({ value: v, label: t(VERDICT_WORDS[v]) }))}
            onChange={(verdict) => put({ verdict })}
          />
        </Labelled>
        <div className="flex gap-5">
          <NumberField
            label={t('common.goodPieces')}
            value={now.good}
            min={0}
            max={100000}
            whole
            onValue={(good) => put({ good })}
          />
          <NumberField
            label={t('common.seconds')}
            value={now.seconds}
            min={0}
            max={100000}
            whole
            onValue={(seconds) => put({ seconds })}
          />
          <NumberField
            label={t('common.spoiled')}
            value={now.spoiled}
            min={0}
            max={100000}
            whole
            onValue={(spoiled) => put({ spoiled })}
          />
        </div>
        <Labelled label={t('common.cause')}>
          <Select
            label={t('common.cause')}
            value={now.cause ?? NONE}
            options={[
              { value: NONE, label: t('logbook.notSettled') },
              ...CAUSE_IDS.map((c) => ({ value: c, label: CAUSES[c].label })),
            ]}
            onChange={(c) => put({ cause: c === NONE ? null : c })}
          />
        </Labelled>
        <label className="font-label font-medium">
          {t('common.note')}
          <input
            value={now.note}
            maxLength={2000}
            onChange={(e) => put({ note: e.target.value })}
            className="block min-h-10 w-full border-2 border-ink bg-white px-2"
          />
        </label>
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>{t('common.cancel')}</Button>
          <Button kind="act" onClick={() => void write()}>
            {t('logbook.saveCorrection')}
          </Button>
        </div>
      </div>
    </Dialog>
  );
}
