/** The languages of the interface. */
export const LOCALES = ['en', 'en-US'] as const;
export type Locale = (typeof LOCALES)[number];

export const isLocale = (text: string | null): text is Locale => LOCALES.some((l) => l === text);

/** What `Intl` writes dates, numbers and lists by. */
export const INTL_LOCALE: Readonly<Record<Locale, string>> = { en: 'en-GB', 'en-US': 'en-US' };

/** A language by its own name for itself. */
export const languageName = (locale: Locale): string =>
  new Intl.DisplayNames(INTL_LOCALE[locale], { type: 'language' }).of(INTL_LOCALE[locale]) ?? locale;

/** The first language of a list of wishes that the interface speaks; English where there is none. */
export function localeFor(wishes: readonly string[]): Locale {
  for (const wish of wishes) {
    const [base, region] = wish.split('-');
    if (base === 'en') return region === 'US' ? 'en-US' : 'en';
  }
  return 'en';
}
