import { FAULTS } from '../look/faults';
import type { OverTime } from '../run/dose';
import type { RunPiece, SpoiledWhy } from '../shop/run';

const WHY: Readonly<Partial<Record<SpoiledWhy, string>>> = {
  dropped: 'Dropped or knocked',
  'bad-blank': 'Blank was faulty',
  'bad-print': 'Print was faulty',
  'not-said': 'Not said',
};

/** What is said of why a piece was lost. */
export const whyLabel = (why: SpoiledWhy | null): string =>
  WHY[why ?? 'not-said'] ?? FAULTS.find((f) => f.id === why)?.label ?? 'Not said';

/** Numbers as runs of neighbours: 1–3, 7. */
function ranges(numbers: readonly number[]): string {
  const spans: [number, number][] = [];
  for (const n of [...numbers].sort((a, b) => a - b)) {
    const last = spans[spans.length - 1];
    if (last && n === last[1] + 1) last[1] = n;
    else spans.push([n, n]);
  }
  return spans.map(([a, b]) => (a === b ? String(a) : b === a + 1 ? `${a}, ${b}` : `${a}–${b}`)).join(', ');
}

/** Which pieces: by name where there is one of them and it has one. */
export function piecesText(pieces: readonly RunPiece[]): string {
  const [first] = pieces;
  if (!first) return 'no piece';
  if (pieces.length > 1) return `pieces ${ranges(pieces.map((p) => p.number))}`;
  return first.name === '' ? `piece ${first.number}` : `piece ${first.number}, “${first.name}”`;
}

const INSIDE: Readonly<Record<OverTime['inside'], string>> = {
  'too little': 'likely too little',
  inside: 'still good',
  'too much': 'likely too much',
};

/** What passes that were over or short did to the dose, rounded to what is worth reading; null where that is nothing. */
export function overTimeText(over: OverTime | null): string | null {
  if (!over) return null;
  const s = Math.round(over.overS);
  const percent = Math.round(Math.abs(over.share) * 100);
  if (s === 0) return null;
  const time = s > 0 ? `${s} s over` : `${-s} s short`;
  return `${time}: ${percent} % ${s > 0 ? 'more' : 'less'} dose, ${INSIDE[over.inside]}`;
}
