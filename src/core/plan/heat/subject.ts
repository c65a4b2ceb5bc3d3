import { heatsOf, padMmOf, usualWasteSheets } from '../../press/kinds';
import type { HeatCase } from '../../heat/model/case';
import { contourArea } from '../../geometry/contour';
import { coatingPrior } from '../../heat/model/coatings';
import { heaterOf } from '../../heat/press/heaters';
import { heatedM2, pressModel } from '../../heat/press/pressModel';
import type { HeatSubject, SeenOutcome } from '../../heat/model/subject';
import { USUAL_SPREADS } from '../../heat/model/sensitivity';
import type { TimedClosing } from '../../heat/press/timing';
import type { Job } from '../../job/job';
import { outlineContour } from '../../shapes/flat';
import { isRound, type Blank } from '../../shop/blank';
import type { HeatSettings } from '../../shop/heatSettings';
import type { Load } from '../../shop/load';
import { type Press, type PressHeater, type PressTiming, isOven } from '../../shop/press';
import type { LogEntry } from '../../shop/records';
import { standing } from '../../shop/standing';
import type { HeatedPiece } from './load';

const ROOM_C = 22;
/** Transfer paper where nothing says, mm. */
const USUAL_PAPER_MM = 0.1;
/** Timings counted, newest first, and settings seen: older ones say little of a press as it is today. */
const TIMINGS = 3;
const MOST_SEEN = 10;

/** Everything a load is made of. */
export interface Setup {
  readonly blank: Blank;
  readonly press: Press;
  readonly heater: PressHeater | null;
  readonly piece: HeatedPiece;
  readonly load: Load;
  readonly inEdge: boolean;
  readonly faces: HeatCase['faces'];
  /** Circumference and print of a round blank, mm. */
  readonly round: { readonly circumferenceMm: number; readonly printMm: number } | null;
}

/** Which faces are pressed, and how. A back that nothing is printed on needs no heat. */
export function pressedFaces(
  faces: number,
  printedBehind: boolean,
  way: Job['wrap']['faces'],
): HeatCase['faces'] {
  if (faces < 2 || !printedBehind) return 'one';
  return way === 'one then the other' ? 'one then the other' : 'together';
}

/** What lies under a piece in a flat press, or is drawn over it in a vacuum press, mm. */
const airOf = (p: Press): HeatCase['ovenAir'] => (isOven(p) ? p.air : 'fan');

/** What no tape distinguishes makes no new question: lengths by a tenth of a millimetre, thin walls by a hundredth, areas by four digits. */
const TAPE_MM = 0.1;
const SHEET_MM = 0.01;
const THICK_MM = 2;
const AREA_DIGITS = 4;
const toStep = (mm: number, stepMm: number): number =>
  Math.round(Math.round(mm / stepMm) * stepMm * 1e6) / 1e6;

export function caseOf(s: Setup): HeatCase {
  const { press, heater, load } = s;
  const areaM2 = Number(s.piece.areaM2.toPrecision(AREA_DIGITS));
  const round = s.round && {
    circumferenceMm: toStep(s.round.circumferenceMm, TAPE_MM),
    printMm: toStep(s.round.printMm, TAPE_MM),
  };
  const heaterM2 = heatedM2(press, heater);
  const uncoveredM2 = Math.max(0, heaterM2 - areaM2 * load.piecesAtOnce);
  const model = pressModel(press, heater, { uncoveredM2, inEdge: s.inEdge });
  const tall = heater && round ? Math.min(1, (heater.heightMm * round.circumferenceMm) / 1e6 / areaM2) : 1;
  return {
    kind: heatsOf(press),
    ovenAir: airOf(press),
    material: s.blank.material,
    wallMm: toStep(s.blank.wallMm, s.blank.wallMm >= THICK_MM ? TAPE_MM : SHEET_MM),
    vacuum: s.blank.wall === 'vacuum',
    heater: model.heater,
    wasteSheets: load.wasteSheets,
    wasteKind: load.wasteKind,
    paperMm: USUAL_PAPER_MM,
    padMm: padMmOf(press),
    heatedFrom: load.heatedFrom,
    faces: s.faces,
    pieceM2: areaM2 * tall,
    heaterM2,
    pieces: load.piecesAtOnce,
    round: round && { ...round, heaterMm: heater?.lengthMm ?? round.circumferenceMm },
    roomC: ROOM_C,
  };
}

/** Settings a closing was watched at: only the set temperature counts. */
const watched = (platenC: number): HeatSettings => ({
  platenC,
  dwellS: 600,
  laterDwellS: null,
  passes: 1,
  timerStart: 'from-closing',
  pressure: 'medium',
  peel: 'hot',
  coolDownC: null,
});

