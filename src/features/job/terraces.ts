import { TERRACES, type Terrace } from '@/core/figures/figure';

export interface TerraceStyle {
  readonly id: Terrace;
  readonly label: string;
  /** Ground and text classes on the rail; dark text on the light strata. */
  readonly closed: string;
  readonly swatch: string;
  readonly next: { readonly label: string; readonly to: Terrace | null };
}

export const TERRACE_STYLES: readonly TerraceStyle[] = [
  {
    id: 'blank',
    label: 'Blank',
    closed: 'bg-strata-1 text-pale',
    swatch: 'bg-strata-1',
    next: { label: 'Measure it', to: 'measure' },
  },
  {
    id: 'measure',
    label: 'Measure',
    closed: 'bg-strata-2 text-pale',
    swatch: 'bg-strata-2',
    next: { label: 'Size the wrap', to: 'wrap' },
  },
  {
    id: 'wrap',
    label: 'Wrap',
    closed: 'bg-strata-3 text-white',
    swatch: 'bg-strata-3',
    next: { label: 'Place the art', to: 'art' },
  },
  {
    id: 'art',
    label: 'Art',
    closed: 'bg-strata-4 text-ink',
    swatch: 'bg-strata-4',
    next: { label: 'Lay out the sheet', to: 'sheet' },
  },
  {
    id: 'sheet',
    label: 'Sheet',
    closed: 'bg-strata-5 text-ink',
    swatch: 'bg-strata-5',
    next: { label: 'Set the heat', to: 'heat' },
  },
  {
    id: 'heat',
    label: 'Heat',
    closed: 'bg-strata-6 text-ink',
    swatch: 'bg-strata-6',
    next: { label: 'Go to the press', to: 'press' },
  },
  {
    id: 'press',
    label: 'Press',
    closed: 'bg-strata-7 text-white',
    swatch: 'bg-strata-7',
    next: { label: 'Look it over', to: 'look' },
  },
  {
    id: 'look',
    label: 'Look',
    closed: 'bg-strata-8 text-pale',
    swatch: 'bg-strata-8',
    next: { label: 'Write it in the log', to: null },
  },
];

export const lookOf = (id: Terrace): TerraceStyle =>
  TERRACE_STYLES[TERRACES.indexOf(id)] ?? (TERRACE_STYLES[0] as TerraceStyle);

export const isTerrace = (text: string | undefined): text is Terrace => TERRACES.some((t) => t === text);
