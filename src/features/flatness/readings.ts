import { say, type Message } from '@/core/message/message';
import {
  packingOf,
  levelPlace,
  type GoodPlace,
  type Packing,
  type PlatenSize,
} from '@/core/flatness/packing';
import { gapSurface, READING_SD_MM, type GapReading, type GapSurface } from '@/core/flatness/surface';
import type { Flatness, FlatPress, GapMethod } from '@/core/shop/press';
import { isOnPaper } from '@/core/inspect/faults';
import { laidAs } from '@/core/inspect/overlay';
import { middleOf } from '@/core/inspect/places';
import { apply } from '@/core/geometry/affine';
import type { LogEntry } from '@/core/shop/records';

/** The nine places of a platen that are read, as shares of its width from the left and of its depth from the back. */
export const NINE_PLACES = [0.06, 0.5, 0.94].flatMap((y) => [0.06, 0.5, 0.94].map((x) => ({ x, y })));
const ROWS = ['back', 'middle', 'front'] as const;
const COLUMNS = ['left', 'middle', 'right'] as const;
export const gridPlaceName = (i: number): Message =>
  i === 4
    ? say('common.middle')
    : say('flatness.place', { row: ROWS[Math.floor(i / 3)] ?? 'middle', column: COLUMNS[i % 3] ?? 'middle' });

/** How much dye a test sheet kept at a place, and the gap it stands for, mm: our own estimate, and rough. */
export const DYE_GAPS_MM = [0, 0.1, 0.25, 0.5] as const;
export const DYE_WORDS = [
  say('common.none'),
  say('flatness.aLittle'),
  say('flatness.half'),
  say('flatness.nearlyAll'),
] as const;

export const sizeOf = (p: FlatPress): PlatenSize => ({
  widthMm: p.platenWidthMm,
  heightMm: p.platenHeightMm,
});

/** Places halfway between the nine: there the surface is least sure. */
const BETWEEN = [0.28, 0.72].flatMap((y) => [0.28, 0.72].map((x) => ({ x, y })));

const MOST_LAYERS = 40;

/** What a set of readings comes to on a platen. */
export interface Worked {
  readonly surface: GapSurface;
  readonly packing: Packing;
  readonly place: GoodPlace | null;
  /** How sure the surface is between its readings: 19 times in 20 within this, mm. */
  readonly withinMm: number;
}

export function worked(
  points: Flatness['points'],
  by: GapMethod,
  press: FlatPress,
  cardMm: number,
  piece: { readonly widthMm: number; readonly heightMm: number } | null,
): Worked | null {
  const size = sizeOf(press);
  const readings: GapReading[] = points.map((p) => ({
    xMm: p.x * size.widthMm,
    yMm: p.y * size.heightMm,
    gapMm: p.gapMm,
  }));
  const surface = gapSurface(readings, size, READING_SD_MM[by]);
  if (!surface) return null;
  return {
    surface,
    packing: packingOf(surface, size, cardMm),
    place: piece && levelPlace(surface, size, piece),
    withinMm: 1.96 * Math.max(...BETWEEN.map((s) => surface.sdAt(s.x * size.widthMm, s.y * size.heightMm))),
  };
}

/** Most less least of some readings, mm. */
export const unevenMm = (points: Flatness['points']): number =>
  Math.max(...points.map((p) => p.gapMm)) - Math.min(...points.map((p) => p.gapMm));

/** How much less uneven the newest readings are than the ones before they were packed, as a share; null without a check before. */
export function betterBy(list: readonly Flatness[]): number | null {
  const [before, now] = [list.at(-2), list.at(-1)];
  if (!before || !now || before.packedCardMm === null) return null;
  const was = unevenMm(before.points);
  return was <= 0 ? null : 1 - unevenMm(now.points) / was;
}

/** Dye left and faded places of the newest pieces on this platen, laid on the nine places: the worst mark near each, 0 to 3. */
export function dyeFromMarks(entries: readonly LogEntry[]): readonly (0 | 1 | 2 | 3)[] {
  const worst = NINE_PLACES.map(() => 0);
  for (const e of entries.slice(0, MOST_LAYERS)) {
    const { face, lay } = e;
    if (!face || lay?.on !== 'platen') continue;
    for (const m of e.marks) {
      if (m.place.kind === 'all' || !(isOnPaper(m.fault) || m.fault === 'faded-edge')) continue;
      const own = laidAs(lay, m.piece);
      if (!own) continue;
      const at = middleOf(m.place, { widthMm: face.widthMm, heightMm: face.heightMm, wrap: false });
      const p = apply(own, { x: at.xMm, y: at.yMm });
      const off = NINE_PLACES.map((s) => Math.hypot(s.x - p.x / lay.widthMm, s.y - p.y / lay.heightMm));
      const i = off.indexOf(Math.min(...off));
      worst[i] = Math.max(worst[i] ?? 0, m.severity);
    }
  }
  return worst.map((w) => Math.min(3, w) as 0 | 1 | 2 | 3);
}
