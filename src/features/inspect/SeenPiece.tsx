'use client';

import { useWords } from '@/ui/words';
import type { Mark, Photo } from '@/core/shop/mark';
import type { SeenFace } from '@/core/shop/records';
import { faultLabel, isOnPaper } from '@/core/inspect/faults';
import { FaceLines } from './FaceLines';
import { MarkShape } from './MarkShapes';
import { SEVERITY_WORDS } from './marking';
import { PhotoUnder } from './PhotoUnder';
import { fitTo } from '@/ui/board/Board';

interface Props {
  readonly face: SeenFace;
  readonly marks: readonly Mark[];
  readonly photo: Photo | null;
  readonly width?: number;
  readonly height?: number;
}

const ROOM = { top: 22, right: 14, bottom: 22, left: 14 };

/** A piece as it was looked at: its face, its marks, its photograph. Nothing to touch. */
export function SeenPiece({ face, marks, photo, width = 440, height = 260 }: Props) {
  const t = useWords();
  const size = { widthMm: face.widthMm, heightMm: face.heightMm, wrap: face.form !== 'flat' };
  const fit = fitTo({ x: 0, y: 0, width: face.widthMm, height: face.heightMm }, width, height, ROOM);
  return (
    <figure className="bg-board">
      <div className="relative overflow-hidden" style={{ width, height, maxWidth: '100%' }}>
        {photo && <PhotoUnder photo={photo} fit={fit} face={size} />}
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={t('inspect.pieceWhatWasSeen')}
          className="absolute inset-0"
        >
          {!photo && (
            <rect
              x={fit.x(0)}
              y={fit.y(0)}
              width={fit.k * face.widthMm}
              height={fit.k * face.heightMm}
              fill="#ffffff"
            />
          )}
          <FaceLines fit={fit} face={face} gaps={null} taped={false} />
          {marks.map((m) => (
            <MarkShape key={m.id} mark={m} face={size} fit={fit} />
          ))}
        </svg>
      </div>
      <figcaption className="px-2 py-1">
        {marks.length === 0
          ? t('inspect.noMarks')
          : marks
              .map(
                (m) =>
                  `${t(faultLabel(m.fault))}${isOnPaper(m.fault) ? '' : `, ${t.label(SEVERITY_WORDS[m.severity])}`}`,
              )
              .join(' · ')}
      </figcaption>
    </figure>
  );
}
