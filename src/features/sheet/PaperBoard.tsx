'use client';

import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useMemo } from 'react';
import { drawSheet, type DrawnPages } from '@/core/plan/sheet/pages';
import { mm } from '@/core/message/quantity';
import { ScaleDrawing, type Fit } from '@/ui/board/Board';
import { Dimension } from '@/ui/board/Dimension';
import { Button } from '@/ui/Button';
import { useWords } from '@/ui/words';
import { useSources } from '../art/useSources';
import { useJob } from '../job/jobContext';
import { PageDrawing } from './PageDrawing';

const NOTHING_DRAWN: DrawnPages = { pages: [], sources: {} };

interface Props {
  readonly at: number;
  readonly onAt: (page: number) => void;
}

export function PaperBoard({ at, onAt }: Props) {
  const { plan } = useJob();
  const t = useWords();
  const { sheet } = plan;
  const { toDraw } = sheet;
  const drawn = useMemo(() => (toDraw ? drawSheet(toDraw, at, t) : NOTHING_DRAWN), [toDraw, at, t]);
  const { urls } = useSources(drawn.sources);
  const [page] = drawn.pages;
  const many = sheet.layout?.sheets.length ?? 0;
  if (!page) return <NothingPlaced />;
  return (
    <>
      <ScaleDrawing
        label={t('sheet.sheetPrinted', { paper: sheet.paper?.name ?? '' })}
        bounds={{ x: 0, y: 0, width: page.widthMm, height: page.heightMm }}
        room={{ top: 44, right: 96, bottom: 20, left: many > 1 || sheet.panels ? 116 : 30 }}
        draw={(fit) => (
          <>
            <g transform={`translate(${fit.x(0)} ${fit.y(0)}) scale(${fit.k})`}>
              <PageDrawing page={page} sources={drawn.sources} urls={urls} />
            </g>
            <Cuts fit={fit} at={at} />
            <Joins fit={fit} at={at} />
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
              {t.quantity(mm(page.widthMm))}
            </Dimension>
            <Dimension
              x1={fit.x(page.widthMm) + 14}
              x2={fit.x(page.widthMm) + 14}
              y1={fit.y(0)}
              y2={fit.y(page.heightMm)}
              side="right"
            >
              {t.quantity(mm(page.heightMm))}
            </Dimension>
          </>
        )}
      />
      <div className="absolute top-3 left-4 grid w-24 gap-2">
        {many > 1 && <Turner at={at} of={many} copies={page.copies} onAt={onAt} />}
        <PanelMap at={at} />
      </div>
    </>
  );
}

function Turner({ at, of, copies, onAt }: Props & { of: number; copies: number }) {
  const t = useWords();
  return (
    <div className="grid grid-cols-2 gap-1">
      <Button
        aria-label={t('sheet.sheetBefore')}
        className="px-2"
        disabled={at === 0}
        onClick={() => onAt(at - 1)}
      >
        <ChevronLeft size={18} aria-hidden />
      </Button>
      <Button
        aria-label={t('sheet.sheetAfter')}
        className="px-2"
        disabled={at >= of - 1}
        onClick={() => onAt(at + 1)}
      >
        <ChevronRight size={18} aria-hidden />
      </Button>
      <p className="col-span-2 font-label text-base leading-tight font-semibold" aria-live="polite">
        {t('sheet.sheetPrint', { at: at + 1, of, copies })}
      </p>
    </div>
  );
}

/** How the panels lie together on the blank, those of this sheet filled in. */
function PanelMap({ at }: { at: number }) {
  const t = useWords();
  const { plan } = useJob();
  const { panels, layout, parts } = plan.sheet;
  const whole = plan.wrap.pattern?.whole;
  if (!panels || !whole) return null;
  const here = new Set(layout?.sheets[at]?.placements.map((s) => parts[s.part]?.panel ?? 0));
  const k = Math.min(88 / whole.width, 120 / whole.height);
  const px = (x: number) => (x - whole.x) * k + 2;
  const py = (y: number) => (y - whole.y) * k + 2;
  return (
    <svg
      role="img"
      aria-label={t('sheet.sheetPanel', { value: [...here], panels: panels.panels.length })}
      width={whole.width * k + 4}
      height={whole.height * k + 4}
    >
      {panels.panels.map((p) => (
        <polygon
          key={p.number}
          points={p.outline.map((q) => `${px(q.x)},${py(q.y)}`).join(' ')}
          fill={here.has(p.number) ? '#3d6b58' : '#f8faf6'}
          stroke="#14211f"
          strokeWidth={1.5}
        />
      ))}
      {panels.panels.map((p) => (
        <text
          key={p.number}
          x={px(p.box.x + p.box.width / 2)}
          y={py(p.box.y + p.box.height / 2) + 5}
          textAnchor="middle"
          fontSize={15}
          fontWeight={600}
          fill={here.has(p.number) ? '#ffffff' : '#14211f'}
          className="font-label"
        >
          {p.number}
        </text>
      ))}
    </svg>
  );
}

/** A trimmer's cuts with their order. */
function Cuts({ fit, at }: { fit: Fit; at: number }) {
  const { plan } = useJob();
  const cuts = plan.sheet.layout?.sheets[at]?.cuts ?? [];
  return cuts.map((c, i) => (
    <g key={i}>
      <line
        x1={fit.x(c.from.x)}
        y1={fit.y(c.from.y)}
        x2={fit.x(c.to.x)}
        y2={fit.y(c.to.y)}
        stroke="#c8371b"
        strokeWidth={1.5}
        strokeDasharray="8 4"
      />
      <circle
        cx={fit.x(c.from.x)}
        cy={fit.y(c.from.y)}
        r={10}
        fill="#f8faf6"
        stroke="#c8371b"
        strokeWidth={1.5}
      />
      <text
        x={fit.x(c.from.x)}
        y={fit.y(c.from.y) + 4}
        textAnchor="middle"
        fontSize={12}
        fontWeight={700}
        fill="#14211f"
        className="font-label"
      >
        {i + 1}
      </text>
    </g>
  ));
}

/** Where panels are cut along their join, drawn over the sheet. */
function Joins({ fit, at }: { fit: Fit; at: number }) {
  const { plan } = useJob();
  const { layout, panels, parts } = plan.sheet;
  const sheet = layout?.sheets[at];
  if (!sheet || !panels) return null;
  return sheet.placements.map((s, i) => {
    const number = parts[s.part]?.panel ?? 0;
    const [a, b, c, d, e, f] = s.matrix;
    return panels.panels[number - 1]?.cuts.map((cut, k) => (
      <polyline
        key={`${i}-${k}`}
        points={cut.map((p) => `${fit.x(a * p.x + c * p.y + e)},${fit.y(b * p.x + d * p.y + f)}`).join(' ')}
        fill="none"
        stroke="#c8371b"
        strokeWidth={1.5}
        strokeDasharray="6 4"
      />
    ));
  });
}

function NothingPlaced() {
  const { plan } = useJob();
  const t = useWords();
  const { sheet, wrap } = plan;
  return (
    <div className="grid h-full place-content-center justify-items-center gap-3 p-8 text-center">
      <p className="max-w-96 font-name text-head leading-tight font-medium">
        {wrap.pattern ? t('heat.doesFit') : t('sheet.wrapHasSizeYet')}
      </p>
      <p className="max-w-96">
        {sheet.findings
          .filter((f) => f.level === 'blocker')
          .map((f) => t(f.text))
          .join(' ') || t('heat.findingsBelowSayWhy')}
      </p>
    </div>
  );
}
