import { say } from '../message/message';
import { fail, ok, type Result } from '../basics/result';
import { compose, type Affine } from '../geometry/affine';
import type { Cut } from '../job/job';
import type { Line, Rect } from '../geometry/plane';
import { ringLength, type Ring, signedArea } from '../geometry/ring';
import type { Paper } from '../shop/paper';
import type { Printer } from '../shop/printer';
import { gridNest, trimmerNest } from './grid';
import { compensated, placementMatrix } from './placementMatrix';
import { nestKey, quickNest, type NestRequest, type Nests } from './nest/request';
import {
  nestShape,
  usedHeight,
  type NestPlacement,
  type Nest,
  type NestArea,
  type NestShape,
  type QuarterTurn,
} from './nest/shape';

/** Room round every bleed for ticks and the rim mark, mm. */
const TICK_ROOM_MM = 3;
/** Strip for the ruler bar and the label, mm. */
export const LABEL_STRIP_MM = 9;

/** Pieces of one printed outline: a whole wrap, or one panel of it. */
export interface SheetPart {
  /** Printed outline and its box, pattern mm. */
  readonly outline: Ring;
  readonly box: Rect;
  /** What of it becomes wrap, mm². */
  /** Ink lies on this much of a piece, mm². */
  readonly inkMm2: number;
  readonly trimMm2: number;
  readonly pieces: number;
  /** All pieces carry the same art. */
  readonly alike: boolean;
}

export interface PiecePlacement {
  readonly part: number;
  /** Which piece of its part, from 0. On sheets printed more than once, which of that sheet. */
  readonly piece: number;
  readonly turn: QuarterTurn;
  /** Printed box on the page, mm. */
  readonly box: Rect;
  /** Pattern mm to page mm, mirrored when the application mirrors. */
  readonly matrix: Affine;
  /** The same without the mirror, for marks that must read. */
  readonly plain: Affine;
}

export interface SheetPlacements {
  readonly placements: readonly PiecePlacement[];
  /** How many of this sheet to print. */
  readonly copies: number;
  readonly heightMm: number;
  readonly strip: { readonly rect: Rect; readonly upright: boolean };
  /** For a trimmer: cuts from edge to edge in their order, page mm. Empty for a knife. */
  readonly cuts: readonly Line[];
}

export interface SheetLayout {
  readonly paper: Paper;
  readonly sheets: readonly SheetPlacements[];
  /** Sheets to print, copies counted. */
  readonly sheetCount: number;
  readonly pieceCount: number;
  /** Most pieces on one sheet, and pieces on the last. */
  readonly perSheet: number;
  readonly onLast: number;
  /** Whether the first piece lies on its side. */
  readonly turned: boolean;
  /** Ink lies on this much, all copies of all sheets, mm². */
  readonly inkMm2: number;
  /** Share of the paper that becomes wrap, 0..1. */
  readonly used: number;
  /** Fewest sheets (metres of roll) the printed area alone could do with, and what this layout takes. */
  readonly bound: { readonly least: number; readonly taken: number };
  /** Largest whole rectangle left over on the last sheet, mm. */
  readonly offcut: { readonly widthMm: number; readonly heightMm: number };
  /** Freer layouts that may be better and have not been looked for yet. */
  readonly wanted: readonly NestRequest[];
}

export interface LayoutInput {
  readonly parts: readonly SheetPart[];
  readonly paper: Paper;
  readonly marginsMm: Printer['marginsMm'];
  readonly gapMm: number;
  readonly mirror: boolean;
  readonly cut: Cut;
  readonly mayRotate: boolean;
  /** Free layouts found before, by key. Without it they are looked for quickly here and now. */
  readonly nests?: Nests;
}

type Find = (request: NestRequest) => Nest | null;

/** Neighbours stand at least the tick room apart, so no tick ever enters another piece. */
export const spacing = (gapMm: number): number => Math.max(gapMm, TICK_ROOM_MM);

/** Where pieces may lie on a page of a height, and the strip beside them. */
interface Room {
  readonly area: Rect;
  readonly upright: boolean;
}

function roomOf(input: LayoutInput, stripAtFoot: boolean): Room {
  const { top, right, bottom, left } = input.marginsMm;
  const { widthMm, heightMm } = input.paper;
  const width = widthMm - left - right - (stripAtFoot ? 0 : LABEL_STRIP_MM) - 2 * TICK_ROOM_MM;
  const height = heightMm - top - bottom - (stripAtFoot ? LABEL_STRIP_MM : 0) - 2 * TICK_ROOM_MM;
  return {
    upright: stripAtFoot,
    area: {
      x: left + TICK_ROOM_MM,
      y: top + TICK_ROOM_MM,
      width: Math.max(0, width),
      height: Math.max(0, height),
    },
  };
}

