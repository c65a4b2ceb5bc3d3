import { say, type Message } from '../message/message';
import { apply, compose, IDENTITY, mirrorX, scale, translate, type Affine } from '../geometry/affine';
import { type Rect, boundsOf, rectCorners } from '../geometry/plane';
import type { Printer } from '../shop/printer';

/** What real drivers do to a page when nobody watches them. */
export const DRIVER_FAULTS = ['fit to page', 'wrong tray', 'mirror', 'clipped margin', 'short feed'] as const;
export type DriverFault = (typeof DRIVER_FAULTS)[number];

export interface FaultWords {
  readonly label: Message;
  /** How it is seen on the sheet, and what to do. */
  readonly seen: Message;
  readonly fix: Message;
}

export const FAULT_WORDS: Readonly<Record<DriverFault, FaultWords>> = {
  'fit to page': {
    label: say('sheet.fitPageLeft'),
    seen: say('sheet.barShortSameShare'),
    fix: say('sheet.setScale100Fit'),
  },
  'wrong tray': {
    label: say('sheet.wrongPaperTray'),
    seen: say('sheet.pageRunsOffPaper'),
    fix: say('sheet.choosePaperNamedSheet'),
  },
  mirror: {
    label: say('sheet.mirrorSetOtherWay'),
    seen: say('sheet.artReadsBlankLabel'),
    fix: say('sheet.mirrorOnePlaceOnly'),
  },
  'clipped margin': {
    label: say('sheet.marginWiderThanPrinters'),
    seen: say('sheet.edgeBleedTickLabel'),
    fix: say('sheet.chooseRightPaperSize'),
  },
  'short feed': {
    label: say('sheet.feed994'),
    seen: say('sheet.trueAcrossShortAlong'),
    fix: say('sheet.printCalibrationPagePaper'),
  },
};

export interface SimulatorRequest {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly marginsMm: Printer['marginsMm'];
  /** The driver is the one to mirror. */
  readonly driverMirrors: boolean;
  /** Paper that lies in the tray when the wrong one does. */
  readonly tray: { readonly widthMm: number; readonly heightMm: number };
  readonly faults: readonly DriverFault[];
}

export interface SimulatedSheet {
  readonly widthMm: number;
  readonly heightMm: number;
  /** Page mm to mm of the paper that comes out. */
  readonly matrix: Affine;
  /** What of the paper ink reaches, mm. */
  readonly inked: Rect;
}

const FEED = 0.994;
const CLIP_MM = 9;

/** Everything printed on the page lies within this after fitting, as drivers do it: the page shrunk into the printable box. */
function fitted(w: number, h: number, m: Printer['marginsMm']): Affine {
  const box = { x: m.left, y: m.top, width: w - m.left - m.right, height: h - m.top - m.bottom };
  const k = Math.min(box.width / w, box.height / h);
  return compose(translate(box.x + (box.width - k * w) / 2, box.y + (box.height - k * h) / 2), scale(k));
}

/**
 * The printer simulator: what comes out when a page goes through a driver with some faults. A screen or a test draws the PDF through
 * `matrix` and keeps what is `inked`.
 */
export function simulatedPrint(request: SimulatorRequest): SimulatedSheet {
  const { widthMm: w, heightMm: h, marginsMm: m, faults } = request;
  const has = (f: DriverFault) => faults.includes(f);
  const sheet = has('wrong tray') ? request.tray : { widthMm: w, heightMm: h };
  const flips = request.driverMirrors !== has('mirror');
  const matrix = compose(
    has('short feed') ? scale(1, FEED) : IDENTITY,
    has('fit to page') ? fitted(w, h, m) : IDENTITY,
    flips ? mirrorX(w / 2) : IDENTITY,
  );
  const more = has('clipped margin') ? CLIP_MM : 0;
  const inked = {
    x: m.left + more,
    y: m.top + more,
    width: Math.max(0, Math.min(w, sheet.widthMm) - m.left - m.right - 2 * more),
    height: Math.max(0, Math.min(h, sheet.heightMm) - m.top - m.bottom - 2 * more),
  };
  return { widthMm: sheet.widthMm, heightMm: sheet.heightMm, matrix, inked };
}

/** Where a box of the page comes out on the paper. */
export const printedBox = (s: SimulatedSheet, box: Rect): Rect =>
  boundsOf(rectCorners(box).map((p) => apply(s.matrix, p)));
