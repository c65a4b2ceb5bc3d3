import { say, type Message } from '@/core/message/message';
import type { Level } from '@/core/figures/figure';

/** Colour of the bar beside a finding. */
export const LEVEL_BAR: Readonly<Record<Level, string>> = {
  blocker: 'bg-act',
  warning: 'bg-warning',
  info: 'bg-strata-4',
};

/** The level in words, for those who do not see the bar. */
export const LEVEL_WORDS: Readonly<Record<Level, Message>> = {
  blocker: say('common.blocker'),
  warning: say('common.warning'),
  info: say('common.info'),
};
