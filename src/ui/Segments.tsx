import { RadioGroup } from 'radix-ui';
import type { Message } from '@/core/message/message';
import { useWords } from './words';

export interface SegmentOption<T extends string> {
  readonly value: T;
  readonly label: string | Message;
  readonly title?: string | Message;
  /** It cannot be chosen now. */
  readonly disabled?: boolean;
}

interface Props<T extends string> {
  readonly label: string;
  readonly value: T | null;
  readonly options: readonly SegmentOption<T>[];
  readonly onChange: (value: T) => void;
  readonly className?: string;
  /** For hands in gloves. */
  readonly large?: boolean;
}

/** One of a few, side by side. Arrow keys move between them. */
export function Segments<T extends string>({
  label,
  value,
  options,
  onChange,
  className = '',
  large = false,
}: Props<T>) {
  const t = useWords();
  return (
    <RadioGroup.Root
      aria-label={label}
      value={value ?? ''}
      onValueChange={(v) => {
        const found = options.find((o) => o.value === v);
        if (found) onChange(found.value);
      }}
      className={`inline-flex flex-wrap gap-0.5 border-2 border-ink bg-ink ${className}`}
    >
      {options.map((o) => (
        <RadioGroup.Item
          key={o.value}
          value={o.value}
          disabled={o.disabled}
          title={o.title && t.label(o.title)}
          className={`${large ? 'min-h-16 text-lead' : 'min-h-9 text-base'} grow bg-sheet px-3 font-label font-semibold data-[state=checked]:bg-strata-3 data-[state=checked]:text-white enabled:data-[state=unchecked]:hover:bg-board disabled:bg-board disabled:font-normal disabled:text-soft`}
        >
          {t.label(o.label)}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
