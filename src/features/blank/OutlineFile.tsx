'use client';

import { say } from '@/core/message/message';
import { FileUp } from 'lucide-react';
import { useState } from 'react';
import type { SvgOutline } from '@/core/formats/svgOutline';
import { problemMessage, type Problem } from '@/core/basics/result';
import { parseLength } from '@/core/units/parse';
import { mm, decimal } from '@/core/message/quantity';
import { Button } from '@/ui/Button';
import { FileButton } from '@/ui/FileButton';
import { inputClass } from '@/ui/FormField';
import { useUnits } from '@/ui/units';
import { useWords } from '@/ui/words';
import type { Drawn } from './editor/draft';
import { part } from '@/core/basics/part';
import { readText } from '@/data/readFile';

const MOST_OUTLINE_BYTES = 4_000_000;

/** The reader of outlines is fetched only when a file is brought. */
const reader = () => part(() => import('@/core/formats/svgOutline'));

interface Props {
  readonly drawn: Drawn | null;
  readonly onDrawn: (d: Drawn, widthMm: number, heightMm: number) => void;
}

/** An outline out of an SVG file; where the file has no unit its real width is asked for. */
export function OutlineFile({ drawn, onDrawn }: Props) {
  const units = useUnits();
  const t = useWords();
  const [problem, setProblem] = useState<Problem | null>(null);
  const [asking, setAsking] = useState<SvgOutline | null>(null);
  const [widthText, setWidthText] = useState('');
  const [shown, setShown] = useState<string | null>(null);

  const keep = async (svg: SvgOutline, widthMm: number) => {
    const { outlineAt } = await reader();
    const made = outlineAt(svg, widthMm);
    if (!made.ok) {
      setProblem(made.problem);
      return;
    }
    const { outline, holes } = made.value;
    if (outline.form !== 'drawn') return;
    setAsking(null);
    setProblem(null);
    onDrawn({ points: outline.points, holes }, outline.widthMm, outline.heightMm);
    const tolerance = (svg.toleranceUnits * outline.widthMm) / Math.max(1e-9, widthUnits(svg));
    const kept =
      outline.points.length + holes.reduce((n, h) => n + (h.form === 'drawn' ? h.points.length : 0), 0);
    const left = svg.ignored.length > 0 ? t('blank.leftOut', { ignored: svg.ignored }) : '';
    setShown(
      t('blank.cornersBecameNoneMoved', {
        cornersBefore: svg.cornersBefore,
        kept,
        tolerance: decimal(tolerance, 2),
        holes: holes.length,
        left,
      }),
    );
  };

  const open = async (file: File) => {
    setShown(null);
    const { readSvgOutline, naturalWidthMm } = await reader();
    const text = await readText(file, MOST_OUTLINE_BYTES, say('blank.simplifyDrawingExportOnly'));
    const read = text.ok ? readSvgOutline(text.value) : text;
    if (!read.ok) {
      setProblem(read.problem);
      return;
    }
    setProblem(null);
    const natural = naturalWidthMm(read.value);
    if (natural === null) setAsking(read.value);
    else await keep(read.value, natural);
  };

  const answer = async () => {
    const parsed = parseLength(widthText, units.length, say('blank.realWidth'));
    if (!parsed.ok) setProblem(parsed.problem);
    else if (asking) await keep(asking, parsed.value.valueMm);
  };

  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-center gap-3">
        <FileButton label={t('common.outlineFile')} accept=".svg,image/svg+xml" onFile={(f) => void open(f)}>
          <FileUp size={16} aria-hidden /> {t('blank.outlineFromSvgFile')}
        </FileButton>
        {drawn && !shown && <span className="text-fine text-soft">{t('blank.hasOutlineFromDrawing')}</span>}
        {shown && (
          <p role="status" className="text-fine text-soft">
            {shown}
          </p>
        )}
      </div>
      {asking && (
        <div className="flex flex-wrap items-end gap-2">
          <label className="font-label text-fine font-semibold">
            {t('blank.fileHasUnitReal', { units: units.length })}
            <input
              value={widthText}
              onChange={(e) => setWidthText(e.target.value)}
              autoComplete="off"
              className={`${inputClass} w-32`}
            />
          </label>
          <Button onClick={() => void answer()}>{t('blank.useWidth')}</Button>
          <span className="text-fine text-soft">
            {t('blank.pixelsScreenWould', { asking: mm((widthUnits(asking) * 25.4) / 96) })}
          </span>
        </div>
      )}
      {problem && (
        <p role="alert" className="text-fine font-medium text-act-deep">
          {t(problemMessage(problem))}
        </p>
      )}
    </div>
  );
}

function widthUnits(svg: SvgOutline): number {
  const xs = svg.outer.map((p) => p.x);
  return Math.max(...xs) - Math.min(...xs);
}
