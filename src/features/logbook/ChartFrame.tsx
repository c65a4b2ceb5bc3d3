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

/** Level lines with what they stand for. */
export const Levels = ({
  ticks,
  y,
  text,
}: {
  readonly ticks: readonly number[];
  readonly y: (value: number) => number;
  readonly text: (value: number) => string;
}) => (
  <>
    {ticks.map((t) => (
      <g key={t}>
        <line x1={CHART.left} x2={CHART.width - CHART.right} y1={y(t)} y2={y(t)} stroke="#dfe5dd" />
        <text x={CHART.left - 6} y={y(t) + 4} textAnchor="end" {...AXIS}>
          {text(t)}
        </text>
      </g>
    ))}
  </>
);

/** What stands at the ends of the time axis. */
export const Ends = ({ from, to }: { readonly from: string; readonly to: string }) => (
  <>
    <text x={CHART.left} y={CHART.height - 6} {...AXIS}>
      {from}
    </text>
    <text x={CHART.width - CHART.right} y={CHART.height - 6} textAnchor="end" {...AXIS}>
      {to}
    </text>
  </>
);
