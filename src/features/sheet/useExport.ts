'use client';

import { useRef, useState } from 'react';
import { sourcesOf } from '@/core/art/items';
import { picturesOf } from '@/core/job/art';
import { cutListCsv } from '@/core/formats/cutList';
import { printPackageOf } from '@/core/plan/printPackage';
import { manifestText, type ManifestFile } from '@/core/formats/manifest';
import { patternSvg } from '@/core/formats/svg';
import { fail, ok, type Result } from '@/core/basics/result';
import { pieceAlone, type Page } from '@/core/sheet/pages';
import { bytesOf, originalBytes } from '@/data/pictures';
import type { PageRequest, SheetRequest } from '@/workers/bench.worker';
import { inWorker, onProgress } from '@/workers/client';
import { notify, notifyProblem } from '@/ui/notify';
import { fileName } from '../job/JobHeader';
import { useJob } from '../job/jobContext';
import { saveBytesAs, saveTextAs } from '../shell/download';

interface Made {
  readonly name: string;
  readonly what: string;
  readonly bytes: Uint8Array;
}

export interface Export {
  /** 0..1 while something is being made, null otherwise. */
  readonly progress: number | null;
  /** All sheets, or one by its number from 0. */
  readonly pdf: (sheet?: number) => Promise<void>;
  /** The bytes only, for looking at. */
  readonly pdfBytes: (sheet: number) => Promise<Result<Uint8Array>>;
  readonly piecePng: () => Promise<void>;
  /** A whole sheet with its marks, as printed. */
  readonly sheetPng: (sheet: number) => Promise<void>;
  readonly sheetSvg: (sheet: number) => Promise<void>;
  readonly patternSvg: () => void;
  readonly cutList: () => void;
  readonly zip: () => Promise<void>;
  readonly stop: () => void;
}

const usedIn = <T>(pages: readonly Page[], sources: Readonly<Record<string, T>>): Record<string, T> => {
  const used = new Set(
    pages.flatMap((p) => p.items.flatMap((i) => (i.kind === 'picture' ? [i.source] : []))),
  );
  return Object.fromEntries(Object.entries(sources).filter(([k]) => used.has(k)));
};

const text = (s: string): Uint8Array => new TextEncoder().encode(s);

