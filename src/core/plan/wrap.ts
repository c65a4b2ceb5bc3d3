import { figure, uncertaintyOf, type Figure, type Finding } from '../figures/figure';
import { standardU } from '../figures/uncertain';
import type { Job } from '../job/job';
import type { Blank } from '../shop/blank';
import type { School, Settings } from '../shop/settings';
import { say } from '../units/phrase';
import { fineMm, mm, ratio, word } from '../units/quantity';
import { SCHOOL_NOTES, type SchoolNote } from '../wrap/schools';
import { sizeWrap, type Wrap } from '../wrap/wrap';
import type { MeasureSection } from './measure';
import { finding, type Section } from './section';

export interface WrapSection extends Section<'wrap'> {
  readonly wrap: Wrap | null;
  readonly school: School;
  readonly note: SchoolNote;
  readonly setbacks: { readonly topMm: number; readonly footMm: number };
  readonly bleedMm: number;
  readonly safeMm: number;
}

function lengthFigures(w: Wrap, school: School, note: SchoolNote, paperMm: number): Figure[] {
  const over = w.lengthMm - w.closing.value;
  const change =
    over === 0
      ? say`ends touch, nothing added`
      : over > 0
        ? say`${mm(w.closing.value)} plus ${mm(over)} ${note.amount ?? ''}`
        : say`${mm(w.closing.value)} less ${mm(-over)} (${note.amount ?? ''})`;
  return [
    figure({
      id: 'wrap.closing',
      label: 'Closes at',
      quantity: mm(w.closing.value),
      origin: 'reckoned',
      working: say`girth plus ${fineMm(Math.PI * paperMm)}: paper lies outside the wall`,
      arithmetic: [
        say`${mm(w.closing.value - Math.PI * paperMm)} + π × ${fineMm(paperMm)} paper = ${mm(w.closing.value)}`,
      ],
      inputs: ['measure.girth'],
      ...uncertaintyOf(w.closing),
    }),
    figure({
      id: 'wrap.length',
      label: school === 'over' ? 'Print and cut at' : 'Cut length',
      quantity: mm(w.lengthMm),
      origin: 'reckoned',
      working: change,
      arithmetic: [
        say`${mm(w.closing.value)} ${over < 0 ? '−' : '+'} ${mm(Math.abs(over))} = ${mm(w.lengthMm)}`,
      ],
      inputs: ['wrap.closing'],
      ...uncertaintyOf(w.closing),
    }),
  ];
}

function seamFigures(w: Wrap, school: School): Figure[] {
  const asks: Readonly<Record<School, string>> = {
    under: 'that the ends stay apart',
    butt: 'that the ends meet within half a millimetre',
    lap: 'that the ends lap and show no white',
    over: 'that the paper reaches round',
    gap: 'that the gap stays open',
  };
  const shared = uncertaintyOf(w.error);
  return [
    figure({
      id: 'wrap.long',
      label: 'Cut long by',
      quantity: fineMm(w.longFor19In20Mm),
      origin: 'reckoned',
      working: say`so that 19 wraps in 20 reach, at your own error`,
      arithmetic: [say`1.645 × ${fineMm(standardU(w.error))} combined error = ${fineMm(w.longFor19In20Mm)}`],
      inputs: ['wrap.closing'],
      ...(shared.improve ? { improve: shared.improve } : {}),
    }),
    figure({
      id: 'wrap.chance',
      label: 'Seam comes right',
      quantity: ratio(w.seamChance),
      origin: 'estimated',
      working: say`chance ${asks[school]}`,
      inputs: ['wrap.length', 'wrap.long'],
      ...(shared.improve ? { improve: shared.improve } : {}),
    }),
  ];
}

