import { LOCALES, type Locale } from '../locale';

type Write = (text: string) => string;

/** American spelling of what a new shop starts with. */
const american: Write = (text) =>
  text
    .replace(/\b([Aa])luminium\b/g, '$1luminum')
    .replace(/\bcolour/g, 'color')
    .replace(/\blitre\b/g, 'liter')
    .replace(/\bmoulded\b/g, 'molded')
    .replace(/\benamelled\b/g, 'enameled');

/** Fields of a shop that hold what people read; every other text is an id. */
const READ = new Set([
  'name',
  'shopName',
  'what',
  'takeOff',
  'finish',
  'needs',
  'cautions',
  'tray',
  'printSide',
  'driver',
  'blankName',
  'pressName',
]);

/** What was taken off is kept by the name of the part. */
const TAKEN_OFF = /^(take-off: )(.*)$/;

const written = (value: unknown, write: Write): unknown => {
  if (typeof value === 'string') return write(value);
  return Array.isArray(value) && value.every((v) => typeof v === 'string')
    ? value.map(write)
    : within(value, write);
};

function within(data: unknown, write: Write): unknown {
  if (Array.isArray(data)) return data.map((one) => within(one, write));
  if (typeof data !== 'object' || data === null) return data;
  return Object.fromEntries(
    Object.entries(data).map(([k, v]) => {
      if (k === 'prepared')
        return [
          k,
          written(v, (t) => t.replace(TAKEN_OFF, (_, id: string, part: string) => id + write(part))),
        ];
      return [k, READ.has(k) ? written(v, write) : within(v, write)];
    }),
  );
}

const WRITE: Readonly<Record<Locale, () => Promise<Write | null>>> = {
  en: () => Promise.resolve(null),
  'en-US': () => Promise.resolve(american),
  es: async () => {
    const { STARTING_ES } = await import('./es');
    return (text) => STARTING_ES[text] ?? text;
  },
};

/**
 * What a shop starts with, in the language it is started in: from then on these are the shop's own names, and stay as they are. The same
 * object where nothing is to be written otherwise.
 */
export async function startingIn<T>(locale: Locale, things: T): Promise<T> {
  const write = await WRITE[locale]();
  return write === null ? things : (within(things, write) as T);
}

/** The same in every language: what a shop may have been started with. */
export const inEveryLanguage = <T>(things: T): Promise<readonly T[]> =>
  Promise.all(LOCALES.map((locale) => startingIn(locale, things)));
