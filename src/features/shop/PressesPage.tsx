'use client';

import { Plus } from 'lucide-react';
import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { TIMER_START_WORDS } from '@/core/heat/labels';
import { isFlatPress, isOven, isWrapPress, type Press } from '@/core/shop/press';
import { mm } from '@/core/units/quantity';
import { savePress } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Say } from '@/ui/units';
import { ShopFrame } from '../shell/ShopFrame';
import { useShop } from '../shell/shopContext';
import { PressDialog } from './PressDialog';
import { PRESS_KIND_WORDS } from './pressForm';
import { actionsColumn, SortableTable } from './ThingTable';

export function PressesPage() {
  const { shop } = useShop();
  const [editing, setEditing] = useState<Press | 'new' | null>(null);
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
        header: 'Heats',
        cell: ({ row: { original: p } }) =>
          isOven(p) ? (
            <Say phrase={['all round, ', mm(p.insideHeightMm), ' inside, held by ', p.hold]} />
          ) : isFlatPress(p) ? (
            <Say phrase={[mm(p.platenWidthMm), ' × ', mm(p.platenHeightMm), ' platen']} />
          ) : (
            <Say phrase={[mm(p.heaterLengthMm), ' round × ', mm(p.heaterHeightMm), ' tall']} />
          ),
      }),
      c.display({
        id: 'takes',
        header: 'Closes on',
        cell: ({ row: { original: p } }) =>
          isOven(p) ? (
            '–'
          ) : isFlatPress(p) ? (
            <Say phrase={['up to ', mm(p.openingMm), ', ', p.opens]} />
          ) : (
            <Say phrase={[mm(p.smallestDiameterMm), ' to ', mm(p.largestDiameterMm)]} />
          ),
      }),
      c.display({
        id: 'timerStart',
        header: 'Timer',
        cell: ({ row: { original: p } }) =>
          isOven(p)
            ? 'on reaching temperature'
            : `${TIMER_START_WORDS[p.timerStart]}${isWrapPress(p) && p.autoTimer ? ', by itself' : ''}`,
      }),
      actionsColumn<Press>('presses', setEditing, (p) => savePress(p)),
    ] as ColumnDef<Press, string | number>[];
  }, []);
  return (
    <ShopFrame
      title="Presses"
      about="how far each heater reaches decides passes and turns"
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
      {editing && <PressDialog press={editing === 'new' ? null : editing} onClose={() => setEditing(null)} />}
    </ShopFrame>
  );
}
