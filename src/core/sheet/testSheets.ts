import { english } from '@/words/english';
import type { PlacedLayer } from '../art/placedLayers';
import { STARTER_PAPERS } from '../demo/things';
import { printedOutline } from './parts';
import { contourArea } from '../geometry/contour';
import type { Paper } from '../shop/paper';
import { mainFace, type Pattern } from '../wrap/pattern';
import type { LayoutInput, SheetPart, SheetLayout } from './layout';
import { drawPage, type Page, type PageLabel, type Print } from './pages';

export const paperOf = (id: string): Paper => {
  const found = STARTER_PAPERS.find((p) => p.id === id);
  if (!found) throw new Error(`no paper ${id}`);
  return found;
};

const partOf = (pattern: Pattern, pieces: number): SheetPart => ({
  outline: printedOutline(pattern),
  box: pattern.whole,
  trimMm2: Math.abs(contourArea(mainFace(pattern).trim)),
  inkMm2: Math.abs(contourArea(mainFace(pattern).bleed)),
  pieces,
  alike: true,
});

export const equalMargins = (mm: number): LayoutInput['marginsMm'] => ({
  top: mm,
  right: mm,
  bottom: mm,
  left: mm,
});

export interface LayoutOverrides extends Partial<Omit<LayoutInput, 'parts' | 'marginsMm'>> {
  readonly pieces?: number;
  readonly marginMm?: number;
}

/** One wrap laid on A3 unless stated otherwise. */
export const layoutInput = (
  pattern: Pattern,
  { pieces = 1, marginMm = 3, ...over }: LayoutOverrides = {},
): LayoutInput => ({
  parts: [partOf(pattern, pieces)],
  paper: paperOf('a3'),
  marginsMm: equalMargins(marginMm),
  gapMm: 4,
  mirror: true,
  cut: 'knife',
  mayRotate: true,
  ...over,
});

export const printOf = (pattern: Pattern, placements: readonly PlacedLayer[] = []): Print => ({
  pattern,
  box: pattern.whole,
  panel: null,
  placedLayersOf: () => placements,
  nameOf: () => '',
});

/** Every distinct page of a layout. */
export const drawPages = (layout: SheetLayout, prints: readonly Print[], label: PageLabel): readonly Page[] =>
  layout.sheets.flatMap((_, at) => drawPage(layout, at, prints, label, english.text) ?? []);
