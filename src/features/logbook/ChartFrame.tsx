import type { ReactNode } from 'react';

interface Props {
  /** The question the chart answers. */
  readonly question: string;
  /** Its answer, in a sentence. */
  readonly answer: string;
  readonly children: ReactNode;
}

export const ChartFrame = ({ question, answer, children }: Props) => (
  <section aria-label={question}>
    <h2 className="font-name text-lead font-semibold">{question}</h2>
    <p className="mb-1 leading-snug">{answer}</p>
    {children}
  </section>
);

export const CHART = { width: 520, height: 190, left: 44, right: 10, top: 10, bottom: 26 } as const;
export const AXIS = { fontSize: 13, className: 'font-label', fill: '#14211f' } as const;
