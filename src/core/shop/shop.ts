import '../basics/zodSetup';
import * as z from 'zod/mini';
import { blankSchema } from './blank';
import { paperSchema } from './paper';
import { pressSchema } from './press';
import { logEntrySchema, recipeSchema } from './records';
import { runSchema } from './run';
import { settingsSchema } from './settings';

/** The shop's own things, everything a plan may draw on besides the job. */
export const shopSchema = z.strictObject({
  settings: settingsSchema,
  blanks: z.array(blankSchema),
  presses: z.array(pressSchema),
  papers: z.array(paperSchema),
  recipes: z.array(recipeSchema),
  log: z.array(logEntrySchema),
  runs: z.array(runSchema),
});
export type Shop = z.infer<typeof shopSchema>;

/** The same shop with its things by name, so that lists stand still and every reader finds them in one order. */
export function byName(shop: Shop): Shop {
  const sorted = <T extends { readonly name: string }>(things: readonly T[]): T[] =>
    [...things].sort((a, b) => a.name.localeCompare(b.name));
  return {
    ...shop,
    blanks: sorted(shop.blanks),
    presses: sorted(shop.presses),
    papers: sorted(shop.papers),
  };
}
