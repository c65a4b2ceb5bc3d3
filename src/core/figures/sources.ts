/** What is known of a source of uncertainty, in shop words. Keys are the ids used in `Uncertain.parts`. */
export interface Source {
  readonly label: string;
  readonly advice: string;
  /** Known only to lie within limits, each value as likely (GUM 4.3.7); else taken as normal. */
  readonly uniform: boolean;
  /** What is left of it, 0..1, once the advice has been followed. */
  readonly leaves: number;
}

const SOURCES: Readonly<Record<string, Source>> = {
  'tape thickness': {
    label: 'tape thickness',
    advice: 'Measure your tape’s thickness with a caliper, or use a paper strip.',
    uniform: true,
    leaves: 0.2,
  },
  'string thickness': {
    label: 'string thickness',
    advice: 'Use a soft tape or a paper strip: a string is thick, and it stretches.',
    uniform: true,
    leaves: 0.2,
  },
  'paper thickness': {
    label: 'paper thickness',
    advice: 'Measure a stack of ten sheets and divide.',
    uniform: true,
    leaves: 0.1,
  },
  'print scale': {
    label: 'print scale',
    advice: 'Print the calibration page on this paper, measure its bars, and type them in under Papers.',
    uniform: true,
    leaves: 0.35,
  },
  shrinkage: {
    label: 'paper shrinkage',
    advice: 'Measure the calibration page again after pressing it blank.',
    uniform: true,
    leaves: 0.3,
  },
  trim: {
    label: 'knife',
    advice: 'Cut with a steel rule and a fresh blade.',
    uniform: true,
    leaves: 0.5,
  },
  placement: {
    label: 'placing by hand',
    advice: 'Pencil the meeting line on the blank before taping.',
    uniform: true,
    leaves: 0.5,
  },
  rounding: {
    label: 'reading to the mark',
    advice: 'Read between the marks, or use a tool with finer ones.',
    uniform: true,
    leaves: 0.5,
  },
  'maker’s figure': {
    label: 'maker’s figure',
    advice: 'Measure the blank: a catalogue figure is rounded.',
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

/** Readings are sources of their own, named by where they were taken. */
export const readingSource = (placeName: string): string => sourceId('reading', placeName.toLowerCase());

/** A maker's figure by what it is of: each figure of a catalogue is rounded on its own. */
export const makerSource = (what: string): string => sourceId('maker', what);

/** Rounding to the marks of one tool, where it falls the same way at every place of one width. */
export const roundingSource = (method: string): string => sourceId('rounding', method);
export const isRounding = (source: string): boolean => readSourceId(source)?.kind === 'rounding';

/** Twice as many readings leave 1/√2 of the uncertainty of one place. */
const REPEATED = Math.SQRT1_2;

export function sourceOf(id: string): Source {
  const several = readSourceId(id);
  const known = SOURCES[several ? KINDS[several.kind] : id];
  if (known) return known;
  const place = several?.of ?? id;
  return {
    label: place,
    advice: `Measure it as many times again (${place}): repeats average.`,
    uniform: false,
    leaves: REPEATED,
  };
}
