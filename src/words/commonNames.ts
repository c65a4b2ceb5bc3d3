import { BASE_LOCALE, type Locale } from './locale';

/** What decorators call a blank, and the words of the library that find it. */
export type CommonNames = readonly (readonly [name: string, finds: string])[];

// “alumin” finds both spellings.
const EN: CommonNames = [
  ['keychain', 'key ring'],
  ['key chain', 'key ring'],
  ['key fob', 'key ring'],
  ['dog tag', 'pet tag'],
  ['id tag', 'pet tag'],
  ['licence plate', 'plate slots'],
  ['license plate', 'plate slots'],
  ['number plate', 'plate slots'],
  ['car plate', 'plate slots'],
  ['photo panel', 'panel'],
  ['metal print', 'panel alumin'],
  ['metal panel', 'panel alumin'],
  ['can cooler', 'can sleeve'],
  ['can holder', 'can sleeve'],
  ['skinny tumbler', 'straight steel tumbler'],
  ['slim tumbler', 'straight steel tumbler'],
  ['car cup tumbler', 'tapered steel tumbler'],
  ['beer mug', 'stein'],
  ['beer stein', 'stein'],
  ['tankard', 'stein'],
  ['coffee mug', 'mug'],
  ['coffee cup', 'mug'],
  ['tea mug', 'mug'],
  ['christmas ornament', 'ornament'],
  ['tree decoration', 'ornament'],
  ['bauble', 'ornament'],
  ['jigsaw', 'puzzle'],
  ['drink mat', 'coaster'],
  ['wine tumbler', 'wine cup'],
  ['shooter', 'shot'],
  ['mason jar', 'jar'],
  ['bottle opener', 'opener'],
  ['name badge', 'badge'],
  ['photo slate', 'slate'],
  ['award', 'plaque'],
  ['trophy', 'plaque'],
  ['flower pot', 'plant pot'],
  ['piggy bank', 'money box'],
];

const ES: CommonNames = [
  ['jarra de cerveza', 'jarra'],
  ['taza de café', 'taza'],
  ['vaso térmico', 'vaso acero'],
  ['termo', 'botella'],
  ['enfriador de latas', 'funda lata'],
  ['portalatas', 'funda lata'],
  ['matrícula', 'placa ranuras'],
  ['puzle', 'rompecabezas'],
  ['puzzle', 'rompecabezas'],
  ['adorno de navidad', 'adorno'],
  ['portavasos', 'posavasos'],
  ['chapa de perro', 'mascota'],
];

const BY_LANGUAGE: Readonly<Record<'en' | 'es', CommonNames>> = { en: EN, es: ES };

/** The names in a language. Longer names come first, so that “dog tag” is not read as “tag”. */
export function commonNamesIn(locale: Locale): CommonNames {
  const base = BASE_LOCALE[locale] ?? locale;
  const names = base === 'es' ? BY_LANGUAGE.es : BY_LANGUAGE.en;
  return [...names].sort(([a], [b]) => b.length - a.length);
}
