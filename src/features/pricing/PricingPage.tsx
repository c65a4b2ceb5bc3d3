'use client';

import { useWords } from '@/ui/words';
import { decimal, moneyOf } from '@/core/message/quantity';
import { Link } from '@/ui/Link';
import { useMemo, useState } from 'react';
import { problemMessage } from '@/core/basics/result';
import { costFiguresOf } from '@/core/cost/costFigures';
import type { JobCost } from '@/core/cost/jobCost';
import { figure, type Figure } from '@/core/figures/figure';
import type { Job } from '@/core/job/job';
import { say } from '@/core/message/message';
import { stockAndQuotesAside } from '@/data/setAside';
import { FigureLines } from '@/ui/FigureLines';
import { useAsideOf } from '../shell/asideStore';
import { ShopFrame } from '../shell/ShopFrame';
import { useShop } from '../shell/shopContext';
import { CostStack } from './CostStack';
import { PriceLadder } from './Ladder';
import { Quotes } from './Quotes';
import { SellForm } from './SellForm';
import { useCosts } from './useCosts';
import type { JobCosts } from '@/core/cost/jobCost';

/** What every job costs, what it is sold for, and its quotes. */
export function PricingPage({ jobId }: { jobId: string | null }) {
  const t = useWords();
  const costs = useCosts();
  useAsideOf('books', stockAndQuotesAside);
  const { shop } = useShop();
  const [asked, setAsked] = useState(jobId);
  const first = costs?.find((c) => c.job.id === asked) ?? costs?.find((c) => c.cost.ok) ?? costs?.[0];
  return (
    <ShopFrame title={t('common.pricing')} about={t('pricing.costGoodPiecePrice')}>
      {!costs ? (
        <p className="p-6 text-soft" role="status">
          {t('pricing.calculatingCostEveryJob')}
        </p>
      ) : !first ? (
        <p className="p-8 text-lead">
          {t('pricing.jobOpen')}{' '}
          <Link href="/" className="underline">
            {t('pricing.startJob')}
          </Link>
          {t('pricing.seeCostHere')}
        </p>
      ) : (
        <div className="flex flex-col lg:h-full lg:flex-row">
          <JobList
            costs={costs}
            chosen={first.job.id}
            currency={shop.settings.currency}
            onChoose={setAsked}
          />
          {first.cost.ok ? (
            <OneJob
              key={first.job.id}
              job={first.job}
              cost={first.cost.value}
              currency={shop.settings.currency}
            />
          ) : (
            <p className="flex-1 p-6 text-lead">
              {t(problemMessage(first.cost.problem))}{' '}
              <Link href={`/job/${first.job.id}/blank`} className="underline">
                {t('pricing.openJob')}
              </Link>
            </p>
          )}
        </div>
      )}
    </ShopFrame>
  );
}

interface JobListProps {
  readonly costs: JobCosts;
  readonly chosen: string;
  readonly currency: string;
  readonly onChoose: (id: string) => void;
}

