import { FAULT_IDS } from '../shop/faultIds';
import type { Mark } from '../shop/mark';
import type { PaperState, Reply, Verdict } from '../shop/records';
import {
  CHECKED,
  IN_GAP,
  JUDGED,
  LOT,
  MODEL,
  OPENED,
  USED_PAPER,
  PRINTER,
  TRANSFER_PAPER,
  LOAD_ORDER,
  WHERE,
  type Clue,
} from './evidence';
import { isOnPaper } from './faults';
import { certain, type Evidence } from './infer';
import { inGap, whereShares, type FaceSize, type Gap } from './places';
import { QUESTIONS } from './questions';

/** What is known besides the inspection itself; null where it is not. */
export interface InspectionContext {
  readonly face: FaceSize | null;
  /** Where the heater does not reach; null where no wrap press is concerned. */
  readonly gaps: readonly Gap[] | null;
  /** Chances by the heat model of this setting on this load. */
  readonly model: { readonly under: number; readonly good: number; readonly over: number } | null;
  /** How much longer passes were kept than set, s, and how long they were set. */
  readonly kept: { readonly setS: number; readonly keptS: number } | null;
  /** Days since the face of the press was read; null for never, undefined where there is no press. */
  readonly checkedDays?: number | null;
  readonly lotKnownGood: boolean | null;
  readonly paperUsual: boolean | null;
  readonly printerUsual: boolean | null;
  /** The pieces marked came out of the first load after a pause. */
  readonly firstLoad: boolean | null;
}

export const NOTHING_KNOWN: InspectionContext = {
  face: null,
  gaps: null,
  model: null,
  kept: null,
  lotKnownGood: null,
  paperUsual: null,
  printerUsual: null,
  firstLoad: null,
};

export interface Inspection {
  readonly marks: readonly Mark[];
  readonly paperState: PaperState | null;
  readonly verdict: Verdict | null;
  readonly replies: readonly Reply[];
}

/** The state of the paper where it was marked and not said. */
function paperOf({ paperState, marks }: Inspection): PaperState | null {
  if (paperState) return paperState;
  const on = marks.filter((m) => isOnPaper(m.fault));
  if (on.some((m) => m.fault === 'paper-browned')) return 'browned';
  if (on.some((m) => m.place.kind === 'all')) return 'left-all';
  return on.length > 0 ? 'left-in-places' : null;
}

/** A pass is opened early or late where it is off by more than a hand's slack: three seconds or a twentieth. */
function openedAs({ setS, keptS }: { readonly setS: number; readonly keptS: number }): string {
  const slack = Math.max(3, setS * 0.05);
  return keptS < setS - slack ? 'early' : keptS > setS + slack ? 'late' : 'on-time';
}

/** A month. */
const FRESH_DAYS = 31;
const checkedAs = (days: number | null): string =>
  days === null ? 'never' : days <= FRESH_DAYS ? 'this-month' : 'longer-ago';

/** All that is known of an inspection, as the causes are weighed by it. What is not known says nothing. */
export function evidenceOf(inspection: Inspection, known: InspectionContext): Evidence {
  const clues: Record<string, readonly number[]> = {};
  const say = (c: Clue, value: string | null | undefined) => {
    if (value !== null && value !== undefined) clues[c.id] = certain(c, value);
  };
  const onPiece = inspection.marks.filter((m) => !isOnPaper(m.fault));
  const faults = FAULT_IDS.filter((f) => onPiece.some((m) => m.fault === f));
  const where = known.face && whereShares(onPiece, known.face);
  if (where) clues[WHERE.id] = where;
  say(USED_PAPER, paperOf(inspection));
  say(JUDGED, inspection.verdict === 'good' ? null : inspection.verdict);
  if (known.model) {
    const { under, good, over } = known.model;
    const sum = under + good + over;
    if (sum > 0) clues[MODEL.id] = [under / sum, good / sum, over / sum];
  }
  say(OPENED, known.kept && openedAs(known.kept));
  if (known.checkedDays !== undefined) say(CHECKED, checkedAs(known.checkedDays));
  const either = (c: Clue, is: boolean | null) => say(c, is === null ? null : c.values[is ? 0 : 1]);
  either(LOT, known.lotKnownGood);
  either(TRANSFER_PAPER, known.paperUsual);
  either(PRINTER, known.printerUsual);
  either(LOAD_ORDER, known.firstLoad);
  const placed = onPiece.filter((m) => m.place.kind !== 'all');
  const { face, gaps } = known;
  if (face && gaps && placed.length > 0)
    either(
      IN_GAP,
      placed.some((m) => inGap(m.place, face, gaps)),
    );
  for (const q of QUESTIONS) {
    const reply = inspection.replies.findLast((r) => r.question === q.id);
    if (reply && q.values.includes(reply.answer)) say(q, reply.answer);
  }
  return { faults, clues };
}
