'use client';

import { useWords } from '@/ui/words';
import { X } from 'lucide-react';
import { useState, useSyncExternalStore, type PointerEvent } from 'react';
import { IDENTITY } from '@/core/geometry/affine';
import { contourPath } from '@/core/geometry/contour';
import { faultLabel, isOnPaper } from '@/core/inspect/faults';
import type { FaceSize } from '@/core/inspect/places';
import type { Mark, MarkPlace, FacePoint } from '@/core/shop/mark';
import { isHandled } from '@/core/shop/blank';
import { mainFace } from '@/core/wrap/pattern';
import { ScaleDrawing, type Fit } from '@/ui/board/Board';
import { Button } from '@/ui/Button';
import { useSources } from '../art/useSources';
import { useJob } from '../job/jobContext';
import { PatternArt } from '../wrap/PatternDrawing';
import { FaceLines } from './FaceLines';
import { MarkShape, labelAt } from './MarkShapes';
import { placeOf, SEVERITY_WORDS, type Tool } from './marking';
import { PhotoUnder } from './PhotoUnder';
import { PressInset } from './PressInset';

interface Props {
  readonly face: FaceSize;
  readonly tool: Tool;
  readonly side: Mark['side'];
  readonly piece: number | null;
  /** The piece, or the paper it was pressed with. */
  readonly on: 'piece' | 'paper';
  readonly photoShown: boolean;
  readonly onPlace: (place: MarkPlace) => void;
  readonly onUsual: () => void;
}

const WIDE = '(min-width: 1280px)';
const watchWide = (notify: () => void): (() => void) => {
  const query = window.matchMedia(WIDE);
  query.addEventListener('change', notify);
  return () => query.removeEventListener('change', notify);
};
/** There is room beside the drawing. */
const useWide = (): boolean =>
  useSyncExternalStore(
    watchWide,
    () => window.matchMedia(WIDE).matches,
    () => false,
  );

/** The unwrapped face with what was seen on it. */
export function MarkBoard({ face, tool, side, piece, on, photoShown, onPlace, onUsual }: Props) {
  const t = useWords();
  const { job, plan } = useJob();
  const { urls } = useSources(plan.art.sources);
  const wide = useWide();
  const { pattern } = plan.wrap;
  const seen = plan.inspect.face;
  const { blank } = plan.blank;
  if (!pattern || !seen) return null;
  const shown = (side === 'back' ? pattern.faces[1] : undefined) ?? mainFace(pattern);
  const marks = job.inspection.marks.filter(
    (m) => m.side === side && isOnPaper(m.fault) === (on === 'paper'),
  );
  const { lay } = plan.inspect;
  const inset = wide && lay && lay.pieces.length > 0 ? lay : null;
  const photo = photoShown ? job.inspection.photos.find((p) => p.of === on) : undefined;
  return (
    <ScaleDrawing
      interactive
      label={on === 'paper' ? t('inspect.usedPaperWhatWas') : t('inspect.wrapUnrolledWhatWas')}
      bounds={{ x: 0, y: 0, width: face.widthMm, height: face.heightMm }}
      room={{ top: 24, right: 40, bottom: 30, left: inset ? 144 : 40 }}
      draw={(fit) => (
        <>
          {on === 'piece' && (
            <g opacity={photo ? 0.25 : 1}>
              <PatternArt
                id="inspect"
                fit={fit}
                pattern={{ ...pattern, faces: [{ ...shown, matrix: IDENTITY, bleed: shown.trim }] }}
                placedLayers={plan.art.placedLayers}
                sources={plan.art.sources}
                urls={urls}
              />
            </g>
          )}
          {on === 'paper' && !photo && (
            <path
              d={contourPath(shown.trim)}
              transform={`translate(${fit.x(0)} ${fit.y(0)}) scale(${fit.k})`}
              fill="#fbf7ea"
            />
          )}
          <FaceLines
            fit={fit}
            face={seen}
            gaps={plan.inspect.gaps}
            taped={on === 'piece'}
            ends={blank && isHandled(blank) ? 'handle' : 'seam'}
          />
          {marks.map((m) => (
            <MarkShape key={m.id} mark={m} face={face} fit={fit} />
          ))}
          <Strokes face={face} fit={fit} tool={tool} onPlace={onPlace} />
        </>
      )}
      under={(fit) => photo && <PhotoUnder photo={photo} fit={fit} face={face} />}
      over={(fit) => (
        <>
          {labelsApart(marks, face, fit).map((m) => (
            <MarkFlag key={m.mark.id} mark={m.mark} at={m.at} />
          ))}
          {inset && (
            <div className="pointer-events-none absolute bottom-2 left-2">
              <PressInset lay={inset} face={seen} piece={piece} />
            </div>
          )}
          <Button
            className="absolute bottom-1 left-1/2 -translate-x-1/2 opacity-0 focus:opacity-100"
            onClick={onUsual}
          >
            {t('inspect.markUsualPlace')}
          </Button>
        </>
      )}
    />
  );
}

