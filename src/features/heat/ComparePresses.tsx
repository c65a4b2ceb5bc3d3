'use client';

import { useEffect, useState, type ReactNode } from 'react';
import { say } from '@/core/message/message';
import { celsius, count, decimal, ratio, seconds } from '@/core/message/quantity';
import type { OnPress } from '@/core/plan/heat/compare';
import { jobOnPress } from '@/core/plan/heat/pressChoice';
import type { Press } from '@/core/shop/press';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { notifyProblem } from '@/ui/notify';
import { Q, useWords } from '@/ui/words';
import { inHeatWorker } from '@/workers/client';
import { useJob } from '../job/jobContext';
import { useShop } from '../shell/shopContext';
import { triedOnAll } from '../job/useHeatCache';

/** The figures compared, by their headings. */
const FIGURES = [
  'heat.compareStart',
  'heat.compareGood',
  'heat.atOnce',
  'heat.compareHands',
  'heat.compareTotal',
  'heat.compareEnergy',
] as const;
const HEADINGS = ['heat.comparePress', ...FIGURES] as const;

interface Props {
  /** Those that can press the piece, best first. */
  readonly presses: readonly Press[];
  readonly onClose: () => void;
}

/** What each press does with this piece as it stood on opening, by press, as the worker answers; null where it has no answer. */
function useCompared(presses: readonly Press[]): Readonly<Record<string, OnPress | null>> {
  const { job, shop } = useJob();
  const { proven } = useShop();
  const [asked] = useState({ job, shop, presses, proven });
  const [found, setFound] = useState<Readonly<Record<string, OnPress | null>>>({});
  useEffect(() => {
    let closed = false;
    void (async () => {
      const extra = { proven: asked.proven, tried: await triedOnAll(asked.job, asked.shop) };
      for (const { id } of asked.presses) {
        if (closed) return;
        const r = await inHeatWorker<OnPress | null>(
          say('heat.comparePresses'),
          (api) => api.onPress(asked.job, asked.shop, id, extra) as Promise<OnPress | null>,
        );
        if (closed) return;
        if (!r.ok) return notifyProblem(r.problem);
        const row = r.value;
        setFound((before) => ({ ...before, [id]: row }));
      }
    })();
    return () => {
      closed = true;
    };
  }, [asked]);
  return found;
}

/** The same piece on every press that fits, side by side, and one touch to change over. */
export function ComparePresses({ presses, onClose }: Props) {
  const t = useWords();
  const { plan, edit } = useJob();
  const found = useCompared(presses);
  const use = (id: string) => {
    edit((j) => jobOnPress(j, id));
    onClose();
  };
  return (
    <Dialog open wide onClose={onClose} title={t('heat.comparePresses')} about={t('heat.compareAbout')}>
      {/* On a phone a press is a block of lines; the roles say that it is a row all the same. */}
      <table role="table" className="w-full border-collapse font-label max-sm:block">
        <thead role="rowgroup" className="max-sm:sr-only">
          <tr role="row" className="border-b-2 border-ink text-left">
            {HEADINGS.map((h) => (
              <th key={h} role="columnheader" scope="col" className="py-1 pe-4 font-semibold">
                {t(h)}
              </th>
            ))}
            <th role="columnheader" scope="col">
              <span className="sr-only">{t('heat.useThisPress')}</span>
            </th>
          </tr>
        </thead>
        <tbody role="rowgroup" className="max-sm:block">
          {presses.map((p) => (
            <tr key={p.id} role="row" className="border-b border-rule align-middle max-sm:block max-sm:py-2">
              <th role="rowheader" scope="row" className="py-2 pe-4 text-left font-semibold max-sm:block">
                {p.name}
              </th>
              <Cells of={found[p.id]} />
              <td role="cell" className="py-1 text-end max-sm:block">
                {plan.heat.press?.id === p.id ? (
                  <span className="font-semibold">{t('heat.pressInUse')}</span>
                ) : (
                  <Button onClick={() => use(p.id)}>{t('heat.useThisPress')}</Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Dialog>
  );
}

/** The figures of one press; undefined while they are calculated, null where there are none. */
function Cells({ of }: { of: OnPress | null | undefined }) {
  const t = useWords();
  if (!of)
    return (
      <td role="cell" colSpan={FIGURES.length} className="py-2 text-soft max-sm:block">
        {of === null ? t('heat.findingsBelowSayWhy') : t('heat.comparing')}
      </td>
    );
  const { settings: s } = of;
  const values: Readonly<Record<(typeof FIGURES)[number], ReactNode>> = {
    'heat.compareStart': t('heat.compareSettings', {
      platen: celsius(s.platenC),
      dwell: seconds(s.dwellS),
      passes: s.passes,
    }),
    'heat.compareGood': of.good === null ? '–' : <Q of={ratio(of.good)} />,
    'heat.atOnce': <Q of={count(of.atOnce, 'piece')} />,
    'heat.compareHands': <Q of={seconds(of.handsS)} />,
    'heat.compareTotal': <Q of={seconds(of.pressS)} />,
    'heat.compareEnergy': <Q of={decimal(of.energyWh, 0)} />,
  };
  return FIGURES.map((heading) => (
    <td
      key={heading}
      role="cell"
      className="py-2 pe-4 whitespace-nowrap max-sm:flex max-sm:justify-between max-sm:py-0.5 max-sm:pe-0"
    >
      <span aria-hidden className="text-soft sm:hidden">
        {t(heading)}
      </span>
      <span>{values[heading]}</span>
    </td>
  ));
}