/** A timing as the model takes it: the load it was watched on, in this press. */
export function timedOf(t: PressTiming, press: Press): TimedClosing {
  const heater = heaterOf(press, null, t.load.heaterId);
  const areaM2 = t.load.areaMm2 / 1e6;
  const heaterM2 = heatedM2(press, heater);
  const { heater: model } = pressModel(press, heater, {
    uncoveredM2: Math.max(0, heaterM2 - areaM2 * t.load.pieces),
    inEdge: false,
  });
  const { circumferenceMm } = t.load;
  return {
    load: {
      kind: heatsOf(press),
      ovenAir: airOf(press),
      material: t.load.material,
      wallMm: t.load.wallMm,
      vacuum: t.load.vacuum,
      heater: model,
      wasteSheets: t.load.wasteSheets,
      wasteKind: 'plain',
      paperMm: USUAL_PAPER_MM,
      padMm: padMmOf(press),
      heatedFrom: 'paper',
      faces: 'one',
      pieceM2:
        heater && circumferenceMm !== null
          ? Math.min(areaM2, (heater.heightMm * circumferenceMm) / 1e6)
          : areaM2,
      heaterM2,
      pieces: t.load.pieces,
      round:
        heater && circumferenceMm !== null
          ? { circumferenceMm, printMm: circumferenceMm, heaterMm: heater.lengthMm }
          : null,
      roomC: t.roomC,
    },
    settings: watched(t.setC),
    lowestC: t.lowestC,
    backS: t.backS,
  };
}

/** Nominal size of a blank no job measured: enough to weigh what was once seen on it. */
function setupOfEntry(e: LogEntry, s: Setup, blank: Blank): Setup {
  const load: Load = e.load ?? { ...s.load, piecesAtOnce: 1, wasteSheets: usualWasteSheets(s.press) };
  if (e.blankId === s.blank.id) return { ...s, load };
  return { ...s, blank, load, ...nominalOf(blank) };
}

/** A piece by its blank's own figures. */
export function nominalOf(blank: Blank): Pick<Setup, 'piece' | 'round'> {
  const { areaMm2, circumferenceMm } = blankArea(blank);
  const across = circumferenceMm === null ? Math.sqrt(areaMm2) : circumferenceMm / Math.PI;
  return {
    piece: { areaM2: areaMm2 / 1e6, widthMm: across, heightMm: across },
    round: circumferenceMm === null ? null : { circumferenceMm, printMm: circumferenceMm },
  };
}

/** What an entry says of heat: its verdict, or where another fault came first, what the used paper says. */
function verdictOf({ verdict, paperState }: LogEntry): SeenOutcome['verdict'] | null {
  if (verdict !== 'other') return verdict;
  return paperState === 'left-all' ? 'under' : paperState === 'browned' ? 'over' : null;
}

/** What was tried on this coating and press, alike ones together, newest first. */
function seenOf(tried: readonly LogEntry[], s: Setup, blanks: readonly Blank[]): readonly SeenOutcome[] {
  const groups = new Map<string, SeenOutcome>();
  for (const e of [...standing(tried)].sort((a, b) => b.at - a.at)) {
    const verdict = verdictOf(e);
    if (e.pressId !== s.press.id || verdict === null) continue;
    const blank = e.blankId === s.blank.id ? s.blank : blanks.find((b) => b.id === e.blankId);
    if (!blank || !sameCoating(blank, s.blank)) continue;
    const pieces = Math.max(1, verdict === 'good' ? e.good : e.spoiled);
    const key = JSON.stringify([e.blankId, e.settings, e.load, verdict]);
    const before = groups.get(key);
    if (before) groups.set(key, { ...before, pieces: before.pieces + pieces });
    else if (groups.size < MOST_SEEN)
      groups.set(key, {
        id: e.id,
        load: caseOf(setupOfEntry(e, s, blank)),
        settings: e.settings,
        verdict,
        pieces,
      });
  }
  return [...groups.values()];
}

/** Coatings are taken for alike where material and finish are. */
export const sameCoating = (a: Blank, b: Blank): boolean =>
  a.material === b.material && a.coating.finish === b.coating.finish;

export function subjectOf(s: Setup, tried: readonly LogEntry[], blanks: readonly Blank[]): HeatSubject {
  const load = caseOf(s);
  const { sd } = pressModel(s.press, s.heater, { uncoveredM2: 0, inEdge: s.inEdge });
  const timings = [...s.press.timings].sort((a, b) => b.at - a.at).slice(0, TIMINGS);
  return {
    load,
    spreads: { ...USUAL_SPREADS, ...sd },
    coating: coatingPrior(s.blank.material, s.press.kind),
    timings: timings.map((t) => timedOf(t, s.press)),
    seen: seenOf(tried, s, blanks),
  };
}

/** Heated face of a blank by its own figures, mm², and right round it where it is round. */
export function blankArea(blank: Blank): {
  readonly areaMm2: number;
  readonly circumferenceMm: number | null;
} {
  if (isRound(blank)) {
    const { sections } = blank.shape;
    const around = Math.max(...sections.map((x) => x.diameterMm)) * Math.PI;
    const tall = (sections.at(-1)?.fromRimMm ?? 0) - (sections[0]?.fromRimMm ?? 0);
    return { areaMm2: around * tall, circumferenceMm: around };
  }
  const outline = blank.shape.kind === 'flat' ? outlineContour(blank.shape.outline) : [];
  return { areaMm2: Math.abs(contourArea(outline)), circumferenceMm: null };
}

/** A load of a blank by its own figures, as a timing keeps it. */
export const timedLoad = (
  blank: Blank,
  how: Pick<PressTiming['load'], 'pieces' | 'wasteSheets' | 'heaterId'>,
): PressTiming['load'] => ({
  material: blank.material,
  wallMm: blank.wallMm,
  vacuum: blank.wall === 'vacuum',
  ...blankArea(blank),
  ...how,
});
