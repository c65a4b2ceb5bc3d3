import { useSyncExternalStore } from 'react';
import { isLocale, localeFor, type Locale } from '@/words/locale';

const KEY = 'mesa-drift.language';
const listeners = new Set<() => void>();

/** The language chosen in this browser; until one is chosen, the first of the browser’s own that the interface speaks. */
export function chosenLocale(): Locale {
  try {
    const kept = localStorage.getItem(KEY);
    if (isLocale(kept)) return kept;
  } catch {
    // A browser that keeps nothing has it from its own settings.
  }
  return localeFor(navigator.languages);
}

export function chooseLocale(locale: Locale): void {
  try {
    localStorage.setItem(KEY, locale);
  } catch {
    // It holds until the page is left.
  }
  listeners.forEach((f) => f());
}

const subscribe = (f: () => void): (() => void) => {
  listeners.add(f);
  // Another tab may have chosen.
  window.addEventListener('storage', f);
  return () => {
    listeners.delete(f);
    window.removeEventListener('storage', f);
  };
};

/** English as the server sent the page; the language chosen as soon as the page runs. */
export const useChosenLocale = (): Locale => useSyncExternalStore(subscribe, chosenLocale, () => 'en');
