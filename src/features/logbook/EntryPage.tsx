'use client';

import { date } from '@/core/message/quantity';
import { say, type Message, unpacked, type Quantity } from '@/core/message/message';
import { settingsSummary } from '@/core/heat/settings/labels';
import { useLiveQuery } from 'dexie-react-hooks';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import { CAUSES, faultLabel } from '@/core/inspect/faults';
import { QUESTIONS } from '@/core/inspect/questions';
import type { LogEntry, Stood } from '@/core/shop/records';

import { entryWithAnswers } from '@/data/log';
import { Button } from '@/ui/Button';
import { useWords, Q } from '@/ui/words';
import { VERDICT_GROUND } from '../inspect/HistoryLine';
import { VERDICT_WORDS } from '../inspect/Judgement';
import { SeenPiece } from '../inspect/SeenPiece';
import { PressInset } from '../inspect/PressInset';
import { ShopFrame } from '../shell/ShopFrame';
import { CorrectDialog } from './CorrectDialog';

const PAPER_WORDS: Readonly<Record<LogEntry['paperState'], Message>> = {
  even: say('common.paleEven'),
  'left-all': say('common.dyeLeftAllOver'),
  'left-in-places': say('common.dyeLeftPlaces'),
  browned: say('common.browned'),
};

/** One entry of the log, whole: marks, photographs, settings, the plan as it stood, and what corrected it. */
export function EntryPage({ id }: { id: string }) {
  const t = useWords();
  const found = useLiveQuery(async () => (await entryWithAnswers(id)) ?? 'missing', [id]);
  const [correcting, setCorrecting] = useState(false);
  if (found === undefined) return <ShopFrame title={t('common.logbook')}>{null}</ShopFrame>;
  if (found === 'missing')
    return (
      <ShopFrame title={t('common.logbook')}>
        <div className="grid gap-3 p-8">
          <p className="text-lead">{t('logbook.entryBrowserMayLog')}</p>
          <Link href="/logbook" className="font-label font-semibold underline">
            {t('logbook.goLogbook')}
          </Link>
        </div>
      </ShopFrame>
    );
  const { entry, corrects, answers } = found;
  return (
    <ShopFrame
      title={entry.jobName}
      about={`${t.quantity(date(entry.at, 'moment'))}${entry.by ? `, ${entry.by}` : ''}`}
      actions={
        <>
          <Link href="/logbook" className="font-label font-semibold underline">
            {t('logbook.allEntries')}
          </Link>
          <Button disabled={answers.length > 0} onClick={() => setCorrecting(true)}>
            {t('logbook.correctEntry2')}
          </Button>
        </>
      }
    >
      <div tabIndex={0} role="region" aria-label={t('logbook.theEntry')} className="h-full overflow-auto p-5">
        {answers.map((a) => (
          <p key={a.id} className="mb-3 border-2 border-ink bg-warning/25 p-3">
            {t('logbook.entryLongerCountsWas')}{' '}
            <Link href={`/logbook/${a.id}`} className="underline">
              <Q of={date(a.at, 'moment')} />
            </Link>
            .
          </p>
        ))}
        {corrects && (
          <p className="mb-3">
            {t('logbook.correctsEntry')}{' '}
            <Link href={`/logbook/${corrects.id}`} className="underline">
              <Q of={date(corrects.at, 'moment')} />
            </Link>
            .
          </p>
        )}
        <div className="grid gap-6 xl:grid-cols-[minmax(0,1fr)_20rem]">
          <Looked entry={entry} />
          <StoodList stood={entry.stood} />
        </div>
      </div>
      {correcting && <CorrectDialog entry={entry} onClose={() => setCorrecting(false)} />}
    </ShopFrame>
  );
}

