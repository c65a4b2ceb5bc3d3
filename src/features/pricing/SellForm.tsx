'use client';

import { useWords } from '@/ui/words';
import type { JobCost } from '@/core/cost/jobCost';
import type { Job, Sell } from '@/core/job/job';
import { ok } from '@/core/basics/result';
import { changeJob } from '@/data/jobs';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { MoneyField } from '@/ui/MoneyField';
import { NumberField } from '@/ui/NumberField';
import { notifyProblem } from '@/ui/notify';
import { Segments } from '@/ui/Segments';
import { TypedField } from '@/ui/TypedField';

interface Props {
  readonly job: Job;
  readonly cost: JobCost;
  readonly currency: string;
}

/** How a job is sold: to whom, by which way, and what its price is made from. */
export function SellForm({ job, cost, currency }: Props) {
  const t = useWords();
  const { sell } = job;
  const put = (next: Partial<Sell>) => {
    void changeJob(job.id, (j) => ({ ...j, sell: { ...j.sell, ...next } })).then((r) => {
      if (!r.ok) notifyProblem(r.problem);
    });
  };
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
      <TypedField
        label={t('pricing.customer')}
        text={sell.customer}
        width="w-48"
        byHand
        parse={(t) => ok(t.trim().slice(0, 120))}
        onValue={(customer) => put({ customer })}
      />
      <Labelled label={t('pricing.salesChannel')}>
        <Segments
          label={t('pricing.salesChannel')}
          value={sell.way}
          options={[
            { value: 'counter', label: t('pricing.inTheShop') },
            { value: 'market', label: t('pricing.atAMarket') },
            { value: 'post', label: t('pricing.byPost') },
          ]}
          onChange={(way) => put({ way })}
        />
      </Labelled>
      {sell.way === 'market' && (
        <NumberField
          label={t('common.marketFee')}
          value={cost.wish.feePct}
          min={0}
          max={60}
          unit="%"
          byHand={sell.feePct !== null}
          onValue={(feePct) => put({ feePct })}
        />
      )}
      {sell.way === 'post' && (
        <MoneyField
          label={t('pricing.postageOrder')}
          cents={sell.postageCents}
          currency={currency}
          onCents={(postageCents) => put({ postageCents })}
        />
      )}
      <Labelled label={t('pricing.priceFrom')}>
        <Segments
          label={t('pricing.priceFrom')}
          value={sell.priceFrom}
          options={[
            { value: 'margin', label: t('pricing.aMargin') },
            { value: 'hour', label: t('pricing.hourlyEarnings') },
          ]}
          onChange={(priceFrom) => put({ priceFrom, priceCents: null })}
        />
      </Labelled>
      {sell.priceFrom === 'margin' && (
        <NumberField
          label={t('common.margin')}
          value={cost.wish.marginPct}
          min={0}
          max={90}
          unit="%"
          byHand={sell.marginPct !== null}
          onValue={(marginPct) => put({ marginPct, priceCents: null })}
        />
      )}
      <MoneyField
        label={cost.byHand ? t('pricing.pricePerPieceSet') : t('pricing.pricePerPiece')}
        cents={cost.price.eachCents}
        currency={currency}
        byHand={cost.byHand}
        least={1}
        onCents={(priceCents) => put({ priceCents })}
      />
      <MoneyField
        label={t('pricing.pricePerSecond')}
        cents={cost.seconds.eachCents}
        currency={currency}
        byHand={sell.secondCents !== null}
        onCents={(secondCents) => put({ secondCents })}
      />
      {cost.byHand && (
        <Button onClick={() => put({ priceCents: null })}>{t('pricing.resetCalculatedPrice')}</Button>
      )}
    </div>
  );
}
