import { say } from '../message/message';
/** The fonts words can be set in. All ship with the application under the SIL Open Font Licence. */
export const FONTS = [
  {
    id: 'plain',
    label: say('common.fontPlain'),
    family: 'Barlow',
    weight: 600,
    file: 'barlow-latin-600-normal',
  },
  {
    id: 'narrow',
    label: say('fields.fontNarrow'),
    family: 'Barlow Condensed',
    weight: 600,
    file: 'barlow-condensed-latin-600-normal',
  },
  {
    id: 'hand',
    label: say('fields.fontHand'),
    family: 'Caveat',
    weight: 700,
    file: 'caveat-latin-700-normal',
  },
  { id: 'book', label: say('fields.fontBook'), family: 'Lora', weight: 600, file: 'lora-latin-600-normal' },
] as const;

export type FontId = (typeof FONTS)[number]['id'];
export const FONT_IDS = FONTS.map((f) => f.id) as [FontId, ...FontId[]];
export const fontById = (id: FontId) => FONTS.find((f) => f.id === id) ?? FONTS[0];
