'use client';

import { date } from '@/core/message/quantity';
import { isoDay } from '@/ui/dates';
import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { FileDown, FileUp } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useRef } from 'react';
import { monthPage } from '@/core/log/monthPage';
import { logRow, type LogQuery } from '@/core/log/rows';
import type { PictureFile } from '@/core/formats/jobFile';
import type { Result } from '@/core/basics/result';
import type { LogEntry } from '@/core/shop/records';
import { checkPictures, photosOf, pictureRecords } from '@/data/files';
import { entriesById, mergeIntoLog } from '@/data/log';
import { Button } from '@/ui/Button';
import { notify, notifyProblem } from '@/ui/notify';
import { saveBytesAs, saveTextAs } from '../shell/download';
import { useShop } from '../shell/shopContext';
import { allIds, chartsFor, type FoundEntries } from './useLogIndex';
import { labelFont } from './labelFont';
import { part } from '@/core/basics/part';
import { MOST_WITH_PICTURES_BYTES, readText } from '@/data/readFile';

interface Props {
  readonly query: LogQuery;
  readonly found: FoundEntries | null;
}

interface Brought {
  readonly entries: readonly LogEntry[];
  readonly pictures: readonly PictureFile[];
}

/** Reads a logbook by what it is, not by what it is called. */
async function readLog(text: string): Promise<Result<Brought>> {
  if (/^\s*[{[]/.test(text)) {
    const { readLogJson } = await part(() => import('@/core/formats/logFile'));
    const file = readLogJson(text);
    if (!file.ok) return file;
    const checked = checkPictures(file.value.pictures, say('common.logbookFile'));
    return checked.ok ? { ok: true, value: file.value } : checked;
  }
  const { readLogCsv } = await part(() => import('@/core/formats/logCsv'));
  const table = readLogCsv(text);
  return table.ok ? { ok: true, value: { entries: table.value, pictures: [] } } : table;
}

async function importFile(file: File): Promise<void> {
  const text = await readText(file, MOST_WITH_PICTURES_BYTES, say('common.splitNothingWasChanged'));
  if (!text.ok) return notifyProblem(text.problem);
  const read = await readLog(text.value);
  if (!read.ok) return notifyProblem(read.problem);
  const merged = await mergeIntoLog(read.value.entries, pictureRecords(read.value.pictures));
  if (!merged.ok) return notifyProblem(merged.problem);
  const { add, same, renamed } = merged.value;
  notify(
    say('logbook.addedHereAlready', {
      added: add.length,
      same,
      renamed,
    }),
  );
}

/** Files in and out. */
export function LogActions({ query, found }: Props) {
  const t = useWords();
  const { shop } = useShop();
  const input = useRef<HTMLInputElement>(null);
  const none = !found || found.entries.length === 0;
  const chosen = async () => entriesById(await allIds(query));
  // Writers and readers of files are only loaded by those who use them.
  const saveCsv = async () => {
    const { logCsv } = await part(() => import('@/core/formats/logCsv'));
    saveTextAs('logbook.csv', logCsv(await chosen()), 'text/csv');
  };
  const saveJson = async () => {
    const entries = await chosen();
    const { logJson } = await part(() => import('@/core/formats/logFile'));
    saveTextAs(
      'logbook.mesalog.json',
      logJson(shop.settings.shopName, entries, await photosOf(entries)),
      'application/json',
    );
  };
  const saveMonth = async () => {
    const newest = found?.entries[0];
    if (!newest) return;
    const at = new Date(query.fromAt ?? newest.at);
    const fromAt = new Date(at.getFullYear(), at.getMonth(), 1).getTime();
    const toAt = new Date(at.getFullYear(), at.getMonth() + 1, 1).getTime();
    const asked = { ...query, fromAt, toAt };
    const entries = await entriesById(await allIds(asked));
    const charts = await chartsFor(asked);
    if (!charts) return;
    const names = new Map(
      entries.flatMap((e) => [
        [e.blankId, e.blankName] as const,
        [e.pressId, e.pressName] as const,
        [e.jobId, e.jobName] as const,
      ]),
    );
    const month = t.quantity(date(fromAt, 'month'));
    const page = monthPage(
      entries.map((e) => logRow(e, t)),
      charts,
      {
        shopName: shop.settings.shopName,
        month,
        currency: shop.settings.currency,
        nameOf: (id) => names.get(id) ?? id,
        dayOf: (at) => t.quantity(date(at, 'day')),
      },
      t,
    );
    const font = await labelFont();
    if (!font.ok) return notifyProblem(font.problem);
    const { drawnPdf } = await part(() => import('@/core/formats/drawnPdf'));
    const bytes = await drawnPdf(t('logbook.logbook', { month }), [page], font.value);
    saveBytesAs(`logbook-${isoDay(new Date(fromAt)).slice(0, 7)}.pdf`, bytes, 'application/pdf');
  };
  const item =
    'flex min-h-10 items-center px-3 font-label text-base outline-none data-[highlighted]:bg-strata-3 data-[highlighted]:text-white data-[disabled]:text-soft';
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".json,.csv,application/json,text/csv"
        aria-label={t('logbook.logbookFileImport')}
        tabIndex={-1}
        className="sr-only"
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) void importFile(file);
        }}
      />
      <Button onClick={() => input.current?.click()}>
        <FileUp size={18} aria-hidden /> {t('logbook.importLog')}
      </Button>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger asChild>
          <Button disabled={none}>
            <FileDown size={18} aria-hidden /> {t('common.save')}
          </Button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="end"
            sideOffset={4}
            className="z-30 min-w-64 border-2 border-ink bg-sheet"
          >
            <DropdownMenu.Item className={item} onSelect={() => void saveCsv()}>
              {t('logbook.whatShownCsv')}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={() => void saveJson()}>
              {t('logbook.whatShownWholeJson')}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={() => void saveMonth()}>
              {t('logbook.monthsPagePdf')}
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </>
  );
}
