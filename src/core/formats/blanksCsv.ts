import { say } from '../message/message';
import Papa from 'papaparse';
import { blankSchema, type Blank, type Hole } from '../shop/blank';
import { fail, ok, type Result } from '../basics/result';
import { decimalOf } from '../units/number';
import { csvTable, plainCell } from './csv';
import { firstIssue } from './file';

/**
 * Blanks as a table, a row each, lengths in mm as the headings say. Lists stand a line each in their cell; a wall is `height:width` pairs, a
 * handle `width height from reach`, holes `round x y across` or `slot x y width height`.
 */
const HEADINGS = [
  'id',
  'name',
  'family',
  'material',
  'wall',
  'thickness mm',
  'kind',
  'height mm',
  'wall diameters mm',
  'handle mm',
  'open ends',
  'exclusion zones mm',
  'outline',
  'width mm',
  'corner mm',
  'outline points mm',
  'holes mm',
  'faces',
  'edge',
  'colour',
  'finish',
  'stock',
  'film',
  'take off',
  'cautions',
  'to finish',
  'needs',
  'costs',
  'supplier',
] as const;
/** Headings as tables of before had them. */
const FORMER_HEADINGS: Readonly<Record<string, string>> = {
  'wall widths mm': 'wall diameters mm',
  'stay clear mm': 'exclusion zones mm',
};

type Row = Partial<Record<(typeof HEADINGS)[number], string>>;

const yes = (v: boolean): string => (v ? 'yes' : 'no');
const joined = (list: readonly string[]): string => list.join('\n');
const pairs = (points: readonly (readonly [number, number])[]): string =>
  points.map((p) => p.join(':')).join(' ');

function holeText(h: Hole): string {
  if (h.form === 'round') return `round ${h.xMm} ${h.yMm} ${h.diameterMm}`;
  if (h.form === 'slot') return `slot ${h.xMm} ${h.yMm} ${h.widthMm} ${h.heightMm}`;
  return `drawn ${pairs(h.points)}`;
}

function shapeCells(b: Blank): Row {
  const { shape } = b;
  if (shape.kind === 'flat') {
    const { outline, holes, faces, edge } = shape;
    return {
      kind: 'flat',
      outline: outline.form,
      'width mm': String(outline.widthMm),
      'height mm': String(outline.heightMm),
      'corner mm': outline.form === 'rectangle' ? String(outline.cornerMm) : '',
      'outline points mm': outline.form === 'drawn' ? pairs(outline.points) : '',
      'holes mm': joined(holes.map(holeText)),
      faces: String(faces),
      edge,
    };
  }
  const h = shape.handle;
  return {
    kind: 'round',
    'height mm': String(shape.heightMm),
    'wall diameters mm': pairs(shape.sections.map((s) => [s.fromRimMm, s.diameterMm])),
    'handle mm': h ? `${h.widthMm} ${h.heightMm} ${h.fromRimMm} ${h.reachMm}` : '',
    'open ends': yes(shape.openEnds),
    'exclusion zones mm': joined(
      shape.exclusionZones.map(
        (z) => `${z.fromRimMm} ${z.heightMm} ${z.widthMm ?? 'round'} ${z.atDeg} ${z.what}`,
      ),
    ),
  };
}

/** The table as CSV. Cells that a spreadsheet would run as formulas are defused. */
export function blanksCsv(blanks: readonly Blank[]): string {
  const rows = blanks.map((b): Row => ({
    id: b.id,
    name: b.name,
    family: b.family,
    material: b.material,
    wall: b.wall,
    'thickness mm': String(b.wallMm),
    ...shapeCells(b),
    colour: b.coating.colour,
    finish: b.coating.finish,
    stock: b.coating.stock,
    film: yes(b.film),
    'take off': joined(b.takeOff),
    cautions: joined(b.cautions),
    'to finish': joined(b.finish),
    needs: joined(b.needs),
    costs: b.costCents === null ? '' : (b.costCents / 100).toFixed(2),
    supplier: b.supplier,
  }));
  return csvTable(HEADINGS, rows);
}

/** Takes back the apostrophe that defused a formula. */
const plainText = (v: string | undefined): string => plainCell(v).trim();
const splitList = (v: string | undefined): string[] =>
  plainText(v)
    .split('\n')
    .map((x) => x.trim())
    .filter((x) => x !== '');
const num = (v: string | undefined): number => decimalOf(plainText(v)) ?? NaN;
const numbers = (v: string): number[] => v.split(/\s+/).map(num);
const points = (v: string): number[][] =>
  v
    .split(/\s+/)
    .filter((x) => x !== '')
    .map((p) => p.split(':').map(num));

