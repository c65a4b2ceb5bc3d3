import { type Message } from '../message/message';
import type { Affine } from '../geometry/affine';
import type { Cone } from '../shapes/cone';
import type { Contour } from '../geometry/contour';
import type { Line, Rect } from '../geometry/plane';

export interface Zone {
  readonly what: string;
  readonly contour: Contour;
}

/** One printed face, in its own millimetres as its viewer sees it: trim box from 0, 0, y down. */
export interface Face {
  readonly name: 'wrap' | 'front' | 'back';
  /** Face to pattern. */
  readonly matrix: Affine;
  readonly trim: Contour;
  readonly bleed: Contour;
  /** Where words may stand: nothing left where the safe zone is too wide. */
  readonly safe: readonly Contour[];
  /** What the picture may not cross: parts, logos, holes with their clearance. */
  readonly exclusionZones: readonly Zone[];
}

/** A line to pencil on the blank and on the back of the paper, with its distance from an edge a person can find. */
export interface PencilMark {
  readonly id: string;
  readonly label: Message;
  readonly line: Line;
  /** From the left end of the paper, along it at mid height, mm. */
  readonly alongMm: number;
  readonly own: boolean;
}

/** How the flat pattern lies on the solid: pattern point = develop(cone, azimuth − middle, v) + (dx, dy). */
export interface Roll {
  /** Middle of the paper's thickness. */
  readonly cone: Cone;
  readonly middleRad: number;
  readonly dxMm: number;
  readonly dyMm: number;
  /** Ends of the trim at mid height, radians from the front, rising to the right. */
  readonly fromRad: number;
  readonly toRad: number;
  /** Height of the pattern's top edge below the rim, along the axis, mm. */
  readonly topMm: number;
}

/** The flat pattern, print side as seen on the blank; mm, y down. */
export interface Pattern {
  readonly form: 'rectangle' | 'cone' | 'flat';
  /** Boxes of the first face. `trim` starts at 0, 0. */
  readonly trim: Rect;
  readonly bleed: Rect;
  readonly safe: Rect;
  /** Box of all there is to print, grip and both faces of a fold included, pattern mm. */
  readonly whole: Rect;
  readonly faces: readonly Face[];
  /** Strips at both ends where words must not go. */
  readonly seams: readonly Contour[];
  /** The front of the blank, and the widths (centred on it) seen well and seen at all. */
  readonly front: {
    readonly x: number;
    readonly line: Line;
    readonly wellMm: number;
    readonly atAllMm: number;
  } | null;
  /** Line the far end meets when closed, and how far along at mid height; null where nothing closes. */
  readonly meets: Line | null;
  readonly meetsAtMm: number;
  readonly marks: readonly PencilMark[];
  /** Cut marks, all outside the bleed. */
  readonly ticks: readonly Line[];
  readonly fold: Line | null;
  readonly grip: Contour | null;
  /** Unprinted strips past both ends, to hold and pull by. */
  readonly tails: readonly Contour[];
  /** What of the piece lies on the blank, where it stands past rim or foot; null where all of it does. */
  readonly onBlank: Contour | null;
  readonly roll: Roll | null;
}

/** The first face: every pattern has one. */
export const mainFace = (p: Pattern): Face => p.faces[0] as Face;
