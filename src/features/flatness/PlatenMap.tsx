'use client';

import { inSentence } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { interpolateRgbBasis } from 'd3-interpolate';
import { useMemo } from 'react';
import type { FlatPress, GapMethod } from '@/core/shop/press';
import { ScaleDrawing, type Fit } from '@/ui/board/Board';
import { LengthField } from '@/ui/LengthField';
import { Select } from '@/ui/Select';
import { DYE_GAPS_MM, DYE_WORDS, sizeOf, NINE_PLACES, gridPlaceName, type Worked } from './readings';

interface Props {
  readonly press: FlatPress;
  readonly found: Worked | null;
  readonly by: GapMethod;
  readonly gaps: readonly number[];
  readonly onGap: (place: number, gapMm: number) => void;
}

const CELLS = 24;
const ramp = interpolateRgbBasis(['#f8faf6', '#c9b37a', '#ad4b25', '#6e2f2a']);
/** Colours reach their end here, so that two platens can be held side by side. */
const FULL_MM = 0.6;

/** The platen from above: its gaps as ground, the card as steps, the readings at their places. */
export function PlatenMap({ press, found, by, gaps, onGap }: Props) {
  const t = useWords();
  const { widthMm, heightMm } = sizeOf(press);
  const cells = useMemo(() => {
    if (!found) return [];
    const least = Math.min(...NINE_PLACES.map((s) => found.surface.gapAt(s.x * widthMm, s.y * heightMm)));
    return Array.from({ length: CELLS * CELLS }, (_, k) => {
      const [i, j] = [k % CELLS, Math.floor(k / CELLS)];
      const gap = found.surface.gapAt(((i + 0.5) * widthMm) / CELLS, ((j + 0.5) * heightMm) / CELLS) - least;
      return {
        x: (i * widthMm) / CELLS,
        y: (j * heightMm) / CELLS,
        fill: ramp(Math.min(1, Math.max(0, gap / FULL_MM))),
      };
    });
  }, [found, widthMm, heightMm]);
  return (
    <div className="board-ground relative h-[clamp(27rem,66vh,44rem)]">
      <ScaleDrawing
        interactive
        label={t('flatness.platenFromAboveBack')}
        bounds={{ x: 0, y: 0, width: widthMm, height: heightMm }}
        room={{ top: 26, right: 30, bottom: 26, left: 30 }}
        draw={(fit) => (
          <>
            {cells.map((c) => (
              <rect
                key={`${c.x} ${c.y}`}
                x={fit.x(c.x)}
                y={fit.y(c.y)}
                width={(fit.k * widthMm) / CELLS + 0.6}
                height={(fit.k * heightMm) / CELLS + 0.6}
                fill={c.fill}
              />
            ))}
            {found && <Steps found={found} fit={fit} />}
            {found?.place && (
              <rect
                x={fit.x(found.place.xMm)}
                y={fit.y(found.place.yMm)}
                width={fit.k * pieceSize(found.place, press).w}
                height={fit.k * pieceSize(found.place, press).h}
                fill="none"
                stroke="#1d2c5e"
                strokeDasharray="8 5"
                strokeWidth={2.5}
              />
            )}
            <rect
              x={fit.x(0)}
              y={fit.y(0)}
              width={fit.k * widthMm}
              height={fit.k * heightMm}
              fill="none"
              stroke="#14211f"
              strokeWidth={2}
            />
            <text
              x={fit.x(widthMm / 2)}
              y={fit.y(0) - 8}
              textAnchor="middle"
              fontSize={13}
              className="font-label"
            >
              {t('flatness.back')}
            </text>
            <text
              x={fit.x(widthMm / 2)}
              y={fit.y(heightMm) + 18}
              textAnchor="middle"
              fontSize={13}
              className="font-label"
            >
              {t('common.front')}
            </text>
          </>
        )}
        over={(fit) => (
          <>
            {NINE_PLACES.map((s, i) => (
              <div
                key={i}
                className="absolute -translate-1/2 border-2 border-ink bg-sheet px-1.5 py-1"
                style={{
                  left: Math.min(fit.x(widthMm) - 44, Math.max(fit.x(0) + 44, fit.x(s.x * widthMm))),
                  top: Math.min(fit.y(heightMm) - 26, Math.max(fit.y(0) + 26, fit.y(s.y * heightMm))),
                }}
              >
                {by === 'dye' ? (
                  <Select
                    label={t('flatness.dyeLeft', { i: inSentence(gridPlaceName(i)) })}
                    value={String(nearestDye(gaps[i] ?? 0))}
                    options={DYE_WORDS.map((w, k) => ({ value: String(k), label: w }))}
                    onChange={(v) => onGap(i, DYE_GAPS_MM[Number(v) as 0] ?? 0)}
                    className="border-0"
                  />
                ) : (
                  <LengthField
                    label={t('flatness.gap', { i: inSentence(gridPlaceName(i)) })}
                    hideLabel
                    valueMm={gaps[i] ?? 0}
                    minMm={0}
                    maxMm={6}
                    fine
                    width="w-13"
                    byHand
                    onValue={(v) => onGap(i, v)}
                  />
                )}
              </div>
            ))}
          </>
        )}
      />
    </div>
  );
}

/** The edges of the card, one sheet on another. */
const Steps = ({ found, fit }: { found: Worked; fit: Fit }) => (
  <g fill="none" stroke="#14211f" strokeWidth={1.5}>
    {found.packing.sheets.map((s) =>
      s.polygons.map((rings, p) => (
        <path
          key={`${s.number} ${p}`}
          d={rings.map((ring) => `M${ring.map((v) => `${fit.x(v.x)} ${fit.y(v.y)}`).join('L')}Z`).join('')}
        />
      )),
    )}
  </g>
);

const nearestDye = (gapMm: number): number => {
  const off = DYE_GAPS_MM.map((g) => Math.abs(g - gapMm));
  return off.indexOf(Math.min(...off));
};

/** The piece as it is laid. */
const pieceSize = (place: NonNullable<Worked['place']>, press: FlatPress) => ({
  w: Math.min(place.widthMm, press.platenWidthMm - place.xMm),
  h: Math.min(place.heightMm, press.platenHeightMm - place.yMm),
});
