'use client';

import { say, type Message } from '@/core/message/message';
import type { PDFDocumentProxy } from 'pdfjs-dist';
import { useEffect, useMemo, useRef, useState } from 'react';
import {
  DRIVER_FAULTS,
  FAULT_WORDS,
  printedBox,
  simulatedPrint,
  type DriverFault,
  type SimulatedSheet,
} from '@/core/sheet/printerSimulator';
import { apply } from '@/core/geometry/affine';
import { clamp, type Rect, boundsOf, rectCorners } from '@/core/geometry/plane';
import { drawSheet } from '@/core/plan/sheet/pages';
import type { Page } from '@/core/sheet/pages';
import type { Result } from '@/core/basics/result';
import { fineMm, mm } from '@/core/message/quantity';
import { ScaleDrawing, type Fit } from '@/ui/board/Board';
import { arrowStep } from '@/ui/board/drag';
import { Draggable } from '@/ui/board/Draggable';
import { ProgressBar } from '@/ui/ProgressBar';
import { Button } from '@/ui/Button';
import { Segments } from '@/ui/Segments';
import { Dialog } from '@/ui/Dialog';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { part } from '@/core/basics/part';

interface Props {
  readonly at: number;
  readonly pdfBytes: (sheet: number) => Promise<Result<Uint8Array>>;
  /** How far the PDF is made, 0..1; null while none is. */
  readonly progress: number | null;
  readonly onClose: () => void;
}

const RENDER_PX = 2800;

/** The PDF as a picture, drawn by a PDF reader and not by us. */
async function rendered(bytes: Uint8Array): Promise<string> {
  const pdfjs = await part(() => import('pdfjs-dist'));
  // A reader of its own each time: one handed a worker that has served another waits for a greeting that never comes again.
  const port = new Worker(new URL('pdfjs-dist/build/pdf.worker.min.mjs', import.meta.url), {
    type: 'module',
  });
  const worker = pdfjs.PDFWorker.fromPort({ port });
  try {
    return await drawnBy(await pdfjs.getDocument({ data: bytes, worker }).promise);
  } finally {
    worker.destroy();
    port.terminate();
  }
}

/** The first page of a document as a picture. */
async function drawnBy(doc: PDFDocumentProxy): Promise<string> {
  const page = await doc.getPage(1);
  const size = page.getViewport({ scale: 1 });
  const viewport = page.getViewport({ scale: RENDER_PX / Math.max(size.width, size.height) });
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(viewport.width);
  canvas.height = Math.round(viewport.height);
  const g = canvas.getContext('2d');
  if (!g) throw new Error('no canvas');
  await page.render({ canvasContext: g, viewport }).promise;
  await doc.destroy();
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!blob) throw new Error('not drawn');
  return URL.createObjectURL(blob);
}

