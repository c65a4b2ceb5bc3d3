'use client';

import { createContext, useContext, useMemo, useSyncExternalStore, type ReactNode } from 'react';
import { say, type Message, type ValuesOf, type Quantity } from '@/core/message/message';
import type { Formatted } from '@/core/units/format';
import type { MessageId } from '@/words/ids';
import { findIn, subscribeToWords, wordsVersion } from '@/words/loaded';
import { INTL_LOCALE, type Locale } from '@/words/locale';
import { createWriter } from '@/words/writer';
import { useUnits } from './units';

const LocaleContext = createContext<Locale>('en');

export const LocaleProvider = ({ locale, children }: { locale: Locale; children: ReactNode }) => (
  <LocaleContext value={locale}>{children}</LocaleContext>
);

export const useLocale = (): Locale => useContext(LocaleContext);

/** Writes messages and amounts in the language and the units chosen. */
export interface Words {
  (message: Message): string;
  <I extends MessageId>(id: I, ...values: ValuesOf<I>): string;
  /** A label that is a message, or is written already. */
  readonly label: (text: string | Message) => string;
  readonly quantity: (q: Quantity) => string;
  /** An amount as number and unit, where the two are set apart. */
  readonly parts: (q: Quantity) => Formatted;
}

const nothing = () => undefined;
const atFirst = () => 0;

export function useWords(): Words {
  const locale = useLocale();
  const units = useUnits();
  const version = useSyncExternalStore(subscribeToWords, wordsVersion, atFirst);
  return useMemo(() => {
    // The page as the server sent it holds no texts: none are written before the first part has come.
    const { text, quantity, parts } = createWriter(
      version === 0 ? nothing : findIn(locale),
      units,
      INTL_LOCALE[locale],
    );
    const words = <I extends MessageId>(given: Message | I, ...values: ValuesOf<I>): string =>
      text(typeof given === 'string' ? say(given, ...values) : given);
    return Object.assign(words, {
      label: (given: string | Message): string => (typeof given === 'string' ? given : text(given)),
      quantity,
      parts,
    });
  }, [locale, units, version]);
}

/** An amount in running text; the finer value shows on hover. */
export function Q({ of }: { of: Quantity }) {
  const t = useWords();
  return <span title={t.parts(of).exact}>{t.quantity(of)}</span>;
}

/** A message in the language and the units chosen. */
export function Say({ message }: { message: Message }) {
  return <>{useWords()(message)}</>;
}
