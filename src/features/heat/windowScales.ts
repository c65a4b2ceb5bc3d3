import { say } from '@/core/message/message';
import { contours } from 'd3-contour';
import { geoPath, geoTransform } from 'd3-geo';
import { scaleLinear, type ScaleLinear } from 'd3-scale';
import type { WindowMap, WindowRange } from '@/core/heat/settings/window';

/** Room round the chart, px. */
export const CHART_ROOM = { top: 30, right: 20, bottom: 46, left: 62 } as const;

export interface WindowScales {
  readonly x: ScaleLinear<number, number>;
  readonly y: ScaleLinear<number, number>;
}

export function windowScales(range: WindowRange, width: number, height: number): WindowScales {
  return {
    x: scaleLinear([...range.platenC], [CHART_ROOM.left, width - CHART_ROOM.right]),
    y: scaleLinear([0, range.dwellS[1]], [height - CHART_ROOM.bottom, CHART_ROOM.top]),
  };
}

/** Chances a window is drawn in steps of, least first, each with its colour: strata from sand to green. */
const BANDS = [
  { from: 0.5, fill: '#ded2ab', words: say('heat.good12') },
  { from: 0.75, fill: '#c9b37a', words: say('heat.good34') },
  { from: 0.9, fill: '#9faf83', words: say('heat.good910') },
  { from: 0.95, fill: '#649275', words: say('heat.good1920') },
] as const;

/** The outline of each band, as an SVG path in the chart. */
export function bandPaths(
  map: WindowMap,
  { x, y }: WindowScales,
): readonly { readonly d: string; readonly fill: string }[] {
  const { columns, rows, platenC, dwellS } = map;
  // Values stand at the middles of their cells.
  const cAt = (gx: number) => platenC[0] + ((gx - 0.5) / (columns - 1)) * (platenC[1] - platenC[0]);
  const sAt = (gy: number) => dwellS[0] + ((gy - 0.5) / (rows - 1)) * (dwellS[1] - dwellS[0]);
  const path = geoPath(
    geoTransform({
      point(gx: number, gy: number) {
        const clampC = Math.min(platenC[1], Math.max(platenC[0], cAt(gx)));
        const clampS = Math.min(dwellS[1], Math.max(dwellS[0], sAt(gy)));
        this.stream.point(x(clampC), y(clampS));
      },
    }),
  );
  const found = contours()
    .size([columns, rows])
    .thresholds(BANDS.map((b) => b.from))([...map.good]);
  return found.map((f, i) => ({ d: path(f) ?? '', fill: BANDS[i]?.fill ?? '#ded2ab' }));
}

/** Chance at a setting, by the nearest cells; null outside the map. */
export function goodAt(map: WindowMap, c: number, s: number): number | null {
  const gx = ((c - map.platenC[0]) / (map.platenC[1] - map.platenC[0])) * (map.columns - 1);
  const gy = ((s - map.dwellS[0]) / (map.dwellS[1] - map.dwellS[0])) * (map.rows - 1);
  if (gx < 0 || gy < 0 || gx > map.columns - 1 || gy > map.rows - 1) return null;
  return map.good[Math.round(gy) * map.columns + Math.round(gx)] ?? null;
}

/** Where the window is surest, near the middle of the chart among equals; null where it is good nowhere. */
export function goodPlace(map: WindowMap): { readonly c: number; readonly s: number } | null {
  let best = -1;
  let at = 0;
  map.good.forEach((g, i) => {
    // Towards the middle of the chart, among equals.
    const gx = i % map.columns;
    const near = 1 - Math.abs(gx / (map.columns - 1) - 0.5) * 0.2;
    if (g * near > best) {
      best = g * near;
      at = i;
    }
  });
  if (best < 0.4) return null;
  const share = (n: number, of: number) => n / (of - 1);
  return {
    c: map.platenC[0] + share(at % map.columns, map.columns) * (map.platenC[1] - map.platenC[0]),
    s: map.dwellS[0] + share(Math.floor(at / map.columns), map.rows) * (map.dwellS[1] - map.dwellS[0]),
  };
}