function useRendered({ at, pdfBytes }: Pick<Props, 'at' | 'pdfBytes'>): {
  url: string | null;
  wrong: Message | null;
} {
  const [url, setUrl] = useState<string | null>(null);
  const [wrong, setWrong] = useState<Message | null>(null);
  const make = useRef(pdfBytes);
  useEffect(() => {
    let gone = false;
    let made: string | null = null;
    void (async () => {
      const bytes = await make.current(at);
      if (!bytes.ok) {
        if (!gone) setWrong(bytes.problem.what);
        return;
      }
      try {
        made = await rendered(bytes.value);
        if (gone) URL.revokeObjectURL(made);
        else setUrl(made);
      } catch {
        if (!gone) setWrong(say('sheet.sheetCouldDrawnHere'));
      }
    })();
    return () => {
      gone = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [at]);
  return { url, wrong };
}

/** A printer to learn on: the sheet as it would come out with the faults a driver adds, and a rule to check it with. */
export function PrinterSimulator({ at, pdfBytes, progress, onClose }: Props) {
  const t = useWords();
  const { plan, shop } = useJob();
  const { url, wrong } = useRendered({ at, pdfBytes });
  const [faults, setFaults] = useState<readonly DriverFault[]>([]);
  const [near, setNear] = useState<'whole' | 'bar'>('bar');
  const [shown, setShown] = useState(false);
  const { toDraw } = plan.sheet;
  const page = useMemo(() => (toDraw ? drawSheet(toDraw, at, t).pages[0] : undefined), [toDraw, at, t]);
  if (!page) return null;
  const { printer, mirrorBy } = plan.sheet;
  const smaller = shop.papers
    .filter((p) => p.kind === 'sheet' && p.widthMm * p.heightMm < page.widthMm * page.heightMm * 0.97)
    .sort((a, b) => b.widthMm * b.heightMm - a.widthMm * a.heightMm)[0];
  const sheet = simulatedPrint({
    widthMm: page.widthMm,
    heightMm: page.heightMm,
    marginsMm: printer.marginsMm,
    driverMirrors: mirrorBy === 'driver',
    tray: smaller ?? { widthMm: page.widthMm * 0.7, heightMm: page.heightMm * 0.7 },
    faults,
  });
  const toggle = (f: DriverFault) =>
    setFaults((now) => (now.includes(f) ? now.filter((x) => x !== f) : [...now, f]));
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title={t('sheet.testPrint')}
      about={t('sheet.printerSimulatorGiveDrivers')}
    >
      <div className="grid gap-4 md:grid-cols-[1fr_17rem]">
        <div className="relative h-[26rem] border-2 border-ink bg-board">
          {url ? (
            <Printed page={page} sheet={sheet} url={url} near={near} />
          ) : (
            <div className="grid h-full place-content-center gap-2 text-center text-lead" role="status">
              {wrong ? t(wrong) : progress === null ? t('sheet.drawingSheet') : t('sheet.makingPdf')}
              {!wrong && (
                <ProgressBar
                  label={t('sheet.thePrint')}
                  value={progress === null ? 0.9 : 0.8 * progress}
                  max={1}
                  className="w-48"
                />
              )}
            </div>
          )}
        </div>
        <div className="grid content-start gap-1">
          {DRIVER_FAULTS.map((f) => (
            <label key={f} className="flex min-h-10 items-center gap-2 font-label text-base font-medium">
              <input
                type="checkbox"
                checked={faults.includes(f)}
                onChange={() => toggle(f)}
                className="size-5 shrink-0 accent-strata-3"
              />
              {t(FAULT_WORDS[f].label)}
            </label>
          ))}
          <ul className="mt-2 grid gap-2 text-base leading-snug" aria-live="polite">
            {faults.length === 0 && <li>{t('sheet.correctBarHasTrue')}</li>}
            {faults.map((f) => (
              <li key={f}>
                <strong>{t(FAULT_WORDS[f].seen)}</strong> {t(FAULT_WORDS[f].fix)}
              </li>
            ))}
          </ul>
        </div>
      </div>
      <div className="mt-4 flex flex-wrap items-center gap-3">
        <Segments
          label={t('sheet.zoom')}
          value={near}
          onChange={setNear}
          options={[
            { value: 'bar', label: t('sheet.atTheBar') },
            { value: 'whole', label: t('sheet.wholeSheet') },
          ]}
        />
        <Button aria-pressed={shown} onClick={() => setShown((t) => !t)}>
          {t('sheet.whatShouldIMeasure')}
        </Button>
        {shown && <Reading page={page} sheet={sheet} />}
        <Button className="ml-auto" onClick={onClose}>
          {t('press.done')}
        </Button>
      </div>
    </Dialog>
  );
}

/** What a rule would say of the bar and of the wrap as they came out. */
function Reading({ page, sheet }: { page: Page; sheet: SimulatedSheet }) {
  const t = useWords();
  const bar = barOf(page);
  if (!bar) return null;
  const out = printedBox(sheet, bar);
  const trim = printedBox(sheet, page.trimBox);
  const long = (r: Rect) => t.quantity(fineMm(Math.max(r.width, r.height)));
  return (
    <p className="font-label text-base font-medium" role="status">
      {t('sheet.barCutMarksAcross', {
        out: long(out),
        bar: long(bar),
        width: fineMm(trim.width),
        width2: fineMm(page.trimBox.width),
        height: fineMm(trim.height),
        height2: fineMm(page.trimBox.height),
      })}
    </p>
  );
}

interface PrintedProps {
  readonly page: Page;
  readonly sheet: SimulatedSheet;
  readonly url: string;
  readonly near: 'whole' | 'bar';
}

function Printed({ page, sheet, url, near }: PrintedProps) {
  const t = useWords();
  const { widthMm, heightMm, matrix, inked } = sheet;
  const bar = barOf(page);
  const whole = { x: 0, y: 0, width: Math.max(widthMm, 120), height: heightMm };
  const atBar = bar && {
    x: bar.x - 8,
    y: bar.y - 24,
    width: bar.width + 24,
    height: Math.max(bar.height, 30) + 34,
  };
  return (
    <ScaleDrawing
      interactive
      label={t('sheet.sheetComesOutPrinter')}
      bounds={near === 'bar' && atBar ? atBar : whole}
      room={{ top: 14, right: 14, bottom: 14, left: 14 }}
      draw={(fit) => (
        <>
          <g transform={`translate(${fit.x(0)} ${fit.y(0)}) scale(${fit.k})`}>
            <clipPath id="simulator-ink">
              <rect {...inked} />
            </clipPath>
            <rect width={widthMm} height={heightMm} fill="#ffffff" stroke="#14211f" strokeWidth={0.6} />
            <g clipPath="url(#simulator-ink)">
              <g transform={`matrix(${matrix.join(' ')})`}>
                <image href={url} width={page.widthMm} height={page.heightMm} preserveAspectRatio="none" />
              </g>
            </g>
          </g>
          <Rule fit={fit} sheet={sheet} page={page} />
        </>
      )}
    />
  );
}

/** Box of the printed bar on the page, as the page means it. */
function barOf(page: Page): Rect | null {
  const corners = page.items.flatMap((i) =>
    i.kind === 'bar' ? rectCorners(i.rect).map((p) => apply(i.matrix, p)) : [],
  );
  return corners.length > 0 ? boundsOf(corners) : null;
}

const RULE_MM = 120;

/** A steel rule to drag about: lies across or, turned by the R key or a touch on its end, along. */
function Rule({ fit, sheet, page }: { fit: Fit; sheet: SimulatedSheet; page: Page }) {
  const t = useWords();
  const bar = barOf(page);
  const lies = bar !== null && bar.height > bar.width;
  const [at, setAt] = useState(
    bar ? (lies ? { x: bar.x + bar.width + 3, y: bar.y } : { x: bar.x, y: bar.y - 3 }) : { x: 10, y: 10 },
  );
  const [along, setAlong] = useState(lies);
  const move = (x: number, y: number) =>
    setAt({ x: clamp(x, -20, sheet.widthMm), y: clamp(y, -10, sheet.heightMm) });
  const ticks = Array.from({ length: RULE_MM + 1 }, (_, i) => i);
  return (
    <Draggable
      as="g"
      role="slider"
      tabIndex={0}
      aria-label={t('sheet.steelRuleArrowKeys')}
      aria-valuenow={Math.round(at.x)}
      aria-valuetext={t('sheet.zeroAcrossDown', {
        x: mm(at.x),
        y: mm(at.y),
        which: along ? 'alongFeed' : 'other',
      })}
      className="cursor-move touch-none"
      transform={`translate(${fit.x(at.x)} ${fit.y(at.y)}) rotate(${along ? 90 : 0}) scale(${fit.k})`}
      onKeyDown={(e) => {
        if (arrowStep(e, (dx, dy) => move(at.x + dx * 0.5, at.y + dy * 0.5))) return;
        if (e.key.toLowerCase() === 'r') setAlong((a) => !a);
      }}
      onDoubleClick={() => setAlong((a) => !a)}
      begin={() => at}
      onDragged={(from, dx, dy) => move(from.x + dx / fit.k, from.y + dy / fit.k)}
    >
      <rect
        x={-3}
        y={-9}
        width={RULE_MM + 6}
        height={9}
        fill="#d9dedb"
        fillOpacity={0.92}
        stroke="#14211f"
        strokeWidth={0.4}
      />
      {ticks.map((i) => (
        <line
          key={i}
          x1={i}
          x2={i}
          y1={0}
          y2={i % 10 === 0 ? -4 : i % 5 === 0 ? -2.8 : -1.8}
          stroke="#14211f"
          strokeWidth={0.2}
        />
      ))}
      {ticks
        .filter((i) => i % 10 === 0)
        .map((i) => (
          <text
            key={i}
            x={i}
            y={-5}
            textAnchor="middle"
            fontSize={3}
            fontWeight={600}
            fill="#14211f"
            className="font-label"
          >
            {i}
          </text>
        ))}
    </Draggable>
  );
}
