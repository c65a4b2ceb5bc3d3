'use client';

import { type Write } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { useRef, useState } from 'react';
import { ok, type Result } from '@/core/basics/result';
import { bytesOf, originalBytes } from '@/data/pictures';
import { notify, notifyProblem } from '@/ui/notify';
import { inWorker, onProgress } from '@/workers/client';
import { useJob } from '../job/jobContext';
import { saveBytesAs } from '../shell/download';
import {
  cutListFile,
  packageFile,
  patternFile,
  pdfFile,
  piecePngFile,
  sheetPngFile,
  sheetSvgFile,
  templateFile,
  type Machines,
  type MadeFile,
} from './exporter';

export interface Export {
  /** 0..1 while something is being made, null otherwise. */
  readonly progress: number | null;
  /** All sheets, or one by its number from 0. */
  readonly pdf: (sheet?: number) => Promise<boolean>;
  /** The bytes only, for looking at. */
  readonly pdfBytes: (sheet: number) => Promise<Result<Uint8Array>>;
  readonly piecePng: () => Promise<boolean>;
  /** A whole sheet with its marks, as printed. */
  readonly sheetPng: (sheet: number) => Promise<boolean>;
  readonly sheetSvg: (sheet: number) => Promise<boolean>;
  readonly patternSvg: () => void;
  /** The empty template for a design made elsewhere; true once it is saved. */
  readonly template: (as: 'svg' | 'png' | 'pdf', ppi: number) => Promise<boolean>;
  readonly cutList: () => void;
  readonly zip: () => Promise<boolean>;
  readonly stop: () => void;
}

const machines = (signal: AbortSignal, onStep: (share: number) => void, write: Write): Machines => ({
  write,
  pdf: (request) => inWorker('PDF', (api) => api.pdf(request, onProgress(onStep)), signal),
  png: (request) => inWorker('PNG', (api) => api.png(request, onProgress(onStep)), signal),
  svg: (request, title) => inWorker('SVG', (api) => api.svg(request, title), signal),
  zip: (files) => inWorker('ZIP', async (api) => await api.zip([...files]), signal),
  bytesOf: (refs) => bytesOf([...refs]),
  originalBytes,
});

/** Makes the files of a job in the worker, with progress and a way to stop. */
export function useExport(): Export {
  const t = useWords();
  const { job, plan } = useJob();
  const [progress, setProgress] = useState<number | null>(null);
  const abort = useRef<AbortController | null>(null);
  const of = { job, plan };

  /** Makes one file at a time. */
  const make = async (task: (m: Machines) => Promise<Result<MadeFile>>): Promise<Result<MadeFile>> => {
    const control = new AbortController();
    abort.current = control;
    setProgress(0);
    const made = await task(machines(control.signal, setProgress, t));
    setProgress(null);
    return made;
  };
  const save = async (task: (m: Machines) => Promise<Result<MadeFile>>): Promise<boolean> => {
    const made = await make(task);
    if (!made.ok) {
      notifyProblem(made.problem);
      return false;
    }
    const { name, bytes, mime } = made.value;
    saveBytesAs(name, bytes, mime);
    notify(t('sheet.isMade', { name }));
    return true;
  };
  const saveNow = (file: MadeFile | null) => {
    if (file) saveBytesAs(file.name, file.bytes, file.mime);
  };

  return {
    progress,
    pdf: (sheet) => save((m) => pdfFile(of, m, sheet)),
    pdfBytes: async (sheet) => {
      const made = await make((m) => pdfFile(of, m, sheet));
      if (made.ok) return ok(made.value.bytes);
      notifyProblem(made.problem);
      return made;
    },
    piecePng: () => save((m) => piecePngFile(of, m)),
    sheetPng: (sheet) => save((m) => sheetPngFile(of, m, sheet)),
    sheetSvg: (sheet) => save((m) => sheetSvgFile(of, m, sheet)),
    template: (as, ppi) => save((m) => templateFile(of, m, as, ppi)),
    patternSvg: () => saveNow(patternFile(of)),
    cutList: () => saveNow(cutListFile(of)),
    zip: () => save((m) => packageFile(of, m, new Date().toISOString().slice(0, 10))),
    stop: () => abort.current?.abort(),
  };
}
