'use client';

import { date, moneyOf } from '@/core/message/quantity';
import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { addDays } from 'date-fns';
import { FileDown } from 'lucide-react';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { JobCost } from '@/core/cost/jobCost';
import { quotePage, standsOn } from '@/core/cost/quotes';
import type { Job } from '@/core/job/job';
import { stateOf, type Quote, type QuoteState } from '@/core/shop/quote';
import { addQuote, moveQuote, quotesOf } from '@/data/quotes';
import { Button } from '@/ui/Button';
import { isoDay } from '@/ui/dates';
import { notify, notifyProblem } from '@/ui/notify';
import { labelFont } from '../logbook/labelFont';
import { saveBytesAs } from '../shell/download';
import { useShop } from '../shell/shopContext';
import { part } from '@/core/basics/part';

const STATE_WORDS: Readonly<Record<QuoteState, Message>> = {
  made: say('pricing.made'),
  sent: say('pricing.sent'),
  accepted: say('pricing.accepted2'),
  declined: say('pricing.declined2'),
  replaced: say('pricing.replacedNewerOne'),
};
const NEXT: Readonly<Record<QuoteState, readonly QuoteState[]>> = {
  made: ['sent', 'accepted', 'declined'],
  sent: ['accepted', 'declined'],
  accepted: [],
  declined: [],
  replaced: [],
};

interface Props {
  readonly job: Job;
  readonly cost: JobCost;
  /** When the day plan has it packed; null where it does not say. */
  readonly readyOn?: string | null;
}

/** Quotes of a job: made at the price that stands, kept as they were, each with its history. */
export function Quotes({ job, cost, readyOn = null }: Props) {
  const t = useWords();
  const { shop } = useShop();
  const quotes = useLiveQuery(() => quotesOf(job.id), [job.id]);
  const [busy, setBusy] = useState(false);
  const { settings } = shop;
  const pdf = async (q: Quote) => {
    const font = await labelFont();
    if (!font.ok) return notifyProblem(font.problem);
    const { drawnPdf } = await part(() => import('@/core/formats/drawnPdf'));
    const bytes = await drawnPdf(
      t('pricing.quoteNumber', { number: q.number }),
      [quotePage(q, settings.shopName, t)],
      font.value,
    );
    saveBytesAs(`quote-${q.number}.pdf`, bytes, 'application/pdf');
  };
  const make = async () => {
    setBusy(true);
    const now = Date.now();
    const made = await addQuote({
      jobId: job.id,
      jobName: job.name,
      at: now,
      madeOn: isoDay(new Date(now)),
      validUntil: isoDay(addDays(now, settings.money.quoteDays)),
      customer: job.sell.customer,
      currency: settings.currency,
      what: t('pricing.printed', { blankName: cost.blankName }),
      pieces: cost.pieces,
      eachCents: cost.price.eachCents,
      postageCents: job.sell.way === 'post' ? job.sell.postageCents : 0,
      postageWords: t('pricing.postagePackingOrder'),
      costCents: cost.price.cost.totalCents,
      readyOn,
      terms: settings.money.terms,
      note: '',
    });
    setBusy(false);
    if (!made.ok) return notifyProblem(made.problem);
    notify(t('pricing.quoteCreated', { number: made.value.number }));
    await pdf(made.value);
  };
  const [today] = useState(() => isoDay(new Date()));
  return (
    <section aria-label={t('pricing.quotes')}>
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="font-name text-name font-semibold">{t('pricing.quotes')}</h2>
        <Button kind="act" disabled={busy || cost.price.eachCents <= 0} onClick={() => void make()}>
          {t('pricing.createQuotePdf')}
        </Button>
      </div>
      {quotes?.length === 0 && (
        <p className="text-soft">
          {t('pricing.quotesYetQuoteUses', { pieces: cost.pieces, quoteDays: settings.money.quoteDays })}
        </p>
      )}
      <ul>
        {quotes?.map((q) => (
          <li key={q.id} className="border-b border-rule py-1.5">
            <div className="flex flex-wrap items-center justify-between gap-2">
              <span>
                <span className="font-label font-semibold">
                  {t('pricing.quote2', { number: q.number, moneyText: moneyOf(q.currency, q.totalCents) })}
                </span>
                <span className="ml-2 font-label text-fine font-medium text-soft">
                  {t('pricing.at2', {
                    pieces: q.lines[0]?.pieces ?? 0,
                    moneyText: moneyOf(q.currency, q.lines[0]?.eachCents ?? 0),
                    stateWords: STATE_WORDS[stateOf(q)],
                    which: standsOn(q, today) ? 'until' : 'other',
                    validUntil: q.validUntil,
                  })}
                </span>
              </span>
              <span className="flex flex-wrap gap-1.5">
                {NEXT[stateOf(q)].map((s) => (
                  <Button
                    key={s}
                    onClick={() =>
                      void moveQuote(q.id, s).then((r) => {
                        if (!r.ok) notifyProblem(r.problem);
                      })
                    }
                  >
                    {s === 'sent'
                      ? t('pricing.markSent')
                      : s === 'accepted'
                        ? t('pricing.accepted')
                        : t('pricing.declined')}
                  </Button>
                ))}
                <Button aria-label={t('pricing.quotePdf2', { number: q.number })} onClick={() => void pdf(q)}>
                  <FileDown size={16} aria-hidden /> {t('common.pdf')}
                </Button>
              </span>
            </div>
            <p className="font-label text-fine font-medium text-soft">
              {t('pricing.costThen', {
                history: q.history
                  .map((h) => `${t.label(STATE_WORDS[h.state])} ${t.quantity(date(h.at, 'moment'))}`)
                  .join(' · '),
                moneyText: moneyOf(q.currency, q.costCents),
              })}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