function JobList({ costs, chosen, currency, onChoose }: JobListProps) {
  const t = useWords();
  return (
    <nav
      aria-label={t('common.jobs')}
      className="max-h-56 shrink-0 overflow-y-auto border-b-2 border-ink lg:max-h-none lg:w-60 lg:border-r-2 lg:border-b-0"
      tabIndex={0}
    >
      <ul>
        {costs.map(({ job, cost }) => (
          <li key={job.id} className="border-b border-rule">
            <button
              type="button"
              aria-current={job.id === chosen ? 'true' : undefined}
              onClick={() => onChoose(job.id)}
              className={`block min-h-12 w-full px-3 py-1.5 text-left ${job.id === chosen ? 'bg-strata-2 text-white' : 'hover:bg-board'}`}
            >
              <span className="block truncate leading-tight">{job.name}</span>
              <span
                className={`flex justify-between font-label text-fine font-medium ${job.id === chosen ? 'text-pale' : 'text-soft'}`}
              >
                {cost.ok ? (
                  <>
                    <span>
                      {t('pricing.at', {
                        pieces: cost.value.pieces,
                        moneyText: moneyOf(currency, cost.value.price.eachCents),
                      })}
                    </span>
                    <span>
                      {t('pricing.margin2', { moneyText: moneyOf(currency, cost.value.price.earnedCents) })}
                    </span>
                  </>
                ) : (
                  <span>{t(cost.problem.what)}</span>
                )}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </nav>
  );
}

function extraFigures(cost: JobCost, currency: string): readonly Figure[] {
  const priced = (cents: number) => moneyOf(currency, cents);
  const { price } = cost;
  return [
    figure({
      id: 'cost.lowest',
      label: say('pricing.breakEvenPrice'),
      quantity: priced(price.lowestCents),
      origin: 'calculated',
      working: say('pricing.costMarketFeeWage', { payHour: priced(cost.given.money.payHourCents) }),
    }),
    figure({
      id: 'cost.left',
      label: say('common.margin'),
      quantity: priced(price.earnedCents),
      origin: 'calculated',
      working: say('pricing.orderLabourEarns', {
        each: priced(price.eachCents),
        hour: priced(price.hourCents),
      }),
      arithmetic: [
        say('pricing.feeCost', {
          pieces: price.pieces,
          each: priced(price.eachCents),
          fee: priced(price.feeCents),
          total: priced(price.cost.totalCents),
        }),
        say('pricing.perHourWageMargin', { hands: decimal(price.cost.handsS / 3600, 2) }),
        say('pricing.pricesRoundedUpWhole', { priceStep: priced(cost.given.money.priceStepCents) }),
      ],
    }),
    ...(cost.seconds.expected > 0
      ? [
          figure({
            id: 'cost.seconds',
            label: say('pricing.fromSeconds'),
            quantity: priced(Math.round(cost.seconds.expected * cost.seconds.eachCents)),
            origin: 'estimated' as const,
            working: say('pricing.secondsExpected', {
              expected: decimal(cost.seconds.expected, 1),
              each: priced(cost.seconds.eachCents),
            }),
          }),
        ]
      : []),
    figure({
      id: 'cost.reprint',
      label: say('pricing.costReprint'),
      quantity: priced(cost.reprintPrintCents),
      origin: 'calculated',
      working: say('pricing.whereBlankSpoiledToo', { reprintAll: priced(cost.reprintAllCents) }),
      arithmetic: [say('pricing.oneSheetOwnInk')],
    }),
  ];
}

function OneJob({ job, cost, currency }: { job: Job; cost: JobCost; currency: string }) {
  const t = useWords();
  const figures = useMemo(
    () => [
      ...costFiguresOf(cost.given, cost.price.cost, currency, cost.inkKnown),
      ...extraFigures(cost, currency),
    ],
    [cost, currency],
  );
  return (
    <>
      <div
        className="min-w-0 flex-1 p-4 lg:overflow-y-auto"
        tabIndex={0}
        role="region"
        aria-label={t('common.price')}
      >
        <div className="grid gap-4">
          <div className="flex flex-wrap items-baseline justify-between gap-3">
            <h2 className="font-name text-head leading-tight font-semibold">
              {t('pricing.aPiece3', { job: job.name, moneyText: moneyOf(currency, cost.price.eachCents) })}
            </h2>
            <Link href={`/job/${job.id}/blank`} className="underline">
              {t('pricing.openJob')}
            </Link>
          </div>
          {cost.supposedPress !== null && (
            <p className="border-l-6 border-warning pl-2" role="status">
              {t('pricing.pressChosenYetCalculated', { supposedPress: cost.supposedPress })}
            </p>
          )}
          {!cost.blankPriced && (
            <p className="border-l-6 border-warning pl-2" role="status">
              {t('pricing.priceBlankSetCounts')}{' '}
              <Link href="/stock" className="underline">
                {t('pricing.stock')}
              </Link>{' '}
              {t('pricing.casePriceEnterPrice')}
            </p>
          )}
          {cost.price.earnedCents < 0 && (
            <p className="border-l-6 border-act pl-2 font-semibold" role="status">
              {t('pricing.belowBreakEvenPrice', {
                moneyText: moneyOf(currency, cost.price.lowestCents),
                moneyText2: moneyOf(currency, -cost.price.earnedCents),
              })}
            </p>
          )}
          <SellForm job={job} cost={cost} currency={currency} />
          <div className="bg-board p-3">
            <CostStack price={cost.price} currency={currency} />
          </div>
          <PriceLadder cost={cost} currency={currency} />
          <Quotes job={job} cost={cost} />
        </div>
      </div>
      <aside
        aria-label={t('common.details')}
        tabIndex={0}
        className="shrink-0 border-t-2 border-ink bg-sheet px-3 py-2 lg:w-64 lg:overflow-y-auto lg:border-t-0 lg:border-l-2 xl:w-72"
      >
        <h2 className="font-name text-lead font-semibold">{t('common.details')}</h2>
        <p className="font-label text-fine font-medium text-soft">
          {t('pricing.goodPieces', { pieces: cost.pieces })}
        </p>
        <FigureLines figures={figures} find={(id) => figures.find((f) => f.id === id)} />
      </aside>
    </>
  );
}
