import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import { STARTER_PAPERS } from '../demo/things';
import { STARTER_PRINTER, type Printer } from '../shop/printer';
import type { Paper } from '../shop/paper';
import { printSettings } from './printDialog';

const A3 = STARTER_PAPERS.find((p) => p.id === 'a3') as Paper;
const ROLL: Paper = { ...A3, id: 'roll', name: 'Roll', kind: 'roll', widthMm: 610, heightMm: 3000 };

const lines = (
  paper: Paper,
  heightMm: number,
  over: { mirrorBy?: 'app' | 'driver'; printer?: Partial<Printer>; copies?: number } = {},
) =>
  printSettings({
    printer: { ...STARTER_PRINTER, ...over.printer },
    paper,
    mirrorBy: over.mirrorBy ?? 'app',
    sheet: { heightMm, copies: over.copies ?? 1 },
  }).map(({ label, value }) => inEnglish(`${english.text(label)}: ${english.text(value)}`));

test('a sheet is named and sized; without a choice for this printer the usual settings are given', () => {
  const tray = { ...A3, tray: 'rear feed', printSide: 'the whiter side' };
  expect(lines(tray, 420, { copies: 3 })).toEqual([
    // 297 / 25.4 and 420 / 25.4.
    'Page size: A3, 297 × 420 mm (11.69 × 16.54 in)',
    'Orientation: portrait, no automatic rotation',
    'Paper source: rear feed',
    'Print side: the whiter side',
    'Media type: the one the ink maker names for transfer paper',
    'Quality: best, high speed (both directions) off',
    'Print scale: 100 %, fit to page off, borderless off',
    'Mirror image: OFF (this file is mirrored)',
    'Colour management: left to the driver; print from a viewer with its own colour management off',
    'Copies: 3 copies of this sheet',
  ]);
});

test('on a roll the length of this sheet is typed, and a short one lies across the roll', () => {
  const long = lines(ROLL, 1234.5);
  expect(long).toContain('Page size: custom size, 610 × 1234.5 mm (24.02 × 48.60 in)');
  expect(long).toContain('Orientation: portrait, no automatic rotation');
  expect(long.join()).toMatch(/no enlargement to the width of the roll/);
  expect(lines(ROLL, 400)).toContain('Orientation: landscape, no automatic rotation');
});

test('the printer’s own media type, quality and other settings; the mirror is on in one place only', () => {
  const own = lines(A3, 420, {
    mirrorBy: 'driver',
    printer: { mediaType: 'Matt, heavy', quality: '8 passes', driver: ['Dry time 2 min', 'Head high'] },
  });
  expect(own).toContain('Media type: Matt, heavy');
  expect(own).toContain('Quality: 8 passes');
  expect(own.join()).toMatch(/Mirror image: ON/);
  expect(own.slice(-2)).toEqual(['Also set: Dry time 2 min', 'Also set: Head high']);
});
