import type { ReactNode } from 'react';
import type { PrintFault } from '@/core/sheet/printCheck';

const INK = '#2f5d8a';
const WARM = '#d98a3d';
const PAPER = '#fffdf8';

/** A printed sheet of 96 × 72 with a picture on it. */
const Picture = ({ fill = INK }: { fill?: string }) => (
  <>
    <rect x={14} y={12} width={68} height={48} fill={fill} />
    <circle cx={48} cy={36} r={15} fill={WARM} />
  </>
);

/** White lines across the picture at the heights given. */
const Lines = ({ at, wide }: { at: readonly number[]; wide: number }) =>
  at.map((y) => <rect key={y} x={14} y={y} width={68} height={wide} fill={PAPER} />);

const DRAWINGS: Readonly<Record<PrintFault, ReactNode>> = {
  lines: (
    <>
      <Picture />
      <Lines at={[18, 26, 34, 42, 50]} wide={1.6} />
    </>
  ),
  gaps: (
    <>
      <Picture />
      <Lines at={[17, 21, 38, 53]} wide={1} />
    </>
  ),
  edge: (
    <>
      <Picture />
      <path d="M4 10l5 3M4 22l6 2M3 33l4 4M4 50l6 1M4 58l5 3" stroke={INK} strokeWidth={2.5} />
    </>
  ),
  side: (
    <>
      <Picture fill="#9db4c8" />
      <path
        d="M20 60q2 6 1 9M38 60q3 5 2 8M60 60q-2 6 1 9M74 60q2 4 1 7"
        stroke="#9db4c8"
        strokeWidth={4}
        fill="none"
      />
      <path d="M8 8l6 6M14 8l-6 6" stroke="#b9b09d" strokeWidth={2} />
    </>
  ),
  colour: (
    <>
      <rect x={14} y={12} width={68} height={48} fill="#c06a8c" />
      <circle cx={48} cy={36} r={15} fill="#e7d35a" />
    </>
  ),
  size: (
    <>
      <rect x={30} y={14} width={62} height={42} fill={INK} />
      <circle cx={66} cy={35} r={13} fill={WARM} />
      <path d="M8 64h52M8 60v8M60 60v8" stroke="#14211f" strokeWidth={2} />
      <path d="M68 58l8 10M76 58l-8 10" stroke="#c8371b" strokeWidth={3} />
    </>
  ),
  page: (
    <>
      <g transform="translate(-4 -3)">
        <rect x={12} y={10} width={46} height={54} fill={PAPER} stroke="#14211f" />
        <rect x={18} y={16} width={34} height={30} fill={INK} />
      </g>
      <rect x={46} y={16} width={44} height={50} fill={PAPER} stroke="#14211f" />
      <rect x={52} y={22} width={32} height={28} fill={WARM} />
      <path d="M28 70c8 3 24 3 34 -1m-5 -3l5 3l-4 4" stroke="#c8371b" strokeWidth={2.5} fill="none" />
    </>
  ),
  wet: (
    <>
      <Picture />
      <path
        d="M20 20q14 -6 24 0M56 50q12 -5 20 1"
        stroke="#ffffff"
        strokeWidth={3}
        fill="none"
        opacity={0.8}
      />
      <path d="M84 42q8 12 0 16q-8 -4 0 -16z" fill={INK} />
    </>
  ),
};

/** How a fault looks on a printed sheet. */
export function PrintFaultDrawing({ fault }: { readonly fault: PrintFault }) {
  return (
    <svg viewBox="0 0 96 72" className="h-18 w-24 shrink-0 border border-ink" aria-hidden>
      <rect width={96} height={72} fill={PAPER} />
      {DRAWINGS[fault]}
    </svg>
  );
}
