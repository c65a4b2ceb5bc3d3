import type { Blank } from '../shop/blank';
import { HANDLED } from './handled';
import { BARRELS, SHAPED } from './shaped';
import { STRAIGHT } from './straight';
import { TAPERED } from './tapered';

export const ROUND_LIBRARY: readonly Blank[] = [...STRAIGHT, ...HANDLED, ...TAPERED, ...SHAPED, ...BARRELS];
