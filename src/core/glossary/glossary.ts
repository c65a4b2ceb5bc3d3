import { say, type Message } from '../message/message';
import type { MessageId } from '@/words/ids';

/** A term of the trade with one line that says what it means. */
export interface Term {
  readonly label: Message;
  readonly meaning: Message;
  /** Other labels that the same line explains. */
  readonly also: readonly MessageId[];
}

export const GLOSSARY: readonly Term[] = [
  {
    label: say('common.bleed'),
    meaning: say('glossary.bleed'),
    also: ['wrap.bleedNeeded', 'wrap.whiteEdge', 'wrap.bleedPastEdge', 'shop.bleedFlatBlanks'],
  },
  { label: say('common.safeZone'), meaning: say('glossary.safeZone'), also: [] },
  {
    label: say('glossary.cutLineTerm'),
    meaning: say('glossary.cutLine'),
    also: ['wrap.cutLength', 'wrap.printCutLength', 'wrap.cutHeight'],
  },
  {
    label: say('wrap.seam'),
    meaning: say('glossary.seam'),
    also: ['wrap.seamMethod', 'wrap.chanceGoodSeam'],
  },
  { label: say('wrap.overlap'), meaning: say('glossary.overlap'), also: ['wrap.overlapMinimum'] },
  { label: say('wrap.gap'), meaning: say('glossary.gap'), also: [] },
  { label: say('wrap.overprint'), meaning: say('glossary.overprint'), also: ['wrap.extraLength'] },
  {
    label: say('wrap.setbackRim'),
    meaning: say('glossary.setback'),
    also: ['wrap.setbackFoot', 'shop.setbackRimFoot'],
  },
  { label: say('wrap.closingLength'), meaning: say('glossary.closingLength'), also: [] },
  {
    label: say('shop.taper'),
    meaning: say('glossary.taper'),
    also: ['measure.taperTowardsFoot', 'measure.taperTowardsRim'],
  },
  {
    label: say('blank.circumference'),
    meaning: say('glossary.circumference'),
    also: ['measure.circumferenceWall', 'measure.circumferenceNearRim', 'measure.circumferenceNearFoot'],
  },
  { label: say('wrap.worstLift'), meaning: say('glossary.lift'), also: [] },
  { label: say('wrap.arcRadii'), meaning: say('glossary.arcRadii'), also: ['wrap.edgeCurve'] },
  { label: say('common.blank'), meaning: say('glossary.blank'), also: [] },
  { label: say('common.coating'), meaning: say('glossary.coating'), also: [] },
  { label: say('blank.coatedWall'), meaning: say('glossary.wall'), also: ['blank.straightWall'] },
  { label: say('blank.exclusionZone'), meaning: say('glossary.exclusionZone'), also: [] },
  { label: say('common.transferPaper'), meaning: say('glossary.transferPaper'), also: [] },
  { label: say('art.resolution'), meaning: say('glossary.resolution'), also: [] },
  { label: say('common.mirroredBy'), meaning: say('glossary.mirrored'), also: [] },
  { label: say('glossary.offcutTerm'), meaning: say('glossary.offcut'), also: ['sheet.paperUsed'] },
  { label: say('sheet.panels2'), meaning: say('glossary.panel'), also: [] },
  { label: say('heat.dwellTime'), meaning: say('glossary.dwellTime'), also: ['heat.dwellTimePerPass'] },
  { label: say('heat.passes'), meaning: say('glossary.passes'), also: [] },
  { label: say('heat.pressure2'), meaning: say('glossary.pressure'), also: [] },
  { label: say('heat.peel'), meaning: say('glossary.peel'), also: [] },
  {
    label: say('heat.dose'),
    meaning: say('glossary.dose'),
    also: ['heat.doseLeastHeated', 'heat.doseMostHeated', 'heat.doseTwoFaces'],
  },
  { label: say('heat.doseNeeded'), meaning: say('glossary.doseNeeded'), also: [] },
  { label: say('heat.maximumDose'), meaning: say('glossary.maximumDose'), also: [] },
  { label: say('heat.sameDoseTime'), meaning: say('glossary.sameDose'), also: [] },
  { label: say('heat.heaterReaches'), meaning: say('glossary.reach'), also: [] },
  { label: say('common.heater'), meaning: say('glossary.heater'), also: [] },
  { label: say('shop.platen'), meaning: say('glossary.platen'), also: [] },
  { label: say('heat.coolDownTarget'), meaning: say('glossary.coolDown'), also: [] },
  { label: say('heat.chanceGoodPiece'), meaning: say('glossary.goodPiece'), also: [] },
  { label: say('glossary.loadTerm'), meaning: say('glossary.load'), also: ['heat.atOnce'] },
  { label: say('heat.wasteSheets'), meaning: say('glossary.wasteSheet'), also: [] },
  { label: say('glossary.prePressTerm'), meaning: say('glossary.prePress'), also: [] },
  { label: say('inspect.ghosting'), meaning: say('glossary.ghosting'), also: [] },
  { label: say('inspect.testLadder2'), meaning: say('glossary.ladder'), also: [] },
  { label: say('glossary.provenTerm'), meaning: say('glossary.proven'), also: [] },
  { label: say('pricing.breakEvenPrice'), meaning: say('glossary.breakEven'), also: [] },
  { label: say('common.margin'), meaning: say('glossary.margin'), also: [] },
  { label: say('pricing.spoilage'), meaning: say('glossary.spoilage'), also: [] },
  { label: say('schedule.bottleneck'), meaning: say('glossary.bottleneck'), also: [] },
  { label: say('stock.allocated'), meaning: say('glossary.allocated'), also: [] },
  { label: say('stock.reorderLevel'), meaning: say('glossary.reorder'), also: [] },
];

const BY_LABEL: ReadonlyMap<MessageId, Message> = new Map(
  GLOSSARY.flatMap((t) => [t.label.id, ...t.also].map((id) => [id, t.meaning] as const)),
);

/** What labels mean, by their text: no two texts of the catalogue are alike. `textOf` gives the text of a label, null where it is not loaded. */
export const meaningsByText = (textOf: (label: MessageId) => string | null): ReadonlyMap<string, Message> =>
  new Map(
    [...BY_LABEL].flatMap(([label, meaning]) => {
      const text = textOf(label);
      return text === null ? [] : [[text, meaning] as const];
    }),
  );

/** What a label means; undefined where it explains itself. */
export const meaningOf = (label: Message): Message | undefined => BY_LABEL.get(label.id);
