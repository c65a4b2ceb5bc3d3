import * as z from 'zod';

/** Shared field schemas. Limits are wide enough for any bench and narrow enough to catch a slip. */
export const idSchema = z.string().regex(/^[a-z0-9][a-z0-9-]{0,63}$/, 'An id is letters, digits and dashes.');
export const nameSchema = z.string().trim().min(1, 'Give it a name.').max(80, 'Keep the name under 80 letters.');
export const noteSchema = z.string().max(2000);
export const lineSchema = z.string().trim().min(1).max(160);
export const mmSchema = (min: number, max: number) =>
  z.number().min(min, `At least ${min} mm.`).max(max, `At most ${max} mm.`);
export const colourSchema = z.string().regex(/^#[0-9a-f]{6}$/i, 'A colour is written #rrggbb.');
export const daySchema = z.iso.date();
export const momentSchema = z.number().int().min(0).max(8.64e15);
