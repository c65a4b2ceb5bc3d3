'use client';

import { type Words } from '@/ui/words';
import { say } from '@/core/message/message';
import { Copy, Pencil, Trash2 } from 'lucide-react';
import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type SortingState,
} from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import type { Result } from '@/core/basics/result';
import { removeThing, type ThingTable as Table } from '@/data/shop';
import { Button } from '@/ui/Button';
import { notifyProblem, notifyUndo } from '@/ui/notify';

interface Thing {
  readonly id: string;
  readonly name: string;
}

interface SortableProps<T> {
  readonly label: string;
  readonly rows: readonly T[];
  // Columns differ in the type of their cells; TanStack's own lists are typed the same way.
  readonly columns: readonly ColumnDef<T, string | number>[];
  readonly empty: string;
  /** Rows drawn at most, of all of them in the order chosen. */
  readonly most?: number;
}

/** A table whose headings sort. */
export function SortableTable<T>({ label, rows, columns, empty, most = Infinity }: SortableProps<T>) {
  const [sorting, setSorting] = useState<SortingState>([]);
  // Held still: a list that is new at every render makes the table reset itself for ever.
  const data = useMemo(() => [...rows], [rows]);
  const heads = useMemo(() => [...columns], [columns]);
  // The table library keeps its own mutable state; React's compiler rules do not apply to it.
  // eslint-disable-next-line react-hooks/incompatible-library
  const table = useReactTable({
    data,
    columns: heads,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  if (rows.length === 0) return <p className="p-8 text-lead">{empty}</p>;
  return (
    <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label={label}>
      <table className="w-full border-collapse text-left">
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className="border-b-2 border-ink">
              {group.headers.map((h) => {
                const sorted = h.column.getIsSorted();
                return (
                  <th
                    key={h.id}
                    scope="col"
                    aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                    className="px-4 py-1 font-label text-fine font-semibold whitespace-nowrap"
                  >
                    {h.column.getCanSort() ? (
                      <button type="button" onClick={h.column.getToggleSortingHandler()} className="min-h-9">
                        {flexRender(h.column.columnDef.header, h.getContext())}{' '}
                        {sorted === 'asc' ? '▲' : sorted === 'desc' ? '▼' : ''}
                      </button>
                    ) : (
                      flexRender(h.column.columnDef.header, h.getContext())
                    )}
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {table
            .getRowModel()
            .rows.slice(0, most)
            .map((row) => (
              <tr key={row.id} className="border-b border-rule align-middle">
                {row.getVisibleCells().map((cell) => (
                  <td key={cell.id} className="px-4 py-2.5">
                    {flexRender(cell.column.columnDef.cell, cell.getContext())}
                  </td>
                ))}
              </tr>
            ))}
        </tbody>
      </table>
    </div>
  );
}

/** A column with the buttons that change a thing or take it out of the shop. */
export function actionsColumn<T extends Thing>(
  table: Table,
  onEdit: (thing: T) => void,
  putBack: (thing: T) => Promise<Result<unknown>>,
  onCopy: ((thing: T) => void) | null,
  t: Words,
): ColumnDef<T, string | number> {
  const remove = async (thing: T) => {
    const r = await removeThing(table, thing.id);
    if (!r.ok) notifyProblem(r.problem);
    else notifyUndo(say('shop.isRemoved2', { thing: thing.name }), () => putBack(thing));
  };
  return createColumnHelper<T>().display({
    id: 'actions',
    header: () => <span className="sr-only">{t('shop.change5')}</span>,
    cell: ({ row }) => (
      <div className="flex justify-end gap-1">
        {onCopy && (
          <Button
            kind="quiet"
            aria-label={t('shop.duplicate', { original: row.original.name })}
            onClick={() => onCopy(row.original)}
            className="px-2"
          >
            <Copy size={17} aria-hidden />
          </Button>
        )}
        <Button
          kind="quiet"
          aria-label={t('shop.change6', { original: row.original.name })}
          onClick={() => onEdit(row.original)}
          className="px-2"
        >
          <Pencil size={17} aria-hidden />
        </Button>
        <Button
          kind="quiet"
          aria-label={t('shop.remove3', { original: row.original.name })}
          onClick={() => void remove(row.original)}
          className="px-2"
        >
          <Trash2 size={17} aria-hidden />
        </Button>
      </div>
    ),
  });
}
