'use client';

import { span } from '@/core/message/quantity';
import { say, type Message } from '@/core/message/message';
import { useWords, Q } from '@/ui/words';
import { useEffect, useState } from 'react';
import { earlierWindows, type DayPlan } from '@/core/day/dayPlan';
import type { Answer, WhatIf } from '@/core/day/whatIf';
import type { Shop } from '@/core/shop/shop';
import { Button } from '@/ui/Button';
import { NumberField } from '@/ui/NumberField';
import { Select } from '@/ui/Select';
import { inDayWorker } from '@/workers/client';
import { msOf, whenAt } from './dayWords';

interface Asked {
  readonly label: Message;
  readonly what: WhatIf;
}

/** What is worth asking of this day: another of the press that is busiest, more hands, an earlier start. */
function usual(day: DayPlan, shop: Shop): readonly Asked[] {
  const busiest = day.busy.presses.reduce((m, b, i) => (b > (day.busy.presses[m] ?? 0) ? i : m), 0);
  const press = day.presses[busiest];
  const days = Math.ceil((day.windows.at(-1)?.toS ?? 0) / 86_400) + 1;
  return [
    ...(press
      ? [
          {
            label: say('schedule.aSecond', { press: press.name.toLowerCase() }),
            what: { kind: 'press', press: busiest } as const,
          },
        ]
      : []),
    { label: say('schedule.oneMorePerson'), what: { kind: 'person' } },
    {
      label: say('schedule.openHourEarlier'),
      what: { kind: 'earlier', windows: earlierWindows(shop, day.nowMs, days, 60) },
    },
  ];
}

function AnswerText({ day, answer }: { day: DayPlan; answer: Answer | undefined }) {
  const t = useWords();
  if (!answer) return <span className="text-soft">…</span>;
  const gain = day.makespanS - answer.makespanS;
  return (
    <span className="text-right">
      <span className="font-label font-semibold">
        <Q of={whenAt(msOf(day, answer.makespanS), day.nowMs)} />
      </span>
      <span className="block font-label text-fine font-medium text-soft">
        {Math.abs(gain) < 60
          ? t('schedule.noDifference')
          : t('schedule.soonerBy', { by: span(gain), which: gain > 0 ? 'sooner' : 'later' })}
        {answer.late !== day.score.late && t('schedule.late', { late: answer.late })}
      </span>
    </span>
  );
}

/** What would happen if: answers from the same search, in the worker. */
export function WhatIfs({ day, shop }: { day: DayPlan; shop: Shop }) {
  const t = useWords();
  const [answers, setAnswers] = useState<Readonly<Record<string, Answer>>>({});
  const [jobId, setJobId] = useState(day.jobs[0]?.id ?? '');
  const [more, setMore] = useState(24);
  const [asked, setAsked] = useState<{
    readonly of: string;
    readonly answer: Answer;
    readonly work: number;
  } | null>(null);
  useEffect(() => {
    const stop = new AbortController();
    void (async () => {
      setAnswers({});
      for (const { label, what } of usual(day, shop)) {
        const found = await inDayWorker(say('common.whatIf'), (w) => w.answer(day.problem, day.policy, what));
        if (stop.signal.aborted) return;
        if (found.ok) setAnswers((a) => ({ ...a, [label.id]: found.value }));
      }
    })();
    return () => stop.abort();
    // The same plan gives the same answers: its chances do not matter here.
  }, [day.problem, day.policy]); // eslint-disable-line react-hooks/exhaustive-deps
  if (day.jobs.length === 0) return null;
  const work = Math.max(
    0,
    day.jobs.findIndex((j) => j.id === jobId),
  );
  const ask = async () => {
    const found = await inDayWorker(say('common.whatIf'), (w) =>
      w.answer(day.problem, day.policy, { kind: 'more', work, pieces: more }),
    );
    if (found.ok)
      setAsked({
        of: t('schedule.moreOf', { more, jobs: day.jobs[work]?.name ?? '' }),
        answer: found.value,
        work,
      });
  };
  return (
    <section aria-label={t('common.whatIf')}>
      <h2 className="mt-3 font-name text-lead font-semibold">{t('common.whatIf')}</h2>
      <ul>
        {usual(day, shop).map(({ label }) => (
          <li key={label.id} className="flex items-start justify-between gap-2 border-b border-rule py-1.5">
            <span>{t(label)}</span>
            <AnswerText day={day} answer={answers[label.id]} />
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <NumberField
          label={t('schedule.morePieces')}
          value={more}
          min={1}
          max={10_000}
          whole
          onValue={setMore}
        />
        <Select
          label={t('schedule.jobMorePieces')}
          value={day.jobs[work]?.id ?? ''}
          options={day.jobs.map((j) => ({ value: j.id, label: j.name }))}
          onChange={setJobId}
          className="w-44"
        />
        <Button onClick={() => void ask()}>{t('schedule.calculate')}</Button>
      </div>
      {asked && (
        <p role="status" className="mt-2">
          {t('schedule.packedAll', {
            of: asked.of,
            whenText: whenAt(msOf(day, asked.answer.endS[asked.work] ?? Infinity), day.nowMs),
            whenText2: whenAt(msOf(day, asked.answer.makespanS), day.nowMs),
            late: asked.answer.late,
            which: asked.answer.late > day.score.late ? 'jobsLate' : 'other',
          })}
        </p>
      )}
    </section>
  );
}
