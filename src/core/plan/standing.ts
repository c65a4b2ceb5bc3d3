import type { Level, Terrace } from '../figures/figure';
import type { Job } from '../job/job';
import { keyOf } from '../key';
import type { Shop } from '../shop/shop';
import type { Phrase } from '../units/phrase';
import type { Progress } from './section';

/** Where a job stands, in so few words that a bench full of jobs need not be planned anew to be shown. */
export interface Standing {
  readonly at: Terrace;
  /** The line that sums up the terrace it stands at. */
  readonly summary: Phrase;
  readonly blankName: string | null;
  readonly progress: Readonly<Record<Terrace, Progress>>;
  /** What is most in its way; null where nothing is. */
  readonly worst: { readonly level: Level; readonly terrace: Terrace; readonly text: Phrase } | null;
}

/** All of a shop, as a key. */
export const shopKey = (shop: Shop): string => keyOf(shop);

/** Raised whenever what a standing holds or says changes, so that none kept by an older copy is shown. */
const VERSION = 1;

/** Everything a standing was made from, as a key: another job, another shop or another copy of the planning has another. */
export const standingKey = (job: Job, ofShop: string): string => `${VERSION} ${keyOf(job)} ${ofShop}`;
