import * as z from 'zod/mini';
import { MATERIALS, straightShapeSchema, WALLS, type Blank } from '@/core/shop/blank';
import { colourSchema, nameSchema } from '@/core/shop/common';
import { formatQuantity, type LengthUnit, type UnitChoice } from '@/core/units/format';
import { parseLength } from '@/core/units/parse';
import { fineMm, mm } from '@/core/units/quantity';

/** A length typed into a form, in mm between two ends. Zero is allowed where `min` is 0. */
export const lengthText = (unit: LengthUnit, label: string, min: number, max: number) =>
  z.pipe(
    z.string(),
    z.transform((text, ctx) => {
      const refuse = (message: string) => {
        ctx.issues.push({ code: 'custom', message, input: text });
        return z.NEVER;
      };
      if (min === 0 && /^0*(?:[.,]0*)?$/.test(text.trim())) return 0;
      const parsed = parseLength(text, unit, label);
      if (!parsed.ok) return refuse(`${parsed.problem.what} ${parsed.problem.wayOut}`);
      const { valueMm } = parsed.value;
      if (valueMm < min || valueMm > max)
        return refuse(`Between ${min} and ${max} mm; this reads as ${Math.round(valueMm * 10) / 10} mm.`);
      return valueMm;
    }),
  );

export const linesText = z.pipe(
  z.string(),
  z.transform((text) =>
    text
      .split('\n')
      .map((l) => l.trim())
      .filter((l) => l !== '')
      .slice(0, 12)
      .map((l) => l.slice(0, 160)),
  ),
);

/** The form of a straight round blank: texts in, checked blank parts out. */
export const blankFormSchema = (unit: LengthUnit) =>
  z
    .object({
      name: nameSchema,
      family: z.enum(['tumbler', 'bottle', 'can sleeve', 'glass', 'cup']),
      material: z.enum(MATERIALS),
      wall: z.enum(WALLS),
      wallMm: lengthText(unit, 'Wall thickness', 0.2, 15),
      diameterMm: lengthText(unit, 'Across', 20, 200),
      heightMm: lengthText(unit, 'Height', 30, 400),
      lipMm: lengthText(unit, 'Lip', 0, 100),
      footMm: lengthText(unit, 'Foot', 0, 100),
      colour: colourSchema,
      finish: z.enum(['gloss', 'matte']),
      film: z.boolean(),
      takeOff: linesText,
      finishing: linesText,
    })
    .check((ctx) => {
      const { diameterMm, heightMm, lipMm, footMm } = ctx.value;
      const shape = straightShapeSchema.safeParse({ kind: 'straight', diameterMm, heightMm, lipMm, footMm });
      if (!shape.success)
        ctx.issues.push({
          code: 'custom',
          path: ['footMm'],
          message: shape.error.issues[0]?.message ?? 'The shape does not close.',
          input: footMm,
        });
    });

export type BlankFormIn = z.input<ReturnType<typeof blankFormSchema>>;
export type BlankFormOut = z.output<ReturnType<typeof blankFormSchema>>;

export function toForm(b: Blank | null, units: UnitChoice): BlankFormIn {
  const len = (v: number, fine = false) => formatQuantity(fine ? fineMm(v) : mm(v), units).number;
  if (!b) {
    return {
      name: '',
      family: 'tumbler',
      material: 'steel',
      wall: 'vacuum',
      wallMm: len(0.5, true),
      diameterMm: '',
      heightMm: '',
      lipMm: len(5),
      footMm: len(6),
      colour: '#ffffff',
      finish: 'gloss',
      film: false,
      takeOff: 'lid',
      finishing: '',
    };
  }
  const { shape } = b;
  return {
    name: b.name,
    family: b.family,
    material: b.material,
    wall: b.wall,
    wallMm: len(b.wallMm, true),
    diameterMm: len(shape.diameterMm),
    heightMm: len(shape.heightMm),
    lipMm: len(shape.lipMm),
    footMm: len(shape.footMm),
    colour: b.coating.colour,
    finish: b.coating.finish,
    film: b.film,
    takeOff: b.takeOff.join('\n'),
    finishing: b.finish.join('\n'),
  };
}

export const fromForm = (f: BlankFormOut, id: string, keepClear: Blank['keepClear']): Blank => ({
  id,
  name: f.name,
  family: f.family,
  shape: {
    kind: 'straight',
    diameterMm: f.diameterMm,
    heightMm: f.heightMm,
    lipMm: f.lipMm,
    footMm: f.footMm,
  },
  material: f.material,
  wall: f.wall,
  wallMm: f.wallMm,
  coating: { colour: f.colour, finish: f.finish },
  takeOff: f.takeOff,
  film: f.film,
  keepClear,
  finish: f.finishing,
});
