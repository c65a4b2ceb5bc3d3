/*
 * Records of version 3 carried over to version 4: the one house seam method becomes one for each kind of blank. Stands alone, with its own
 * defaults: what a shop of today starts with may change, this step may not.
 */

type Raw = Record<string, unknown>;
const isRaw = (v: unknown): v is Raw => typeof v === 'object' && v !== null && !Array.isArray(v);
const list = (v: unknown): readonly unknown[] => (Array.isArray(v) ? v : []);

const OLD_DEFAULT = 'over';

/** The method every new wrap of a shop of version 3 started with. */
export const oldMethodOf = (settings: unknown): string =>
  isRaw(settings) && isRaw(settings.house) && typeof settings.house.school === 'string'
    ? settings.house.school
    : OLD_DEFAULT;

export function upgradeSettings4(v: unknown): unknown {
  if (!isRaw(v) || !isRaw(v.house) || v.house.schools !== undefined) return v;
  const { school, ...house } = v.house;
  const round = typeof school === 'string' ? school : OLD_DEFAULT;
  return { ...v, house: { ...house, schools: { round, handled: 'under', picture: 'under', barrel: 'lap' } } };
}

/** A job begun under the one house method keeps it: its sizes must not change because the shop now has several. */
export function upgradeJob4(v: unknown, oldMethod: string): unknown {
  if (!isRaw(v) || !isRaw(v.wrap) || v.wrap.school !== null || v.blankId === null) return v;
  return { ...v, wrap: { ...v.wrap, school: oldMethod } };
}

const shopTo4 = (v: unknown): unknown => (isRaw(v) ? { ...v, settings: upgradeSettings4(v.settings) } : v);
const methodOfShop = (v: unknown): string => oldMethodOf(isRaw(v) ? v.settings : null);

export const jobFileTo4 = (raw: Raw): Raw => ({
  ...raw,
  job: upgradeJob4(raw.job, methodOfShop(raw.shop)),
  shop: shopTo4(raw.shop),
});
export const shopFileTo4 = (raw: Raw): Raw => ({
  ...raw,
  shop: shopTo4(raw.shop),
  jobs: list(raw.jobs).map((j) => upgradeJob4(j, methodOfShop(raw.shop))),
});
