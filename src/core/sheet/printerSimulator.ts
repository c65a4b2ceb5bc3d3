import { apply, compose, IDENTITY, mirrorX, scale, translate, type Affine } from '../geometry/affine';
import { type Rect, boundsOf, rectCorners } from '../geometry/plane';
import type { Printer } from '../shop/printer';

/** What real drivers do to a page when nobody watches them. */
export const DRIVER_FAULTS = ['fit to page', 'wrong tray', 'mirror', 'clipped margin', 'short feed'] as const;
export type DriverFault = (typeof DRIVER_FAULTS)[number];

export interface FaultWords {
  readonly label: string;
  /** How it is seen on the sheet, and what to do. */
  readonly seen: string;
  readonly fix: string;
}

export const FAULT_WORDS: Readonly<Record<DriverFault, FaultWords>> = {
  'fit to page': {
    label: '“fit to page” left on',
    seen: 'The bar is short by the same share across and along.',
    fix: 'Set the scale to 100 %, fit to page off, and print again.',
  },
  'wrong tray': {
    label: 'the wrong paper in the tray',
    seen: 'The page runs off the paper, or stands in a corner of it.',
    fix: 'Choose the paper named on the sheet, in the driver and in the tray.',
  },
  mirror: {
    label: 'mirror set the other way',
    seen: 'The art reads as it will on the blank, and the label backwards or not as it says.',
    fix: 'Mirror in one place only: set the driver as the label says.',
  },
  'clipped margin': {
    label: 'a margin wider than the printer’s own',
    seen: 'An edge of the bleed, a tick or the label is cut off.',
    fix: 'Choose the right paper size, borderless off, and measure the margins under Printers.',
  },
  'short feed': {
    label: 'a feed of 99.4 %',
    seen: 'True across, short along the feed.',
    fix: 'Print the calibration page on this paper and type in what you measure.',
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