function figuresOf(
  w: Wrap,
  school: School,
  note: SchoolNote,
  top: number,
  foot: number,
  paperMm: number,
): Figure[] {
  return [
    ...lengthFigures(w, school, note, paperMm),
    figure({
      id: 'wrap.height',
      label: 'Cut height',
      quantity: mm(w.height.value),
      origin: 'reckoned',
      working: say`straight wall less ${mm(top)} at the rim and ${mm(foot)} at the foot`,
      arithmetic: [
        say`${mm(w.height.value + top + foot)} − ${mm(top)} − ${mm(foot)} = ${mm(w.height.value)}`,
      ],
      inputs: ['measure.wall'],
      ...uncertaintyOf(w.height),
    }),
    figure({
      id: 'wrap.seam',
      label: 'Seam',
      quantity: word(note.label.toLowerCase()),
      origin: 'taken',
      working: say`${note.gain}`,
    }),
    ...seamFigures(w, school),
    figure({
      id: 'wrap.front',
      label: 'Seen from the front',
      quantity: mm(w.pattern.front.wellMm),
      origin: 'reckoned',
      working: say`60° either side of the middle, before it turns away`,
      arithmetic: [say`girth × 120 ÷ 360 = ${mm(w.pattern.front.wellMm)}`],
      inputs: ['measure.girth'],
    }),
  ];
}

function findingsOf(w: Wrap, school: School): Finding[] {
  const found: Finding[] = [];
  if (w.height.value < 10)
    found.push(
      finding(
        'wrap',
        'height',
        'stop',
        say`The setbacks leave only ${mm(Math.max(0, w.height.value))} of wall. Make them smaller.`,
      ),
    );
  if (w.lengthMm < 20)
    found.push(
      finding(
        'wrap',
        'length',
        'stop',
        say`Nothing is left round the blank. Make the ${SCHOOL_NOTES[school].amount ?? 'amount'} smaller.`,
      ),
    );
  if (w.pattern.safe.width <= 0 || w.pattern.safe.height <= 0)
    found.push(
      finding(
        'wrap',
        'safe',
        'heed',
        say`The safe edge is so wide that no words fit inside. Make it smaller.`,
      ),
    );
  if (w.seamChance < 0.9) {
    const first = uncertaintyOf(w.error).improve?.[0];
    const way = first ? `Largest part: ${first.label}. ${first.advice}` : 'Measure again.';
    found.push(
      finding(
        'wrap',
        'chance',
        'heed',
        say`The seam comes right only ${ratio(w.seamChance)} of the time at your readings. ${way}`,
      ),
    );
  }
  return found;
}

export function planWrap(
  job: Job,
  settings: Settings,
  blank: Blank | null,
  measure: MeasureSection,
  paperMm: number,
): WrapSection {
  const school = job.wrap.school ?? settings.house.school;
  const note = SCHOOL_NOTES[school];
  const setbacks = {
    topMm: job.wrap.topSetbackMm ?? settings.house.setbackMm,
    footMm: job.wrap.footSetbackMm ?? settings.house.setbackMm,
  };
  const bleedMm = job.wrap.bleedMm ?? settings.house.bleedMm;
  const safeMm = job.wrap.safeMm ?? settings.house.safeMm;
  const shared = { terrace: 'wrap' as const, school, note, setbacks, bleedMm, safeMm };
  if (!blank || !measure.girth || !measure.wall)
    return {
      ...shared,
      progress: 'todo',
      summary: say`after the blank`,
      figures: [],
      findings: [],
      wrap: null,
    };
  const wrap = sizeWrap({
    girth: measure.girth,
    wall: measure.wall,
    paperMm,
    school,
    amountMm: job.wrap.amountMm,
    topSetbackMm: setbacks.topMm,
    footSetbackMm: setbacks.footMm,
    bleedMm,
    safeMm,
    noGo: blank.keepClear,
  });
  const findings = findingsOf(wrap, school);
  const broken = findings.some((f) => f.level === 'stop');
  return {
    ...shared,
    progress: broken ? 'todo' : measure.progress === 'done' ? 'done' : 'ready',
    summary: say`${mm(wrap.lengthMm)} × ${mm(wrap.height.value)}`,
    figures: figuresOf(wrap, school, note, setbacks.topMm, setbacks.footMm, paperMm),
    findings,
    wrap: broken ? null : wrap,
  };
}
