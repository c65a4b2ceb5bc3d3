'use client';

import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { FAULTS, PAPER_FAULTS } from '@/core/inspect/faults';
import type { Mark } from '@/core/shop/mark';
import { Segments } from '@/ui/Segments';
import { Select } from '@/ui/Select';
import { TOOL_WORDS, TOOLS, type Tool } from './marking';

const EACH_SIDE = [
  { value: 'front', label: say('art.front') },
  { value: 'back', label: say('flatness.back2') },
] as const;

const SEVERITIES = [
  { value: '1', label: say('inspect.slight') },
  { value: '2', label: say('common.fontPlain') },
  { value: '3', label: say('inspect.bad') },
] as const;

export interface Marking {
  readonly on: 'piece' | 'paper';
  readonly fault: Mark['fault'];
  readonly tool: Tool;
  readonly severity: Mark['severity'];
  readonly side: Mark['side'];
  readonly piece: number | null;
}

interface Props {
  readonly marking: Marking;
  readonly put: (next: Partial<Marking>) => void;
  readonly sides: 1 | 2;
  readonly pieces: readonly { readonly number: number; readonly name: string }[];
  readonly children: React.ReactNode;
}

const ANY = 'any';

/** What to mark, how, how bad, on which piece. */
export function MarkTools({ marking, put, sides, pieces, children }: Props) {
  const t = useWords();
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-2 border-b border-rule bg-sheet/80 px-3 py-1.5">
      <Segments
        label={t('inspect.lookAt')}
        value={marking.on}
        options={[
          { value: 'piece', label: t('inspect.piece2') },
          { value: 'paper', label: t('common.usedPaper') },
        ]}
        onChange={(on) =>
          put({
            on,
            fault: on === 'paper' ? 'dye-left' : 'faded-all',
            tool: on === 'paper' ? 'area' : 'all',
          })
        }
      />
      <Segments
        label={t('inspect.markAs')}
        value={marking.tool}
        options={TOOLS.map((tool) => ({ value: tool, label: TOOL_WORDS[tool] }))}
        onChange={(tool) => put({ tool })}
      />
      <Segments
        label={t('inspect.howBad')}
        value={String(marking.severity) as '1' | '2' | '3'}
        options={SEVERITIES}
        onChange={(s) => put({ severity: Number(s) as Mark['severity'] })}
      />
      {sides === 2 && (
        <Segments
          label={t('inspect.side')}
          value={marking.side}
          options={EACH_SIDE}
          onChange={(side) => put({ side })}
        />
      )}
      {pieces.length > 0 && (
        <Select
          label={t('inspect.whichPiece')}
          value={marking.piece === null ? ANY : String(marking.piece)}
          options={[
            { value: ANY, label: t('inspect.anyPiece') },
            ...pieces.map((p) => ({
              value: String(p.number),
              label: t('inspect.piece3', {
                number: p.number,
                p: p.name,
                which: p.name === '' ? 'none' : 'other',
              }),
            })),
          ]}
          onChange={(v) => put({ piece: v === ANY ? null : Number(v) })}
        />
      )}
      {children}
    </div>
  );
}

interface PaletteProps {
  readonly marking: Marking;
  /** Chosen a second time, it is marked at its usual place. */
  readonly onFault: (fault: Mark['fault']) => void;
}

/** The faults that can be marked, each with its key. */
export function Palette({ marking, onFault }: PaletteProps) {
  const t = useWords();
  const faults = marking.on === 'paper' ? PAPER_FAULTS : FAULTS;
  return (
    <div
      role="group"
      aria-label={t('inspect.faultMark')}
      className="flex shrink-0 flex-wrap content-start gap-0.5 border-b border-rule bg-sheet/80 p-1 md:absolute md:inset-y-0 md:left-0 md:w-50 md:flex-col md:flex-nowrap md:overflow-y-auto md:border-r md:border-b-0"
    >
      {faults.map((f) => {
        const chosen = f.id === marking.fault;
        return (
          <button
            key={f.id}
            type="button"
            aria-pressed={chosen}
            title={t('inspect.keyAgainMarkUsual', { key: f.key })}
            onClick={() => onFault(f.id)}
            className={`flex min-h-9 shrink-0 items-center justify-between gap-1.5 border-2 px-2 text-left font-label text-base leading-tight font-semibold ${
              chosen
                ? 'border-strata-3 bg-strata-3 text-white'
                : 'border-transparent bg-sheet hover:border-ink'
            }`}
          >
            {t(f.label)}
            <kbd
              aria-hidden
              className={`border px-1 font-label text-fine ${chosen ? 'border-white' : 'border-rule'}`}
            >
              {f.key}
            </kbd>
          </button>
        );
      })}
    </div>
  );
}