/** Takes touches and strokes on the face. */
function Strokes({
  face,
  fit,
  tool,
  onPlace,
}: {
  face: FaceSize;
  fit: Fit;
  tool: Tool;
  onPlace: Props['onPlace'];
}) {
  const [path, setPath] = useState<readonly FacePoint[]>([]);
  const drawn = tool === 'line' || tool === 'area';
  const pointUnder = (e: PointerEvent<SVGRectElement>): FacePoint => {
    const box = e.currentTarget.getBoundingClientRect();
    return { xMm: (e.clientX - box.left) / fit.k, yMm: (e.clientY - box.top) / fit.k };
  };
  return (
    <g>
      <rect
        data-face
        x={fit.x(0)}
        y={fit.y(0)}
        width={fit.k * face.widthMm}
        height={fit.k * face.heightMm}
        fill="transparent"
        className="cursor-crosshair"
        style={drawn ? { touchAction: 'none' } : undefined}
        onPointerDown={(e) => {
          if (e.button !== 0) return;
          e.currentTarget.setPointerCapture(e.pointerId);
          setPath([pointUnder(e)]);
        }}
        onPointerMove={(e) => {
          if (path.length > 0 && drawn) setPath([...path, pointUnder(e)]);
        }}
        onPointerUp={() => {
          const place = placeOf(tool, path, face);
          setPath([]);
          if (place) onPlace(place);
        }}
        onPointerCancel={() => setPath([])}
      />
      {path.length > 1 && (
        <polyline
          points={path.map((p) => `${fit.x(p.xMm)},${fit.y(p.yMm)}`).join(' ')}
          fill={tool === 'area' ? '#c8371b' : 'none'}
          fillOpacity={0.2}
          stroke="#c8371b"
          strokeWidth={3}
          pointerEvents="none"
        />
      )}
    </g>
  );
}

/** A name of a fault with how bad it is takes about so much. */
const LABEL_PX = 236;

interface LabelAt {
  readonly left: number;
  readonly top: number;
  /** It stands to the left of its mark. */
  readonly before: boolean;
}

const LABEL_TALL_PX = 38;

/** Names beside their marks, inside the board, and none over another. */
function labelsApart(
  marks: readonly Mark[],
  face: FaceSize,
  fit: Fit,
): readonly { readonly mark: Mark; readonly at: LabelAt }[] {
  const taken: LabelAt[] = [];
  const startOf = (l: LabelAt): number => (l.before ? l.left - LABEL_PX : l.left);
  return marks.map((mark) => {
    const p = labelAt(mark, face);
    const x = Math.min(fit.width - 8, Math.max(8, fit.x(p.xMm)));
    const before = x > fit.width - LABEL_PX - 12;
    const left = before ? Math.max(LABEL_PX, x - 12) : Math.min(x + 12, fit.width - LABEL_PX);
    let at: LabelAt = { left, top: Math.min(fit.height - 20, Math.max(18, fit.y(p.yMm))), before };
    const crowded = (): boolean =>
      taken.some(
        (t) => Math.abs(startOf(t) - startOf(at)) < LABEL_PX && Math.abs(t.top - at.top) < LABEL_TALL_PX,
      );
    for (let i = 0; i < marks.length && crowded(); i += 1) {
      const down = at.top + LABEL_TALL_PX;
      at = { ...at, top: down > fit.height - 20 ? 18 : down };
    }
    taken.push(at);
    return { mark, at };
  });
}

function MarkFlag({ mark, at }: { mark: Mark; at: LabelAt }) {
  const t = useWords();
  const { edit } = useJob();
  const label = faultLabel(mark.fault);
  const change = (f: (m: Mark) => Mark | null) =>
    edit((j) => ({
      ...j,
      inspection: {
        ...j.inspection,
        marks: j.inspection.marks.flatMap((m) => (m.id === mark.id ? (f(m) ?? []) : m)),
      },
    }));
  return (
    <div
      className={`absolute flex -translate-y-1/2 items-center ${at.before ? '-translate-x-full flex-row-reverse' : ''}`}
      style={{ left: at.left, top: at.top }}
    >
      <span className="flex items-center border-2 border-ink bg-sheet font-label text-fine font-semibold">
        <button
          type="button"
          title={t('inspect.slightPlainBad')}
          onClick={() => change((m) => ({ ...m, severity: m.severity === 3 ? 1 : m.severity === 2 ? 3 : 2 }))}
          className="min-h-8 px-2 whitespace-nowrap hover:bg-board"
        >
          {t(label)}, {SEVERITY_WORDS[mark.severity]}
          {mark.piece !== null && t('inspect.piece', { piece: mark.piece })}
        </button>
        <button
          type="button"
          aria-label={t('inspect.remove', { label })}
          onClick={() => change(() => null)}
          className="grid size-8 place-items-center border-l border-rule hover:bg-board"
        >
          <X size={14} aria-hidden />
        </button>
      </span>
    </div>
  );
}
