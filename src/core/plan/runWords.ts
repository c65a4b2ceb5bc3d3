import { FAULTS } from '../look/faults';
import type { OverTime } from '../run/dose';
import { listOf } from '../run/chain';
import type { LeftOpen } from '../run/leftOpen';
import type { RunWithState } from '../run/pieces';
import type { RunPiece, SpoiledWhy } from '../shop/run';
import { clockText } from '../units/format';
import { say, type Phrase } from '../units/phrase';
import { celsius } from '../units/quantity';

const WHY: Readonly<Partial<Record<SpoiledWhy, string>>> = {
  dropped: 'Dropped or knocked',
  'bad-blank': 'Blank was faulty',
  'bad-print': 'Print was faulty',
  'not-said': 'Not said',
};

/** What is said of why a piece was spoiled. */
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

/** What a press left open costs; null where that is nothing. */
export const leftOpenText = (open: LeftOpen | null): Phrase | null =>
  open &&
  say`Open for ${clockText(open.openS)}: it reads about ${celsius(Math.round(open.atC))} by now, and takes ${clockText(Math.ceil(open.backS))} closed to be back`;

/** Which pieces: by name where there is one of them and it has one. */
export function piecesText(pieces: readonly RunPiece[]): string {
  const [first] = pieces;
  if (!first) return 'no piece';
  if (pieces.length > 1) return `pieces ${ranges(pieces.map((p) => p.number))}`;
  return first.name === '' ? `piece ${first.number}` : `piece ${first.number}, “${first.name}”`;
}

const MOST_LISTED = 30;

/** Pieces in the order they came out of the presses, spoiled ones marked; '' where none did. */
export function inOrderText(runs: readonly RunWithState[]): string {
  const out = runs
    .flatMap(({ state }) => listOf(state.loads))
    .sort((a, b) => a.endedAt - b.endedAt)
    .flatMap(({ pieces, spoiled }) =>
      pieces.map((p) => {
        const gone = spoiled.some((s) => s.piece.number === p.number);
        return `${p.number}${p.name === '' ? '' : ` “${p.name}”`}${gone ? ' (spoiled)' : ''}`;
      }),
    );
  const more = out.length > MOST_LISTED ? ` and ${out.length - MOST_LISTED} more` : '';
  return `${out.slice(0, MOST_LISTED).join(', ')}${more}`;
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
  const dose = percent === 0 ? 'hardly any change of dose' : `${percent} % ${s > 0 ? 'more' : 'less'} dose`;
  return `${time}: ${dose}, ${INSIDE[over.inside]}`;
}
