'use client';

import dynamic from 'next/dynamic';
import { meaningsByText } from '@/core/glossary/glossary';
import { part } from '@/core/basics/part';
import type { Message } from '@/core/message/message';
import { heldMessage, wordsVersion } from '@/words/loaded';
import type { Locale } from '@/words/locale';
import { useLocale, useWords } from './words';

const MeaningButton = dynamic(() => part(() => import('./MeaningButton')).then((m) => m.MeaningButton), {
  ssr: false,
});

let known: {
  readonly locale: Locale;
  readonly version: number;
  readonly meanings: ReadonlyMap<string, Message>;
} | null = null;

/** The glossary by the texts of labels, made again when another part of the catalogue has come. */
function meaningsIn(locale: Locale): ReadonlyMap<string, Message> {
  const version = wordsVersion();
  if (known?.locale === locale && known.version === version) return known.meanings;
  const meanings = meaningsByText((id) => {
    const message = heldMessage(locale, id);
    return typeof message === 'string' ? message : null;
  });
  known = { locale, version, meanings };
  return meanings;
}

/** Beside the label of a field that is a term of the trade: opens what it means. Nothing for any other label. */
export function Meaning({ label }: { label: string }) {
  useWords();
  const meaning = meaningsIn(useLocale()).get(label);
  return meaning ? <MeaningButton label={label} meaning={meaning} /> : null;
}
