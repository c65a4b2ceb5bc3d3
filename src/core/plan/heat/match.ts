import { usualWasteSheets } from '../../press/kinds';
import type { HeatCase } from '../../heat/model/case';
import { heaterOf } from '../../heat/press/heaters';
import type { ProvenRecipe } from '../../heat/settings/choose';
import { sameSettings, type HeatSettings } from '../../shop/heatSettings';
import type { Load } from '../../shop/load';
import type { Recipe } from '../../shop/records';
import type { Shop } from '../../shop/shop';
import { caseOf, nominalOf, sameCoating, type Setup } from './subject';

type MatchShop = Pick<Shop, 'recipes' | 'presses' | 'blanks'>;

/** A proven recipe for something near: another press for this blank, or another blank of its coating. */
export interface MatchSource {
  readonly recipe: Recipe;
  readonly blankName: string;
  readonly pressName: string;
  readonly goodPieces: number;
  readonly from: { readonly load: HeatCase; readonly settings: HeatSettings };
}

function sourceOf(recipe: Recipe, s: Setup, shop: MatchShop, goodPieces: number): MatchSource | null {
  const press = shop.presses.find((p) => p.id === recipe.pressId);
  const blank = recipe.blankId === s.blank.id ? s.blank : shop.blanks.find((b) => b.id === recipe.blankId);
  if (!press || !blank || !sameCoating(blank, s.blank)) return null;
  if (press.kind !== s.press.kind) return null;
  const own = blank.id === s.blank.id ? { piece: s.piece, round: s.round } : nominalOf(blank);
  const load: Load = recipe.load ?? { ...s.load, piecesAtOnce: 1, wasteSheets: usualWasteSheets(press) };
  const need = own.round && { widestDiameterMm: own.round.circumferenceMm / Math.PI, tallMm: 0 };
  const heater = heaterOf(press, need, load.heaterId);
  return {
    recipe,
    blankName: blank.name,
    pressName: press.name,
    goodPieces,
    from: { load: caseOf({ ...s, ...own, blank, press, heater, load }), settings: recipe.settings },
  };
}

/** The recipe proven for this very blank and press, where what is set now differs from it. */
export function matchOwn(
  s: Setup,
  settings: HeatSettings,
  { recipe, goodPieces }: ProvenRecipe,
  shop: MatchShop,
): MatchSource | null {
  const own = sourceOf(recipe, s, shop, goodPieces);
  const same =
    own !== null &&
    sameSettings(settings, recipe.settings) &&
    JSON.stringify(own.from.load) === JSON.stringify(caseOf(s));
  return same ? null : own;
}

/** The nearest proven recipe: this blank on another press first, then another blank on this press, then most pieces. */
export function matchFrom(
  s: Setup,
  shop: MatchShop,
  goodPieces: (recipe: Recipe) => number,
): MatchSource | null {
  const near = (r: Recipe): number => (r.blankId === s.blank.id ? 2 : r.pressId === s.press.id ? 1 : 0);
  const sources = shop.recipes
    .filter((r) => r.blankId !== s.blank.id || r.pressId !== s.press.id)
    .map((r) => sourceOf(r, s, shop, goodPieces(r)))
    .filter((x): x is MatchSource => x !== null);
  return sources.sort((a, b) => near(b.recipe) - near(a.recipe) || b.goodPieces - a.goodPieces)[0] ?? null;
}
