'use client';

import { FileUp } from 'lucide-react';
import { useState } from 'react';
import type { SvgOutline } from '@/core/formats/svgOutline';
import { problemText, type Problem } from '@/core/basics/result';
import { parseLength } from '@/core/units/parse';
import { mm } from '@/core/units/quantity';
import { Button } from '@/ui/Button';
import { FileButton } from '@/ui/FileButton';
import { inputClass } from '@/ui/FormField';
import { useSay, useUnits } from '@/ui/units';
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
  const say = useSay();
  const [problem, setProblem] = useState<Problem | null>(null);
  const [asking, setAsking] = useState<SvgOutline | null>(null);
  const [widthText, setWidthText] = useState('');
  const [told, setTold] = useState<string | null>(null);

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
    const left = svg.ignored.length > 0 ? ` Left out: ${svg.ignored.join(', ')}.` : '';
    setTold(
      `${svg.cornersBefore} corners became ${kept}, none moved more than ${tolerance.toFixed(2)} mm. ${holes.length} ${holes.length === 1 ? 'hole' : 'holes'}.${left}`,
    );
  };

  const open = async (file: File) => {
    setTold(null);
    const { readSvgOutline, naturalWidthMm } = await reader();
    const text = await readText(
      file,
      MOST_OUTLINE_BYTES,
      'Simplify the drawing, or export only the outline.',
    );
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
    const parsed = parseLength(widthText, units.length, 'Real width');
    if (!parsed.ok) setProblem(parsed.problem);
    else if (asking) await keep(asking, parsed.value.valueMm);
  };

  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-center gap-3">
        <FileButton label="Outline file" accept=".svg,image/svg+xml" onFile={(f) => void open(f)}>
          <FileUp size={16} aria-hidden /> Outline from an SVG file
        </FileButton>
        {drawn && !told && <span className="text-fine text-soft">has an outline from a drawing</span>}
        {told && (
          <p role="status" className="text-fine text-soft">
            {told}
          </p>
        )}
      </div>
      {asking && (
        <div className="flex flex-wrap items-end gap-2">
          <label className="font-label text-fine font-semibold">
            The file has no unit. Its real width, {units.length}
            <input
              value={widthText}
              onChange={(e) => setWidthText(e.target.value)}
              autoComplete="off"
              className={`${inputClass} w-32`}
            />
          </label>
          <Button onClick={() => void answer()}>Use this width</Button>
          <span className="text-fine text-soft">
            In pixels of a screen it would be {say([mm((widthUnits(asking) * 25.4) / 96)])}.
          </span>
        </div>
      )}
      {problem && (
        <p role="alert" className="text-fine font-medium text-act-deep">
          {problemText(problem)}
        </p>
      )}
    </div>
  );
}

function widthUnits(svg: SvgOutline): number {
  const xs = svg.outer.map((p) => p.x);
  return Math.max(...xs) - Math.min(...xs);
}
