import { Check, ChevronDown } from 'lucide-react';
import { Select as Radix } from 'radix-ui';
import type { Message } from '@/core/message/message';
import { useWords } from './words';

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string | Message }[];
  readonly onChange: (value: T) => void;
  readonly className?: string;
  readonly id?: string;
}

/** One of many, in a list that opens. */
export function Select<T extends string>({ label, value, options, onChange, className = '', id }: Props<T>) {
  const t = useWords();
  return (
    <Radix.Root
      value={value}
      onValueChange={(v) => {
        const found = options.find((o) => o.value === v);
        if (found) onChange(found.value);
      }}
    >
      <Radix.Trigger
        id={id}
        aria-label={label}
        className={`inline-flex min-h-9 items-center justify-between gap-2 border-2 border-ink bg-sheet px-2 text-left font-label text-base font-medium ${className}`}
      >
        <Radix.Value />
        <Radix.Icon>
          <ChevronDown size={16} aria-hidden />
        </Radix.Icon>
      </Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          position="popper"
          sideOffset={2}
          className="z-50 max-h-80 overflow-auto border-2 border-ink bg-sheet"
        >
          <Radix.Viewport>
            {options.map((o) => (
              <Radix.Item
                key={o.value}
                value={o.value}
                className="flex min-h-10 items-center gap-2 px-2 font-label text-base outline-none data-[highlighted]:bg-strata-3 data-[highlighted]:text-white"
              >
                <span className="w-4">
                  <Radix.ItemIndicator>
                    <Check size={16} aria-hidden />
                  </Radix.ItemIndicator>
                </span>
                <Radix.ItemText>{t.label(o.label)}</Radix.ItemText>
              </Radix.Item>
            ))}
          </Radix.Viewport>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
