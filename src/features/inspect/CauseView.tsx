'use client';

import { seconds } from '@/core/message/quantity';
import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { X } from 'lucide-react';
import { useState } from 'react';
import { CAUSES, faultLabel } from '@/core/inspect/faults';
import type { CauseShare, NextQuestion } from '@/core/inspect/infer';
import { QUESTIONS } from '@/core/inspect/questions';
import type { CauseId } from '@/core/shop/faultIds';
import { Button } from '@/ui/Button';
import { useJob } from '../job/jobContext';
import { clueWords } from './clueWords';
import { TableDialog } from './TableDialog';

const pct = (v: number): string => `${Math.round(v * 100)} %`;
const SHOWN = 6;
/** From here on another answer would not change what to do first. */
const ENOUGH_SHARE = 0.95;
/** A cause less likely than this is not worth a line. */
const LEAST = 0.015;

/** Causes by their probability, the question that tells most, and what speaks for them. */
export function CauseView() {
  const t = useWords();
  const { plan, job } = useJob();
  const { ranked } = plan.inspect;
  const [table, setTable] = useState(false);
  if (ranked.length === 0)
    return (
      <div className="grid flex-1 place-content-center gap-2 p-8 text-center">
        <p className="text-lead">{t('inspect.firstMarkFaultPlace')}</p>
        <p className="text-soft">{t('inspect.causesThenWeighedWhat')}</p>
      </div>
    );
  return (
    <div className="grid flex-[1_0_auto] content-start gap-x-6 gap-y-4 p-4 xl:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <section aria-label={t('inspect.causes')}>
        <h2 className="flex items-center justify-between font-name text-head font-semibold">
          {t('inspect.likelyCauses')}
          <Button kind="quiet" className="text-fine" onClick={() => setTable(true)}>
            {t('inspect.sourcesTheseFigures')}
          </Button>
        </h2>
        <ol className="mt-1">
          {ranked
            .filter((c, i) => i === 0 || c.share >= LEAST || c.cause === job.inspection.cause)
            .slice(0, SHOWN)
            .map((c) => (
              <CauseLine key={c.cause} cause={c} />
            ))}
        </ol>
        <p className="mt-2 text-soft">{t('inspect.darkBandShowsWhere')}</p>
      </section>
      <div className="grid content-start gap-4">
        <Question />
        <Speaks />
      </div>
      {table && <TableDialog onClose={() => setTable(false)} />}
    </div>
  );
}

function CauseLine({ cause: c }: { cause: CauseShare }) {
  const t = useWords();
  const { job, plan, edit } = useJob();
  // What to change for the cause in hand stands in the bar below.
  const inBar = plan.inspect.change?.cause === c.cause;
  const settled = job.inspection.cause === c.cause;
  const settle = (cause: CauseId | null) => edit((j) => ({ ...j, inspection: { ...j.inspection, cause } }));
  return (
    <li className={`border-b border-rule py-2 ${settled ? 'bg-strata-5/30' : ''}`}>
      <div className="flex items-baseline justify-between gap-3">
        <span className="font-label text-lead font-semibold first-letter:uppercase">
          {t(CAUSES[c.cause].label)}
        </span>
        <span className="font-label text-lead font-semibold italic">
          ≈ {pct(c.share)}{' '}
          <span className="text-base font-medium text-soft not-italic">
            {t('inspect.to', { low: pct(c.low), high: pct(c.high) })}
          </span>
        </span>
      </div>
      <svg viewBox="0 0 100 6" preserveAspectRatio="none" className="my-1 h-3 w-full" aria-hidden>
        <rect width={100} height={6} fill="#dfe5dd" />
        <rect width={100 * c.share} height={6} fill="#3c6b57" />
        <rect x={100 * c.low} width={Math.max(0.5, 100 * (c.high - c.low))} y={4} height={2} fill="#14211f" />
      </svg>
      <div className="flex items-center justify-between gap-3">
        <span className="leading-snug">
          {inBar ? t('inspect.changeMakeBelow') : t(CAUSES[c.cause].change)}
        </span>
        <Button
          aria-pressed={settled}
          className={`shrink-0 ${settled ? 'bg-strata-3 text-white hover:bg-strata-3' : ''}`}
          onClick={() => settle(settled ? null : c.cause)}
        >
          {settled ? t('inspect.causeConfirmed') : t('inspect.confirmCause')}
        </Button>
      </div>
    </li>
  );
}

const costWords = (q: NextQuestion): Message => {
  const { takesS, uses } = q.question;
  const time = takesS < 20 ? say('inspect.aLook') : say('common.amount', { amount: seconds(takesS) });
  return uses === 'nothing' ? time : say('inspect.andA', { time, uses });
};

