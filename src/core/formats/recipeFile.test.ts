import { WRITTEN_BY } from '../basics/version';
import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import { LIBRARY } from '../library/library';
import type { Blank } from '../shop/blank';
import { readRecipeFor, recipeJson, type RecipeContents } from './recipeFile';

const blank = (id: string): Blank => {
  const b = LIBRARY.find((x) => x.id === id);
  if (!b) throw new Error(id);
  return b;
};
const CUP = blank('straight-steel-590');
const RECIPE: RecipeContents = {
  savedAt: 1_790_000_000_000,
  shopName: 'Dry Fork Bench',
  blank: { name: CUP.name, material: 'steel', finish: CUP.coating.finish, wall: 'vacuum', wallMm: 0.5 },
  press: { name: 'Tumbler press A', kind: 'tumbler', heater: 'Wide heater' },
  settings: {
    platenC: 188,
    dwellS: 65,
    laterDwellS: null,
    passes: 2,
    timerStart: 'from-closing',
    pressure: 'medium',
    peel: 'hot',
    coolDownC: 170,
  },
  load: null,
  goodPieces: 38,
  dose: { leastS: 36, mostS: 78 },
  steps: ['Wipe with alcohol'],
  cautions: ['Gloves both hands'],
};
const refusal = (text: string, b: Blank = CUP): string => {
  const r = readRecipeFor(text, b);
  return r.ok ? 'opened' : `${english.text(r.problem.what)} ${english.text(r.problem.wayOut)}`;
};

test('a recipe written and read again is the same recipe', () => {
  const r = readRecipeFor(recipeJson(RECIPE), CUP);
  expect(r.ok && r.value).toEqual({
    format: 'mesa-drift.recipe',
    version: 2,
    writtenBy: WRITTEN_BY,
    ...RECIPE,
  });
});

test('a recipe for another coating is refused in words: its dose says nothing of this one', () => {
  expect(inEnglish(refusal(recipeJson(RECIPE), blank('mug-325')))).toMatch(
    /is for .* steel; the blank of this job is .* ceramic.*Nothing was changed/,
  );
  const matte = {
    ...CUP,
    coating: { ...CUP.coating, finish: CUP.coating.finish === 'matte' ? 'gloss' : 'matte' } as const,
  };
  expect(refusal(recipeJson(RECIPE), matte)).toMatch(/Another coating needs another dose/);
});

test('another file, a newer one, a cut one and a wrong one are each said for what they are', () => {
  expect(inEnglish(refusal('{"format":"mesa-drift.job","version":6}'))).toMatch(/not a recipe file/);
  expect(refusal(recipeJson(RECIPE).replace('"version": 2', '"version": 3'))).toMatch(
    /version 3.*reads up to 2/,
  );
  expect(refusal(recipeJson(RECIPE).slice(0, 80))).toMatch(/cut short/);
  expect(refusal(recipeJson(RECIPE).replace('"platenC": 188', '"platenC": 1880'))).toMatch(/platenC/);
});
