import * as z from 'zod/mini';
import {
  blankSchema,
  EDGES,
  FAMILIES,
  FINISHES,
  MATERIALS,
  PLAIN_FORMS,
  shapeSchema,
  STOCKS,
  WALLS,
  type Blank,
  type FlatOutline,
  type Hole,
  type Section,
} from '@/core/shop/blank';
import { colourSchema, nameSchema } from '@/core/shop/common';
import { formatQuantity, type LengthUnit, type UnitChoice } from '@/core/units/format';
import { parseLength } from '@/core/units/parse';
import { lengthText, linesText } from '../shop/shopForm';
import { fineMm, mm } from '@/core/units/quantity';

/** A length that may be left empty. */
const maybeLength = (unit: LengthUnit, label: string, min: number, max: number) =>
  z.pipe(
    z.string(),
    z.transform((text, ctx) => {
      if (text.trim() === '') return null;
      const read = lengthText(unit, label, min, max).safeParse(text);
      if (read.success) return read.data;
      ctx.issues.push({
        code: 'custom',
        message: read.error.issues[0]?.message ?? 'It cannot be read.',
        input: text,
      });
      return z.NEVER;
    }),
  );

/** Lines of parts between semicolons; the first may be a word, the rest lengths in the shop's unit (an angle where marked °). */
function partsText<T>(
  unit: LengthUnit,
  make: (word: string, numbers: readonly number[]) => T | null,
  how: string,
) {
  return z.pipe(
    z.string(),
    z.transform((text, ctx): T[] => {
      const made: T[] = [];
      for (const line of text.split('\n').filter((l) => l.trim() !== '')) {
        const [first = '', ...rest] = line.split(';').map((x) => x.trim());
        const numbers = rest.map((r) => {
          if (r.endsWith('°')) return Number(r.slice(0, -1));
          if (/^0+$/.test(r)) return 0;
          const parsed = parseLength(r, unit, line);
          return parsed.ok ? parsed.value.valueMm : NaN;
        });
        const one = numbers.some((v) => !Number.isFinite(v)) ? null : make(first, numbers);
        if (one === null) {
          ctx.issues.push({
            code: 'custom',
            message: `“${line.trim()}” cannot be read. Write ${how}.`,
            input: text,
          });
          return z.NEVER;
        }
        made.push(one);
      }
      return made;
    }),
  );
}

const holeOf = (word: string, [x, y, a, b]: readonly number[]): Hole | null => {
  if (x === undefined || y === undefined || a === undefined) return null;
  if (word === 'hole') return { form: 'round', xMm: x, yMm: y, acrossMm: a };
  if (word === 'slot' && b !== undefined) return { form: 'slot', xMm: x, yMm: y, widthMm: a, heightMm: b };
  return null;
};

const clearOf = (what: string, [fromRimMm, heightMm, aroundMm, atDeg]: readonly number[]) =>
  what === '' || fromRimMm === undefined || heightMm === undefined
    ? null
    : { what, fromRimMm, heightMm, aroundMm: aroundMm ?? null, atDeg: atDeg ?? 0 };

const OUTLINE_FORMS = ['rectangle', ...PLAIN_FORMS, 'drawn'] as const;

/** A blank typed in: texts in, checked parts out. Fields of the other kind are left alone. */
export const blankFormSchema = (unit: LengthUnit) =>
  z.object({
    name: nameSchema,
    family: z.enum(FAMILIES),
    material: z.enum(MATERIALS),
    wall: z.enum(WALLS),
    wallMm: lengthText(unit, 'Thickness', 0.2, 60),
    kind: z.enum(['round', 'flat']),
    acrossMm: maybeLength(unit, 'Across', 5, 400),
    acrossFootMm: maybeLength(unit, 'Across at the foot', 5, 400),
    heightMm: maybeLength(unit, 'Height', 5, 1300),
    lipMm: lengthText(unit, 'Lip', 0, 400),
    footMm: lengthText(unit, 'Foot', 0, 400),
    between: partsText(
      unit,
      (word, [acrossMm]) => {
        const at = parseLength(word, unit, 'Widths between');
        return at.ok && acrossMm !== undefined ? { fromRimMm: at.value.valueMm, acrossMm } : null;
      },
      'height below the rim; width there',
    ),
    handleWidthMm: maybeLength(unit, 'Handle width', 3, 80),
    handleFromMm: maybeLength(unit, 'Handle, below the rim', 0, 400),
    handleHeightMm: maybeLength(unit, 'Handle height', 5, 400),
    handleReachMm: maybeLength(unit, 'Handle, out from the wall', 5, 120),
    keepClear: partsText(unit, clearOf, 'what; below the rim; height, and for a patch its width and angle°'),
    openEnds: z.boolean(),
    outline: z.enum(OUTLINE_FORMS),
    widthMm: maybeLength(unit, 'Width', 5, 1300),
    cornerMm: lengthText(unit, 'Corner', 0, 400),
    holes: partsText(
      unit,
      holeOf,
      'hole; across from the left; down from the top; width (slots: and height)',
    ),
    faces: z.enum(['1', '2']),
    edge: z.enum(EDGES),
    colour: colourSchema,
    finish: z.enum(FINISHES),
    stock: z.enum(STOCKS),
    film: z.boolean(),
    takeOff: linesText,
    finishing: linesText,
    cautions: linesText,
    needs: linesText,
  });

