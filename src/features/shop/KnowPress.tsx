'use client';

import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { useState } from 'react';
import { pressFaults, type PressFaults } from '@/core/heat/press/pressSimulator';
import type { Press } from '@/core/shop/press';
import { Dialog } from '@/ui/Dialog';
import { FormField } from '@/ui/FormField';
import { Segments } from '@/ui/Segments';
import { Select } from '@/ui/Select';
import { CheckPress } from './CheckPress';
import { FirstRun } from './FirstRun';
import { TimePress } from './TimePress';

/** Simulated presses to try it on, each with faults of its own. */
const SIMULATED = [
  { value: 'own', label: say('shop.pressItself') },
  { value: '11', label: say('shop.simulatedPress1') },
  { value: '27', label: say('shop.simulatedPress2') },
  { value: '43', label: say('shop.simulatedPress3') },
] as const;

type Source = (typeof SIMULATED)[number]['value'];

/** What a press really does: its face read once, one closing timed once. */
export function KnowPress({ press, onClose }: { press: Press; onClose: () => void }) {
  const t = useWords();
  const [what, setWhat] = useState<'check' | 'time' | 'try'>('check');
  const [source, setSource] = useState<Source>('own');
  const faults: PressFaults | null = source === 'own' ? null : pressFaults(Number(source));
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title={t('shop.check', { press: press.name })}
      about={t('shop.faceHotGlovesProbe')}
    >
      <div className="mb-4 flex flex-wrap items-end gap-4">
        <Segments
          label={t('common.action')}
          value={what}
          onChange={setWhat}
          options={[
            { value: 'check', label: t('shop.checkTemperature') },
            { value: 'time', label: t('shop.measureRecovery') },
            { value: 'try', label: t('shop.practiseRun') },
          ]}
        />
        <FormField label={t('shop.readFrom')}>
          {({ id }) => (
            <Select
              id={id}
              label={t('shop.readFrom')}
              value={source}
              options={SIMULATED}
              onChange={setSource}
            />
          )}
        </FormField>
        {faults && <p className="max-w-72 text-fine leading-snug">{t('shop.tryWithoutBurningBlank')}</p>}
      </div>
      {what === 'try' ? (
        faults ? (
          <FirstRun key={source} press={press} faults={faults} />
        ) : (
          <p className="text-lead">{t('shop.chooseSimulatedPressPractise')}</p>
        )
      ) : what === 'check' ? (
        <CheckPress key={source} press={press} faults={faults} onDone={onClose} />
      ) : (
        <TimePress key={source} press={press} faults={faults} onDone={onClose} />
      )}
    </Dialog>
  );
}
