'use client';

import { issueText } from '@/core/basics/rule';
import type { Message } from '@/core/message/message';
import { useWords } from './words';
import type { HTMLInputAutoCompleteAttribute, ReactNode } from 'react';
import {
  FormProvider,
  useFormContext,
  type FieldPath,
  type FieldValues,
  type UseFormReturn,
} from 'react-hook-form';
import { Button } from './Button';
import { FormField, inputClass } from './FormField';

interface FormProps<In extends FieldValues, Out> {
  readonly form: UseFormReturn<In, unknown, Out>;
  readonly onSave: (values: Out) => Promise<unknown> | void;
  readonly onCancel: () => void;
  readonly saveLabel: string;
  readonly className?: string;
  readonly children: ReactNode;
}

/** The fields of a dialog, with the buttons that save or cancel below them. What its schema refuses is said at its field. */
export function DialogForm<In extends FieldValues, Out>({
  form,
  onSave,
  onCancel,
  saveLabel,
  className = '',
  children,
}: FormProps<In, Out>) {
  const t = useWords();
  return (
    <FormProvider {...form}>
      <form
        className={`grid gap-3 ${className}`}
        noValidate
        onSubmit={(e) => void form.handleSubmit(async (values) => onSave(values))(e)}
      >
        {children}
        <div className="col-span-full flex justify-end gap-2">
          <Button onClick={onCancel}>{t('common.cancel')}</Button>
          <Button kind="act" type="submit">
            {saveLabel}
          </Button>
        </div>
      </form>
    </FormProvider>
  );
}

interface FieldProps<In extends FieldValues> {
  readonly name: FieldPath<In>;
  readonly label: string;
  readonly hint?: string;
}

interface TextProps<In extends FieldValues> extends FieldProps<In> {
  readonly placeholder?: string;
  readonly type?: 'text' | 'date' | 'time';
  readonly inputMode?: 'decimal' | 'numeric';
  readonly autoComplete?: HTMLInputAutoCompleteAttribute;
  /** A text of so many lines. */
  readonly rows?: number;
}

interface ChoiceProps<In extends FieldValues> extends FieldProps<In> {
  /** What is stored, and what is read: in the order shown. */
  readonly options: readonly (readonly [value: string, label: string | Message])[];
  readonly onChosen?: (value: string) => void;
}

function useProblem<In extends FieldValues>(name: FieldPath<In>) {
  const t = useWords();
  const { register, getFieldState, formState } = useFormContext<In>();
  const message = getFieldState(name, formState).error?.message;
  return { register, problem: message === undefined ? undefined : t(issueText(message)) };
}

function Text<In extends FieldValues>({ name, label, hint, rows, ...input }: TextProps<In>) {
  const { register, problem } = useProblem<In>(name);
  return (
    <FormField label={label} problem={problem} {...(hint !== undefined && { hint })}>
      {(p) =>
        rows === undefined ? (
          <input {...p} autoComplete="off" {...input} className={inputClass} {...register(name)} />
        ) : (
          <textarea {...p} rows={rows} className={`${inputClass} py-1.5 leading-snug`} {...register(name)} />
        )
      }
    </FormField>
  );
}

function Choice<In extends FieldValues>({ name, label, hint, options, onChosen }: ChoiceProps<In>) {
  const t = useWords();
  const { register, problem } = useProblem<In>(name);
  return (
    <FormField label={label} problem={problem} {...(hint !== undefined && { hint })}>
      {(p) => (
        <select
          {...p}
          className={inputClass}
          {...register(name, { onChange: (e: { target: { value: string } }) => onChosen?.(e.target.value) })}
        >
          {options.map(([value, words]) => (
            <option key={value} value={value}>
              {t.label(words)}
            </option>
          ))}
        </select>
      )}
    </FormField>
  );
}

/** The fields of a form inside `DialogForm`, their names held to what the form's schema takes. */
export const fieldsOf = <In extends FieldValues>() => ({ Text: Text<In>, Choice: Choice<In> });

/** Choices read as they are stored. */
export const asRead = (values: readonly (string | number)[]): readonly (readonly [string, string])[] =>
  values.map((v) => [String(v), String(v)]);

/** Choices in order, each with its words. */
export const inWords = <T extends string>(
  values: readonly T[],
  words: Readonly<Record<T, Message>>,
): readonly (readonly [T, Message])[] => values.map((v) => [v, words[v]]);
