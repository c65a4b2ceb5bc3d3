'use client';

import { PRESS_KIND_WORDS } from '@/core/press/kinds';
import { OPENS_WORDS, OVEN_HOLD_WORDS } from '@/core/shop/kindWords';
import { say, type Message } from '@/core/message/message';
import { Plus } from 'lucide-react';
import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { Link } from '@/ui/Link';
import { isFlatPress, isOven, type Flatness, type Press } from '@/core/shop/press';
import { unevenMm } from '../flatness/readings';
import { fineMm, mm } from '@/core/message/quantity';
import { savePress } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Say, useWords } from '@/ui/words';
import { ShopFrame } from '../shell/ShopFrame';
import { useShop } from '../shell/shopContext';
import { KnowPress } from './KnowPress';
import { PressDialog } from './PressDialog';
import { PRESS_TIMER_WORDS } from './pressForm';
import { actionsColumn, SortableTable } from './ThingTable';

const knownWords = (p: Press): Message =>
  say('shop.checksTimings', { checks: p.checks.length, timings: p.timings.length });

const flatWords = (list: readonly Flatness[]): Message => {
  const last = list.at(-1);
  return last ? say('shop.unevenBy', { by: fineMm(unevenMm(last.points)) }) : say('shop.checkFlatness');
};

export function PressesPage() {
  const t = useWords();
  const { shop } = useShop();
  const [editing, setEditing] = useState<Press | 'new' | null>(null);
  const [knowing, setKnowing] = useState<Press | null>(null);
  const columns = useMemo(() => {
    const c = createColumnHelper<Press>();
    return [
      c.accessor('name', {
        header: t('common.name'),
        cell: (x) => <span className="font-label text-lead font-semibold">{x.getValue()}</span>,
      }),
      c.accessor('kind', { header: t('common.kind'), cell: (x) => t(PRESS_KIND_WORDS[x.getValue()]) }),
      c.display({
        id: 'reach',
        header: t('shop.heatedArea'),
        cell: ({ row: { original: p } }) =>
          p.kind === 'vacuum' ? (
            <Say
              message={say('shop.vacuumArea', { width: mm(p.insideWidthMm), height: mm(p.insideDepthMm) })}
            />
          ) : isOven(p) ? (
            <Say
              message={say('shop.ovenArea', { height: mm(p.insideHeightMm), hold: OVEN_HOLD_WORDS[p.hold] })}
            />
          ) : isFlatPress(p) ? (
            <Say
              message={say('shop.flatArea', { width: mm(p.platenWidthMm), height: mm(p.platenHeightMm) })}
            />
          ) : (
            <Say
              message={say('shop.heaterList', {
                heaters: p.heaters.map((h) =>
                  say('shop.perHeater', { length: mm(h.lengthMm), height: mm(h.heightMm) }),
                ),
              })}
            />
          ),
      }),
      c.display({
        id: 'takes',
        header: t('shop.fits'),
        cell: ({ row: { original: p } }) =>
          p.kind === 'vacuum' ? (
            <Say message={say('shop.upToTall', { height: mm(p.insideHeightMm) })} />
          ) : isOven(p) ? (
            '–'
          ) : isFlatPress(p) ? (
            <Say message={say('shop.upToOpens', { opening: mm(p.openingMm), opens: OPENS_WORDS[p.opens] })} />
          ) : (
            <Say
              message={say('shop.fromTo', {
                from: mm(Math.min(...p.heaters.map((h) => h.smallestDiameterMm))),
                to: mm(Math.max(...p.heaters.map((h) => h.largestDiameterMm))),
              })}
            />
          ),
      }),
      c.display({
        id: 'timerStart',
        header: t('common.timer'),
        cell: ({ row: { original: p } }) =>
          isOven(p) ? t('common.reachingTemperature') : t(PRESS_TIMER_WORDS[p.timer]),
      }),
      c.display({
        id: 'known',
        header: t('shop.checks'),
        cell: ({ row: { original: p } }) => (
          <Button onClick={() => setKnowing(p)}>
            {p.checks.length === 0 && p.timings.length === 0 ? t('shop.checkTemperature') : t(knownWords(p))}
          </Button>
        ),
      }),
      c.display({
        id: 'flatness',
        header: t('shop.platen'),
        cell: ({ row: { original: p } }) =>
          isFlatPress(p) && (
            <Link
              href={`/flatness/${p.id}`}
              className="font-label font-semibold underline underline-offset-2"
            >
              <Say message={flatWords(p.flatness)} />
            </Link>
          ),
      }),
      actionsColumn<Press>('presses', setEditing, (p) => savePress(p), null, t),
    ] as ColumnDef<Press, string | number>[];
  }, [t]);
  return (
    <ShopFrame
      title={t('common.presses')}
      about={t('shop.heaterSizeDecidesNumber')}
      actions={
        <Button kind="act" onClick={() => setEditing('new')}>
          <Plus size={18} aria-hidden /> {t('shop.newPress')}
        </Button>
      }
    >
      <SortableTable
        label={t('common.presses')}
        rows={shop.presses}
        columns={columns}
        empty={t('shop.pressesYetTypeFirst')}
      />
      {knowing && (
        <KnowPress
          press={shop.presses.find((p) => p.id === knowing.id) ?? knowing}
          onClose={() => setKnowing(null)}
        />
      )}
      {editing && <PressDialog press={editing === 'new' ? null : editing} onClose={() => setEditing(null)} />}
    </ShopFrame>
  );
}