function Question() {
  const t = useWords();
  const { plan, job, edit } = useJob();
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  const [more, setMore] = useState(false);
  const left = plan.inspect.questions.filter((q) => !skipped.includes(q.question.id));
  const [best, ...others] = left;
  const [likeliest] = plan.inspect.ranked;
  const enough = likeliest !== undefined && likeliest.share >= ENOUGH_SHARE && !more;
  const answer = (question: string, value: string) =>
    edit((j) => ({
      ...j,
      inspection: {
        ...j.inspection,
        replies: [
          ...j.inspection.replies.filter((r) => r.question !== question),
          { question, answer: value },
        ].slice(-40),
      },
    }));
  return (
    <section aria-label={t('inspect.nextQuestion')} className="border-2 border-ink bg-sheet p-4">
      <h2 className="font-name text-lead font-semibold">
        {enough ? t('inspect.enoughKnown') : t('inspect.nextCheck')}
      </h2>
      {enough ? (
        <>
          <p className="mt-1 text-lead leading-snug">
            <strong className="inline-block font-semibold first-letter:uppercase">
              {t(CAUSES[likeliest.cause].label)}
            </strong>{' '}
            {t('inspect.likelyMakeOneChange', { share: pct(likeliest.share) })}
          </p>
          {best && (
            <Button kind="quiet" className="mt-1 px-0" onClick={() => setMore(true)}>
              {t('inspect.askMoreAnyway')}
            </Button>
          )}
        </>
      ) : best ? (
        <>
          <p className="mt-1 text-lead leading-snug font-semibold">{t(best.question.text)}</p>
          <div className="mt-2 flex flex-wrap gap-2">
            {best.question.values.map((v, i) => (
              <Button key={v} className="min-h-11 px-4 text-lead" onClick={() => answer(best.question.id, v)}>
                {(best.question.words[i] ? t(best.question.words[i]) : null) ?? v}
              </Button>
            ))}
            <Button kind="quiet" onClick={() => setSkipped([...skipped, best.question.id])}>
              {t('inspect.cannotSay')}
            </Button>
          </div>
          <p className="mt-2 text-soft">
            {t('inspect.takesAfterLikeliestCause', {
              best: costWords(best),
              sureAfter: pct(best.sureAfter),
              share: pct(plan.inspect.ranked[0]?.share ?? 0),
            })}
          </p>
          {others[0] && (
            <p className="mt-1 text-soft">
              {t('inspect.then', { question: others[0].question.text, others: costWords(others[0]) })}
            </p>
          )}
        </>
      ) : (
        <p className="mt-1">{t('inspect.furtherCheckWorthCost')}</p>
      )}
      {job.inspection.replies.length > 0 && (
        <ul aria-label={t('inspect.answered')} className="mt-3 border-t border-rule pt-2">
          {job.inspection.replies.map((r) => {
            const q = QUESTIONS.find((x) => x.id === r.question);
            const words = q?.words[q.values.indexOf(r.answer)];
            return (
              q && (
                <li key={r.question} className="flex items-start justify-between gap-2 py-0.5">
                  <span>
                    {t(q.text)} <strong>{(words ? t(words) : null) ?? r.answer}</strong>
                  </span>
                  <button
                    type="button"
                    aria-label={t('inspect.takeBack', { q: q.text })}
                    onClick={() =>
                      edit((j) => ({
                        ...j,
                        inspection: {
                          ...j.inspection,
                          replies: j.inspection.replies.filter((x) => x.question !== r.question),
                        },
                      }))
                    }
                    className="grid size-8 shrink-0 place-items-center hover:bg-board"
                  >
                    <X size={16} aria-hidden />
                  </button>
                </li>
              )
            );
          })}
        </ul>
      )}
    </section>
  );
}

/** What the causes were weighed by. */
function Speaks() {
  const t = useWords();
  const { plan } = useJob();
  const { evidence } = plan.inspect;
  const words = clueWords(evidence);
  return (
    <section aria-label={t('inspect.evidence')}>
      <h2 className="font-name text-lead font-semibold">{t('inspect.evidence')}</h2>
      <ul className="mt-1 grid gap-0.5">
        <li>
          <span className="text-soft">{t('inspect.seen')}</span>{' '}
          {t('inspect.list', { parts: evidence.faults.map((f) => faultLabel(f)) })}
        </li>
        {words.map((w) => (
          <li key={w.label.id}>
            <span className="text-soft">{t(w.label)}:</span> {t(w.text)}
          </li>
        ))}
      </ul>
    </section>
  );
}
