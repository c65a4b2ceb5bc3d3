'use client';

import { JOB_STEP_LIST } from '@/core/figures/jobSteps';
import { Dialog } from '@/ui/Dialog';

const KEYS: readonly (readonly [string, string])[] = [
  [`1 to ${JOB_STEP_LIST.length}`, `the steps of a job: ${JOB_STEP_LIST.map((t) => t.label).join(', ')}`],
  ['[ and ]', 'the job before, the job after'],
  ['/', 'find a job'],
  ['U', 'millimetres or inches'],
  ['T', '°C or °F'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
  ['Space', 'at the presses: the next step of the one that calls'],
  ['1 to 9', 'at the presses: the next step of that press'],
  ['A to Z', 'on Inspect: the letter beside a fault chooses it; pressed again, it marks the usual place'],
  ['Arrows', 'on a drawing: move what is chosen; with Shift, further'],
  ['?', 'these shortcuts'],
];

export function KeysDialog({ onClose }: { onClose: () => void }) {
  return (
    <Dialog
      open
      onClose={onClose}
      title="Keyboard shortcuts"
      about="Everything can be reached without a mouse."
    >
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
        {KEYS.map(([key, what]) => (
          <div key={key} className="contents">
            <dt className="font-label font-semibold whitespace-nowrap">{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
