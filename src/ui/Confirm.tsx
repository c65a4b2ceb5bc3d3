'use client';

import { useWords } from './words';
import { AlertDialog } from 'radix-ui';
import { Button } from './Button';

interface Props {
  readonly title: string;
  readonly about: string;
  /** Verb and object of the button that goes on. */
  readonly action: string;
  readonly onConfirm: () => void;
  readonly onClose: () => void;
}

/** Asks before something that is hard to take back. */
export function Confirm({ title, about, action, onConfirm, onClose }: Props) {
  const t = useWords();
  return (
    <AlertDialog.Root open onOpenChange={(open) => !open && onClose()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-night/60" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-50 w-[92vw] max-w-md -translate-x-1/2 -translate-y-1/2 border-2 border-ink bg-sheet p-5">
          <AlertDialog.Title className="font-name text-head font-semibold">{title}</AlertDialog.Title>
          <AlertDialog.Description className="mt-2">{about}</AlertDialog.Description>
          <div className="mt-4 flex justify-end gap-2">
            <AlertDialog.Cancel asChild>
              <Button>{t('common.cancel')}</Button>
            </AlertDialog.Cancel>
            <AlertDialog.Action asChild>
              <Button kind="act" onClick={onConfirm}>
                {action}
              </Button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
