'use client';

import { say, type Message } from '@/core/message/message';
import { Segments } from '@/ui/Segments';
import { useWords } from '@/ui/words';
import { useState } from 'react';
import type { RunWithState } from '@/core/run/pieces';
import { piecesText, whyLabel } from '@/core/plan/press/runWords';
import { goodInLoad } from '@/core/run/run';
import type { RunPiece, SpoiledWhy } from '@/core/shop/run';
import { Dialog } from '@/ui/Dialog';
import { tap } from './tap';

/** The usual ones first. */
const ORDER: readonly SpoiledWhy[] = [
  'ghost',
  'faded-all',
  'faded-edge',
  'faded-band',
  'white-stripe',
  'dark-seam',
  'browned',
  'halo',
  'colour-speck',
  'pale-speck',
  'tape-mark',
  'stuck',
  'stray',
  'white-rim',
  'blotches',
  'wrong-way',
  'dropped',
  'bad-blank',
  'bad-print',
  'not-said',
];

type Became = 'spoiled' | 'second' | 'soaking';
const OUTCOMES: readonly Became[] = ['spoiled', 'second', 'soaking'];
const OUTCOME_WORDS: Readonly<Record<Became, Message>> = {
  spoiled: say('common.spoiled'),
  second: say('common.seconds'),
  soaking: say('press.soakIt'),
};
const OUTCOME_ABOUT: Readonly<Record<Became, Message>> = {
  spoiled: say('press.spoiledAbout'),
  second: say('press.secondAbout'),
  soaking: say('press.soakAbout'),
};

/** Which piece, where several are in hand, what became of it, and why: one tap each, and it is on the reprint list. */
export function SpoiledDialog({ of, onClose }: { of: RunWithState; onClose: () => void }) {
  const t = useWords();
  const good = goodInLoad(of.state);
  const [became, setBecame] = useState<Became>('spoiled');
  const [piece, setPiece] = useState<RunPiece | null>(good.length === 1 ? (good[0] ?? null) : null);
  const choose = (why: SpoiledWhy) => {
    const kept = became === 'spoiled' ? {} : { became };
    if (piece) void tap(of, 'spoiled', { piece: piece.number, why, ...kept });
    onClose();
  };
  // Stuck paper is what a soak is for: nothing more has to be said.
  const outcome = (next: Became) => {
    if (next === 'soaking' && piece) {
      void tap(of, 'spoiled', { piece: piece.number, why: 'stuck', became: next });
      onClose();
    } else setBecame(next);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={piece ? t('press.spoiled4', { value: piecesText([piece]) }) : t('press.chooseSpoiledPiece')}
      about={piece ? t('press.whatWrongPieceGoes') : t('press.otherPiecesLoadContinue')}
    >
      {piece ? (
        <div className="grid gap-4">
          <Segments
            large
            label={t('press.outcome')}
            value={became}
            onChange={outcome}
            options={OUTCOMES.map((o) => ({ value: o, label: t(OUTCOME_WORDS[o]) }))}
          />
          <p className="leading-snug">{t(OUTCOME_ABOUT[became])}</p>
          <Choices of={ORDER} label={(why) => t(whyLabel(why))} onChoose={choose} />
        </div>
      ) : (
        <Choices of={good} label={(p) => t(piecesText([p]))} onChoose={setPiece} />
      )}
    </Dialog>
  );
}

function Choices<T>({
  of,
  label,
  onChoose,
}: {
  of: readonly T[];
  label: (t: T) => string;
  onChoose: (t: T) => void;
}) {
  return (
    <ul className="grid grid-cols-2 gap-2 sm:grid-cols-3 lg:grid-cols-4">
      {of.map((t, i) => (
        <li key={i}>
          <button
            type="button"
            onClick={() => onChoose(t)}
            className="min-h-16 w-full border-2 border-ink px-3 text-left font-label text-lead font-semibold hover:bg-board"
          >
            {label(t)}
          </button>
        </li>
      ))}
    </ul>
  );
}
