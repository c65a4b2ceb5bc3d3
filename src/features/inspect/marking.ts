import { say, type Message } from '@/core/message/message';
import { FAULTS, PAPER_FAULTS } from '@/core/inspect/faults';
import { middleOf, type FaceSize } from '@/core/inspect/places';
import type { MarkEdge, Mark, MarkPlace, FacePoint } from '@/core/shop/mark';

/** How a mark is put on the face. */
export const TOOLS = ['point', 'line', 'edge', 'area', 'all'] as const;
export type Tool = (typeof TOOLS)[number];
export const TOOL_WORDS: Readonly<Record<Tool, Message>> = {
  point: say('inspect.point'),
  line: say('inspect.line'),
  edge: say('inspect.edge'),
  area: say('inspect.area'),
  all: say('inspect.allOver2'),
};

export const SEVERITY_WORDS = ['', 'slight', 'plain', 'bad'] as const;

/** Faults that are over all of a piece, or along one of its edges, are marked so without asking. */
const USUAL: Readonly<Partial<Record<Mark['fault'], Tool>>> = {
  'faded-all': 'all',
  browned: 'all',
  'wrong-way': 'all',
  'paper-browned': 'all',
  bowed: 'all',
  halo: 'all',
  'faded-band': 'edge',
  'white-stripe': 'edge',
  'dark-seam': 'edge',
  'white-rim': 'edge',
  'track-line': 'line',
  'tape-mark': 'line',
  'faded-edge': 'area',
  'dye-left': 'area',
  blotches: 'area',
};
export const usualTool = (fault: Mark['fault']): Tool => USUAL[fault] ?? 'point';

export const faultByKey = (key: string): Mark['fault'] | null =>
  [...FAULTS, ...PAPER_FAULTS].find((f) => f.key === key)?.id ?? null;
export const FAULT_KEYS = [...FAULTS, ...PAPER_FAULTS].map((f) => f.key).join(',');

/** Where a fault lies when it is marked by key: at the seam, at a rim, in the corner that is judged first. */
export function usualPlace(fault: Mark['fault'], { widthMm: w, heightMm: h, wrap }: FaceSize): MarkPlace {
  switch (usualTool(fault)) {
    case 'all':
      return { kind: 'all' };
    case 'edge':
      if (fault === 'white-stripe' || fault === 'dark-seam') return { kind: 'edge', edge: 'right' };
      return { kind: 'edge', edge: 'top' };
    case 'line':
      return {
        kind: 'line',
        points: [
          { xMm: w * 0.2, yMm: h / 2 },
          { xMm: w * 0.8, yMm: h / 2 },
        ],
      };
    case 'area': {
      if (wrap || fault === 'blotches') return around({ xMm: w / 2, yMm: h / 2 }, Math.min(w, h) * 0.15);
      const s = Math.min(w, h) * 0.18;
      return {
        kind: 'area',
        points: [
          { xMm: 0, yMm: 0 },
          { xMm: s, yMm: 0 },
          { xMm: 0, yMm: s },
        ],
      };
    }
    default:
      return { kind: 'point', xMm: w / 2, yMm: h / 2 };
  }
}

/** A diamond about a point: an area touched once. */
const around = ({ xMm, yMm }: FacePoint, r: number): MarkPlace => ({
  kind: 'area',
  points: [
    { xMm: xMm - r, yMm },
    { xMm, yMm: yMm - r },
    { xMm: xMm + r, yMm },
    { xMm, yMm: yMm + r },
  ],
});

const nearestEdge = ({ xMm, yMm }: FacePoint, { widthMm, heightMm }: FaceSize): MarkEdge => {
  const off: readonly (readonly [MarkEdge, number])[] = [
    ['left', xMm],
    ['right', widthMm - xMm],
    ['top', yMm],
    ['foot', heightMm - yMm],
  ];
  return off.reduce((a, b) => (b[1] < a[1] ? b : a))[0];
};

const MOST_POINTS = 60;
/** A hand does not mean less than this, mm. */
const STILL_MM = 1.5;

const farApart = (a: FacePoint, b: FacePoint): boolean => Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm) > STILL_MM;

/** A path thinned to as many points as a mark holds, its ends kept. */
export function thinned(path: readonly FacePoint[]): FacePoint[] {
  const points = path.filter((p, i) => i === 0 || farApart(p, path[i - 1] ?? p));
  if (points.length <= MOST_POINTS) return points;
  const step = (points.length - 1) / (MOST_POINTS - 1);
  return Array.from({ length: MOST_POINTS }, (_, i) => points[Math.round(i * step)] ?? points[0]).flatMap(
    (s) => s ?? [],
  );
}

const clamp = (s: FacePoint, { widthMm, heightMm }: FaceSize): FacePoint => ({
  xMm: Math.round(Math.min(widthMm, Math.max(0, s.xMm)) * 10) / 10,
  yMm: Math.round(Math.min(heightMm, Math.max(0, s.yMm)) * 10) / 10,
});

/** The place a stroke of the hand means: a touch, or what was drawn from press to release. Always on the face. */
export function placeOf(tool: Tool, path: readonly FacePoint[], face: FaceSize): MarkPlace | null {
  const points = thinned(path.map((p) => clamp(p, face)));
  const [first] = points;
  if (!first) return null;
  switch (tool) {
    case 'all':
      return { kind: 'all' };
    case 'edge':
      return { kind: 'edge', edge: nearestEdge(first, face) };
    case 'point':
      return { kind: 'point', ...first };
    case 'line':
      return points.length < 2 ? { kind: 'point', ...first } : { kind: 'line', points };
    case 'area':
      return points.length < 3
        ? around(first, Math.min(face.widthMm, face.heightMm) * 0.08)
        : { kind: 'area', points };
  }
}

/** Marks that lie off the face as it is now: the wrap was measured again since. */
export const offFace = (marks: readonly Mark[], face: FaceSize): readonly Mark[] =>
  marks.filter((m) => {
    const { xMm, yMm } = middleOf(m.place, face);
    return xMm < -0.5 || yMm < -0.5 || xMm > face.widthMm + 0.5 || yMm > face.heightMm + 0.5;
  });
