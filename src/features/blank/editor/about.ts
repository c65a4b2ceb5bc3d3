import { issueText, rule } from '@/core/basics/rule';
import { say } from '@/core/message/message';
import * as z from 'zod/mini';
import { blankSchema, FAMILIES, FINISHES, MATERIALS, STOCKS, WALLS, type Blank } from '@/core/shop/blank';
import { colourSchema, nameSchema } from '@/core/shop/common';
import { fail, ok, type Result } from '@/core/basics/result';
import type { LengthUnit } from '@/core/units/format';
import { lengthText, linesText, optionalMoneyText, type ShownLengths } from '../../shop/shopForm';
import type { Start } from './starts';

/** What is said of a blank besides its shape: texts in, checked parts out. */
export const aboutSchema = (unit: LengthUnit, shown: ShownLengths) =>
  z.object({
    name: nameSchema,
    family: z.enum(FAMILIES),
    material: z.enum(MATERIALS),
    wall: z.enum(WALLS),
    wallMm: lengthText(unit, say('common.thickness'), 0.2, 60, shown),
    colour: colourSchema,
    finish: z.enum(FINISHES),
    stock: z.enum(STOCKS),
    film: z.boolean(),
    takeOff: linesText,
    finishing: linesText,
    cautions: linesText,
    needs: linesText,
    costCents: optionalMoneyText,
    supplier: z.string().check(z.maxLength(80, rule('fields.keepUnder80Letters'))),
  });
export type AboutIn = z.input<ReturnType<typeof aboutSchema>>;
export type AboutOut = z.output<ReturnType<typeof aboutSchema>>;

export function aboutOf(blank: Blank | null, start: Start, shown: ShownLengths): AboutIn {
  const wallMm = shown.show(
    say('common.thickness'),
    blank?.wallMm ?? (start.kind === 'round' ? 0.5 : 3),
    true,
  );
  if (!blank)
    return {
      name: '',
      family: start.family,
      material: start.material,
      wall: start.family === 'tumbler' ? 'vacuum' : 'single',
      wallMm,
      colour: '#ffffff',
      finish: 'gloss',
      stock: 'opaque',
      film: false,
      takeOff: start.family === 'tumbler' ? 'lid' : '',
      finishing: '',
      cautions: '',
      needs: '',
      costCents: '',
      supplier: '',
    };
  return {
    name: blank.name,
    family: blank.family,
    material: blank.material,
    wall: blank.wall,
    wallMm,
    ...blank.coating,
    film: blank.film,
    takeOff: blank.takeOff.join('\n'),
    finishing: blank.finish.join('\n'),
    cautions: blank.cautions.join('\n'),
    needs: blank.needs.join('\n'),
    costCents: blank.costCents === null ? '' : (blank.costCents / 100).toFixed(2),
    supplier: blank.supplier,
  };
}

/** The whole blank; a problem where its parts do not go together. */
export function blankFrom(about: AboutOut, shape: Blank['shape'], id: string): Result<Blank> {
  const made = blankSchema.safeParse({
    id,
    name: about.name,
    family: about.family,
    shape,
    material: about.material,
    wall: shape.kind === 'flat' ? 'single' : about.wall,
    wallMm: about.wallMm,
    coating: { colour: about.colour, finish: about.finish, stock: about.stock },
    takeOff: about.takeOff,
    film: about.film,
    cautions: about.cautions.slice(0, 8),
    finish: about.finishing,
    needs: about.needs.slice(0, 8),
    costCents: about.costCents,
    supplier: about.supplier.trim(),
  });
  const issue = made.error?.issues[0];
  return made.success
    ? ok(made.data)
    : fail(
        issue ? issueText(issue.message) : say('blank.somethingDoesFit'),
        issue ? String(issue.path[0]) : say('common.blank'),
        say('blank.changeIt'),
      );
}
