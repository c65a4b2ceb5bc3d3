import { isRaw, type VersionStep } from './raw';

/*
 * Version 3 to version 4: the shop's one seam method becomes one for each kind of blank. Stands alone, with its own defaults: what a new shop
 * starts with today may change, this step may not.
 */

const OLD_DEFAULT = 'over';
const OTHER_KINDS = { handled: 'under', picture: 'under', barrel: 'lap' };

/** The method every new wrap of a shop of version 3 started with. */
const methodOf = (settings: unknown): string =>
  isRaw(settings) && isRaw(settings.house) && typeof settings.house.school === 'string'
    ? settings.house.school
    : OLD_DEFAULT;

function settings(v: unknown): unknown {
  if (!isRaw(v) || !isRaw(v.house) || v.house.schools !== undefined) return v;
  const { school: _, ...house } = v.house;
  return { ...v, house: { ...house, schools: { round: methodOf(v), ...OTHER_KINDS } } };
}

/** A job begun under the one method keeps it: its sizes must not change because the shop now has several. */
function job(v: unknown, settingsBefore: unknown): unknown {
  if (!isRaw(v) || !isRaw(v.wrap) || v.wrap.school !== null || v.blankId === null) return v;
  return { ...v, wrap: { ...v.wrap, school: methodOf(settingsBefore) } };
}

export const TO_4: VersionStep = { to: 4, settings, job };
