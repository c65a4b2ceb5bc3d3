import type { Plan } from '@/core/plan/planShape';
import type { Lane } from '@/core/run/board';
import { coolingLoads, cycleOf } from '@/core/run/run';
import { isHandled } from '@/core/shop/blank';
import { clockText } from '@/core/units/format';
import { celsius } from '@/core/message/quantity';
import { useWords } from '@/ui/words';
import { Barrel } from '../heat/Barrel';
import { wordsOf } from './laneWords';
import { PeelRows, SoakRows } from './PeelRows';

interface Props {
  readonly lane: Lane;
  readonly made: Plan;
  readonly nowMs: number;
  /** Taps count: this tab leads. */
  readonly open: boolean;
}

/** Beside the clock of one press: how the seam stands, what comes next, what cools. */
export function RunAside({ lane, made, nowMs, open }: Props) {
  const t = useWords();
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
          <figcaption className="font-name text-name font-semibold">
            {t('press.lookingDownBarrel')}
          </figcaption>
          <svg
            viewBox="-112 -128 224 244"
            className="mx-auto w-full max-w-60"
            role="img"
            aria-label={t('press.seam', {
              turned: Math.round(step.needs.turnedDeg),
              which: step.needs.turnedDeg === 0 ? 'upGap' : 'other',
            })}
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
                {t('press.noHeat', { gap: Math.round(cover.gapDeg) })}
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
        <Row label={t('press.set')} value={t.quantity(celsius(run.settings.platenC))} />
        <Row label={t('press.next')} value={next ? t(wordsOf(next, run).title) : t('press.nextPiece2')} />
        <Row
          label={t('common.cooling')}
          value={last ? `${hot} · ${clockText(Math.ceil(last.waitS))}` : t('common.none')}
        />
        <Row label={t('common.good22')} value={String(state.good)} />
        {state.seconds > 0 && <Row label={t('common.seconds')} value={String(state.seconds)} />}
        {state.retaped > 0 && <Row label={t('press.retaped')} value={String(state.retaped)} />}
      </dl>
      <ul className="font-label text-lead">
        <PeelRows lanes={[lane]} nowMs={nowMs} open={open} />
        <SoakRows runs={[lane]} open={open} />
      </ul>
    </aside>
  );
}

const Row = ({ label, value }: { label: string; value: string }) => (
  <div className="flex justify-between gap-4 border-t-2 border-strata-2 py-2">
    <dt className="text-mist">{label}</dt>
    <dd className="text-right">{value}</dd>
  </div>
);
