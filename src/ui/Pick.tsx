import { Check, ChevronDown } from 'lucide-react';
import { Select } from 'radix-ui';

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
  readonly className?: string;
  readonly id?: string;
}

/** One of many, in a list that opens. */
export function Pick<T extends string>({ label, value, options, onChange, className = '', id }: Props<T>) {
  return (
    <Select.Root
      value={value}
      onValueChange={(v) => {
        const found = options.find((o) => o.value === v);
        if (found) onChange(found.value);
      }}
    >
      <Select.Trigger
        id={id}
        aria-label={label}
        className={`inline-flex min-h-9 items-center justify-between gap-2 border-2 border-ink bg-sheet px-2 text-left font-label text-base font-medium ${className}`}
      >
        <Select.Value />
        <Select.Icon>
          <ChevronDown size={16} aria-hidden />
        </Select.Icon>
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={2}
          className="z-50 max-h-80 overflow-auto border-2 border-ink bg-sheet"
        >
          <Select.Viewport>
            {options.map((o) => (
              <Select.Item
                key={o.value}
                value={o.value}
                className="flex min-h-10 items-center gap-2 px-2 font-label text-base outline-none data-[highlighted]:bg-strata-3 data-[highlighted]:text-white"
              >
                <span className="w-4">
                  <Select.ItemIndicator>
                    <Check size={16} aria-hidden />
                  </Select.ItemIndicator>
                </span>
                <Select.ItemText>{o.label}</Select.ItemText>
              </Select.Item>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  );
}
