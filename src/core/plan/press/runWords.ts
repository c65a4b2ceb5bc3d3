import { FAULTS } from '../../inspect/faults';
import type { OverTime } from '../../run/dose';
import { listOf } from '../../run/chain';
import type { LeftOpen } from '../../run/leftOpen';
import type { Spoiled } from '../../run/loadThrough';
import type { RunWithState } from '../../run/pieces';
import type { RunPiece, SpoiledWhy } from '../../shop/run';
import { clockText } from '../../units/format';
import { say, type Message } from '../../message/message';
import { celsius } from '../../message/quantity';

const WHY: Readonly<Partial<Record<SpoiledWhy, Message>>> = {
  dropped: say('press.droppedKnocked'),
  'bad-blank': say('press.blankWasFaulty'),
  'bad-print': say('press.printWasFaulty'),
  'not-said': say('press.notSaid'),
};

/** What is said of why a piece was spoiled. */
export const whyLabel = (why: SpoiledWhy | null): Message =>
  WHY[why ?? 'not-said'] ?? FAULTS.find((f) => f.id === why)?.label ?? say('press.notSaid');

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
export const leftOpenText = (open: LeftOpen | null): Message | null =>
  open &&
  say('press.openReadsAboutNow', {
    open: clockText(open.openS),
    at: celsius(Math.round(open.atC)),
    back: clockText(Math.ceil(open.backS)),
  });

/** Which pieces: by name where there is one of them and it has one. */
export function piecesText(pieces: readonly RunPiece[]): Message {
  const [first] = pieces;
  if (!first) return say('press.noPiece');
  if (pieces.length > 1) return say('press.piecesNumbered', { numbers: ranges(pieces.map((p) => p.number)) });
  return first.name === ''
    ? say('press.pieceNumbered', { number: first.number })
    : say('press.pieceNamed', { number: first.number, name: first.name });
}

const MOST_LISTED = 30;

/** A piece that did not come out good: which, what became of it where it is not spoiled, and why. */
export const spoiledText = ({ piece, why, became }: Spoiled): Message =>
  say('press.pieceWhy', { piece: piecesText([piece]), why: whyLabel(why), became });

/** Pieces in the order they came out of the presses, those that are not good marked; null where none did. */
export function inOrderText(runs: readonly RunWithState[]): Message | null {
  const out = runs
    .flatMap(({ state }) => listOf(state.loads))
    .sort((a, b) => a.endedAt - b.endedAt)
    .flatMap(({ pieces, spoiled }) =>
      pieces.map((p) => {
        const gone = spoiled.find((s) => s.piece.number === p.number);
        return say('press.pieceInOrder', {
          number: p.number,
          name: p.name,
          named: p.name === '' ? 'no' : 'yes',
          state: gone?.became ?? 'good',
        });
      }),
    );
  if (out.length === 0) return null;
  return say('press.piecesInOrder', {
    pieces: out.slice(0, MOST_LISTED),
    more: Math.max(0, out.length - MOST_LISTED),
  });
}

const INSIDE: Readonly<Record<OverTime['inside'], Message>> = {
  'too little': say('press.likelyTooLittle'),
  inside: say('press.stillGood'),
  'too much': say('press.likelyTooMuch'),
};

/** What passes that were over or short did to the dose, rounded to what is worth reading; null where that is nothing. */
export function overTimeText(over: OverTime | null): Message | null {
  if (!over) return null;
  const s = Math.round(over.overS);
  if (s === 0) return null;
  const percent = Math.round(Math.abs(over.share) * 100);
  return say('press.overTime', {
    by: Math.abs(s),
    way: s > 0 ? 'over' : 'short',
    percent,
    dose: percent === 0 ? 'same' : s > 0 ? 'more' : 'less',
    inside: INSIDE[over.inside],
  });
}
