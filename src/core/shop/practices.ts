import '../basics/zodSetup';
import * as z from 'zod/mini';

export const RIM_TAPING = ['full', 'where-lifting', 'none'] as const;
export type RimTaping = (typeof RIM_TAPING)[number];
export const CLEANING = ['alcohol', 'dry-cloth', 'lint-roller'] as const;
export type Cleaning = (typeof CLEANING)[number];
/** Paper made for sublimation, or ordinary copy paper. */
export const MEDIA = ['transfer', 'copy'] as const;
export type Media = (typeof MEDIA)[number];
export const PRESS_OFF = ['open', 'closed'] as const;
export type PressOff = (typeof PRESS_OFF)[number];
export const FIRST_PIECE = ['spare', 'job'] as const;
/** What holds the paper: heat tape alone, or spray tack as well. */
export const FIXING = ['tape', 'tack'] as const;
export type Fixing = (typeof FIXING)[number];
/** Where the paper ends at rim and foot of a round blank. */
export const PAPER_EDGE = ['inside', 'exact', 'past'] as const;
export type PaperEdge = (typeof PAPER_EDGE)[number];

/** Working methods on which shops differ. */
export const practicesSchema = z.strictObject({
  rims: z.enum(RIM_TAPING),
  /** Null for the default of the blank: alcohol on cups, a lint roller on flat faces. */
  cleaning: z.nullable(z.enum(CLEANING)),
  media: z.enum(MEDIA),
  /** How a press is left when it is off; null for the default: a mug press closed on a spare blank, others open. */
  pressOff: z.nullable(z.enum(PRESS_OFF)),
  /** What takes the first cycle of the day in a mug press. */
  firstPiece: z.enum(FIRST_PIECE),
  paperEdge: z.enum(PAPER_EDGE),
  fixing: z.enum(FIXING),
});
export type Practices = z.infer<typeof practicesSchema>;

export const USUAL_PRACTICES: Practices = {
  rims: 'full',
  cleaning: null,
  media: 'transfer',
  pressOff: null,
  firstPiece: 'spare',
  paperEdge: 'inside',
  fixing: 'tape',
};

/** The working methods of one job: its own where it has them, else those of the shop. */
export const practicesOf = (ofShop: Practices, ofJob: Partial<Practices>): Practices => ({
  ...ofShop,
  ...ofJob,
});
