import type { PictureRef } from '../job/art';

const drawn = (
  id: string,
  name: string,
  scene: NonNullable<PictureRef['drawn']>['scene'],
  seed: number,
  widthPx: number,
  heightPx: number,
): PictureRef => ({
  id,
  name,
  mime: 'image/png',
  widthPx,
  heightPx,
  orientation: 1,
  drawn: { scene, seed },
});

/** Pictures the application draws itself, offered to any job. */
export const DRAWN_PICTURES: readonly PictureRef[] = [
  drawn('star-chart', 'Star chart', 'star chart', 2026, 2900, 2400),
  drawn('moon-band', 'Moon band', 'moon band', 7, 3000, 1500),
  drawn('comet', 'Comet', 'comet', 41, 2900, 1500),
];
