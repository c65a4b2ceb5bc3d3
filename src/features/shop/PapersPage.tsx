'use client';

import { Plus } from 'lucide-react';
import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { scaleOf } from '@/core/calibration/calibration';
import type { Paper } from '@/core/shop/paper';
import { fineMm, mm } from '@/core/units/quantity';
import { savePaper } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Q } from '@/ui/units';
import { ShopFrame } from '../shell/ShopFrame';
import { useShop } from '../shell/shopContext';
import { CalibrationDialog } from './CalibrationDialog';
import { PaperDialog } from './PaperDialog';
import { Printers } from './Printers';
import { actionsColumn, SortableTable } from './ThingTable';

export function PapersPage() {
  const { shop } = useShop();
  const [editing, setEditing] = useState<Paper | 'new' | null>(null);
  const [measuring, setMeasuring] = useState<Paper | null>(null);
  const columns = useMemo(() => {
    const c = createColumnHelper<Paper>();
    return [
      c.accessor('name', {
        header: 'Name',
        cell: (x) => (
          <span className="font-label text-lead font-semibold whitespace-nowrap">{x.getValue()}</span>
        ),
      }),
      c.accessor('widthMm', { header: 'Width', cell: (x) => <Q of={mm(x.getValue())} /> }),
      c.accessor('heightMm', {
        header: 'Height',
        cell: (x) => (
          <>
            {x.row.original.kind === 'roll' && <span className="font-label text-fine">roll, up to </span>}
            <Q of={mm(x.getValue())} />
          </>
        ),
      }),
      c.accessor('thicknessMm', { header: 'Thickness', cell: (x) => <Q of={fineMm(x.getValue())} /> }),
      c.accessor('costCents', {
        header: 'Price',
        cell: (x) => (
          <span className="font-label whitespace-nowrap tabular-nums">
            {shop.settings.currency}
            {(x.getValue() / 100).toFixed(2)} {x.row.original.kind === 'roll' ? 'per metre' : 'per sheet'}
          </span>
        ),
      }),
      c.display({
        id: 'scale',
        header: 'Prints at',
        cell: ({ row: { original: p } }) => <ScaleCell paper={p} onMeasure={() => setMeasuring(p)} />,
      }),
      actionsColumn<Paper>('papers', setEditing, (p) => savePaper(p)),
    ] as ColumnDef<Paper, string | number>[];
  }, [shop.settings.currency]);
  return (
    <ShopFrame
      title="Papers and printers"
      about="what is printed on, and through what"
      actions={
        <Button kind="act" onClick={() => setEditing('new')}>
          <Plus size={18} aria-hidden /> New paper
        </Button>
      }
    >
      <Printers />
      <h2 className="px-4 pt-5 font-name text-head font-semibold">Papers</h2>
      <SortableTable
        label="Papers"
        rows={shop.papers}
        columns={columns}
        empty="No papers yet. Type in the sizes your printer takes."
      />
      {measuring && <CalibrationDialog paper={measuring} onClose={() => setMeasuring(null)} />}
      {editing && <PaperDialog paper={editing === 'new' ? null : editing} onClose={() => setEditing(null)} />}
    </ShopFrame>
  );
}

const percent = (v: number) => `${(v * 100).toFixed(2)} %`;

/** What the printer is known to do on this paper, and the way to find out. */
function ScaleCell({ paper, onMeasure }: { paper: Paper; onMeasure: () => void }) {
  const { across, along, known } = scaleOf(paper);
  return (
    <span className="flex items-center gap-3 whitespace-nowrap">
      <span className="font-label text-fine leading-tight">
        {known ? (
          <>
            {percent(across.scale)} across, {percent(along.scale)} along
            {(across.shrink > 0 || along.shrink > 0) && (
              <>
                <br />
                shrinks {percent(across.shrink)} and {percent(along.shrink)} in the heat
              </>
            )}
          </>
        ) : (
          'not measured'
        )}
      </span>
      <Button onClick={onMeasure}>{known ? 'Measure again' : 'Measure print scale'}</Button>
    </span>
  );
}
