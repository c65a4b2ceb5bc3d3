import { mm } from '../message/quantity';
import { say, verbatim, inSentence, type Message } from '../message/message';
/** What is known of a source of uncertainty, in shop words. Keys are the ids used in `Uncertain.parts`. */
export interface UncertaintySource {
  readonly label: Message;
  readonly advice: Message;
  /** Known only to lie within limits, each value as likely (GUM 4.3.7); else taken as normal. */
  readonly uniform: boolean;
  /** What is left of it, 0..1, once the advice has been followed. */
  readonly leaves: number;
}

const SOURCES: Readonly<Record<string, UncertaintySource>> = {
  'tape thickness': {
    label: say('figures.tapeThickness'),
    advice: say('figures.measureYourTapesThickness'),
    uniform: true,
    leaves: 0.2,
  },
  'string thickness': {
    label: say('figures.stringThickness'),
    advice: say('figures.useSoftTapePaper'),
    uniform: true,
    leaves: 0.2,
  },
  'paper thickness': {
    label: say('figures.paperThickness'),
    advice: say('figures.measureStackTenSheets'),
    uniform: true,
    leaves: 0.1,
  },
  'print scale': {
    label: say('figures.printScale'),
    advice: say('figures.printCalibrationPagePaper'),
    uniform: true,
    leaves: 0.35,
  },
  shrinkage: {
    label: say('figures.paperShrinkage'),
    advice: say('figures.measureCalibrationPageAgain'),
    uniform: true,
    leaves: 0.3,
  },
  trim: {
    label: say('figures.knife'),
    advice: say('figures.cutSteelRuleFresh'),
    uniform: true,
    leaves: 0.5,
  },
  placement: {
    label: say('figures.placingHand'),
    advice: say('figures.pencilMeetingLineBlank'),
    uniform: true,
    leaves: 0.5,
  },
  rounding: {
    label: say('figures.readingMark'),
    advice: say('figures.readBetweenMarksUse'),
    uniform: true,
    leaves: 0.5,
  },
  'maker’s figure': {
    label: say('figures.makersFigure'),
    advice: say('figures.measureBlankCatalogueFigure'),
    uniform: true,
    leaves: 0.3,
  },
};

/** A source of which there are several: what kind it is, and of what. The id of it is made and read here alone. */
const KINDS = { reading: 'reading', maker: 'maker’s figure', rounding: 'rounding' } as const;
type SourceKind = keyof typeof KINDS;

const sourceId = (kind: SourceKind, of: string): string => `${KINDS[kind]}: ${of}`;

function readSourceId(id: string): { readonly kind: SourceKind; readonly of: string } | null {
  const at = id.indexOf(': ');
  const kind = (Object.keys(KINDS) as SourceKind[]).find((k) => KINDS[k] === id.slice(0, at));
  return kind ? { kind, of: id.slice(at + 2) } : null;
}

/** What a place is on the blank. */
export type PlaceRole = 'rim' | 'foot' | 'between' | 'wall' | 'handle' | 'width' | 'height';

/** What a place is called; between rim and foot, by how far down it is, mm. */
export function placeName(role: PlaceRole, fromRimMm: number): Message {
  switch (role) {
    case 'rim':
      return say('measure.circumferenceNearRim');
    case 'foot':
      return say('measure.circumferenceNearFoot');
    case 'between':
      return say('measure.circumferenceDown', { down: mm(fromRimMm) });
    case 'wall':
      return say('measure.heightWall');
    case 'handle':
      return say('measure.widthHandle');
    case 'width':
      return say('blank.overallWidth');
    case 'height':
      return say('blank.overallHeight');
  }
}

const ROLES: readonly PlaceRole[] = ['rim', 'foot', 'between', 'wall', 'handle', 'width', 'height'];

/** Readings are sources of their own, named by where they were taken. */
export const readingSource = (role: PlaceRole, fromRimMm: number): string =>
  sourceId('reading', role === 'between' ? `between ${fromRimMm}` : role);

/** The place of a source made by `readingSource`; null where it is another. */
function placeOfSource(of: string): Message | null {
  const [role, at] = of.split(' ');
  const known = ROLES.find((r) => r === role);
  return known ? placeName(known, Number(at ?? 0)) : null;
}

/** A maker's figure by what it is of: each figure of a catalogue is rounded on its own. */
export const makerSource = (what: string): string => sourceId('maker', what);

/** Rounding to the marks of one tool, where it falls the same way at every place of one width. */
export const roundingSource = (method: string): string => sourceId('rounding', method);
export const isRounding = (source: string): boolean => readSourceId(source)?.kind === 'rounding';

/** Twice as many readings leave 1/√2 of the uncertainty of one place. */
const REPEATED = Math.SQRT1_2;

export function sourceOf(id: string): UncertaintySource {
  const several = readSourceId(id);
  const known = SOURCES[several ? KINDS[several.kind] : id];
  if (known) return known;
  const place = placeOfSource(several?.of ?? id) ?? verbatim(several?.of ?? id);
  return {
    label: place,
    advice: say('figures.measureManyTimesAgain', { place: inSentence(place) }),
    uniform: false,
    leaves: REPEATED,
  };
}
