import { overTimeText, piecesText, whyLabel } from '@/core/plan/runWords';
import { listOf } from '@/core/run/chain';
import { overTime, passesOf } from '@/core/run/dose';
import type { RunWithState } from '@/core/run/pieces';
import { cycleOf, type LoadThrough } from '@/core/run/run';
import { clockTimeText } from '@/ui/dates';

const NEWEST = 12;

interface Through {
  readonly of: RunWithState;
  readonly load: LoadThrough;
}

const spoiledText = ({ spoiled }: LoadThrough): string =>
  spoiled.map((s) => `${piecesText([s.piece])}: ${whyLabel(s.why)}`).join('; ');

/** What the passes really were and did; a load that ended before its last pass had no dose to judge. */
function dwellText({ run }: RunWithState, load: LoadThrough): string {
  const passes = passesOf(listOf(load.steps));
  const set = cycleOf(run).filter((o) => o.timed).length;
  if (passes.length < set) return `ended after ${passes.length} of ${set} passes`;
  return overTimeText(overTime(run.dose, passes)) ?? 'as set';
}

/** Loads that are through, newest first: what went in, when it came out, what its passes really were, what was spoiled. */
export function LoadsThrough({ runs }: { runs: readonly RunWithState[] }) {
  const all = runs
    .flatMap((of) => listOf(of.state.loads).map((load): Through => ({ of, load })))
    .sort((a, b) => b.load.endedAt - a.load.endedAt);
  if (all.length === 0) return null;
  return (
    <section className="mt-6 max-w-3xl">
      <h2 className="font-name text-name font-semibold">Loads that are through</h2>
      <table className="mt-2 w-full text-left font-label">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1 pr-4">Out at</th>
            <th className="py-1 pr-4">Pieces</th>
            <th className="py-1 pr-4">Time in the press</th>
            <th className="py-1">Spoiled</th>
          </tr>
        </thead>
        <tbody>
          {all.slice(0, NEWEST).map(({ of, load }) => (
            <tr key={`${of.run.id} ${load.endedAt}`} className="border-b border-rule align-top">
              <td className="py-1 pr-4">{clockTimeText(new Date(load.endedAt))}</td>
              <td className="py-1 pr-4">{piecesText(load.pieces)}</td>
              <td className="py-1 pr-4">{dwellText(of, load)}</td>
              <td className="py-1">{spoiledText(load)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {all.length > NEWEST && <p className="mt-1 text-soft">and {all.length - NEWEST} before them</p>}
    </section>
  );
}