export type BlankFormIn = z.input<ReturnType<typeof blankFormSchema>>;
export type BlankFormOut = z.output<ReturnType<typeof blankFormSchema>>;

/** What a form cannot hold as text: an outline and holes out of a drawing. */
export interface Drawn {
  readonly points: Extract<FlatOutline, { form: 'drawn' }>['points'];
  readonly holes: readonly Hole[];
}

export const NOTHING_DRAWN: Drawn = { points: [], holes: [] };

export function drawnOf(b: Blank | null): Drawn {
  if (b?.shape.kind !== 'flat') return NOTHING_DRAWN;
  const { outline, holes } = b.shape;
  return {
    points: outline.form === 'drawn' ? outline.points : [],
    holes: holes.filter((h) => h.form === 'drawn'),
  };
}

const EMPTY: Omit<BlankFormIn, 'wallMm' | 'lipMm' | 'footMm'> = {
  name: '',
  family: 'tumbler',
  material: 'steel',
  wall: 'vacuum',
  kind: 'round',
  acrossMm: '',
  acrossFootMm: '',
  heightMm: '',
  between: '',
  handleWidthMm: '',
  handleFromMm: '',
  handleHeightMm: '',
  handleReachMm: '',
  keepClear: '',
  openEnds: false,
  outline: 'rectangle',
  widthMm: '',
  cornerMm: '0',
  holes: '',
  faces: '1',
  edge: 'plain',
  colour: '#ffffff',
  finish: 'gloss',
  stock: 'opaque',
  film: false,
  takeOff: '',
  finishing: '',
  cautions: '',
  needs: '',
};

export function toForm(b: Blank | null, units: UnitChoice): BlankFormIn {
  const len = (v: number, fine = false) => formatQuantity(fine ? fineMm(v) : mm(v), units).number;
  const base = { ...EMPTY, wallMm: len(b?.wallMm ?? 0.5, true), lipMm: len(5), footMm: len(6) };
  if (!b) return { ...base, takeOff: 'lid' };
  const { shape, coating } = b;
  const common: BlankFormIn = {
    ...base,
    name: b.name,
    family: b.family,
    material: b.material,
    wall: b.wall,
    ...coating,
    film: b.film,
    takeOff: b.takeOff.join('\n'),
    finishing: b.finish.join('\n'),
    cautions: b.cautions.join('\n'),
    needs: b.needs.join('\n'),
  };
  if (shape.kind === 'flat') {
    const { outline } = shape;
    const holeLine = (h: Hole): string[] => {
      if (h.form === 'drawn') return [];
      const at = `${len(h.xMm)}; ${len(h.yMm)}`;
      return [
        h.form === 'round'
          ? `hole; ${at}; ${len(h.acrossMm)}`
          : `slot; ${at}; ${len(h.widthMm)}; ${len(h.heightMm)}`,
      ];
    };
    return {
      ...common,
      kind: 'flat',
      outline: outline.form,
      widthMm: len(outline.widthMm),
      heightMm: len(outline.heightMm),
      cornerMm: len(outline.form === 'rectangle' ? outline.cornerMm : 0),
      holes: shape.holes.flatMap(holeLine).join('\n'),
      faces: shape.faces === 2 ? '2' : '1',
      edge: shape.edge,
    };
  }
  const first = shape.sections[0] as Section;
  const last = shape.sections.at(-1) as Section;
  const h = shape.handle;
  return {
    ...common,
    kind: 'round',
    acrossMm: len(first.acrossMm),
    acrossFootMm: last.acrossMm === first.acrossMm ? '' : len(last.acrossMm),
    heightMm: len(shape.heightMm),
    lipMm: len(first.fromRimMm),
    footMm: len(shape.heightMm - last.fromRimMm),
    between: shape.sections
      .slice(1, -1)
      .map((v) => `${len(v.fromRimMm)}; ${len(v.acrossMm)}`)
      .join('\n'),
    handleWidthMm: h ? len(h.widthMm) : '',
    handleFromMm: h ? len(h.fromRimMm) : '',
    handleHeightMm: h ? len(h.heightMm) : '',
    handleReachMm: h ? len(h.reachMm) : '',
    keepClear: shape.keepClear
      .map((z1) =>
        [
          z1.what,
          len(z1.fromRimMm),
          len(z1.heightMm),
          ...(z1.aroundMm === null ? [] : [len(z1.aroundMm), `${z1.atDeg}°`]),
        ].join('; '),
      )
      .join('\n'),
    openEnds: shape.openEnds,
  };
}

