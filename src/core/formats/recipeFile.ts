import { WRITTEN_BY } from '../basics/version';
import { FINISH_WORDS, MATERIAL_WORDS } from '../shop/kindWords';
import { say } from '../message/message';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import { fail, ok, type Result } from '../basics/result';
import { FINISHES, MATERIALS, WALLS, type Blank } from '../shop/blank';
import { lineSchema, mmSchema, momentSchema, nameSchema } from '../shop/common';
import { heatSettingsSchema } from '../shop/heatSettings';
import { loadSchema } from '../shop/load';
import { PRESS_KINDS } from '../shop/press';
import { readFile, type FileKind, writtenBySchema, sayWriter } from './file';

/** One recipe to hand on: what was set, on what, what it proved, and the dose it gave, so that another press can be set to the same. */
const recipeFileSchema = z.strictObject({
  format: z.literal('mesa-drift.recipe'),
  version: z.literal(2),
  writtenBy: writtenBySchema,
  savedAt: momentSchema,
  shopName: nameSchema,
  blank: z.strictObject({
    name: nameSchema,
    material: z.enum(MATERIALS),
    finish: z.enum(FINISHES),
    wall: z.enum(WALLS),
    wallMm: mmSchema(0.2, 60),
  }),
  press: z.strictObject({ name: nameSchema, kind: z.enum(PRESS_KINDS), heater: z.nullable(nameSchema) }),
  settings: heatSettingsSchema,
  load: z.nullable(loadSchema),
  goodPieces: z.int().check(z.gte(0), z.lte(10_000_000)),
  /** Seconds at 200 °C at the least and the most heated printed place, by the model of the shop it comes from; null where it had none. */
  dose: z.nullable(
    z.strictObject({
      leastS: z.number().check(z.gt(0), z.lte(100_000)),
      mostS: z.number().check(z.gt(0), z.lte(100_000)),
    }),
  ),
  steps: z.array(lineSchema).check(z.maxLength(60)),
  cautions: z.array(lineSchema).check(z.maxLength(30)),
});
export type RecipeFile = z.infer<typeof recipeFileSchema>;

const RECIPE_FILE: FileKind<RecipeFile> = {
  format: 'mesa-drift.recipe',
  noun: say('files.recipeFile'),
  version: 2,
  schema: recipeFileSchema,
  upgrades: [sayWriter],
};

/** What a recipe file says of the recipe. */
export type RecipeContents = Omit<RecipeFile, 'format' | 'version' | 'writtenBy'>;

export const recipeJson = (recipe: RecipeContents): string =>
  `${JSON.stringify(recipeFileSchema.parse({ format: 'mesa-drift.recipe', version: 2, writtenBy: WRITTEN_BY, ...recipe }), null, 1)}\n`;

/** Reads a recipe for a blank: one for another coating is refused, since its dose says nothing of this one. */
export function readRecipeFor(text: string, blank: Blank): Result<RecipeFile> {
  const r = readFile(text, RECIPE_FILE);
  if (!r.ok) return r;
  const { material, finish } = r.value.blank;
  if (material === blank.material && finish === blank.coating.finish) return ok(r.value);
  return fail(
    say('files.recipeBlankJob', {
      finish: FINISH_WORDS[finish],
      material: MATERIAL_WORDS[material],
      finish2: FINISH_WORDS[blank.coating.finish],
      material2: MATERIAL_WORDS[blank.material],
    }),
    say('files.recipeFile'),
    say('files.anotherCoatingNeedsAnother'),
  );
}
