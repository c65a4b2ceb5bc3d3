/**
 * The terraces of a job, in the order of the work: the one registry. Keys, rail, foot, status, shortcuts and README follow from it; the types
 * name what else a new one needs, its plan and its view. Ids are addresses of pages: never rename one.
 */
export const TERRACE_LIST = [
  { id: 'blank', label: 'Blank', leadsOnBy: 'Measure the blank' },
  { id: 'measure', label: 'Measure', leadsOnBy: 'Size the wrap' },
  { id: 'wrap', label: 'Wrap', leadsOnBy: 'Place the art' },
  { id: 'art', label: 'Art', leadsOnBy: 'Lay out the sheet' },
  { id: 'sheet', label: 'Sheet', leadsOnBy: 'Set the heat' },
  { id: 'heat', label: 'Heat', leadsOnBy: 'Go to the press' },
  { id: 'press', label: 'Press', leadsOnBy: 'Inspect the piece' },
  { id: 'look', label: 'Inspect', leadsOnBy: 'Save to log' },
] as const;

export type Terrace = (typeof TERRACE_LIST)[number]['id'];
export const TERRACES: readonly Terrace[] = TERRACE_LIST.map((t) => t.id);

export const isTerrace = (text: string | undefined): text is Terrace => TERRACES.some((t) => t === text);

/** Something of every terrace. */
export const ofEachTerrace = <T>(make: (terrace: Terrace) => T): Readonly<Record<Terrace, T>> =>
  Object.fromEntries(TERRACES.map((t) => [t, make(t)])) as Record<Terrace, T>;
