'use client';

import { FileDown, FileUp, Plus } from 'lucide-react';
import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { formOf, widestMm } from '@/core/shapes/round';
import type { Blank } from '@/core/shop/blank';
import { fineMm, mm } from '@/core/units/quantity';
import { bringBlanks } from '@/data/files';
import { saveBlank } from '@/data/shop';
import { BlankIcon } from '@/ui/board/BlankShape';
import { Button } from '@/ui/Button';
import { FileButton } from '@/ui/FileButton';
import { notify, notifyProblem } from '@/ui/notify';
import { Q } from '@/ui/units';
import { BlankDialog } from '../blank/BlankDialog';
import { BlankSearch } from '../blank/BlankSearch';
import { findBlanks, type BlankFilter } from '../blank/findBlanks';
import { saveTextAs } from '../shell/download';
import { ShopFrame } from '../shell/ShopFrame';
import { useShop } from '../shell/shopContext';
import { actionsColumn, SortableTable } from './ThingTable';
import { part } from '@/core/basics/part';
import { MOST_TABLE_BYTES, readText } from '@/data/readFile';

interface Editing {
  readonly blank: Blank | null;
  readonly copy: boolean;
}

const widthOf = ({ shape }: Blank): number =>
  shape.kind === 'round' ? widestMm(shape) : shape.outline.widthMm;
const heightOf = ({ shape }: Blank): number =>
  shape.kind === 'round' ? shape.heightMm : shape.outline.heightMm;

function formWords({ shape }: Blank): string {
  if (shape.kind === 'flat') return `${shape.outline.form}${shape.faces === 2 ? ', two faces' : ''}`;
  return `${formOf(shape)}${shape.handle ? ', handle' : ''}${shape.openEnds ? ', open ends' : ''}`;
}

const Mm = ({ of }: { of: number }) => (
  <span className="whitespace-nowrap">
    <Q of={mm(of)} />
  </span>
);

function columnsFor(onEdit: (e: Editing) => void) {
  const c = createColumnHelper<Blank>();
  return [
    c.accessor('name', {
      header: 'Name',
      cell: (x) => (
        <span className="flex items-center gap-3 font-label text-lead leading-tight font-semibold">
          <BlankIcon blank={x.row.original} size={36} />
          {x.getValue()}
        </span>
      ),
    }),
    c.accessor('family', { header: 'Family' }),
    c.accessor(formWords, { id: 'form', header: 'Shape' }),
    c.accessor(widthOf, { id: 'across', header: 'Width', cell: (x) => <Mm of={x.getValue()} /> }),
    c.accessor(heightOf, { id: 'height', header: 'Height', cell: (x) => <Mm of={x.getValue()} /> }),
    c.accessor((b) => b.material, {
      id: 'material',
      header: 'Material',
      cell: (x) => (
        <span className="whitespace-nowrap">
          {x.getValue()}
          {x.row.original.wall === 'vacuum' ? ', vacuum' : ''} <Q of={fineMm(x.row.original.wallMm)} />
        </span>
      ),
    }),
    c.accessor((b) => b.coating.finish, {
      id: 'coating',
      header: 'Coating',
      cell: (x) => (
        <span className="flex items-center gap-2">
          <span
            className="size-5 shrink-0 border-2 border-ink"
            style={{ background: x.row.original.coating.colour }}
            aria-hidden
          />
          {x.getValue()}
          {x.row.original.coating.stock === 'clear' ? ', clear' : ''}
        </span>
      ),
    }),
    actionsColumn<Blank>(
      'blanks',
      (blank) => onEdit({ blank, copy: false }),
      (b) => saveBlank(b),
      (blank) => onEdit({ blank, copy: true }),
    ),
  ] as ColumnDef<Blank, string | number>[];
}

/** Drawn at first; typing finds the rest. */
const FIRST_SHOWN = 24;

/** The shop's library of blanks: found, copied, changed, handed on. */
export function BlanksPage() {
  const { shop } = useShop();
  const [editing, setEditing] = useState<Editing | null>(null);
  const [filter, setFilter] = useState<BlankFilter>({ text: '', family: null });
  const found = useMemo(() => findBlanks(shop.blanks, filter), [shop.blanks, filter]);
  const [all, setAll] = useState(false);
  const most = all ? found.length : FIRST_SHOWN;
  const columns = useMemo(() => columnsFor(setEditing), []);
  return (
    <ShopFrame
      title="Blanks"
      about={`${shop.blanks.length} blanks, generic or your own`}
      actions={
        <>
          <BlankFiles found={found} />
          <Button kind="act" onClick={() => setEditing({ blank: null, copy: false })}>
            <Plus size={18} aria-hidden /> New blank
          </Button>
        </>
      }
    >
      <div className="max-w-2xl">
        <BlankSearch blanks={shop.blanks} filter={filter} onFilter={setFilter} found={found.length} />
      </div>
      <SortableTable
        label="Blanks"
        rows={found}
        most={most}
        columns={columns}
        empty={
          shop.blanks.length === 0
            ? 'No blanks yet. Add the first one: width, height, and the uncoated parts of the rim and foot.'
            : 'No blank matches. Clear the search or add a blank.'
        }
      />
      {most < found.length && (
        <div className="p-4">
          <Button onClick={() => setAll(true)}>Show the other {found.length - most}</Button>
        </div>
      )}
      {editing && (
        <BlankDialog open onClose={() => setEditing(null)} blank={editing.blank} copy={editing.copy} />
      )}
    </ShopFrame>
  );
}

/** Blanks into and out of files; the reader and writer are fetched when wanted. */
function BlankFiles({ found }: { found: readonly Blank[] }) {
  const { shop } = useShop();
  // A search narrows what is saved: all that is on the table.
  const some = found.length < shop.blanks.length ? `${found.length} ` : '';
  const save = async (kind: 'json' | 'csv') => {
    if (kind === 'json') {
      const { blanksJson } = await part(() => import('@/core/formats/blanksFile'));
      saveTextAs('blanks.mesablanks.json', blanksJson(found), 'application/json');
    } else {
      const { blanksCsv } = await part(() => import('@/core/formats/blanksCsv'));
      saveTextAs('blanks.csv', blanksCsv(found), 'text/csv');
    }
  };
  const bring = async (file: File) => {
    const opened = await readText(file, 4 * MOST_TABLE_BYTES, 'Split it.');
    if (!opened.ok) return notifyProblem(opened.problem);
    const text = opened.value;
    const json = text.trimStart().startsWith('{');
    const read = json
      ? (await part(() => import('@/core/formats/blanksFile'))).readBlanksJson(text)
      : (await part(() => import('@/core/formats/blanksCsv'))).readBlanksCsv(text);
    if (!read.ok) {
      notifyProblem(read.problem);
      return;
    }
    const blanks = 'blanks' in read.value ? read.value.blanks : read.value;
    const added = await bringBlanks(blanks);
    if (!added.ok) notifyProblem(added.problem);
    else notify(`${added.value} of ${blanks.length} blanks were new and are added.`);
  };
  return (
    <>
      <FileButton
        label="Blanks file"
        accept=".json,.csv,application/json,text/csv"
        onFile={(f) => void bring(f)}
      >
        <FileUp size={18} aria-hidden /> Import
      </FileButton>
      <Button onClick={() => void save('json')}>
        <FileDown size={18} aria-hidden /> Save {some}as JSON
      </Button>
      <Button onClick={() => void save('csv')}>
        <FileDown size={18} aria-hidden /> Save {some}as CSV
      </Button>
    </>
  );
}
