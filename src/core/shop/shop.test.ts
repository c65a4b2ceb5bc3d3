import { inEnglish } from '@/words/inEnglish';
import { demoShop } from '../demo/demoShop';
import { STARTER_PAPERS } from '../demo/things';
import { COLOUR_BY } from './printer';
import { COLOUR_WORDS, printerSchema, STARTER_PRINTER } from './printer';
import { paperSchema } from './paper';
import { pressSchema, isFlatPress, isChamber, isWrapPress } from './press';
import { DEFAULT_SETTINGS, printerOf, settingsSchema } from './settings';
import { shopSchema } from './shop';

const { shop } = demoShop(new Date('2026-11-24T12:00:00Z'));

test('everything the application starts with can be kept', () => {
  expect(shopSchema.parse(shop)).toEqual(shop);
  expect(settingsSchema.parse(DEFAULT_SETTINGS)).toEqual(DEFAULT_SETTINGS);
  for (const p of STARTER_PAPERS) expect(paperSchema.parse(p)).toEqual(p);
});

test.each([
  ['widestMm', 99],
  ['widestMm', 1701],
  ['ppi', 72],
  ['mostInkPct', 99],
  ['mostInkPct', 250.5],
  ['inkPerM2Cents', -1],
  ['mirrorBy', 'both'],
  ['mirrorBy', 'nobody'],
  ['colourBy', 'all of them'],
  ['marginsMm', { top: 3, right: 3, bottom: 3 }],
  ['marginsMm', { top: 3, right: 3, bottom: 3, left: 61 }],
  ['driver', Array.from({ length: 17 }, () => 'line')],
  ['driver', ['   ']],
])('a printer’s %s cannot be %j', (key, value) => {
  expect(printerSchema.safeParse({ ...STARTER_PRINTER, [key]: value }).success).toBe(false);
  expect(printerSchema.safeParse(STARTER_PRINTER).success).toBe(true);
});

test.each([
  ['kind', 'scroll'],
  ['widthMm', 49],
  ['heightMm', 30_001],
  ['thicknessMm', 0],
  ['costCents', 0.5],
  ['tray', 'x'.repeat(161)],
  ['calibration', { across: { nominalMm: 200, printedMm: 199, pressedMm: null } }],
  ['calibration', { across: { nominalMm: 200, printedMm: 0, pressedMm: null }, along: null }],
])('a paper’s %s cannot be %j', (key, value) => {
  expect(paperSchema.safeParse({ ...STARTER_PAPERS[0], [key]: value }).success).toBe(false);
});

test('exactly one program manages colour, and the list says what to set in each case', () => {
  for (const by of COLOUR_BY) {
    expect(inEnglish(COLOUR_WORDS[by].set)).toMatch(/^(left to|managed by) /);
    // Wherever the driver is not the one, its own correction is to be off.
    if (by !== 'driver') expect(inEnglish(COLOUR_WORDS[by].set)).toMatch(/driver OFF$/);
  }
  expect(new Set(COLOUR_BY.map((by) => COLOUR_WORDS[by].set)).size).toBe(COLOUR_BY.length);
});

test('a job’s printer, or the shop’s first where that one has gone', () => {
  const two = { ...DEFAULT_SETTINGS, printers: [STARTER_PRINTER, { ...STARTER_PRINTER, id: 'wide' }] };
  expect(printerOf(two, 'wide').id).toBe('wide');
  expect(printerOf(two, null).id).toBe(STARTER_PRINTER.id);
  expect(printerOf(two, 'sold').id).toBe(STARTER_PRINTER.id);
  expect(settingsSchema.safeParse({ ...DEFAULT_SETTINGS, printers: [] }).success).toBe(false);
});

test('a press is of one kind and has what that kind needs', () => {
  for (const p of shop.presses) {
    expect([isFlatPress(p), isWrapPress(p), isChamber(p)].filter(Boolean)).toHaveLength(1);
    const { kind, ...rest } = p;
    const other = kind === 'flat' ? 'oven' : 'flat';
    expect(pressSchema.safeParse({ ...rest, kind: other }).success).toBe(false);
  }
});
