import { METRIC } from '@/core/units/format';
import { allOf } from './all';
import { INTL_LOCALE } from './locale';
import { createWriter } from './writer';

/** Writes Spanish in millimetres and degrees Celsius, for the tests. */
export const spanish = createWriter(allOf('es'), METRIC, INTL_LOCALE.es);