const nestArea = ({ area }: Room, input: LayoutInput): NestArea => ({
  widthMm: area.width,
  heightMm: area.height,
  gapMm: spacing(input.gapMm),
  mayRotate: input.mayRotate,
});

const flipX = (ring: Ring, box: Rect): Ring => ring.map((p) => ({ x: 2 * box.x + box.width - p.x, y: p.y }));

const shapeOf = (p: SheetPart, mirror: boolean, count: number): NestShape =>
  nestShape(mirror ? flipX(p.outline, p.box) : p.outline, count);

/** Pieces on one sheet before it is drawn: in the area's own mm. */
interface Filled {
  readonly placements: readonly NestPlacement[];
  readonly cuts: readonly Line[];
  readonly copies: number;
  /** Number of the first piece of each part on this sheet. */
  readonly first: readonly number[];
}

interface Try {
  readonly room: Room;
  readonly sheets: readonly Filled[];
  readonly left: number;
}

/** Sheets of a nest, alike ones once. Null where it has not been found yet. */
function fillAll(input: LayoutInput, room: Room, find: Find): Try | null {
  const shapes = input.parts.map((p) => shapeOf(p, input.mirror, p.pieces));
  const area = nestArea(room, input);
  const found = input.cut === 'trimmer' ? null : find({ shapes, area });
  const made = input.cut === 'trimmer' ? trimmerNest(shapes, area) : found && { ...found, cuts: [] };
  if (!made) return null;
  const first = input.parts.map(() => 0);
  const sheets = made.sheets.map((placements, i): Filled => {
    const at = [...first];
    for (const l of placements) first[l.shape] = (first[l.shape] ?? 0) + 1;
    return { placements, cuts: made.cuts[i] ?? [], copies: 1, first: at };
  });
  return { room, sheets, left: made.left };
}

/** Where rows and columns already hold this many, a freer layout gains little and takes long. */
const MANY = 40;

/**
 * Most pieces an area can hold at all: each takes its own area and half the gap all round, out of the area grown by as much. Pieces no
 * closer than the gap cannot overlap when grown by half of it.
 */
function mostBy(s: NestShape, area: NestArea): number {
  const gap = area.gapMm;
  const grown = Math.abs(signedArea(s.outline)) + (gap / 2) * ringLength(s.outline);
  return Math.max(1, Math.floor(((area.widthMm + gap) * (area.heightMm + gap)) / Math.max(1, grown)));
}

/** Copies of one part: one full sheet again and again, and a last one. */
function fillAlike(input: LayoutInput, room: Room, part: SheetPart, find: Find): Try {
  const area = nestArea(room, input);
  const shape = shapeOf(part, input.mirror, part.pieces);
  const most = mostBy(shape, area);
  const fillOne = (
    n: number,
  ): { readonly placements: readonly NestPlacement[]; readonly cuts: readonly Line[] } => {
    const grid = gridNest({ ...shape, count: n }, area);
    const enough = grid.placements.length >= Math.min(n, most) || grid.placements.length > MANY;
    if (input.cut === 'trimmer' || enough) return grid;
    const free = find({ shapes: [{ ...shape, count: Math.min(n, most) }], area })?.sheets[0] ?? [];
    return free.length > grid.placements.length
      ? { placements: free, cuts: [] }
      : { placements: grid.placements, cuts: [] };
  };
  const full = fillOne(part.pieces);
  const per = full.placements.length;
  if (per === 0) return { room, sheets: [], left: part.pieces };
  const whole = Math.floor(part.pieces / per);
  const rest = part.pieces - whole * per;
  const cutsOf = (f: { readonly cuts: readonly Line[] }) => (input.cut === 'trimmer' ? f.cuts : []);
  const sheet = (f: typeof full, copies: number, start: number): Filled => ({
    placements: f.placements,
    cuts: cutsOf(f),
    copies,
    first: [start],
  });
  const last = rest > 0 ? [sheet(fillOne(rest), 1, whole * per)] : [];
  const fulls = part.alike
    ? whole > 0
      ? [sheet(full, whole, 0)]
      : []
    : Array.from({ length: whole }, (_, i) => sheet(full, 1, i * per));
  return { room, sheets: [...fulls, ...last], left: 0 };
}

/** More pieces than this are not mixed on sheets: each kind gets its own. */
const MOST_MIXED = 200;

