import type { ReactNode } from 'react';
import { Meaning } from './Meaning';

/** A choice with its name over it, set like the fields beside it. The choice carries its own accessible name. */
export const Labelled = ({ label, children }: { label: string; children: ReactNode }) => (
  <div>
    <span className="block font-label text-fine leading-tight font-medium text-soft">
      {label}
      <Meaning label={label} />
    </span>
    {children}
  </div>
);
