import { useRef, type ReactNode } from 'react';
import { Button } from './Button';

interface Props {
  /** Names the hidden field for those who cannot see the button. */
  readonly label: string;
  readonly accept: string;
  readonly disabled?: boolean;
  readonly onFile: (file: File) => void;
  readonly children: ReactNode;
}

/** A button that asks for a file. The same file can be chosen twice running. */
export function FileButton({ label, accept, disabled = false, onFile, children }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={label}
        tabIndex={-1}
        className="sr-only"
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) onFile(file);
        }}
      />
      <Button disabled={disabled} onClick={() => input.current?.click()}>
        {children}
      </Button>
    </>
  );
}
