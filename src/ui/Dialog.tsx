import { useWords } from './words';
import { X } from 'lucide-react';
import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly title: string;
  readonly about: string;
  readonly children: ReactNode;
  readonly wide?: boolean;
}

/** A dialog over the page, to type things in. */
export function Dialog({ open, onClose, title, about, children, wide = false }: Props) {
  const t = useWords();
  return (
    <Radix.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-night/60" />
        <Radix.Content
          className={`fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[94vw] -translate-x-1/2 -translate-y-1/2 overflow-auto border-2 border-ink bg-sheet p-5 ${wide ? 'max-w-5xl' : 'max-w-lg'}`}
          onInteractOutside={(e) => {
            // A notice above the dialog is answered without closing it.
            if (e.target instanceof Element && e.target.closest('[data-notice]')) e.preventDefault();
          }}
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <div>
              <Radix.Title className="font-name text-head leading-tight font-semibold">{title}</Radix.Title>
              <Radix.Description className="text-soft">{about}</Radix.Description>
            </div>
            <Radix.Close
              aria-label={t('common.close')}
              className="grid size-10 shrink-0 place-items-center hover:bg-board"
            >
              <X size={20} aria-hidden />
            </Radix.Close>
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