function holeOf(text: string): unknown {
  const [form, ...rest] = text.split(/\s+/);
  const [xMm, yMm, a, b] = rest.map(Number);
  if (form === 'round') return { form, xMm, yMm, diameterMm: a };
  if (form === 'slot') return { form, xMm, yMm, widthMm: a, heightMm: b };
  return { form: 'drawn', points: points(rest.join(' ')) };
}

function zoneOf(text: string): unknown {
  const [from, height, around, at, ...what] = text.split(/\s+/);
  return {
    what: what.join(' '),
    fromRimMm: Number(from),
    heightMm: Number(height),
    widthMm: around === 'round' ? null : Number(around),
    atDeg: Number(at),
  };
}

function shapeOf(r: Row): unknown {
  if (plainText(r.kind) === 'flat') {
    const form = plainText(r.outline);
    const box = { form, widthMm: num(r['width mm']), heightMm: num(r['height mm']) };
    return {
      kind: 'flat',
      outline:
        form === 'rectangle'
          ? { ...box, cornerMm: num(r['corner mm']) || 0 }
          : form === 'drawn'
            ? { ...box, points: points(plainText(r['outline points mm'])) }
            : box,
      holes: splitList(r['holes mm']).map(holeOf),
      faces: num(r.faces) || 1,
      edge: plainText(r.edge) || 'plain',
    };
  }
  const [widthMm, heightMm, fromRimMm, reachMm] = numbers(plainText(r['handle mm']));
  return {
    kind: 'round',
    heightMm: num(r['height mm']),
    sections: points(plainText(r['wall diameters mm'])).map(([fromRim, across]) => ({
      fromRimMm: fromRim,
      diameterMm: across,
    })),
    handle: plainText(r['handle mm']) === '' ? null : { widthMm, fromRimMm, heightMm, reachMm },
    openEnds: plainText(r['open ends']) === 'yes',
    exclusionZones: splitList(r['exclusion zones mm']).map(zoneOf),
  };
}

/** A name made fit for an id, where the row brings none. */
const idFrom = (name: string, row: number): string =>
  `${
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 40) || 'blank'
  }-${row}`;

/** Blanks out of such a table. All or nothing: the first row that is wrong is named with what is wrong in it. */
export function readBlanksCsv(text: string): Result<readonly Blank[]> {
  const where = say('files.blanksTable');
  const way = say('files.correctRowImport');
  const parsed = Papa.parse<Row>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => FORMER_HEADINGS[h] ?? h,
  });
  // A quote that is never closed swallows every line after it.
  const broken = parsed.errors.find((e) => e.type === 'Quotes');
  if (broken) return fail(say('files.quoteOpensAfterRow', { row: (broken.row ?? 0) + 2 }), where, way);
  const ragged = parsed.errors.find((e) => e.type === 'FieldMismatch');
  if (ragged) return fail(say('files.rowHasManyCells', { row: (ragged.row ?? 0) + 2 }), where, way);
  const headings = parsed.meta.fields ?? [];
  if (!headings.includes('name') || !headings.includes('kind'))
    return fail(say('files.hasColumnsNameKind'), where, say('files.startFromTableSaved'));
  if (parsed.data.length === 0) return fail(say('files.hasRows'), where, say('files.nothingWasChanged'));
  if (parsed.data.length > 5000)
    return fail(say('files.hasMoreThan5'), where, say('common.splitNothingWasChanged'));
  const blanks: Blank[] = [];
  for (const [i, r] of parsed.data.entries()) {
    const name = plainText(r.name);
    const made = blankSchema.safeParse({
      id: plainText(r.id) || idFrom(name, i + 1),
      name,
      family: plainText(r.family),
      shape: shapeOf(r),
      material: plainText(r.material),
      wall: plainText(r.wall) || 'single',
      wallMm: num(r['thickness mm']),
      coating: {
        colour: plainText(r.colour) || '#ffffff',
        finish: plainText(r.finish) || 'gloss',
        stock: plainText(r.stock) || 'opaque',
      },
      takeOff: splitList(r['take off']),
      film: plainText(r.film) === 'yes',
      cautions: splitList(r.cautions),
      finish: splitList(r['to finish']),
      needs: splitList(r.needs),
      costCents: plainText(r.costs) === '' ? null : Math.round(num(r.costs) * 100),
      supplier: plainText(r.supplier),
    });
    if (!made.success)
      return fail(
        name
          ? say('files.rowNamed', { row: i + 2, name, problem: firstIssue(made.error) })
          : say('files.rowProblem', { row: i + 2, problem: firstIssue(made.error) }),
        where,
        way,
      );
    blanks.push(made.data);
  }
  return ok(blanks);
}
