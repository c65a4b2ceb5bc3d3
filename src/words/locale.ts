/** The languages of the interface. */
export const LOCALES = ['en', 'en-US', 'es'] as const;
export type Locale = (typeof LOCALES)[number];

export const isLocale = (text: string | null): text is Locale => LOCALES.some((l) => l === text);

/** What `Intl` writes dates, numbers and lists by. */
export const INTL_LOCALE: Readonly<Record<Locale, string>> = {
  en: 'en-GB',
  'en-US': 'en-US',
  es: 'es',
};

/** The language a variant takes from what it does not hold itself; null where it is complete. */
export const BASE_LOCALE: Readonly<Record<Locale, Locale | null>> = { en: null, 'en-US': 'en', es: null };

/** A language by its own name for itself. */
export const languageName = (locale: Locale): string =>
  new Intl.DisplayNames(INTL_LOCALE[locale], { type: 'language' }).of(INTL_LOCALE[locale]) ?? locale;

/** The first language of a list of wishes that the interface speaks; English where there is none. */
export function localeFor(wishes: readonly string[]): Locale {
  for (const wish of wishes) {
    const [base, region] = wish.split('-');
    if (base === 'es') return 'es';
    if (base === 'en') return region === 'US' ? 'en-US' : 'en';
  }
  return 'en';
}
