import '../basics/zodSetup';
import * as z from 'zod/mini';

/** Shared field schemas. Limits are wide enough for any bench and narrow enough to catch a slip. */
export const idSchema = z
  .string()
  .check(z.regex(/^[a-z0-9][a-z0-9-]{0,63}$/, 'An id is letters, digits and dashes.'));
export const nameSchema = z
  .string()
  .check(z.trim(), z.minLength(1, 'Give it a name.'), z.maxLength(80, 'Keep the name under 80 letters.'));
export const noteSchema = z.string().check(z.maxLength(2000));
export const lineSchema = z.string().check(z.trim(), z.minLength(1), z.maxLength(160));
export const mmSchema = (min: number, max: number) =>
  z.number().check(z.gte(min, `At least ${min} mm.`), z.lte(max, `At most ${max} mm.`));
export const colourSchema = z.string().check(z.regex(/^#[0-9a-f]{6}$/i, 'A colour is written #rrggbb.'));
export const daySchema = z.iso.date();
export const momentSchema = z.int().check(z.gte(0), z.lte(8.64e15));
