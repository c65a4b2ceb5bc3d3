'use client';

import { useRef, useState } from 'react';
import { pieceAlone } from '@/core/sheet/pages';
import { patternSvg } from '@/core/formats/svg';
import { type Result } from '@/core/result';
import { pictureBytes } from '@/data/pictures';
import type { PictureBytes } from '@/workers/bench.worker';
import { inWorker, onProgress } from '@/workers/client';
import { tell, tellProblem } from '@/ui/tell';
import { fileName } from '../job/JobHeader';
import { useJob } from '../job/jobContext';
import { saveBytesAs, saveTextAs } from '../shell/download';

export interface Export {
  /** 0..1 while something is being made, null otherwise. */
  readonly progress: number | null;
  readonly pdf: () => Promise<void>;
  readonly png: () => Promise<void>;
  readonly svg: () => void;
  readonly stop: () => void;
}

/** Makes the files of a job in the worker, with progress and a way to stop. */
export function useExport(): Export {
  const { job, plan, shop } = useJob();
  const [progress, setProgress] = useState<number | null>(null);
  const abort = useRef<AbortController | null>(null);

  const picture = async (): Promise<Result<PictureBytes | null>> => {
    const ref = job.art.picture;
    if (!ref) return { ok: true, value: null };
    const bytes = await pictureBytes(ref);
    return bytes.ok ? { ok: true, value: { ref, bytes: bytes.value } } : bytes;
  };

  const make = async (
    task: (p: PictureBytes | null, signal: AbortSignal) => Promise<Result<Uint8Array>>,
    name: string,
    mime: string,
  ) => {
    const control = new AbortController();
    abort.current = control;
    setProgress(0);
    const found = await picture();
    const made = found.ok ? await task(found.value, control.signal) : found;
    setProgress(null);
    if (made.ok) {
      saveBytesAs(name, made.value, mime);
      tell(`${name} is made.`);
    } else tellProblem(made.problem);
  };

  return {
    progress,
    pdf: () =>
      make(
        (p, signal) =>
          inWorker(
            'PDF',
            (api) =>
              api.pdf({ title: job.name, pages: plan.sheet.pages, picture: p }, onProgress(setProgress)),
            signal,
          ),
        `${fileName(job.name)}.pdf`,
        'application/pdf',
      ),
    png: () =>
      make(
        async (p, signal) => {
          const { pattern } = plan.wrap;
          if (!pattern)
            return {
              ok: false,
              problem: {
                what: 'The wrap has no size yet.',
                where: 'PNG',
                wayOut: 'Measure the blank first.',
              },
            };
          const page = pieceAlone(
            pattern,
            { placed: plan.art.placed, words: job.art.words },
            plan.sheet.mirrorBy === 'app',
          );
          const r = await inWorker<Result<Uint8Array>>(
            'PNG',
            async (api) => await api.png({ page, ppi: shop.settings.printer.ppi, picture: p }),
            signal,
          );
          return r.ok ? r.value : r;
        },
        `${fileName(job.name)}-piece.png`,
        'image/png',
      ),
    svg: () => {
      if (plan.wrap.pattern)
        saveTextAs(
          `${fileName(job.name)}-pattern.svg`,
          patternSvg(plan.wrap.pattern, job.name),
          'image/svg+xml',
        );
    },
    stop: () => abort.current?.abort(),
  };
}