/** Each part on sheets of its own. */
function fillApart(input: LayoutInput, room: Room, find: Find): Try {
  const tries = input.parts.map((p) => fillAlike(input, room, p, find));
  const sheets = tries.flatMap((t, part) =>
    t.sheets.map((f): Filled => ({
      ...f,
      placements: f.placements.map((l) => ({ ...l, shape: part })),
      first: input.parts.map((_, i) => (i === part ? (f.first[0] ?? 0) : 0)),
    })),
  );
  return { room, sheets, left: tries.reduce((n, t) => n + t.left, 0) };
}

/** Several parts together where there are few enough to try, apart where that is no worse. */
function fillMany(input: LayoutInput, room: Room, find: Find): Try {
  const apart = fillApart(input, room, find);
  if (input.parts.reduce((n, p) => n + p.pieces, 0) > MOST_MIXED) return apart;
  const mixed = fillAll(input, room, find);
  return mixed?.left === 0 && copiesOf(mixed) < copiesOf(apart) ? mixed : apart;
}

const copiesOf = (t: Try): number => t.sheets.reduce((n, s) => n + s.copies, 0);

function bestTry(input: LayoutInput, find: Find): Try | null {
  const [only] = input.parts;
  const tries = [roomOf(input, true), roomOf(input, false)].map((room) =>
    input.parts.length === 1 && only ? fillAlike(input, room, only, find) : fillMany(input, room, find),
  );
  const fitting = tries.filter((t) => t.left === 0 && t.sheets.length > 0);
  return fitting.reduce<Try | null>((a, b) => (a && copiesOf(a) <= copiesOf(b) ? a : b), null);
}

/** In lines as one reads, a line being pieces whose tops lie close. */
function readingOrder(placements: readonly NestPlacement[]): readonly NestPlacement[] {
  const lines: NestPlacement[][] = [];
  for (const l of [...placements].sort((a, b) => a.y - b.y)) {
    const line = lines[lines.length - 1];
    const head = line?.[0];
    if (line && head && l.y - head.y < head.height / 3) line.push(l);
    else lines.push([l]);
  }
  return lines.flatMap((line) => [...line].sort((a, b) => a.x - b.x));
}

function drawn(input: LayoutInput, room: Room, f: Filled): SheetPlacements {
  const { area, upright } = room;
  const roll = input.paper.kind === 'roll';
  const usedWidth = Math.max(0, ...f.placements.map((l) => l.x + l.width));
  const used = usedHeight(f.placements);
  const heightMm = roll ? input.paper.heightMm - area.height + used : input.paper.heightMm;
  const left = area.x + (area.width - usedWidth) / 2;
  const top = area.y + (roll ? 0 : (area.height - used) / 2);
  const fit = compensated(input.paper, heightMm);
  const number = [...f.first];
  const placements = readingOrder(f.placements).map((l): PiecePlacement => {
    const { box } = input.parts[l.shape] as SheetPart;
    const piece = number[l.shape] ?? 0;
    number[l.shape] = piece + 1;
    const [x, y] = [left + l.x, top + l.y];
    return {
      part: l.shape,
      piece,
      turn: l.turn,
      box: { x, y, width: l.width, height: l.height },
      matrix: compose(fit, placementMatrix(box, x, y, l.turn, input.mirror)),
      plain: compose(fit, placementMatrix(box, x, y, l.turn, false)),
    };
  });
  const stripRect: Rect = upright
    ? {
        x: area.x - TICK_ROOM_MM,
        y: heightMm - input.marginsMm.bottom - LABEL_STRIP_MM,
        width: area.width + 2 * TICK_ROOM_MM,
        height: LABEL_STRIP_MM,
      }
    : {
        x: area.x + area.width + TICK_ROOM_MM,
        y: area.y - TICK_ROOM_MM,
        width: LABEL_STRIP_MM,
        height: heightMm - input.marginsMm.top - input.marginsMm.bottom,
      };
  const onPage = (p: { x: number; y: number }) => ({ x: p.x + left, y: p.y + top });
  return {
    placements,
    copies: f.copies,
    heightMm,
    strip: { rect: stripRect, upright },
    cuts: f.cuts.map((c) => ({ from: onPage(c.from), to: onPage(c.to) })),
  };
}

function offcutOf(room: Room, f: Filled): SheetLayout['offcut'] {
  const right = room.area.width - Math.max(0, ...f.placements.map((l) => l.x + l.width));
  const down = room.area.height - usedHeight(f.placements);
  const [beside, below] = [right * room.area.height, down * room.area.width];
  return beside > below
    ? { widthMm: right, heightMm: room.area.height }
    : { widthMm: room.area.width, heightMm: down };
}

