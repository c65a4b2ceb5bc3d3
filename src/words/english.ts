import { METRIC } from '@/core/units/format';
import { allOf } from './all';
import { createWriter } from './writer';

/** Writes English in millimetres and degrees Celsius: for the command line, the plan route and the tests. */
export const english = createWriter(allOf('en'), METRIC, 'en-GB');