function Looked({ entry: e }: { entry: LogEntry }) {
  const t = useWords();
  const facts: readonly (readonly [string, React.ReactNode])[] = [
    [t('common.blank'), `${e.blankName}${e.lot === '' ? '' : t('logbook.lot', { lot: e.lot })}`],
    [t('common.press'), e.pressName],
    [t('common.settings2'), t(settingsSummary(e.settings, e.keptDwellS))],
    [t('common.usedPaper'), t(PAPER_WORDS[e.paperState])],
    [t('common.pieces'), t('common.goodSpoiled', { good: e.good, seconds: e.seconds, spoiled: e.spoiled })],
    ...(e.cause ? [[t('common.cause'), t(CAUSES[e.cause].label)] as const] : []),
    ...(e.tried ? [[t('logbook.tried'), t(CAUSES[e.tried].change)] as const] : []),
    ...(e.paperName === ''
      ? []
      : [
          [
            t('logbook.paperPrinter'),
            t('logbook.papernamePrintername', { paperName: e.paperName, printerName: e.printerName }),
          ] as const,
        ]),
  ];
  return (
    <section aria-label={t('logbook.whatWasSeen')}>
      <p className="mb-3">
        <span className={`px-3 py-1 font-label text-lead font-semibold ${VERDICT_GROUND[e.verdict]}`}>
          {t(VERDICT_WORDS[e.verdict])}
        </span>
      </p>
      <div className="flex flex-wrap gap-4">
        {e.face && (
          <SeenPiece face={e.face} marks={e.marks} photo={e.photos.find((p) => p.of === 'piece') ?? null} />
        )}
        {e.face && e.photos.some((p) => p.of === 'paper') && (
          <SeenPiece
            face={e.face}
            marks={e.marks.filter((m) => m.fault === 'dye-left' || m.fault === 'paper-browned')}
            photo={e.photos.find((p) => p.of === 'paper') ?? null}
          />
        )}
        {e.face && e.lay && e.lay.pieces.length > 0 && (
          <PressInset
            lay={e.lay}
            face={e.face}
            piece={e.marks.find((m) => m.piece !== null)?.piece ?? null}
          />
        )}
      </div>
      {!e.face && e.marks.length > 0 && <p>{e.marks.map((m) => t(faultLabel(m.fault))).join(', ')}</p>}
      <dl className="mt-4 grid max-w-3xl grid-cols-[9rem_minmax(0,1fr)] gap-x-4">
        {facts.map(([label, value]) => (
          <div key={label} className="col-span-2 grid grid-cols-subgrid border-b border-rule py-1.5">
            <dt className="text-soft">{label}</dt>
            <dd className="font-label font-medium">{value}</dd>
          </div>
        ))}
      </dl>
      {e.note !== '' && <p className="mt-3 max-w-3xl text-lead">“{e.note}”</p>}
      {e.replies.length > 0 && (
        <ul aria-label={t('logbook.questionsAnswers')} className="mt-3 grid gap-0.5">
          {e.replies.map((r) => {
            const q = QUESTIONS.find((x) => x.id === r.question);
            return (
              <li key={r.question}>
                {t.label(q?.text ?? r.question)}{' '}
                <strong>{t.label(q?.words[q.values.indexOf(r.answer)] ?? r.answer)}</strong>
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}

const asQuantity = (s: Stood): Quantity =>
  s.kind === 'word' || typeof s.value === 'string'
    ? { kind: 'word', value: unpacked(String(s.value)) }
    : { kind: s.kind, value: s.value };

/** The plan as it stood when it was written: figures only, as they were. */
function StoodList({ stood }: { stood: readonly Stood[] }) {
  const t = useWords();
  return (
    <section aria-label={t('logbook.planTime')}>
      <h2 className="font-name text-lead font-semibold">{t('logbook.planTime')}</h2>
      {stood.length === 0 && <p className="text-soft">{t('logbook.savedEntry')}</p>}
      <dl className="mt-1">
        {stood.map((s, i) => (
          <div key={i} className="flex items-baseline justify-between gap-3 border-b border-rule py-1">
            <dt>{t(unpacked(s.label))}</dt>
            <dd className="text-right font-label font-semibold">{t.quantity(asQuantity(s))}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
