import { isRaw, type VersionStep } from './raw';

/* Version 9 to version 10: an oven says whether a fan moves its air. Every one of before was calculated as if one did. Stands alone. */

const press = (v: unknown): unknown => (isRaw(v) && v.kind === 'oven' ? { air: 'fan', ...v } : v);

export const TO_10: VersionStep = {
  to: 10,
  press,
  run: (v) => (isRaw(v) ? { ...v, press: press(v.press) } : v),
};
