'use client';

import { FAMILY_WORDS, FINISH_WORDS, MATERIAL_WORDS } from '@/core/shop/kindWords';
import { say, type Message } from '@/core/message/message';
import { FileDown, FileUp, Plus } from 'lucide-react';
import { createColumnHelper, type ColumnDef } from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { formOf, widestMm } from '@/core/shapes/round';
import type { Blank } from '@/core/shop/blank';
import { fineMm, mm } from '@/core/message/quantity';
import { importBlanks } from '@/data/files';
import { saveBlank } from '@/data/shop';
import { BlankIcon } from '@/ui/board/BlankShape';
import { Button } from '@/ui/Button';
import { FileButton } from '@/ui/FileButton';
import { notify, notifyProblem } from '@/ui/notify';
import { Q, useWords, type Words } from '@/ui/words';
import { BlankDialog } from '../blank/BlankDialog';
import { BlankSearch } from '../blank/BlankSearch';
import { findBlanks, nearestBlanks, type BlankFilter } from '../blank/findBlanks';
import { NothingFound, useCommonNames } from '../blank/NothingFound';
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

/** What a blank is, in a few words: its form, and what is special about it. */
const formWords = ({ shape }: Blank): Message =>
  shape.kind === 'flat'
    ? say('shop.flatForm', { form: shape.outline.form.replace(' ', ''), faces: shape.faces })
    : say('shop.roundForm', {
        form: formOf(shape),
        handle: shape.handle ? 'yes' : 'no',
        openEnds: shape.openEnds ? 'yes' : 'no',
      });

const Mm = ({ of }: { of: number }) => (
  <span className="whitespace-nowrap">
    <Q of={mm(of)} />
  </span>
);

function columnsFor(onEdit: (e: Editing) => void, t: Words) {
  const c = createColumnHelper<Blank>();
  return [
    c.accessor('name', {
      header: t('common.name'),
      cell: (x) => (
        <span className="flex items-center gap-3 font-label text-lead leading-tight font-semibold">
          <BlankIcon blank={x.row.original} size={36} />
          {x.getValue()}
        </span>
      ),
    }),
    c.accessor((b) => t(FAMILY_WORDS[b.family]), { id: 'family', header: t('common.family') }),
    c.accessor((b) => t(formWords(b)), { id: 'form', header: t('common.shape') }),
    c.accessor(widthOf, { id: 'across', header: t('common.width'), cell: (x) => <Mm of={x.getValue()} /> }),
    c.accessor(heightOf, { id: 'height', header: t('common.height'), cell: (x) => <Mm of={x.getValue()} /> }),
    c.accessor((b) => t(MATERIAL_WORDS[b.material]), {
      id: 'material',
      header: t('common.material'),
      cell: (x) => (
        <span className="whitespace-nowrap">
          {x.getValue()}
          {x.row.original.wall === 'vacuum' ? t('shop.vacuum') : ''} <Q of={fineMm(x.row.original.wallMm)} />
        </span>
      ),
    }),
    c.accessor((b) => t(FINISH_WORDS[b.coating.finish]), {
      id: 'coating',
      header: t('common.coating'),
      cell: (x) => (
        <span className="flex items-center gap-2">
          <span
            className="size-5 shrink-0 border-2 border-ink"
            style={{ background: x.row.original.coating.colour }}
            aria-hidden
          />
          {x.getValue()}
          {x.row.original.coating.stock === 'clear' ? t('shop.clear') : ''}
        </span>
      ),
    }),
    actionsColumn<Blank>(
      'blanks',
      (blank) => onEdit({ blank, copy: false }),
      (b) => saveBlank(b),
      (blank) => onEdit({ blank, copy: true }),
      t,
    ),
  ] as ColumnDef<Blank, string | number>[];
}

const NONE: readonly Blank[] = [];

/** Drawn at first; typing finds the rest. */
const FIRST_SHOWN = 24;

/** The shop's library of blanks: found, copied, changed, handed on. */
export function BlanksPage() {
  const t = useWords();
  const { shop } = useShop();
  const [editing, setEditing] = useState<Editing | null>(null);
  const [filter, setFilter] = useState<BlankFilter>({ text: '', family: null });
  const names = useCommonNames();
  const found = useMemo(() => findBlanks(shop.blanks, filter, t, names), [shop.blanks, filter, t, names]);
  const nearest = useMemo(
    () => (found.length === 0 ? nearestBlanks(shop.blanks, filter.text, t, names) : NONE),
    [found, shop.blanks, filter.text, t, names],
  );
  const [all, setAll] = useState(false);
  const most = all ? found.length : FIRST_SHOWN;
  const columns = useMemo(() => columnsFor(setEditing, t), [t]);
  return (
    <ShopFrame
      title={t('common.blanks')}
      about={t('shop.blanksGenericYourOwn', { blanks: shop.blanks.length })}
      actions={
        <>
          <BlankFiles found={found} />
          <Button kind="act" onClick={() => setEditing({ blank: null, copy: false })}>
            <Plus size={18} aria-hidden /> {t('shop.newBlank')}
          </Button>
        </>
      }
    >
      <div className="max-w-2xl">
        <BlankSearch blanks={shop.blanks} filter={filter} onFilter={setFilter} found={found.length} />
      </div>
      {found.length === 0 && filter.text !== '' && (
        <div className="px-4 py-2">
          <NothingFound
            text={filter.text}
            nearest={nearest.length}
            onAdd={() => setEditing({ blank: null, copy: false })}
          />
        </div>
      )}
      <SortableTable
        label={t('common.blanks')}
        rows={found.length === 0 ? nearest : found}
        most={most}
        columns={columns}
        empty={
          shop.blanks.length === 0
            ? t('shop.blanksYetAddFirst')
            : filter.text === ''
              ? t('common.blankMatchesClearSearch')
              : ''
        }
      />
      {most < found.length && (
        <div className="p-4">
          <Button onClick={() => setAll(true)}>
            {t('common.showOther', { found: found.length - most })}
          </Button>
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
  const t = useWords();
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
  const importFile = async (file: File) => {
    const opened = await readText(file, 4 * MOST_TABLE_BYTES, say('shop.splitIt'));
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
    const added = await importBlanks(blanks);
    if (!added.ok) notifyProblem(added.problem);
    else notify(t('shop.blanksWereNewAdded', { added: added.value, blanks: blanks.length }));
  };
  return (
    <>
      <FileButton
        label={t('common.blanksFile')}
        accept=".json,.csv,application/json,text/csv"
        onFile={(f) => void importFile(f)}
      >
        <FileUp size={18} aria-hidden /> {t('shop.import')}
      </FileButton>
      <Button onClick={() => void save('json')}>
        <FileDown size={18} aria-hidden /> {t('shop.saveJson', { some })}
      </Button>
      <Button onClick={() => void save('csv')}>
        <FileDown size={18} aria-hidden /> {t('shop.saveCsv', { some })}
      </Button>
    </>
  );
}
