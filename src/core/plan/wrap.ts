import type { FacePrint, FlatWrap } from '../wrap/flatWrap';
import type { Job } from '../job/job';
import type { Band, BestCone } from '../shapes/band';
import { isFlat, isRound, type Blank } from '../shop/blank';
import type { School, Settings } from '../shop/settings';
import { say } from '../units/phrase';
import type { Pattern } from '../wrap/pattern';
import type { Wrap } from '../wrap/roundWrap';
import { wrapStart, type WrapStart } from '../wrap/startsWith';
import { schoolNotes, SCHOOL_NOTES, type SchoolNote } from '../wrap/schools';
import type { MeasureSection } from './measure';
import type { GirthRange } from './solid';
import type { Section } from './section';
import { planFlatWrap } from './wrapFlat';
import { planRoundWrap } from './wrapRound';

/** How closely straight-sided paper lies on a shaped wall. */
export interface Lie {
  readonly toleranceMm: number;
  readonly usable: Band;
  readonly band: Band;
  readonly cone: BestCone;
  /** Chosen by hand rather than found. */
  readonly chosen: boolean;
}

export interface WrapSection extends Section<'wrap'> {
  readonly pattern: Pattern | null;
  readonly round: Wrap | null;
  readonly flat: FlatWrap | null;
  /** Null on straight and truly tapered walls, where paper lies everywhere. */
  readonly lie: Lie | null;
  /** Heights of the paper's edges on the blank, from the rim along the axis, mm; null on flat blanks. */
  readonly band: Band | null;
  /** The wall under the paper, bare and right round, where it is widest and narrowest; null on flat blanks. */
  readonly wall: GirthRange | null;
  readonly school: School;
  /** What kind of wrap it is, which decides the method it starts with. */
  readonly start: WrapStart;
  readonly notes: Readonly<Record<School, SchoolNote>>;
  readonly note: SchoolNote;
  readonly setbacks: { readonly topMm: number; readonly footMm: number };
  readonly bleedMm: number;
  readonly safeMm: number;
}

/** What kind of wrap a job is, as far as blank and readings say. */
function startOf(job: Job, settings: Settings, blank: Blank | null, measure: MeasureSection): WrapStart {
  const { solid } = measure;
  if (!blank || solid?.kind !== 'round') return { kind: 'round', pictureMm: null };
  const setback = settings.house.setbackMm;
  const tallMm = solid.slant.value - (job.wrap.topSetbackMm ?? setback) - (job.wrap.footSetbackMm ?? setback);
  return wrapStart(job, blank, measure.girth?.value ?? 0, Math.max(0, tallMm));
}

export function planWrap(
  job: Job,
  settings: Settings,
  blank: Blank | null,
  measure: MeasureSection,
  paperMm: number,
  print: FacePrint,
): WrapSection {
  const { solid } = measure;
  const start = startOf(job, settings, blank, measure);
  const school = job.wrap.school ?? settings.house.schools[start.kind];
  const handled = blank !== null && isRound(blank) && blank.shape.handle !== null;
  const notes = blank ? schoolNotes(handled) : SCHOOL_NOTES;
  const shared = {
    terrace: 'wrap' as const,
    school,
    start,
    notes,
    note: notes[school],
    setbacks: {
      topMm: job.wrap.topSetbackMm ?? settings.house.setbackMm,
      footMm: job.wrap.footSetbackMm ?? settings.house.setbackMm,
    },
    bleedMm:
      job.wrap.bleedMm ?? (blank && isFlat(blank) ? settings.house.flatBleedMm : settings.house.bleedMm),
    safeMm: job.wrap.safeMm ?? settings.house.safeMm,
    pattern: null,
    round: null,
    flat: null,
    lie: null,
    band: null,
    wall: null,
  };
  if (blank && solid?.kind === 'round' && isRound(blank))
    return planRoundWrap({ job, settings, blank, solid, measure, paperMm, axis: print.x, shared });
  if (blank && solid?.kind === 'flat' && isFlat(blank))
    return planFlatWrap({ job, settings, blank, solid, measure, print, shared });
  return {
    ...shared,
    progress: 'todo',
    summary: blank ? say`after the readings` : say`after the blank`,
    figures: [],
    findings: [],
  };
}