function summed(input: LayoutInput, { room, sheets: filled }: Try): Omit<SheetLayout, 'wanted'> {
  const sheets = filled.map((f) => drawn(input, room, f));
  const sheetCount = sheets.reduce((n, s) => n + s.copies, 0);
  const roll = input.paper.kind === 'roll';
  const paperMm2 = sheets.reduce((a, s) => a + s.copies * s.heightMm * input.paper.widthMm, 0);
  const trimMm2 = input.parts.reduce((a, p) => a + p.pieces * p.trimMm2, 0);
  const printMm2 = input.parts.reduce((a, p) => a + p.pieces * Math.abs(signedArea(p.outline)), 0);
  const least = roll
    ? printMm2 / room.area.width / 1000
    : Math.ceil(printMm2 / (room.area.width * room.area.height) - 1e-9);
  const taken = roll
    ? filled.reduce((n, f) => n + f.copies * usedHeight(f.placements), 0) / 1000
    : sheetCount;
  const last = filled[filled.length - 1];
  return {
    paper: input.paper,
    sheets,
    sheetCount,
    pieceCount: input.parts.reduce((n, p) => n + p.pieces, 0),
    perSheet: Math.max(...sheets.map((s) => s.placements.length)),
    onLast: sheets[sheets.length - 1]?.placements.length ?? 0,
    turned: (sheets[0]?.placements[0]?.turn ?? 0) % 180 !== 0,
    inkMm2: input.parts.reduce((a, p) => a + p.pieces * p.inkMm2, 0),
    used: paperMm2 > 0 ? trimMm2 / paperMm2 : 0,
    bound: { least, taken },
    offcut: last ? offcutOf(room, last) : { widthMm: 0, heightMm: 0 },
  };
}

/** Size a sheet must have for one piece, ticks, strip and margins, mm, the smaller way round. */
export function needMm(
  box: Rect,
  { top, right, bottom, left }: Printer['marginsMm'],
): { readonly shortMm: number; readonly longMm: number } {
  const a = box.width + 2 * TICK_ROOM_MM + left + right;
  const b = box.height + 2 * TICK_ROOM_MM + top + bottom;
  const [short, long] = a <= b ? [a, b] : [b, a];
  return { shortMm: short, longMm: long + LABEL_STRIP_MM };
}

const marginsLeaveNothing = ({ marginsMm: m, paper }: Pick<LayoutInput, 'marginsMm' | 'paper'>): boolean =>
  m.left + m.right >= paper.widthMm || m.top + m.bottom >= paper.heightMm;

/** Lays pieces on sheets: fewest sheets; rows and columns where a freer layout saves none. */
export function layoutSheet(input: LayoutInput): Result<SheetLayout> {
  if (marginsLeaveNothing(input))
    return fail(
      say('sheet.printersMarginsLeaveNothing', { paper: input.paper.name }),
      say('job.sheet'),
      say('sheet.setMarginsUnderPrinters'),
    );
  const wanted: NestRequest[] = [];
  const { nests } = input;
  const find: Find = nests ? (request) => nests[nestKey(request)] ?? (wanted.push(request), null) : quickNest;
  const best = bestTry(input, find);
  if (!best) {
    return fail(
      say('sheet.doesNotFit', {
        pieces: input.parts.length > 1 ? 'several' : 'one',
        paper: input.paper.name,
      }),
      say('job.sheet'),
      say('sheet.chooseLargerPaper'),
    );
  }
  return ok({ ...summed(input, best), wanted });
}

/** Whether one piece of a box fits on a paper either way up. */
export function fitsOn(box: Rect, input: Pick<LayoutInput, 'paper' | 'marginsMm' | 'mayRotate'>): boolean {
  if (marginsLeaveNothing(input)) return false;
  const EPS = 1e-9;
  return [true, false].some((foot) => {
    const { area } = roomOf({ ...input, parts: [], gapMm: 0, mirror: false, cut: 'knife' }, foot);
    const upright = box.width <= area.width + EPS && box.height <= area.height + EPS;
    const turned = input.mayRotate && box.height <= area.width + EPS && box.width <= area.height + EPS;
    return upright || turned;
  });
}

/** Room for pieces on a paper, the larger of strip at the foot or at the side, mm. */
export function roomMm(input: Pick<LayoutInput, 'paper' | 'marginsMm'>): readonly Rect[] {
  const whole = { ...input, parts: [], gapMm: 0, mirror: false, cut: 'knife' as const, mayRotate: true };
  return [roomOf(whole, true).area, roomOf(whole, false).area];
}
