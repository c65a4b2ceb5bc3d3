'use client';

import { useWords } from '@/ui/words';
import { Link } from '@/ui/Link';
import { Ellipsis } from 'lucide-react';
import { DropdownMenu as Radix } from 'radix-ui';
import { useState } from 'react';
import type { Lane } from '@/core/run/board';
import { canLay } from '@/core/run/run';
import { withState } from '@/core/run/pieces';
import { useShopWithRuns } from '../shell/shopContext';
import { LayDialog } from './LayDialog';
import { tap } from './tap';

const ITEM =
  'flex min-h-16 w-full cursor-pointer items-center px-5 font-label text-name font-semibold outline-none data-[highlighted]:bg-strata-2';

/** What is seldom done at a press: taking back, laying other pieces, a second press, stopping. It opens inside its press, where it belongs. */
export function LaneMenu({ lane, name }: { lane: Lane; name: string }) {
  const t = useWords();
  const [laying, setLaying] = useState(false);
  const { shop } = useShopWithRuns();
  const { run, state, step } = lane;
  const early = step.timed && !lane.clock.up;
  return (
    <>
      <Radix.Root modal={false}>
        <Radix.Trigger
          aria-label={t('press.moreFor', { name })}
          className="grid size-16 shrink-0 place-items-center border-2 border-current hover:bg-strata-2"
        >
          <Ellipsis size={28} aria-hidden />
        </Radix.Trigger>
        <Radix.Content
          align="end"
          sideOffset={4}
          className="on-night z-50 min-w-72 border-2 border-mist bg-night text-pale"
        >
          {early && (
            <Radix.Item className={ITEM} onSelect={() => void tap(lane, 'done')}>
              {t('press.openedEarly')}
            </Radix.Item>
          )}
          <Radix.Item className={ITEM} onSelect={() => void tap(lane, 'undo')}>
            {t('press.undoLastStep')}
          </Radix.Item>
          <Radix.Item className={ITEM} onSelect={() => void tap(lane, 'undo-load')}>
            {t('press.undoWholeLoad')}
          </Radix.Item>
          {step.kind === 'load' && (
            <Radix.Item className={ITEM} onSelect={() => void tap(lane, 'retaped')}>
              {t('press.tapeAgain')}
            </Radix.Item>
          )}
          {canLay(state) && run.queue && (
            <Radix.Item className={ITEM} onSelect={() => setLaying(true)}>
              {t('press.chooseOtherPieces')}
            </Radix.Item>
          )}
          <Radix.Item className={ITEM} asChild>
            <Link href={`/press/${run.jobId}?on=${run.press.id}`}>{t('press.pressAlone')}</Link>
          </Radix.Item>
          <Radix.Item className={ITEM} asChild>
            <Link href={`/press/${run.jobId}?another=1`}>{t('press.anotherPressToo')}</Link>
          </Radix.Item>
          <Radix.Item className={ITEM} onSelect={() => void tap(lane, 'stop')}>
            {t('press.stopRun')}
          </Radix.Item>
        </Radix.Content>
      </Radix.Root>
      {laying && (
        <LayDialog
          of={lane}
          ofJob={shop.runs.filter((r) => r.jobId === run.jobId).map(withState)}
          onClose={() => setLaying(false)}
        />
      )}
    </>
  );
}
