import { useCallback } from 'react';
import { INTL_LOCALE } from '@/words/locale';
import { useLocale } from './words';

/** A number as it stands in a field: with the decimal sign of the language, and no thousands set apart. Every field reads points and commas. */
export function useTypedNumber(): (value: number, places: number, fixed?: 'fixed') => string {
  const locale = INTL_LOCALE[useLocale()];
  return useCallback(
    (value, places, fixed) =>
      value.toLocaleString(locale, {
        maximumFractionDigits: places,
        minimumFractionDigits: fixed ? places : 0,
        useGrouping: false,
      }),
    [locale],
  );
}
