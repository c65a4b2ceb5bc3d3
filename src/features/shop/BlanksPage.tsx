'use client';

import { Plus } from 'lucide-react';
import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import type { Blank } from '@/core/shop/blank';
import { fineMm, mm } from '@/core/units/quantity';
import { saveBlank } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Q } from '@/ui/units';
import { BlankDialog } from '../blank/BlankDialog';
import { ShopFrame } from '../shell/ShopFrame';
import { useShop } from '../shell/shopContext';
import { actionsColumn, SortableTable } from './ThingTable';

export function BlanksPage() {
  const { shop } = useShop();
  const [editing, setEditing] = useState<Blank | 'new' | null>(null);
  const columns = useMemo(() => {
    const c = createColumnHelper<Blank>();
    return [
      c.accessor('name', {
        header: 'Name',
        cell: (x) => <span className="font-label text-lead font-semibold">{x.getValue()}</span>,
      }),
      c.accessor((b) => b.shape.diameterMm, {
        id: 'across',
        header: 'Across',
        cell: (x) => <Q of={mm(x.getValue())} />,
      }),
      c.accessor((b) => b.shape.heightMm, {
        id: 'height',
        header: 'Height',
        cell: (x) => <Q of={mm(x.getValue())} />,
      }),
      c.accessor((b) => `${b.material}, ${b.wall}`, {
        id: 'wall',
        header: 'Wall',
        cell: (x) => (
          <>
            {x.getValue()} <Q of={fineMm(x.row.original.wallMm)} />
          </>
        ),
      }),
      c.accessor((b) => b.coating.finish, {
        id: 'coating',
        header: 'Coating',
        cell: (x) => (
          <span className="flex items-center gap-2">
            <span
              className="size-5 border-2 border-ink"
              style={{ background: x.row.original.coating.colour }}
              aria-hidden
            />
            {x.getValue()}
          </span>
        ),
      }),
      c.accessor((b) => b.takeOff.join(', '), {
        id: 'off',
        header: 'Take off first',
        cell: (x) => (
          <>
            {x.getValue()}
            {x.row.original.film ? `${x.getValue() === '' ? '' : ', '}film` : ''}
          </>
        ),
      }),
      actionsColumn<Blank>('blanks', setEditing, (b) => saveBlank(b)),
    ] as ColumnDef<Blank, string | number>[];
  }, []);
  return (
    <ShopFrame
      title="Blanks"
      about="straight-walled round blanks"
      actions={
        <Button kind="act" onClick={() => setEditing('new')}>
          <Plus size={18} aria-hidden /> New blank
        </Button>
      }
    >
      <SortableTable
        label="Blanks"
        rows={shop.blanks}
        columns={columns}
        empty="No blanks yet. Type in the first one: width, height, and how much of the rim and foot is not straight."
      />
      {editing && (
        <BlankDialog open onClose={() => setEditing(null)} blank={editing === 'new' ? null : editing} />
      )}
    </ShopFrame>
  );
}
