import { useId, type ReactNode } from 'react';
import { Meaning } from './Meaning';

export const inputClass =
  'min-h-10 w-full border-2 border-ink bg-white px-2 text-base font-medium aria-invalid:border-act';

interface Props {
  readonly label: string;
  readonly hint?: string;
  readonly problem?: string | undefined;
  readonly children: (props: {
    id: string;
    'aria-invalid': boolean;
    'aria-describedby': string | undefined;
  }) => ReactNode;
}

/** A label, a field and what is wrong with it, tied together for the eye and for a screen reader. */
export function FormField({ label, hint, problem, children }: Props) {
  const id = useId();
  const about = problem ? `${id}-problem` : hint ? `${id}-hint` : undefined;
  return (
    <div>
      <span className="block font-label text-fine font-semibold">
        <label htmlFor={id}>{label}</label>
        <Meaning label={label} />
      </span>
      {children({ id, 'aria-invalid': problem !== undefined, 'aria-describedby': about })}
      {hint && !problem && (
        <p id={`${id}-hint`} className="text-fine text-soft">
          {hint}
        </p>
      )}
      {problem && (
        <p id={`${id}-problem`} role="alert" className="text-fine font-medium text-act-deep">
          {problem}
        </p>
      )}
    </div>
  );
}