/** Makes the files of a job in the worker, with progress and a way to stop. */
export function useExport(): Export {
  const { job, plan } = useJob();
  const [progress, setProgress] = useState<number | null>(null);
  const abort = useRef<AbortController | null>(null);
  const base = fileName(job.name);
  const { ppi } = plan.sheet.printer;

  const request = async (pages: readonly Page[]): Promise<Result<SheetRequest>> => {
    const sources = usedIn(pages, plan.sheet.sources);
    const pictures = await bytesOf(Object.values(sources).map((s) => s.ref));
    return pictures.ok ? ok({ title: job.name, pages, sources, pictures: pictures.value, ppi }) : pictures;
  };

  /** One sheet as it stands, marks and all. */
  const sheetRequest = async (sheet: number): Promise<Result<PageRequest>> => {
    const page = plan.sheet.pages[sheet];
    if (!page) return fail('There is no such sheet.', 'Sheet', 'Choose another.');
    const r = await request([page]);
    return r.ok ? ok({ page, sources: r.value.sources, pictures: r.value.pictures, ppi }) : r;
  };

  const pdfOf = async (pages: readonly Page[], signal: AbortSignal): Promise<Result<Uint8Array>> => {
    const r = await request(pages);
    return r.ok ? inWorker('PDF', (api) => api.pdf(r.value, onProgress(setProgress)), signal) : r;
  };

  const pieceRequest = async (): Promise<Result<PageRequest>> => {
    const { pattern } = plan.wrap;
    const { board, placedLayers } = plan.art;
    if (!pattern || !board) return fail('The wrap has no size yet.', 'PNG', 'Measure the blank first.');
    const sources = sourcesOf(placedLayers, board, pattern.bleed);
    const pictures = await bytesOf(Object.values(sources).map((s) => s.ref));
    const page = pieceAlone(pattern, placedLayers, plan.sheet.mirrorBy === 'app');
    return pictures.ok ? ok({ page, sources, pictures: pictures.value, ppi }) : pictures;
  };

  const pieceOf = async (signal: AbortSignal): Promise<Result<Uint8Array>> => {
    const r = await pieceRequest();
    return r.ok ? inWorker('PNG', (api) => api.png(r.value, onProgress(setProgress)), signal) : r;
  };

  /** Runs one making at a time, and says what came of it. */
  const run = async <T>(task: (signal: AbortSignal) => Promise<Result<T>>): Promise<T | null> => {
    const control = new AbortController();
    abort.current = control;
    setProgress(0);
    const made = await task(control.signal);
    setProgress(null);
    if (made.ok) return made.value;
    notifyProblem(made.problem);
    return null;
  };

  const save = (bytes: Uint8Array | null, name: string, mime: string) => {
    if (!bytes) return;
    saveBytesAs(name, bytes, mime);
    notify(`${name} is made.`);
  };

  const { pages, layout, parts } = plan.sheet;
  const list = () => (layout ? cutListCsv(layout, parts) : '');

  const printPackage = async (signal: AbortSignal): Promise<Result<Uint8Array>> => {
    const pdf = await pdfOf(pages, signal);
    if (!pdf.ok) return pdf;
    const png = await pieceOf(signal);
    if (!png.ok) return png;
    const files: Made[] = [
      { name: `${base}.pdf`, what: 'all sheets at true size', bytes: pdf.value },
      { name: `${base}-piece.png`, what: `one piece out to its bleed, ${ppi} ppi`, bytes: png.value },
      { name: 'cut-list.csv', what: 'which piece lies where', bytes: text(list()) },
    ];
    if (plan.wrap.pattern)
      files.push({
        name: `${base}-pattern.svg`,
        what: 'outlines for a cutter, mm',
        bytes: text(patternSvg(plan.wrap.pattern, job.name)),
      });
    for (const ref of picturesOf(job.art)) {
      const bytes = await originalBytes(ref);
      if (bytes && !ref.drawn && !files.some((f) => f.name === `pictures/${ref.name}`))
        files.push({ name: `pictures/${ref.name}`, what: 'as it was brought', bytes });
    }
    const told = files.map((f): ManifestFile => ({ name: f.name, what: f.what, bytes: f.bytes.length }));
    const manifest = manifestText(printPackageOf(job, plan), told, new Date().toISOString().slice(0, 10));
    const all = [
      { name: 'manifest.json', bytes: text(manifest) },
      ...files.map(({ name, bytes }) => ({ name, bytes })),
    ];
    return inWorker('ZIP', async (api) => await api.zip(all), signal);
  };

  return {
    progress,
    pdf: async (sheet) => {
      const wanted = sheet === undefined ? pages : pages.slice(sheet, sheet + 1);
      const name = sheet === undefined ? `${base}.pdf` : `${base}-sheet-${sheet + 1}.pdf`;
      save(await run((signal) => pdfOf(wanted, signal)), name, 'application/pdf');
    },
    pdfBytes: async (sheet) => {
      const made = await run((signal) => pdfOf(pages.slice(sheet, sheet + 1), signal));
      return made ? ok(made) : fail('No sheet was made.', 'PDF', 'Try again.');
    },
    piecePng: async () => save(await run(pieceOf), `${base}-piece.png`, 'image/png'),
    sheetPng: async (sheet) => {
      const made = await run(async (signal): Promise<Result<Uint8Array>> => {
        const r = await sheetRequest(sheet);
        return r.ok ? inWorker('PNG', (api) => api.png(r.value, onProgress(setProgress)), signal) : r;
      });
      save(made, `${base}-sheet-${sheet + 1}.png`, 'image/png');
    },
    sheetSvg: async (sheet) => {
      const made = await run(async (signal): Promise<Result<string>> => {
        const r = await sheetRequest(sheet);
        return r.ok ? inWorker('SVG', (api) => api.svg(r.value, job.name), signal) : r;
      });
      save(made === null ? null : text(made), `${base}-sheet-${sheet + 1}.svg`, 'image/svg+xml');
    },
    patternSvg: () => {
      if (plan.wrap.pattern)
        saveTextAs(`${base}-pattern.svg`, patternSvg(plan.wrap.pattern, job.name), 'image/svg+xml');
    },
    cutList: () => saveTextAs(`${base}-cut-list.csv`, list(), 'text/csv'),
    zip: async () => save(await run(printPackage), `${base}.zip`, 'application/zip'),
    stop: () => abort.current?.abort(),
  };
}
