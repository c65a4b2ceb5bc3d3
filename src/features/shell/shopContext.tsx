'use client';

import { createContext, useContext } from 'react';
import type { JobRecord } from '@/data/db';
import type { ProvenCounts } from '@/core/heat/choose';
import type { SetAside } from '@/data/setAside';
import type { Shop } from '@/core/shop/shop';

export interface ShopView {
  /** All but its log, which is read where it is wanted and no further. */
  readonly shop: Shop;
  /** Good pieces behind each recipe, counted from the log. */
  readonly proven: ProvenCounts;
  readonly jobs: readonly JobRecord[];
  /** Records that are kept and cannot be read by this version. */
  readonly aside: readonly SetAside[];
}

export const ShopContext = createContext<ShopView | null>(null);

/** The shop as it stands, live. Only used below the shell, which waits for it. */
export function useShop(): ShopView {
  const view = useContext(ShopContext);
  if (!view) throw new Error('useShop outside the shell');
  return view;
}
