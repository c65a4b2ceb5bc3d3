'use client';

import { createContext, useContext } from 'react';

/** What is in hand on the Art step. */
export interface ArtHand {
  readonly chosen: string | null;
  readonly choose: (layer: string | null) => void;
  /** A check whose places are shown on the drawing. */
  readonly shown: string | null;
  readonly show: (check: string | null) => void;
  /** Piece of the names list on the drawing, from 0. */
  readonly piece: number;
  readonly turnTo: (piece: number) => void;
}

export const ArtHandContext = createContext<ArtHand | null>(null);

export function useArtHand(): ArtHand {
  const hand = useContext(ArtHandContext);
  if (!hand) throw new Error('useArtHand outside the Art step');
  return hand;
}
