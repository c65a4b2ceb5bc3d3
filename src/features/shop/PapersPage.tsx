'use client';

import { Plus } from 'lucide-react';
import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { scaleOf } from '@/core/calibration/calibration';
import type { Paper } from '@/core/shop/paper';
import { fineMm, mm } from '@/core/message/quantity';
import { savePaper } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Q, useWords } from '@/ui/words';
import { ShopFrame } from '../shell/ShopFrame';
import { useShop } from '../shell/shopContext';
import { CalibrationDialog } from './CalibrationDialog';
import { PaperDialog } from './PaperDialog';
import { Printers } from './Printers';
import { actionsColumn, SortableTable } from './ThingTable';

export function PapersPage() {
  const t = useWords();
  const { shop } = useShop();
  const [editing, setEditing] = useState<Paper | 'new' | null>(null);
  const [measuring, setMeasuring] = useState<Paper | null>(null);
  const columns = useMemo(() => {
    const c = createColumnHelper<Paper>();
    return [
      c.accessor('name', {
        header: t('common.name'),
        cell: (x) => (
          <span className="font-label text-lead font-semibold whitespace-nowrap">{x.getValue()}</span>
        ),
      }),
      c.accessor('widthMm', { header: t('common.width'), cell: (x) => <Q of={mm(x.getValue())} /> }),
      c.accessor('heightMm', {
        header: t('common.height'),
        cell: (x) => (
          <>
            {x.row.original.kind === 'roll' && (
              <span className="font-label text-fine">{t('shop.rollUp')} </span>
            )}
            <Q of={mm(x.getValue())} />
          </>
        ),
      }),
      c.accessor('thicknessMm', {
        header: t('common.thickness'),
        cell: (x) => <Q of={fineMm(x.getValue())} />,
      }),
      c.accessor('costCents', {
        header: t('common.price'),
        cell: (x) => (
          <span className="font-label whitespace-nowrap tabular-nums">
            {shop.settings.currency}
            {(x.getValue() / 100).toFixed(2)}{' '}
            {x.row.original.kind === 'roll' ? t('shop.perMetre') : t('shop.perSheet')}
          </span>
        ),
      }),
      c.display({
        id: 'scale',
        header: t('shop.printsAt'),
        cell: ({ row: { original: p } }) => <ScaleCell paper={p} onMeasure={() => setMeasuring(p)} />,
      }),
      actionsColumn<Paper>('papers', setEditing, (p) => savePaper(p), null, t),
    ] as ColumnDef<Paper, string | number>[];
  }, [shop.settings.currency, t]);
  return (
    <ShopFrame
      title={t('shop.papersPrinters')}
      about={t('shop.whatPrintedThroughWhat')}
      actions={
        <Button kind="act" onClick={() => setEditing('new')}>
          <Plus size={18} aria-hidden /> {t('shop.newPaper')}
        </Button>
      }
    >
      <Printers />
      <h2 className="px-4 pt-5 font-name text-head font-semibold">{t('common.papers')}</h2>
      <SortableTable
        label={t('common.papers')}
        rows={shop.papers}
        columns={columns}
        empty={t('shop.papersYetTypeSizes')}
      />
      {measuring && <CalibrationDialog paper={measuring} onClose={() => setMeasuring(null)} />}
      {editing && <PaperDialog paper={editing === 'new' ? null : editing} onClose={() => setEditing(null)} />}
    </ShopFrame>
  );
}

const percent = (v: number) => `${(v * 100).toFixed(2)} %`;

/** What the printer is known to do on this paper, and the way to find out. */
function ScaleCell({ paper, onMeasure }: { paper: Paper; onMeasure: () => void }) {
  const t = useWords();
  const { across, along, known } = scaleOf(paper);
  return (
    <span className="flex items-center gap-3 whitespace-nowrap">
      <span className="font-label text-fine leading-tight">
        {known ? (
          <>
            {t('shop.acrossAlong', { scale: percent(across.scale), scale2: percent(along.scale) })}
            {(across.shrink > 0 || along.shrink > 0) && (
              <>
                <br />
                {t('shop.shrinksHeat', { shrink: percent(across.shrink), shrink2: percent(along.shrink) })}
              </>
            )}
          </>
        ) : (
          t('shop.notMeasured')
        )}
      </span>
      <Button onClick={onMeasure}>{known ? t('shop.measureAgain') : t('shop.measurePrintScale')}</Button>
    </span>
  );
}
