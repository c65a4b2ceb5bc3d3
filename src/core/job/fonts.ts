/** The fonts words can be set in. All ship with the application under the SIL Open Font Licence. */
export const FONTS = [
  { id: 'plain', label: 'Plain', family: 'Barlow', weight: 600, file: 'barlow-latin-600-normal' },
  {
    id: 'narrow',
    label: 'Narrow',
    family: 'Barlow Condensed',
    weight: 600,
    file: 'barlow-condensed-latin-600-normal',
  },
  { id: 'hand', label: 'Handwritten', family: 'Caveat', weight: 700, file: 'caveat-latin-700-normal' },
  { id: 'book', label: 'Book', family: 'Lora', weight: 600, file: 'lora-latin-600-normal' },
] as const;

export type FontId = (typeof FONTS)[number]['id'];
export const FONT_IDS = FONTS.map((f) => f.id) as [FontId, ...FontId[]];
export const fontById = (id: FontId) => FONTS.find((f) => f.id === id) ?? FONTS[0];
