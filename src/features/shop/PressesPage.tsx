'use client';

import { Plus } from 'lucide-react';
import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { Link } from '@/ui/Link';
import { isFlatPress, isOven, type Flatness, type Press } from '@/core/shop/press';
import { unevenMm } from '../flatness/readings';
import type { Phrase } from '@/core/units/phrase';
import { fineMm, mm } from '@/core/units/quantity';
import { savePress } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Say } from '@/ui/units';
import { ShopFrame } from '../shell/ShopFrame';
import { useShop } from '../shell/shopContext';
import { KnowPress } from './KnowPress';
import { PressDialog } from './PressDialog';
import { PRESS_KIND_WORDS, PRESS_TIMER_WORDS } from './pressForm';
import { actionsColumn, SortableTable } from './ThingTable';

const many = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;
const knownWords = (p: Press): string =>
  `${many(p.checks.length, 'check')}, ${many(p.timings.length, 'timing')}`;

const flatWords = (list: readonly Flatness[]): Phrase => {
  const last = list.at(-1);
  return last ? ['Unevenness', fineMm(unevenMm(last.points))] : ['Check flatness'];
};

export function PressesPage() {
  const { shop } = useShop();
  const [editing, setEditing] = useState<Press | 'new' | null>(null);
  const [knowing, setKnowing] = useState<Press | null>(null);
  const columns = useMemo(() => {
    const c = createColumnHelper<Press>();
    return [
      c.accessor('name', {
        header: 'Name',
        cell: (x) => <span className="font-label text-lead font-semibold">{x.getValue()}</span>,
      }),
      c.accessor('kind', { header: 'Kind', cell: (x) => PRESS_KIND_WORDS[x.getValue()] }),
      c.display({
        id: 'reach',
        header: 'Heated area',
        cell: ({ row: { original: p } }) =>
          isOven(p) ? (
            <Say phrase={['all round, ', mm(p.insideHeightMm), ' inside, held by ', p.hold]} />
          ) : isFlatPress(p) ? (
            <Say phrase={[mm(p.platenWidthMm), ' × ', mm(p.platenHeightMm), ' platen']} />
          ) : (
            <Say
              phrase={p.heaters.flatMap((h, i) => [
                ...(i > 0 ? ['; '] : []),
                mm(h.lengthMm),
                ' round × ',
                mm(h.heightMm),
                ' tall',
              ])}
            />
          ),
      }),
      c.display({
        id: 'takes',
        header: 'Fits',
        cell: ({ row: { original: p } }) =>
          isOven(p) ? (
            '–'
          ) : isFlatPress(p) ? (
            <Say phrase={['up to ', mm(p.openingMm), ', ', p.opens]} />
          ) : (
            <Say
              phrase={[
                mm(Math.min(...p.heaters.map((h) => h.smallestDiameterMm))),
                ' to ',
                mm(Math.max(...p.heaters.map((h) => h.largestDiameterMm))),
              ]}
            />
          ),
      }),
      c.display({
        id: 'timerStart',
        header: 'Timer',
        cell: ({ row: { original: p } }) =>
          isOven(p) ? 'on reaching temperature' : PRESS_TIMER_WORDS[p.timer],
      }),
      c.display({
        id: 'known',
        header: 'Checks',
        cell: ({ row: { original: p } }) => (
          <Button onClick={() => setKnowing(p)}>
            {p.checks.length === 0 && p.timings.length === 0 ? 'Check temperature' : knownWords(p)}
          </Button>
        ),
      }),
      c.display({
        id: 'flatness',
        header: 'Platen',
        cell: ({ row: { original: p } }) =>
          isFlatPress(p) && (
            <Link
              href={`/flatness/${p.id}`}
              className="font-label font-semibold underline underline-offset-2"
            >
              <Say phrase={flatWords(p.flatness)} />
            </Link>
          ),
      }),
      actionsColumn<Press>('presses', setEditing, (p) => savePress(p)),
    ] as ColumnDef<Press, string | number>[];
  }, []);
  return (
    <ShopFrame
      title="Presses"
      about="heater size decides the number of passes"
      actions={
        <Button kind="act" onClick={() => setEditing('new')}>
          <Plus size={18} aria-hidden /> New press
        </Button>
      }
    >
      <SortableTable
        label="Presses"
        rows={shop.presses}
        columns={columns}
        empty="No presses yet. Type in the first one: measure the heated mat, not the housing."
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
