import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly title: string;
  readonly about: string;
  readonly children: ReactNode;
  readonly wide?: boolean;
}

/** A sheet of paper laid over the board: dialogs for typing things in. */
export function SheetDialog({ open, onClose, title, about, children, wide = false }: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-night/60" />
        <Dialog.Content
          className={`fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[94vw] -translate-x-1/2 -translate-y-1/2 overflow-auto border-2 border-ink bg-sheet p-5 ${wide ? 'max-w-5xl' : 'max-w-lg'}`}
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <div>
              <Dialog.Title className="font-name text-head leading-tight font-semibold">{title}</Dialog.Title>
              <Dialog.Description className="text-soft">{about}</Dialog.Description>
            </div>
            <Dialog.Close
              aria-label="Close"
              className="grid size-10 shrink-0 place-items-center hover:bg-board"
            >
              <X size={20} aria-hidden />
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
