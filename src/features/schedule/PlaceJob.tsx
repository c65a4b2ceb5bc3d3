'use client';

import { format } from 'date-fns';
import { useWords } from '@/ui/words';
import { say } from '@/core/message/message';
import { Lock, LockOpen } from 'lucide-react';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import type { DayJob, DayPlan } from '@/core/day/dayPlan';
import { fail, ok } from '@/core/basics/result';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { Select } from '@/ui/Select';
import { TypedField } from '@/ui/TypedField';
import { msOf, whenAt } from './dayWords';

/** A time of day on the day of another moment, ms. */
function onDay(text: string, dayMs: number): number | null {
  const found = /^(\d{1,2})[:.](\d{2})$/.exec(text.trim());
  const [h, m] = [Number(found?.[1]), Number(found?.[2])];
  if (!found || h > 23 || m > 59) return null;
  const d = new Date(dayMs);
  return new Date(d.getFullYear(), d.getMonth(), d.getDate(), h, m).getTime();
}

interface Props {
  readonly day: DayPlan;
  readonly job: DayJob;
  readonly work: number;
  /** The day that is shown: times typed are of it. */
  readonly shownMs: number;
  readonly presses: readonly { readonly id: string; readonly name: string }[];
  readonly onPin: (pressId: string, fromMs: number) => void;
  readonly onFree: () => void;
  readonly onWait: () => void;
  readonly onClose: () => void;
}

/** One job of the day: where it is put by hand, and how to let it go again. The same as dragging it, for the keyboard. */
export function PlaceJob({ day, job, work, shownMs, presses, onPin, onFree, onWait, onClose }: Props) {
  const t = useWords();
  const line = day.lines.find(
    (l) => l.kind === 'press' && l.bars.some((b) => b.work === work && b.kind === 'press'),
  );
  const first = line?.bars.find((b) => b.work === work && b.kind === 'press');
  const [pressId, setPressId] = useState(day.presses[line?.index ?? 0]?.id ?? presses[0]?.id ?? '');
  const startMs = first ? msOf(day, first.fromS) : shownMs;
  const [fromMs, setFromMs] = useState(startMs);
  return (
    <section aria-label={t('schedule.placeSchedule')} className="mb-3 border-b-2 border-ink pb-3">
      <div className="flex items-start justify-between gap-2">
        <h2 className="font-name text-name leading-tight font-semibold">{job.name}</h2>
        <Button kind="quiet" onClick={onClose}>
          {t('common.close')}
        </Button>
      </div>
      <p className="text-soft">
        {t('schedule.pressPackedBegins', {
          toPress: job.toPress,
          pieces: job.pieces,
          packed: job.packed,
          whenText: whenAt(startMs, day.nowMs),
        })}
      </p>
      {job.latestS !== null && (
        <p className="font-semibold text-act-deep">
          {t('schedule.beginLatestTimeNine', { whenText: whenAt(msOf(day, job.latestS), day.nowMs) })}
        </p>
      )}
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <Labelled label={t('common.press')}>
          <Select
            label={t('common.press')}
            value={pressId}
            options={presses.map((p) => ({ value: p.id, label: p.name }))}
            onChange={setPressId}
            className="w-40"
          />
        </Labelled>
        <TypedField
          label={t('schedule.notBefore')}
          text={format(fromMs, 'HH:mm')}
          width="w-16"
          byHand
          parse={(t) => {
            const at = onDay(t, shownMs);
            return at === null
              ? fail(
                  say('common.timeWritten1430'),
                  say('schedule.notBefore'),
                  say('schedule.hoursThenMinutes'),
                )
              : ok(at);
          }}
          onValue={setFromMs}
        />
        <Button onClick={() => onPin(pressId, fromMs)}>
          <Lock size={16} aria-hidden /> {t('schedule.lockHere')}
        </Button>
        {job.pinned && (
          <Button onClick={onFree}>
            <LockOpen size={16} aria-hidden /> {t('schedule.unlock')}
          </Button>
        )}
        <Button kind="quiet" onClick={onWait}>
          {t('schedule.leaveOutSchedule')}
        </Button>
      </div>
      <p className="mt-2 flex gap-4">
        <Link href={`/job/${job.id}/press`} className="underline">
          {t('schedule.goPressing')}
        </Link>
        <Link href={`/finish/${job.id}`} className="underline">
          {t('common.finishing')}
        </Link>
        <Link href={`/pricing?job=${job.id}`} className="underline">
          {t('common.cost')}
        </Link>
      </p>
    </section>
  );
}
