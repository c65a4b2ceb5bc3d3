'use client';

import { FileDown } from 'lucide-react';
import { mm } from '@/core/units/quantity';
import { Board } from '@/ui/board/Board';
import { Dimension } from '@/ui/board/Dimension';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { LengthField } from '@/ui/LengthField';
import { Pick } from '@/ui/Pick';
import { Segments } from '@/ui/Segments';
import { useSay } from '@/ui/units';
import { usePreview } from '../art/usePreview';
import { useJob } from '../job/jobContext';
import { NeedsBlank } from '../job/NeedsBlank';
import { PageDrawing } from './PageDrawing';
import { useExport } from './useExport';

const SMALLEST = 'smallest';

/** The sheet as it will be printed: pieces ganged, ticks, ruler, label; and the files that print it. */
export function SheetView() {
  const { plan } = useJob();
  if (!plan.blank.blank) return <NeedsBlank />;
  return (
    <div className="absolute inset-0 flex flex-col overflow-y-auto">
      <SheetTools />
      <div className="relative min-h-[24rem] flex-[1_0_auto]">
        <PaperBoard />
      </div>
      <Files />
    </div>
  );
}

function SheetTools() {
  const { job, plan, shop, edit } = useJob();
  const say = useSay();
  const papers = shop.papers.map((p) => ({
    value: p.id,
    label: `${p.name}, ${say([mm(p.widthMm)])} × ${say([mm(p.heightMm)])}`,
  }));
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-2 border-b border-rule bg-sheet/80 px-5 py-2">
      <Labelled label="Paper">
        <Pick
          label="Paper"
          value={job.sheet.paperId ?? SMALLEST}
          options={[
            {
              value: SMALLEST,
              label: plan.sheet.wouldFit
                ? `The smallest that holds it (${plan.sheet.wouldFit.name})`
                : 'The smallest that holds it',
            },
            ...papers,
          ]}
          onChange={(v) => edit((j) => ({ ...j, sheet: { ...j.sheet, paperId: v === SMALLEST ? null : v } }))}
          className="w-72"
        />
      </Labelled>
      <LengthField
        label="Knife gap"
        valueMm={job.sheet.gapMm}
        minMm={0}
        maxMm={50}
        taken
        width="w-14"
        onValue={(gapMm) => edit((j) => ({ ...j, sheet: { ...j.sheet, gapMm } }), 'gap')}
      />
      <Labelled label="Mirror once, in">
        <Segments
          label="Where the sheet is mirrored"
          value={plan.sheet.mirrorBy}
          onChange={(mirrorBy) => edit((j) => ({ ...j, sheet: { ...j.sheet, mirrorBy } }))}
          options={[
            { value: 'app', label: 'this file' },
            { value: 'driver', label: 'the driver' },
          ]}
        />
      </Labelled>
    </div>
  );
}

function PaperBoard() {
  const { job, plan } = useJob();
  const say = useSay();
  const preview = usePreview(job.art.picture);
  const { sheet, wrap } = plan;
  const page = sheet.pages[0];
  if (!page) {
    return (
      <div className="grid h-full place-content-center justify-items-center gap-3 p-8 text-center">
        <p className="max-w-96 font-name text-head leading-tight font-medium">
          {wrap.pattern ? 'It does not fit.' : 'The wrap has no size yet.'}
        </p>
        <p className="max-w-96">
          {sheet.findings
            .filter((f) => f.level === 'stop')
            .map((f) => say(f.text))
            .join(' ') || 'What stands in the way is said below.'}
        </p>
        {sheet.wouldFit && <UseFitting />}
      </div>
    );
  }
  return (
    <Board
      label={`The sheet as printed, ${sheet.paper?.name ?? ''}`}
      bounds={{ x: 0, y: 0, width: page.widthMm, height: page.heightMm }}
      room={{ top: 44, right: 96, bottom: 20, left: 30 }}
      draw={(fit) => (
        <>
          <g transform={`translate(${fit.x(0)} ${fit.y(0)}) scale(${fit.k})`}>
            <PageDrawing
              page={page}
              picture={job.art.picture}
              url={preview.kind === 'ready' ? preview.url : null}
            />
          </g>
          <rect
            x={fit.x(0)}
            y={fit.y(0)}
            width={fit.k * page.widthMm}
            height={fit.k * page.heightMm}
            fill="none"
            stroke="#14211f"
            strokeWidth={2}
          />
          <Dimension x1={fit.x(0)} x2={fit.x(page.widthMm)} y1={fit.y(0) - 14} y2={fit.y(0) - 14}>
            {say([mm(page.widthMm)])}
          </Dimension>
          <Dimension
            x1={fit.x(page.widthMm) + 14}
            x2={fit.x(page.widthMm) + 14}
            y1={fit.y(0)}
            y2={fit.y(page.heightMm)}
            side="right"
          >
            {say([mm(page.heightMm)])}
          </Dimension>
        </>
      )}
    />
  );
}

function UseFitting() {
  const { plan, edit } = useJob();
  const fitting = plan.sheet.wouldFit;
  if (!fitting) return null;
  return (
    <Button onClick={() => edit((j) => ({ ...j, sheet: { ...j.sheet, paperId: fitting.id } }))}>
      Use {fitting.name}
    </Button>
  );
}

/** The files, and the checks to make in the driver. */
function Files() {
  const { plan, shop } = useJob();
  const { progress, pdf, png, svg, stop } = useExport();
  const { pages, mirrorBy } = plan.sheet;
  const [first, second] = pages;
  const empty = plan.art.placed === null && plan.art.words === null;
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-2 border-t border-rule bg-sheet/80 px-5 py-2">
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => void pdf()} disabled={!first || empty || progress !== null}>
          <FileDown size={18} aria-hidden /> Save PDF
        </Button>
        <Button onClick={() => void png()} disabled={!first || empty || progress !== null}>
          Piece as PNG, {shop.settings.printer.ppi} ppi
        </Button>
        <Button onClick={svg} disabled={!plan.wrap.pattern}>
          Pattern as SVG
        </Button>
      </div>
      {progress !== null && (
        <div className="flex items-center gap-2">
          <progress
            value={progress}
            max={1}
            aria-label="Making the file"
            className="h-3 w-32 accent-strata-3"
          />
          <Button onClick={stop}>Stop</Button>
        </div>
      )}
      <p className="min-w-60 flex-1 font-label text-fine leading-snug font-medium">
        {empty && 'No picture and no words yet: there is nothing to print. '}
        {first && `Page 1: print ${first.copies}. `}
        {second && `Page 2: print ${second.copies}. `}
        100 % scale, best quality, high speed off, driver mirror {mirrorBy === 'app' ? 'OFF' : 'ON'}. Print
        side of the paper. Let it dry: a dull print is right.
      </p>
    </div>
  );
}
