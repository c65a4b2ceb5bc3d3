import { mm } from '../message/quantity';
import { rule } from '../basics/rule';
import '../basics/zodSetup';
import * as z from 'zod/mini';

/** Shared field schemas. Limits are wide enough for any shop and narrow enough to catch a slip. */
export const idSchema = z
  .string()
  .check(z.regex(/^[a-z0-9][a-z0-9-]{0,63}$/, rule('fields.idLettersDigitsDashes')));
export const nameSchema = z
  .string()
  .check(z.trim(), z.minLength(1, rule('fields.giveName')), z.maxLength(80, rule('fields.keepNameUnder80')));
export const noteSchema = z.string().check(z.maxLength(2000));
export const lineSchema = z.string().check(z.trim(), z.minLength(1), z.maxLength(160));
export const mmSchema = (min: number, max: number) =>
  z
    .number()
    .check(
      z.gte(min, rule('fields.atLeastMm', { least: mm(min) })),
      z.lte(max, rule('fields.atMostMm', { most: mm(max) })),
    );
export const colourSchema = z.string().check(z.regex(/^#[0-9a-f]{6}$/i, rule('fields.colourWrittenRrggbb')));
export const daySchema = z.iso.date();
export const momentSchema = z.int().check(z.gte(0), z.lte(8.64e15));
