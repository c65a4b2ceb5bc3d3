import { decimal } from '../message/quantity';
import { say, verbatim, type Message } from '../message/message';
import { SaxesParser, type SaxesTagPlain } from 'saxes';
import svgpath from 'svgpath';
import { fail, ok, type Result } from '../basics/result';
import type { FlatOutline, Hole } from '../shop/blank';
import { type Point, boundsOf } from '../geometry/plane';
import {
  clockwise,
  insideRing,
  selfCrossings,
  simplify,
  withoutRepeats,
  type Ring,
  signedArea,
} from '../geometry/ring';

/** An outline as a file has it, in the file's own units. */
export interface SvgOutline {
  readonly outer: Ring;
  readonly holes: readonly Ring[];
  /** Millimetres to a unit of the file; null where the file does not say. */
  readonly mmPerUnit: number | null;
  /** Corners there were, and how far at most the kept ones stray from them, units of the file. */
  readonly cornersBefore: number;
  readonly toleranceUnits: number;
  /** What was left alone, in words. */
  readonly ignored: readonly Message[];
}

const WHERE = say('common.outlineFile');
const MOST_BYTES = 4_000_000;
const MOST_CORNERS = 400_000;
const KEPT_CORNERS = 2000;
const MM_PER: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6 };
const MM_PER_PX = 25.4 / 96;
/** Drawn only when something else asks for them. */
const NOT_DRAWN = new Set([
  'defs',
  'symbol',
  'clipPath',
  'mask',
  'pattern',
  'marker',
  'metadata',
  'title',
  'desc',
]);
const NEVER_READ: Readonly<Record<string, Message>> = {
  script: say('files.aScript'),
  foreignObject: say('files.foreignContent'),
  image: say('files.aPicture'),
  use: say('files.linkedCopy'),
  text: say('files.words'),
  style: say('files.styleSheet'),
  a: say('files.aLink'),
  iframe: say('files.foreignContent'),
};

interface Drawn {
  readonly d: string;
  readonly transforms: readonly string[];
}

interface Read {
  readonly drawn: readonly Drawn[];
  readonly mmPerUnit: number | null;
  readonly ignored: readonly Message[];
}

class Refused extends Error {}

const num = (v: string | undefined, otherwise = 0): number => {
  const n = Number.parseFloat(v ?? '');
  return Number.isFinite(n) ? n : otherwise;
};

