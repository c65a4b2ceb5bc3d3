'use client';

import { addDays } from 'date-fns';
import { FileDown } from 'lucide-react';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { JobCost } from '@/core/cost/jobCost';
import { quotePage, standsOn } from '@/core/cost/quotes';
import type { Job } from '@/core/job/job';
import { moneyText } from '@/core/money/money';
import { stateOf, type Quote, type QuoteState } from '@/core/shop/quote';
import { addQuote, moveQuote, quotesOf } from '@/data/quotes';
import { Button } from '@/ui/Button';
import { isoDay, momentText } from '@/ui/dates';
import { notify, notifyProblem } from '@/ui/notify';
import { labelFont } from '../logbook/labelFont';
import { saveBytesAs } from '../shell/download';
import { useShop } from '../shell/shopContext';
import { part } from '@/core/basics/part';

const STATE_WORDS: Readonly<Record<QuoteState, string>> = {
  made: 'made',
  sent: 'sent',
  accepted: 'accepted',
  declined: 'declined',
  replaced: 'replaced by a newer one',
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
  const { shop } = useShop();
  const quotes = useLiveQuery(() => quotesOf(job.id), [job.id]);
  const [busy, setBusy] = useState(false);
  const { settings } = shop;
  const pdf = async (q: Quote) => {
    const font = await labelFont();
    if (!font.ok) return notifyProblem(font.problem);
    const { drawnPdf } = await part(() => import('@/core/formats/drawnPdf'));
    const bytes = await drawnPdf(`Quote ${q.number}`, [quotePage(q, settings.shopName)], font.value);
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
      what: `${cost.blankName}, printed`,
      pieces: cost.pieces,
      eachCents: cost.price.eachCents,
      postageCents: job.sell.way === 'post' ? job.sell.postageCents : 0,
      costCents: cost.price.cost.totalCents,
      readyOn,
      terms: settings.money.terms,
      note: '',
    });
    setBusy(false);
    if (!made.ok) return notifyProblem(made.problem);
    notify(`Quote ${made.value.number} created.`);
    await pdf(made.value);
  };
  const [today] = useState(() => isoDay(new Date()));
  return (
    <section aria-label="Quotes">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="font-name text-name font-semibold">Quotes</h2>
        <Button kind="act" disabled={busy || cost.price.eachCents <= 0} onClick={() => void make()}>
          Create quote PDF
        </Button>
      </div>
      {quotes?.length === 0 && (
        <p className="text-soft">
          No quotes yet. A quote uses the current price for {cost.pieces} pieces and is valid for{' '}
          {settings.money.quoteDays} days.
        </p>
      )}
      <ul>
        {quotes?.map((q) => (
          <li key={q.id} className="border-b border-rule py-1.5">
            <div className="flex flex-wrap items-center justify-between gap-2">
              <span>
                <span className="font-label font-semibold">
                  Quote {q.number}: {moneyText(q.currency, q.totalCents)}
                </span>
                <span className="ml-2 font-label text-fine font-medium text-soft">
                  {q.lines[0]?.pieces} at {moneyText(q.currency, q.lines[0]?.eachCents ?? 0)},{' '}
                  {STATE_WORDS[stateOf(q)]}, {standsOn(q, today) ? 'until' : 'was until'} {q.validUntil}
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
                    {s === 'sent' ? 'Mark as sent' : s === 'accepted' ? 'Accepted' : 'Declined'}
                  </Button>
                ))}
                <Button aria-label={`Quote ${q.number} as PDF`} onClick={() => void pdf(q)}>
                  <FileDown size={16} aria-hidden /> PDF
                </Button>
              </span>
            </div>
            <p className="font-label text-fine font-medium text-soft">
              {q.history.map((h) => `${STATE_WORDS[h.state]} ${momentText(h.at)}`).join(' · ')}; cost then{' '}
              {moneyText(q.currency, q.costCents)}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
