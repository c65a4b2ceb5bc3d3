'use client';

import { say, verbatim, type Message } from '@/core/message/message';
import { piecesText } from '@/core/plan/press/runWords';
import { wrappedLoads, type Wrapped } from '@/core/run/peelClock';
import type { RunWithState } from '@/core/run/pieces';
import type { RescueOutcome } from '@/core/shop/run';
import { clockText } from '@/core/units/format';
import { useWords } from '@/ui/words';
import { PressButton } from './PressButton';
import { countBetween, rescuePiece } from './tap';

const clock = (s: number): Message => verbatim(clockText(Math.ceil(s)));

function whenText({ fromS, beforeS }: Wrapped): Message {
  if (fromS > 0) return say('press.peelIn', { wait: clock(fromS) });
  if (beforeS === null) return say('press.now');
  return beforeS > 0 ? say('press.peelNowBefore', { before: clock(beforeS) }) : say('press.peelLate');
}

interface PeelProps {
  readonly lanes: readonly RunWithState[];
  readonly nowMs: number;
  readonly open: boolean;
  /** Number of the press, where there are several. */
  readonly numberOf?: (of: RunWithState) => number;
}

/** Pieces that lie wrapped, each load with its own clock; tapped when its paper is off. */
export function PeelRows({ lanes, nowMs, open, numberOf }: PeelProps) {
  const t = useWords();
  return lanes.flatMap((lane) =>
    wrappedLoads(lane.run, lane.state, nowMs).map((w, i) => (
      <li
        key={`${lane.run.id} ${w.pieces[0]?.number}`}
        className="flex items-center gap-3 border-b-2 border-strata-2 py-1.5"
      >
        <span className={`min-w-0 flex-1 leading-tight ${w.fromS <= 0 ? 'font-semibold' : ''}`}>
          {numberOf && `${numberOf(lane)} · `}
          {t('press.peelPieces', { pieces: piecesText(w.pieces) })}
        </span>
        <span className={`text-right font-semibold ${w.fromS <= 0 ? 'text-strata-6' : ''}`}>
          {t(whenText(w))}
        </span>
        {i === 0 && w.fromS <= 0 && (
          <PressButton
            disabled={!open}
            aria-label={t('press.peeledOff', { pieces: piecesText(w.pieces) })}
            onClick={() => void countBetween(lane.run.id, 'unwrapped', w.pieces.length)}
            className="px-2"
          >
            {t('press.peeled')}
          </PressButton>
        )}
      </li>
    )),
  );
}

const OUTCOMES: readonly (readonly [RescueOutcome, Message])[] = [
  ['good', say('common.good22')],
  ['second', say('common.seconds')],
  ['spoiled', say('common.spoiled')],
];

/** Pieces in the water, each with how it came out. */
export function SoakRows({ runs, open }: { readonly runs: readonly RunWithState[]; readonly open: boolean }) {
  const t = useWords();
  return runs.flatMap(({ run, state }) =>
    state.soaking.map((piece) => (
      <li key={`${run.id} ${piece.number}`} className="grid gap-1 border-b-2 border-strata-2 py-1.5">
        <span className="leading-tight">{t('press.soakingPiece', { piece: piecesText([piece]) })}</span>
        <span className="flex flex-wrap gap-2">
          {OUTCOMES.map(([outcome, label]) => (
            <PressButton
              key={outcome}
              disabled={!open}
              onClick={() => void rescuePiece(run.id, piece.number, outcome)}
              className="px-3"
            >
              {t(label)}
            </PressButton>
          ))}
        </span>
      </li>
    )),
  );
}
