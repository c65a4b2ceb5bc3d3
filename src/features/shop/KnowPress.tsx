'use client';

import { useState } from 'react';
import { faultsOf, type PressFaults } from '@/core/heat/pressSimulator';
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
  { value: 'own', label: 'The press itself' },
  { value: '11', label: 'Simulated press 1' },
  { value: '27', label: 'Simulated press 2' },
  { value: '43', label: 'Simulated press 3' },
] as const;

type Source = (typeof SIMULATED)[number]['value'];

/** What a press really does: its face read once, one closing timed once. */
export function KnowPress({ press, onClose }: { press: Press; onClose: () => void }) {
  const [what, setWhat] = useState<'check' | 'time' | 'try'>('check');
  const [source, setSource] = useState<Source>('own');
  const faults: PressFaults | null = source === 'own' ? null : faultsOf(Number(source));
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title={`Check ${press.name}`}
      about="Its face is hot: gloves, and a probe or strips on a lead. The maker’s sheet comes first."
    >
      <div className="mb-4 flex flex-wrap items-end gap-4">
        <Segments
          label="Action"
          value={what}
          onChange={setWhat}
          options={[
            { value: 'check', label: 'Check temperature' },
            { value: 'time', label: 'Measure recovery' },
            { value: 'try', label: 'Practise a run' },
          ]}
        />
        <FormField label="Read from">
          {({ id }) => (
            <Select id={id} label="Read from" value={source} options={SIMULATED} onChange={setSource} />
          )}
        </FormField>
        {faults && (
          <p className="max-w-72 text-fine leading-snug">
            To try it on without burning a blank: its readings are not your press’s. Do not save them for a
            press you work with.
          </p>
        )}
      </div>
      {what === 'try' ? (
        faults ? (
          <FirstRun key={source} press={press} faults={faults} />
        ) : (
          <p className="text-lead">Choose a simulated press to practise on.</p>
        )
      ) : what === 'check' ? (
        <CheckPress key={source} press={press} faults={faults} onDone={onClose} />
      ) : (
        <TimePress key={source} press={press} faults={faults} onDone={onClose} />
      )}
    </Dialog>
  );
}