/** The shape as typed so far; a problem names the field to mend. */
export function shapeFrom(f: BlankFormOut, drawn: Drawn): z.core.util.SafeParseResult<Blank['shape']> {
  const raw =
    f.kind === 'flat'
      ? {
          kind: 'flat',
          outline: {
            form: f.outline,
            widthMm: f.widthMm,
            heightMm: f.heightMm,
            ...(f.outline === 'rectangle' ? { cornerMm: f.cornerMm } : {}),
            ...(f.outline === 'drawn' ? { points: drawn.points } : {}),
          },
          holes: [...f.holes, ...drawn.holes],
          faces: Number(f.faces),
          edge: f.edge,
        }
      : {
          kind: 'round',
          heightMm: f.heightMm,
          sections: [
            { fromRimMm: f.lipMm, acrossMm: f.acrossMm },
            ...f.between,
            { fromRimMm: (f.heightMm ?? 0) - f.footMm, acrossMm: f.acrossFootMm ?? f.acrossMm },
          ],
          handle:
            f.handleWidthMm === null
              ? null
              : {
                  widthMm: f.handleWidthMm,
                  fromRimMm: f.handleFromMm ?? f.lipMm + 10,
                  heightMm: f.handleHeightMm ?? 0.65 * (f.heightMm ?? 0),
                  reachMm: f.handleReachMm ?? 32,
                },
          openEnds: f.openEnds,
          keepClear: f.keepClear,
        };
  return shapeSchema.safeParse(raw);
}

const FIELD_OF: Readonly<Record<string, keyof BlankFormIn>> = {
  sections: 'footMm',
  handle: 'handleWidthMm',
  heightMm: 'heightMm',
  widthMm: 'widthMm',
  points: 'outline',
  outline: 'widthMm',
  holes: 'holes',
  keepClear: 'keepClear',
};

/** Which field a shape's problem belongs to, and what it says. */
export function shapeProblem(error: z.core.$ZodError): {
  readonly field: keyof BlankFormIn;
  readonly message: string;
} {
  const issue = error.issues[0];
  const path = issue?.path.map(String) ?? [];
  const across = path.includes('acrossMm');
  const key = [...path].reverse().find((k) => k in FIELD_OF) ?? 'heightMm';
  return {
    field: across ? 'acrossMm' : (FIELD_OF[key] ?? 'heightMm'),
    message:
      across || issue?.code === 'invalid_type'
        ? 'This is still needed.'
        : (issue?.message ?? 'The shape does not close.'),
  };
}

export const fromForm = (f: BlankFormOut, shape: Blank['shape'], id: string): Blank =>
  blankSchema.parse({
    id,
    name: f.name,
    family: f.family,
    shape,
    material: f.material,
    wall: f.kind === 'flat' ? 'single' : f.wall,
    wallMm: f.wallMm,
    coating: { colour: f.colour, finish: f.finish, stock: f.stock },
    takeOff: f.takeOff,
    film: f.film,
    cautions: f.cautions.slice(0, 8),
    finish: f.finishing,
    needs: f.needs.slice(0, 8),
  });