/** The root's size in millimetres over its size in user units. */
function unitOf(a: Readonly<Record<string, string>>): number | null {
  const size = /^\s*([\d.]+)\s*([a-z%]*)\s*$/i.exec(a.width ?? '');
  const box = (a.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const per = MM_PER[(size?.[2] ?? '').toLowerCase()];
  if (!size || per === undefined) return null;
  const mm = Number(size[1]) * per;
  const units = box.length === 4 && (box[2] ?? 0) > 0 ? (box[2] as number) : mm / MM_PER_PX;
  return mm > 0 ? mm / units : null;
}

/** Path data of the basic shapes (SVG 2, chapter 10). */
function pathOf(name: string, a: Readonly<Record<string, string>>): string | null {
  switch (name) {
    case 'path':
      return a.d ?? null;
    case 'rect': {
      const [x, y, w, h] = [num(a.x), num(a.y), num(a.width), num(a.height)];
      const rx = Math.min(num(a.rx, num(a.ry)), w / 2);
      const ry = Math.min(num(a.ry, num(a.rx)), h / 2);
      if (rx <= 0 || ry <= 0) return `M${x} ${y}h${w}v${h}h${-w}z`;
      const arc = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
      return `M${x + rx} ${y}h${w - 2 * rx}${arc(rx, ry)}v${h - 2 * ry}${arc(-rx, ry)}h${2 * rx - w}${arc(-rx, -ry)}v${2 * ry - h}${arc(rx, -ry)}z`;
    }
    case 'circle':
    case 'ellipse': {
      const rx = name === 'circle' ? num(a.r) : num(a.rx);
      const ry = name === 'circle' ? num(a.r) : num(a.ry);
      return `M${num(a.cx) - rx} ${num(a.cy)}a${rx} ${ry} 0 1 1 ${2 * rx} 0a${rx} ${ry} 0 1 1 ${-2 * rx} 0z`;
    }
    case 'polygon':
      return a.points ? `M${a.points}z` : null;
    case 'polyline':
      return a.points ? `M${a.points}` : null;
    default:
      return null;
  }
}

/** Reads shapes out of the text alone: no document is made, so nothing in it can run or be fetched. */
function readShapes(text: string): Result<Read> {
  const parser = new SaxesParser();
  const drawn: Drawn[] = [];
  const ignored = new Set<Message>();
  const transforms: string[] = [];
  let hiddenDepth = 0;
  let depth = 0;
  let mmPerUnit: number | null = null;
  parser.on('error', (e) => {
    throw new Refused(`It is not well-formed: ${e.message.replace(/^\d+:\d+: /, '')}`);
  });
  parser.on('doctype', () => {
    throw new Refused('It carries a document type of its own, which can hide what it says.');
  });
  parser.on('opentag', (tag: SaxesTagPlain) => {
    depth += 1;
    const name = tag.name.replace(/^.*:/, '');
    if (depth === 1 && name !== 'svg') throw new Refused('It is not an SVG drawing.');
    if (depth === 1) mmPerUnit = unitOf(tag.attributes);
    const a = tag.attributes;
    const never = NEVER_READ[name];
    if (never) ignored.add(never);
    const unseen = /display\s*:\s*none/.test(a.style ?? '') || a.display === 'none';
    if (hiddenDepth > 0 || never || NOT_DRAWN.has(name) || unseen) {
      hiddenDepth += 1;
      transforms.push('');
      return;
    }
    transforms.push(depth > 1 ? (a.transform ?? '') : '');
    const d = pathOf(name, a);
    if (d !== null) drawn.push({ d, transforms: transforms.filter((t) => t !== '').reverse() });
  });
  parser.on('closetag', () => {
    depth -= 1;
    transforms.pop();
    if (hiddenDepth > 0) hiddenDepth -= 1;
  });
  try {
    parser.write(text).close();
  } catch (e) {
    if (e instanceof Refused) return fail(verbatim(e.message), WHERE, say('files.saveAgainPlainSvg'));
    throw e;
  }
  return ok({ drawn, mmPerUnit, ignored: [...ignored] });
}

interface Sub {
  readonly points: readonly Point[];
  readonly closed: boolean;
}

const curvePoints = (n: number, at: (t: number) => Point): Point[] =>
  Array.from({ length: n }, (_, i) => at((i + 1) / n));

/** Pieces that keep a Bézier within `tol` of its chords: second differences bound the error (Wang, 1984). */
const piecesFor = (second: number, degree: number, tol: number): number =>
  Math.min(400, Math.max(2, Math.ceil(Math.sqrt((degree * (degree - 1) * second) / (8 * tol)))));

function flattenPath({ d, transforms }: Drawn, tol: number): Result<readonly Sub[]> {
  let path = svgpath(d);
  for (const t of transforms) path = path.transform(t);
  path = path.abs().unarc().unshort();
  const error = (path as unknown as { err?: string }).err;
  if (error) return fail(say('files.pathCannotRead'), WHERE, say('files.saveAgainPlainSvg2'));
  const subs: { points: Point[]; closed: boolean }[] = [];
  path.iterate((segment, _i, x, y) => {
    const [op, ...v] = segment as [string, ...number[]];
    const at = (i: number): number => v[i] ?? 0;
    const last = subs.at(-1);
    // After a close, drawing continues from the point where that figure began (SVG 2, 9.3.4).
    if (last?.closed && op !== 'M' && op !== 'Z' && op !== 'z')
      subs.push({ points: [{ x, y }], closed: false });
    const here = subs.at(-1);
    const line = (p: Point) => here?.points.push(p);
    switch (op) {
      case 'M':
        subs.push({ points: [{ x: at(0), y: at(1) }], closed: false });
        return;
      case 'L':
        line({ x: at(0), y: at(1) });
        return;
      case 'H':
        line({ x: at(0), y });
        return;
      case 'V':
        line({ x, y: at(0) });
        return;
      case 'C': {
        const second = Math.max(
          Math.hypot(x - 2 * at(0) + at(2), y - 2 * at(1) + at(3)),
          Math.hypot(at(0) - 2 * at(2) + at(4), at(1) - 2 * at(3) + at(5)),
        );
        here?.points.push(
          ...curvePoints(piecesFor(second, 3, tol), (t) => {
            const s = 1 - t;
            const mix = (a: number, b: number, c: number, e: number) =>
              s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * e;
            return { x: mix(x, at(0), at(2), at(4)), y: mix(y, at(1), at(3), at(5)) };
          }),
        );
        return;
      }
      case 'Q': {
        const second = Math.hypot(x - 2 * at(0) + at(2), y - 2 * at(1) + at(3));
        here?.points.push(
          ...curvePoints(piecesFor(second, 2, tol), (t) => {
            const s = 1 - t;
            const mix = (a: number, b: number, c: number) => s * s * a + 2 * s * t * b + t * t * c;
            return { x: mix(x, at(0), at(2)), y: mix(y, at(1), at(3)) };
          }),
        );
        return;
      }
      default:
        if (here) here.closed = true;
    }
  });
  return ok(subs);
}

/** Rough size of what is drawn, to set the tolerances by, units of the file. */
function extentOf(subs: readonly Sub[]): number {
  const box = boundsOf(subs.flatMap((s) => s.points));
  return Math.max(box.width, box.height);
}

const gapOf = (s: Sub): number => {
  const [first, last] = [s.points[0], s.points.at(-1)];
  return first && last ? Math.hypot(first.x - last.x, first.y - last.y) : 0;
};

/** Ends this near each other, as a share of the size, were meant to meet. */
const MEANT_TO_MEET = 0.005;

function closedRings(subs: readonly Sub[], extent: number): Result<readonly Ring[]> {
  const closed = subs.filter((s) => s.closed || gapOf(s) <= MEANT_TO_MEET * extent);
  const rings = closed
    .map((s) => clockwise(withoutRepeats(s.points, extent * 1e-7)))
    .filter((r) => {
      const box = boundsOf(r);
      return r.length >= 3 && Math.min(box.width, box.height) > 1e-4 * extent;
    });
  if (rings.length > 0) return ok(rings);
  const open = subs.find((s) => s.points.length > 2);
  return open
    ? fail(say('files.outlineOpenDoesCome'), WHERE, say('files.joinEndsDrawingProgram'))
    : fail(say('files.thereClosedOutline'), WHERE, say('files.drawOneClosedShape'));
}

/** At most the corners a blank may keep, straying no farther than is said. */
function simplified(ring: Ring, startTolerance: number): { readonly ring: Ring; readonly tolerance: number } {
  let tolerance = startTolerance;
  let made = simplify(ring, tolerance);
  while (made.length > KEPT_CORNERS) {
    tolerance *= 2;
    made = simplify(made, tolerance);
  }
  return { ring: made, tolerance };
}

const sameRing = (a: Ring, b: Ring): boolean =>
  Math.abs(Math.abs(signedArea(a)) / Math.abs(signedArea(b)) - 1) < 0.002;

function sorted(rings: readonly Ring[]): Result<{ readonly outer: Ring; readonly holes: readonly Ring[] }> {
  const [outer, ...rest] = [...rings].sort((a, b) => Math.abs(signedArea(b)) - Math.abs(signedArea(a)));
  if (!outer) return fail(say('files.thereClosedOutline'), WHERE, say('files.drawOneClosedShape2'));
  const holes = rest.filter((r) => !sameRing(r, outer));
  for (const h of holes)
    if (!h.every((p) => insideRing(outer, p)))
      return fail(say('files.secondShapeLiesOutside'), WHERE, say('files.keepOneOutlineHoles'));
  if (holes.length > 16)
    return fail(say('files.hasHolesBlankHas', { holes: holes.length }), WHERE, say('files.leaveOutWhatHole'));
  return ok({ outer, holes });
}

/** An outline and its holes out of an SVG file. Never runs, fetches or keeps anything but the shapes. */
export function readSvgOutline(text: string): Result<SvgOutline> {
  if (text.length > MOST_BYTES)
    return fail(say('files.largerThan4Mb'), WHERE, say('files.saveOnlyOutlineWithout'));
  const read = readShapes(text);
  if (!read.ok) return read;
  const rough: Sub[] = [];
  for (const drawn of read.value.drawn) {
    const subs = flattenPath(drawn, Infinity);
    if (!subs.ok) return subs;
    rough.push(...subs.value);
  }
  const extent = extentOf(rough);
  if (rough.length === 0 || !(extent > 0) || !Number.isFinite(extent))
    return fail(say('files.thereOutline'), WHERE, say('files.drawOneClosedShape'));
  const startTolerance = read.value.mmPerUnit === null ? extent / 10_000 : 0.02 / read.value.mmPerUnit;
  const subs = read.value.drawn.flatMap((d) => {
    const made = flattenPath(d, startTolerance / 2);
    return made.ok ? made.value : [];
  });
  const cornersBefore = subs.reduce((n, s) => n + s.points.length, 0);
  if (cornersBefore > MOST_CORNERS)
    return fail(say('files.hasCorners', { cornersBefore }), WHERE, say('files.simplifyDrawingProgramFirst'));
  const rings = closedRings(subs, extent);
  if (!rings.ok) return rings;
  const made = rings.value.map((r) => simplified(r, startTolerance));
  for (const { ring } of made) {
    const [cross] = selfCrossings(ring, 1);
    if (cross)
      return fail(
        say('files.outlineCrossesItselfNear', { x: decimal(cross.at.x, 1), y: decimal(cross.at.y, 1) }),
        WHERE,
        say('files.correctDrawingProgramSave'),
      );
  }
  const parts = sorted(made.map((m) => m.ring));
  if (!parts.ok) return parts;
  return ok({
    ...parts.value,
    mmPerUnit: read.value.mmPerUnit,
    cornersBefore,
    toleranceUnits: Math.max(...made.map((m) => m.tolerance)),
    ignored: read.value.ignored,
  });
}

const round3 = (v: number): number => Math.round(v * 1000) / 1000;

/** The outline as a blank keeps it, at a width in mm; a problem where no blank is that size. */
export function outlineAt(
  svg: SvgOutline,
  widthMm: number,
): Result<{ readonly outline: FlatOutline; readonly holes: readonly Hole[] }> {
  const box = boundsOf(svg.outer);
  const k = widthMm / box.width;
  const heightMm = box.height * k;
  if (!(widthMm >= 5 && heightMm >= 5 && widthMm <= 1300 && heightMm <= 1300))
    return fail(
      say('files.sizeMm', { width: decimal(widthMm, 1), height: decimal(heightMm, 1) }),
      WHERE,
      say('files.blankBetween51300'),
    );
  const points = (r: Ring): [number, number][] =>
    r.map((p) => [round3((p.x - box.x) * k), round3((p.y - box.y) * k)]);
  return ok({
    outline: {
      form: 'drawn',
      widthMm: round3(widthMm),
      heightMm: round3(heightMm),
      points: points(svg.outer),
    },
    holes: svg.holes.map((h): Hole => ({ form: 'drawn', points: points(h) })),
  });
}

export const naturalWidthMm = (svg: SvgOutline): number | null =>
  svg.mmPerUnit === null ? null : boundsOf(svg.outer).width * svg.mmPerUnit;
