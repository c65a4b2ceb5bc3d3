import type { Plan } from '@/core/plan/plan';
import type { Lane } from '@/core/run/board';
import { coolingLoads, cycleOf } from '@/core/run/run';
import { isHandled } from '@/core/shop/blank';
import { clockText } from '@/core/units/format';
import { celsius } from '@/core/units/quantity';
import { useSay } from '@/ui/units';
import { Barrel } from '../heat/Barrel';
import { wordsOf } from './laneWords';

interface Props {
  readonly lane: Lane;
  readonly made: Plan;
  readonly nowMs: number;
}

/** Beside the clock of one press: how the seam stands, what comes next, what cools. */
export function RunAside({ lane, made, nowMs }: Props) {
  const say = useSay();
  const { run, state, step } = lane;
  const cover = made.press.running?.id === run.id ? made.press.runHeaterReach : null;
  const cooling = coolingLoads(run, state, nowMs);
  const hot = cooling.reduce((n, c) => n + c.pieces.length, 0);
  const last = cooling[cooling.length - 1];
  const next = cycleOf(run)[state.stepIndex + 1];
  return (
    <aside className="grid content-start gap-3 md:col-span-2 lg:col-span-1">
      {cover && (
        <figure>
          <figcaption className="font-name text-name font-semibold">Looking down the barrel</figcaption>
          <svg
            viewBox="-112 -128 224 244"
            className="mx-auto w-full max-w-60"
            role="img"
            aria-label={`Seam ${step.needs.turnedDeg === 0 ? 'up, at the gap' : `turned ${Math.round(step.needs.turnedDeg)} degrees`}`}
          >
            {cover.gapDeg > 0 && (
              <text
                y={-110}
                textAnchor="middle"
                fontSize={15}
                fontWeight={500}
                className="font-label"
                fill="#c5d6cf"
              >
                no heat {Math.round(cover.gapDeg)}°
              </text>
            )}
            <Barrel
              coveredDeg={cover.coveredDeg}
              rotationDeg={cover.rotationDeg}
              seamDeg={step.needs.turnedDeg}
              size={200}
              ground="#173a36"
              ink="#f4f5f0"
              showTurn={step.kind === 'turn'}
              mark={isHandled(run.blank) ? 'handle' : 'seam'}
            />
          </svg>
        </figure>
      )}
      <dl className="font-label text-name font-semibold">
        <Row label="Set" value={say([celsius(run.settings.platenC)])} />
        <Row label="Next" value={next ? say(wordsOf(next, run).title) : 'the next piece'} />
        <Row label="Cooling" value={last ? `${hot} · ${clockText(Math.ceil(last.waitS))}` : 'none'} />
        <Row label="Good" value={String(state.good)} />
      </dl>
    </aside>
  );
}

const Row = ({ label, value }: { label: string; value: string }) => (
  <div className="flex justify-between gap-4 border-t-2 border-strata-2 py-2">
    <dt className="text-mist">{label}</dt>
    <dd className="text-right">{value}</dd>
  </div>
);
