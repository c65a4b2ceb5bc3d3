'use client';

import { date } from '@/core/message/quantity';
import { settingsSummary } from '@/core/heat/settings/labels';
import { useState } from 'react';
import type { LogEntry } from '@/core/shop/records';
import { changesBetween, historyOf } from '@/core/inspect/history';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { Say, useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { SeenPiece } from './SeenPiece';
import { HistoryLine } from './HistoryLine';

/** The last good one of this blank on this press, side by side with this one, and the line of what was tried. */
export function LastGood() {
  const t = useWords();
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>{t('inspect.lastGoodPiece')}</Button>
      {open && <LastGoodDialog onClose={() => setOpen(false)} />}
    </>
  );
}

function LastGoodDialog({ onClose }: { onClose: () => void }) {
  const t = useWords();
  const { job, plan } = useJob();
  const { lastGood, face } = plan.inspect;
  const settings = plan.press.last?.settings ?? plan.heat.chosen?.settings;
  const line = historyOf(plan.inspect.tried);
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title={t('inspect.compareLastGoodPiece')}
      about={t('inspect.newestGoodPieceBlank')}
    >
      {lastGood ? (
        <div className="grid gap-5 md:grid-cols-2">
          <section>
            <h3 className="font-name text-lead font-semibold">{t('inspect.thisPiece')}</h3>
            {face && (
              <SeenPiece
                face={face}
                marks={job.inspection.marks}
                photo={job.inspection.photos.find((p) => p.of === 'piece') ?? null}
              />
            )}
            {settings && (
              <p className="mt-1 font-label font-semibold">
                <Say message={settingsSummary(settings)} />
              </p>
            )}
          </section>
          <section>
            <h3 className="font-name text-lead font-semibold">
              {t('inspect.lastGoodOne', { at: date(lastGood.at, 'moment'), jobName: lastGood.jobName })}
            </h3>
            {(lastGood.face ?? face) && (
              <SeenPiece
                face={lastGood.face ?? (face as NonNullable<typeof face>)}
                marks={lastGood.marks}
                photo={lastGood.photos.find((p) => p.of === 'piece') ?? null}
              />
            )}
            <p className="mt-1 font-label font-semibold">
              <Say message={settingsSummary(lastGood.settings)} />
            </p>
            {settings && <Differs from={lastGood.settings} to={settings} />}
            {lastGood.note !== '' && <p className="mt-1">“{lastGood.note}”</p>}
          </section>
        </div>
      ) : (
        <p className="py-4 text-lead">{t('inspect.logHasGoodPiece')}</p>
      )}
      {line.length > 0 && (
        <section className="mt-5">
          <h3 className="font-name text-lead font-semibold">{t('inspect.earlierSettingsBlankPress')}</h3>
          <HistoryLine steps={line} proven={plan.heat.chosen?.proven?.recipe.settings ?? null} />
        </section>
      )}
    </Dialog>
  );
}

function Differs({ from, to }: { from: LogEntry['settings']; to: LogEntry['settings'] }) {
  const t = useWords();
  const lines = changesBetween(from, to);
  return (
    <p className="mt-1">
      {lines.length === 0 ? t('inspect.pressedSameSettingsOne') : t('inspect.sinceThen')}
      {lines.map((l, i) => (
        <span key={i}>
          {i > 0 && ', '}
          <Say message={l} />
        </span>
      ))}
    </p>
  );
}
