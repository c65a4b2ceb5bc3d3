import type { Method } from '../job/job';
import { say, type Message } from '../message/message';

/** What a reading is taken with. */
export const METHOD_WORDS: Readonly<Record<Method, Message>> = {
  'soft tape': say('measure.softTape'),
  'paper strip': say('measure.paperStrip'),
  caliper: say('measure.caliper'),
  string: say('measure.string'),
  'steel rule': say('measure.steelRule'),
  'maker’s figure': say('figures.makersFigure'),
};
