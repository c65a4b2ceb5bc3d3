import type { Operation } from '../shop/operation';
import type { RunPiece, SpoiledWhy } from '../shop/run';
import type { Chain } from './chain';

/** A piece that was spoiled, during which operation and why; null where nobody said. */
export interface Spoiled {
  readonly piece: RunPiece;
  readonly why: SpoiledWhy | null;
  readonly operationId: string;
  readonly at: number;
  /** Of no use, good with a flaw, or soaking until its paper comes off. */
  readonly became: 'spoiled' | 'second' | 'soaking';
}

/** An operation as it really went. */
export interface StepTaken {
  readonly operation: Operation;
  readonly startedAt: number;
  readonly endedAt: number;
  /** Who ended it; null where nobody said. */
  readonly by: string | null;
}

/** A load that is through: what went in, what was spoiled, how each step went. */
export interface LoadThrough {
  readonly pieces: readonly RunPiece[];
  readonly spoiled: readonly Spoiled[];
  readonly startedAt: number;
  readonly endedAt: number;
  readonly steps: Chain<StepTaken>;
}
