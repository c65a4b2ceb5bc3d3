'use client';

import { useMemo, useState } from 'react';
import dynamic from 'next/dynamic';
import { part } from '@/core/basics/part';
import { pressOptions, jobOnPress, type PressOption } from '@/core/plan/heat/pressChoice';
import { toPress } from '@/core/plan/press/toPress';
import { Segments } from '@/ui/Segments';
import { Say, useWords, type Words } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { useShop } from '../shell/shopContext';

const ComparePresses = dynamic(() => part(() => import('./ComparePresses')).then((m) => m.ComparePresses), {
  ssr: false,
});

const NOTHING: readonly PressOption[] = [];

/** Every press of the shop for this piece; those that cannot press it last. */
function useOptions(): readonly PressOption[] {
  const { plan, job, shop } = useJob();
  const { proven } = useShop();
  const { blank } = plan.blank;
  const wrap = useMemo(
    () => toPress({ wrap: plan.wrap, blank, asked: job.wrap }),
    [plan.wrap, blank, job.wrap],
  );
  return useMemo(
    () =>
      blank && wrap
        ? pressOptions({
            blank,
            wrap,
            pieces: job.pieces,
            presses: shop.presses,
            recipes: shop.recipes,
            proven,
            log: shop.log,
          })
        : NOTHING,
    [blank, wrap, job.pieces, shop.presses, shop.recipes, shop.log, proven],
  );
}

/** Names of presses by what keeps them from this piece. */
function byReason(others: readonly PressOption[], t: Words): ReadonlyMap<string, readonly string[]> {
  const names = new Map<string, readonly string[]>();
  for (const { press, problems } of others) {
    const why = problems.map((m) => t(m)).join(' ');
    names.set(why, [...(names.get(why) ?? []), press.name]);
  }
  return names;
}

/** The press of the job, and a choice of another. Presses that cannot press the piece are disabled; the reasons can be opened. */
export function PressChoice() {
  const t = useWords();
  const { plan, shop, edit } = useJob();
  const [comparing, setComparing] = useState(false);
  const options = useOptions();
  const { press, chosenFor } = plan.heat;
  const chosenId = press?.id ?? null;
  const fits = options.filter((o) => o.problems.length === 0);
  const shown = options.filter((o) => o.problems.length === 0 || o.press.id === chosenId);
  const others = options.filter((o) => !shown.includes(o));
  if (shop.presses.length === 0) return <p>{t('heat.therePressYetAdd')}</p>;
  return (
    <div className="min-w-0 grow basis-96">
      <Segments
        label={t('common.press')}
        value={chosenId}
        onChange={(id) => edit((j) => jobOnPress(j, id))}
        options={[...shown, ...others].map(({ press: p, reason }) => ({
          value: p.id,
          label: p.name,
          title: reason ?? undefined,
          disabled: reason === null && p.id !== chosenId,
        }))}
      />
      {chosenFor && (
        <p className="mt-1 font-label text-fine">
          <Say message={chosenFor} />
        </p>
      )}
      <div className="mt-1 flex flex-wrap items-baseline gap-x-5 font-label text-fine">
        {fits.length > 1 && (
          <button
            type="button"
            className="min-h-8 font-semibold underline"
            onClick={() => setComparing(true)}
          >
            {t('heat.comparePresses')}
          </button>
        )}
        {others.length > 0 && (
          <details>
            <summary className="cursor-pointer py-1.5">{t('heat.whyNotOthers')}</summary>
            <ul>
              {[...byReason(others, t)].map(([why, names]) => (
                <li key={why}>
                  <strong>{names.join(', ')}:</strong> {why}
                </li>
              ))}
            </ul>
          </details>
        )}
      </div>
      {comparing && <ComparePresses presses={fits.map((o) => o.press)} onClose={() => setComparing(false)} />}
    </div>
  );
}
