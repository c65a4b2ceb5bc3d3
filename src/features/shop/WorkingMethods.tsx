'use client';

import { PRACTICES, type Practice } from '@/core/operations/practiceCosts';
import type { Practices } from '@/core/shop/practices';
import { Labelled } from '@/ui/Labelled';
import { Select } from '@/ui/Select';
import { useWords } from '@/ui/words';

/** Stands for “no way of its own”: the usual one by blank or press, or the shop’s. */
const UNSET = 'unset';

interface Props {
  readonly values: Partial<Practices>;
  /** What holds where a value is missing; null where it is the usual one by blank or press. */
  readonly fallback: Practices | null;
  readonly onChange: (next: Partial<Practices>) => void;
}

/** Every way of working on which shops differ: chosen here, with what the choice costs beside it. */
export function WorkingMethods(props: Props) {
  return (
    <ul className="grid w-full gap-4">
      {PRACTICES.map((p) => (
        <Method key={p.key} practice={p} {...props} />
      ))}
    </ul>
  );
}

function Method({ practice, values, fallback, onChange }: Props & { readonly practice: Practice }) {
  const t = useWords();
  const { key, label, choices, usual } = practice;
  const own = values[key] ?? null;
  const holds = own ?? fallback?.[key] ?? null;
  const chosen = choices.find((c) => c.value === holds);
  const ofShop = fallback && choices.find((c) => c.value === fallback[key]);
  const unset = fallback
    ? t('methods.asShop', { way: ofShop ? ofShop.label : (usual ?? '') })
    : usual && t(usual);
  const options = [
    ...(unset ? [{ value: UNSET, label: unset }] : []),
    ...choices.map((c) => ({ value: c.value, label: t(c.label) })),
  ];
  const change = (value: string) => {
    const { [key]: _before, ...rest } = values;
    const choice = choices.find((c) => c.value === value);
    onChange(choice ? { ...rest, [key]: choice.value } : fallback ? rest : { ...rest, [key]: null });
  };
  return (
    <li className="grid gap-x-4 gap-y-1 md:grid-cols-[19rem_1fr] md:items-end">
      <Labelled label={t(label)}>
        <Select
          label={t(label)}
          value={own ?? UNSET}
          options={options}
          onChange={change}
          className="w-full"
        />
      </Labelled>
      <p className="max-w-prose text-fine leading-snug text-soft">{chosen && t(chosen.cost)}</p>
    </li>
  );
}
