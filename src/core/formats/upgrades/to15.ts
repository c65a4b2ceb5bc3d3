import { isRaw, list, type VersionStep } from './raw';

/*
 * Version 14 to version 15: a printer names its ink, and the paper type and quality to choose, which were lines among its other settings; log entries name
 * the ink; the shop has a text for its care cards, a price of spray tack, and whether it is used. Stands alone.
 */

/** Lines every printer began with: what they say is worked out for each sheet now. */
const COVERED: readonly unknown[] = [
  'Scale 100 %, no “fit to page”, no borderless enlargement',
  'Scale 100 %, no enlargement to the roll’s width',
  'Best quality, high speed (both ways) off',
  'Paper kind: the one the ink’s maker names for its transfer paper',
  'Paper size and tray as said on the sheet',
];

const printer = (v: unknown): unknown =>
  isRaw(v)
    ? {
        inkName: '',
        mediaType: '',
        quality: '',
        ...v,
        driver: list(v.driver).filter((line) => !COVERED.includes(line)),
      }
    : v;

export const TO_15: VersionStep = {
  to: 15,
  logEntry: (v) => (isRaw(v) ? { inkName: '', ...v } : v),
  settings: (v) =>
    isRaw(v)
      ? {
          careText: '',
          ...v,
          printers: list(v.printers).map(printer),
          practices: isRaw(v.practices) ? { fixing: 'tape', ...v.practices } : v.practices,
          money: isRaw(v.money) ? { tackCents: 5, ...v.money } : v.money,
        }
      : v,
};
