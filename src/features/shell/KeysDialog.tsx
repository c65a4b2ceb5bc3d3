'use client';

import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { JOB_STEP_LIST } from '@/core/figures/jobSteps';
import { Dialog } from '@/ui/Dialog';

const KEYS: readonly (readonly [Message, Message])[] = [
  [
    say('shell.n1To', { jobStepList: JOB_STEP_LIST.length }),
    say('shell.stepsJob', { jobStepList: JOB_STEP_LIST.map((t) => t.label) }),
  ],
  [say('shell.and'), say('shell.jobBeforeJobAfter')],
  [say('shell.n'), say('shell.findJob')],
  [say('shell.u'), say('shell.millimetresInches')],
  [say('shell.t'), say('shell.cF')],
  [say('shell.ctrlZCtrlShift'), say('shell.undoRedo')],
  [say('common.space2'), say('shell.pressesNextStepOne')],
  [say('shell.n19'), say('shell.pressesNextStepPress')],
  [say('shell.aToZ'), say('shell.inspectLetterBesideFault')],
  [say('shell.arrows'), say('shell.drawingMoveWhatChosen')],
  [say('shell.n2'), say('shell.theseShortcuts')],
];

export function KeysDialog({ onClose }: { onClose: () => void }) {
  const t = useWords();
  return (
    <Dialog
      open
      onClose={onClose}
      title={t('shell.keyboardShortcuts')}
      about={t('shell.everythingCanReachedWithout')}
    >
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
        {KEYS.map(([key, what]) => (
          <div key={what.id} className="contents">
            <dt className="font-label font-semibold whitespace-nowrap">{t(key)}</dt>
            <dd>{t(what)}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
