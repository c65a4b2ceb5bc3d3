'use client';

import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  readonly label: string;
  /** Above what opens it, or below. */
  readonly side?: 'top' | 'bottom';
  readonly align?: 'start' | 'end';
  readonly width: string;
  readonly children: ReactNode;
}

/** What opens beside a button and stays until it is left. */
export const PopoverBox = ({ label, side = 'top', align = 'start', width, children }: Props) => (
  <Popover.Portal>
    <Popover.Content
      side={side}
      align={align}
      sideOffset={6}
      aria-label={label}
      className={`z-30 max-h-[60vh] ${width} max-w-[92vw] overflow-auto border-2 border-ink bg-sheet p-4`}
    >
      {children}
    </Popover.Content>
  </Popover.Portal>
);
