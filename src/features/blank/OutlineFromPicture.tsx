'use client';

import { ImageUp } from 'lucide-react';
import { useRef, useState } from 'react';
import { problemMessage, type Problem, type Result } from '@/core/basics/result';
import { MOST_PICTURE_BYTES } from '@/core/formats/picture';
import { say, type Message } from '@/core/message/message';
import type { CutShape, CutShapeRequest } from '@/core/shapes/cutShape';
import { readBytes } from '@/data/readFile';
import { FileButton } from '@/ui/FileButton';
import { LengthField } from '@/ui/LengthField';
import { useWords } from '@/ui/words';
import { inWorker } from '@/workers/client';
import type { Drawn } from './editor/draft';

interface Props {
  readonly onDrawn: (d: Drawn, widthMm: number, heightMm: number) => void;
}

interface Fields {
  readonly widthMm: number;
  readonly distanceMm: number;
  readonly smoothMm: number;
  readonly holeMm: number;
  readonly edgeMm: number;
}

const START: Fields = { widthMm: 60, distanceMm: 3, smoothMm: 2, holeMm: 3, edgeMm: 2.5 };

const FIELDS: readonly (readonly [keyof Fields, Message, least: number, most: number])[] = [
  ['widthMm', say('blank.pictureWidth'), 5, 1200],
  ['distanceMm', say('blank.cutDistance'), 0, 50],
  ['smoothMm', say('blank.insideRadius'), 0, 50],
  ['holeMm', say('blank.ringHole'), 0, 20],
  ['edgeMm', say('blank.holeEdge'), 0.5, 20],
];

const requestOf = ({ holeMm, edgeMm, ...rest }: Fields): CutShapeRequest => ({
  ...rest,
  hole: holeMm > 0 ? { diameterMm: holeMm, edgeMm } : null,
});

/** The shape as the draft of a blank keeps it. */
const drawnOf = ({ outline, hole }: CutShape): Drawn => ({
  points: outline.map((p) => [p.x, p.y]),
  holes: hole ? [{ form: 'round', ...hole }] : [],
});

/** An outline at a distance round a picture, for those who cut their own blanks. */
export function OutlineFromPicture({ onDrawn }: Props) {
  const t = useWords();
  const [file, setFile] = useState<{ readonly name: string; readonly bytes: Uint8Array } | null>(null);
  const [fields, setFields] = useState(START);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [busy, setBusy] = useState(false);
  const newest = useRef(0);

  const draw = async (of: { readonly name: string; readonly bytes: Uint8Array }, next: Fields) => {
    newest.current += 1;
    const mine = newest.current;
    setBusy(true);
    const r = await inWorker<Result<CutShape>>(
      of.name,
      async (api) => await api.cutShape(of.bytes, of.name, requestOf(next)),
    );
    if (mine !== newest.current) return;
    setBusy(false);
    const made = r.ok ? r.value : r;
    setProblem(made.ok ? null : made.problem);
    if (made.ok) onDrawn(drawnOf(made.value), made.value.widthMm, made.value.heightMm);
  };
  const open = async (chosen: File) => {
    const read = await readBytes(chosen, MOST_PICTURE_BYTES, say('files.savePictureSmaller'));
    if (!read.ok) return setProblem(read.problem);
    const next = { name: chosen.name, bytes: read.value };
    setFile(next);
    await draw(next, fields);
  };
  const put = (change: Partial<Fields>) => {
    const next = { ...fields, ...change };
    setFields(next);
    if (file) void draw(file, next);
  };

  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-center gap-3">
        <FileButton
          label={t('blank.pictureForOutline')}
          accept="image/png,image/jpeg,image/webp,image/tiff"
          onFile={(f) => void open(f)}
        >
          <ImageUp size={16} aria-hidden /> {t('blank.outlineFromPicture')}
        </FileButton>
        {file && (
          <span role="status" className="text-fine text-soft">
            {busy ? t('common.calculatingNow') : file.name}
          </span>
        )}
      </div>
      {file && (
        <div className="flex flex-wrap gap-3">
          {FIELDS.map(([key, label, minMm, maxMm]) => (
            <LengthField
              key={key}
              label={t(label)}
              valueMm={fields[key]}
              minMm={minMm}
              maxMm={maxMm}
              fine
              byHand
              width="w-14"
              onValue={(v) => put({ [key]: v })}
            />
          ))}
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
