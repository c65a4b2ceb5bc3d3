import { type JobOnSheet, type ToDraw } from './jobOnSheet';
import { type Write } from '../../message/message';
import { sourcesOf, type Sources } from '../../art/items';
import { placeArt, type PlacedLayer } from '../../art/placedLayers';
import { drawPage, type Page, type Print } from '../../sheet/pages';
import type { Plan } from '../planShape';

export interface DrawnPages {
  readonly pages: readonly Page[];
  readonly sources: Sources;
}

/** Art of every piece, laid out once for each different row. */
function placedLayersByPiece({ art, board, pieces, placedLayers }: JobOnSheet) {
  const rows = new Map<readonly string[] | null, readonly PlacedLayer[]>([
    [pieces[0]?.row ?? null, placedLayers],
  ]);
  return (i: number): readonly PlacedLayer[] => {
    const row = pieces[i]?.row ?? null;
    const made = rows.get(row) ?? placeArt(art, board, row);
    rows.set(row, made);
    return made;
  };
}

interface Drawn {
  readonly print: Print;
  readonly of: JobOnSheet;
}

function printsOf({ jobs, panels }: ToDraw): readonly Drawn[] {
  return jobs.flatMap((of, i): readonly Drawn[] => {
    const { pattern, pieces } = of;
    const placedLayersOf = placedLayersByPiece(of);
    const nameOf = (at: number) => {
      const p = pieces[at];
      return p ? `${p.number} ${p.label}`.trim() : '';
    };
    const whole: Print = { pattern, box: pattern.whole, panel: null, placedLayersOf, nameOf };
    if (i > 0 || !panels) return [{ print: whole, of }];
    const many = panels.panels.length;
    return panels.panels.map(({ number, outline, box, ends }) => ({
      print: { ...whole, box, panel: { number, of: many, outline, ends } },
      of,
    }));
  });
}

/** Some sheets by their numbers from 0, and all that their pictures are drawn from. */
function draw(d: ToDraw, numbers: readonly number[], write: Write): DrawnPages {
  const drawn = printsOf(d);
  const prints = drawn.map((x) => x.print);
  const placed = numbers.flatMap((at) => d.layout.sheets[at]?.placements ?? []);
  const sources = placed.flatMap(({ part, piece }) => {
    const x = drawn[part];
    return x ? [sourcesOf(x.print.placedLayersOf(piece), x.of.board, x.of.pattern.bleed)] : [];
  });
  return {
    pages: numbers.flatMap((at) => drawPage(d.layout, at, prints, d.label, write) ?? []),
    sources: Object.assign({}, ...sources) as Sources,
  };
}

/** One sheet by its number from 0; nothing where there is none. */
export const drawSheet = (d: ToDraw, at: number, write: Write): DrawnPages => draw(d, [at], write);

/** Every distinct sheet: those alike are drawn once and say how often to print them. */
export const drawSheets = (d: ToDraw, write: Write): DrawnPages =>
  draw(
    d,
    d.layout.sheets.map((_, i) => i),
    write,
  );

/** A plan with every sheet drawn, for callers that cannot request them one by one. */
export interface WholePlan extends Plan {
  readonly sheet: Plan['sheet'] & DrawnPages;
}

export function withPages(p: Plan, write: Write): WholePlan {
  const { toDraw } = p.sheet;
  const drawn = toDraw ? drawSheets(toDraw, write) : { pages: [], sources: {} };
  return { ...p, sheet: { ...p.sheet, toDraw: null, ...drawn } };
}
