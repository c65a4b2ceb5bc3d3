import { issueText } from '@/core/basics/rule';
import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import fc from 'fast-check';
import { STARTER_PRESSES } from '@/core/demo/things';
import { pressSchema, type Press } from '@/core/shop/press';
import { printerSchema, STARTER_PRINTER } from '@/core/shop/printer';
import type { UnitChoice } from '@/core/units/format';
import { barTexts, readBars, type BarTexts } from './calibrationForm';
import { pressFormSchema, pressFromForm, pressToForm, type PressFormIn } from './pressForm';
import { printerFormSchema, printerFromForm, printerToForm } from './printerForm';
import { shownLengths } from './shopForm';

const MM: UnitChoice = { length: 'mm', temperature: 'C', inchDenominator: 16 };
const INCHES: UnitChoice = { ...MM, length: 'in' };
const UNITS = [MM, INCHES];

type Change = Partial<PressFormIn> & { readonly heater?: Partial<PressFormIn['heaters'][number]> };
const pressSaved = (press: Press | null, units: UnitChoice, { heater, ...change }: Change = {}) => {
  const shown = shownLengths(units);
  const first = pressToForm(press, shown, units, 'Heater');
  const heaters = first.heaters.map((h) => ({ ...h, ...heater }));
  const r = pressFormSchema(units, shown).safeParse({ ...first, heaters, ...change });
  return r.success
    ? pressFromForm(r.data, press?.id ?? 'new', press, units)
    : r.error.issues.map((i) => english.text(issueText(i.message)));
};

describe('the press form', () => {
  const CHECKED: Press[] = STARTER_PRESSES.map((p) => ({
    ...p,
    checks: [{ id: 'c', at: 5, setC: 190, with: 'probe', points: [{ x: 0.5, y: 0.5, readC: 186 }] }],
  }));

  test('a press opened and saved untouched is the press it was, in either unit, with what was checked on it', () => {
    for (const press of [...STARTER_PRESSES, ...CHECKED])
      for (const u of [...UNITS, { ...MM, temperature: 'F' } as UnitChoice])
        expect(inEnglish(pressSaved(press, u))).toEqual(press);
  });

  test('a new press of every kind is whole, with the fields of its kind and no others', () => {
    for (const kind of ['tumbler', 'mug', 'oven', 'flat'] as const) {
      const made = pressSaved(null, MM, { name: 'Ours', kind });
      expect(inEnglish(pressSchema.safeParse(made).success)).toBe(true);
      expect(made).toMatchObject({ kind, name: 'Ours', id: 'new', power: { watts: null } });
    }
    expect(pressSaved(null, MM, { name: 'Ours', kind: 'oven' })).not.toHaveProperty('timer');
    expect(pressSaved(null, MM, { name: 'Ours', kind: 'flat' })).not.toHaveProperty('heaters');
  });

  test('a wrap press that closes on nothing is refused', () => {
    const upside = { smallestDiameterMm: '90', largestDiameterMm: '60' };
    expect(inEnglish(pressSaved(null, MM, { name: 'X', kind: 'mug', heater: upside }))).toEqual([
      'The largest must be more than the smallest.',
    ]);
  });

  test('no power at all, or no number, is refused in words; nothing said is usual', () => {
    expect(inEnglish(pressSaved(null, MM, { name: 'X', kind: 'flat', watts: '0' }))).toEqual([
      'Power: from 20 to 30000 W, or leave it empty.',
    ]);
    expect(pressSaved(null, MM, { name: 'X', kind: 'flat', watts: 'much' })).toHaveLength(1);
    expect(
      pressSaved(null, MM, { name: 'X', kind: 'flat', watts: '1800', wattsFrom: 'measured' }),
    ).toMatchObject({
      power: { watts: 1800, from: 'measured', volts: null },
    });
  });

  test('where it rests and how far an oven falls count in the degrees of the shop', () => {
    const F: UnitChoice = { ...MM, temperature: 'F' };
    const rests = pressSaved(null, F, { name: 'X', kind: 'mug', restingC: '302' });
    expect(inEnglish(rests)).toMatchObject({ restingC: 150 });
    expect(pressSaved(null, F, { name: 'X', kind: 'oven', fallK: '54' })).toMatchObject({ fallK: 30 });
    expect(pressSaved(null, MM, { name: 'X', kind: 'oven', fallK: '30' })).toMatchObject({ fallK: 30 });
    expect(pressSaved(null, MM, { name: 'X', kind: 'mug', restingC: '5' })).toHaveLength(1);
  });

  test('typed lengths count in the unit of the form', () => {
    for (const [units, lengthMm] of [
      [INCHES, '9'],
      [MM, '9 in'],
    ] as const)
      expect(
        inEnglish(pressSaved(null, units, { name: 'X', kind: 'tumbler', heater: { lengthMm } })),
      ).toMatchObject({
        heaters: [{ lengthMm: 228.6 }],
      });
  });
});

describe('the printer form', () => {
  const saved = (printer: typeof STARTER_PRINTER | null, units: UnitChoice, change: object = {}) => {
    const shown = shownLengths(units);
    const r = printerFormSchema(units.length, shown).safeParse({
      ...printerToForm(printer, shown),
      ...change,
    });
    return r.success
      ? printerFromForm(r.data, printer?.id ?? 'new')
      : r.error.issues.map((i) => english.text(issueText(i.message)));
  };

  test('opened and saved untouched it is the printer it was, in either unit', () => {
    for (const u of UNITS) expect(saved(STARTER_PRINTER, u)).toEqual(STARTER_PRINTER);
  });

  test('a new one needs a name, and is whole with one', () => {
    expect(inEnglish(saved(null, MM))).toEqual(['Give it a name.']);
    const made = saved(null, MM, { name: 'Ours', inkPerM2Cents: '12,50', ppi: '360', top: '0' });
    expect(printerSchema.safeParse(made).success).toBe(true);
    expect(made).toMatchObject({ inkPerM2Cents: 1250, ppi: 360, marginsMm: { top: 0 } });
  });

  test('at most sixteen lines are read out at a sheet', () => {
    const driver = Array.from({ length: 40 }, (_, i) => `line ${i}`).join('\n');
    const made = saved(null, MM, { name: 'Ours', driver });
    expect(Array.isArray(made) ? 0 : made.driver.length).toBeLessThanOrEqual(16);
  });
});

describe('the bars of the calibration page', () => {
  const NOMINAL = { across: 200, along: 260 };
  const OLD = {
    across: { nominalMm: 180, printedMm: 180.4, pressedMm: 180.1 },
    along: { nominalMm: 240, printedMm: 239.5, pressedMm: null },
  };
  const read = (texts: BarTexts, old: typeof OLD | null = null, shown = shownLengths(MM)) =>
    readBars(texts, { unit: 'mm', nominal: NOMINAL, old, shown });
  const typed = (over: Partial<BarTexts> = {}): BarTexts => ({
    'across-printed': '200.4',
    'along-printed': '259.5',
    'across-pressed': '',
    'along-pressed': '',
    ...over,
  });

  test('what was measured is kept beside what was drawn; not pressed yet is said as that', () => {
    expect(read(typed({ 'along-pressed': '259' })).calibration).toEqual({
      across: { nominalMm: 200, printedMm: 200.4, pressedMm: null },
      along: { nominalMm: 260, printedMm: 259.5, pressedMm: 259 },
    });
  });

  test('more than 3 % off is a slip and is said at its bar; nothing is kept', () => {
    for (const off of ['193.9', '206.1']) {
      const r = read(typed({ 'across-printed': off }));
      expect(r.calibration).toBeNull();
      expect(Object.keys(r.wrong)).toEqual(['across-printed']);
      expect(inEnglish(r.wrong['across-printed'])).toMatch(/The bar is 200 mm.*3 % off/);
    }
    for (const near of ['194.1', '205.9']) expect(read(typed({ 'across-printed': near })).wrong).toEqual({});
    expect(read(typed({ 'along-printed': 'long' })).wrong).toHaveProperty('along-printed');
    expect(read(typed({ 'along-printed': '' })).calibration).toBeNull();
  });

  test('bars left as they were stay those of the page measured then, to the last digit', () => {
    for (const units of UNITS) {
      const shown = shownLengths(units);
      const texts = barTexts(OLD, shown);
      expect(readBars(texts, { unit: units.length, nominal: NOMINAL, old: OLD, shown }).calibration).toEqual(
        OLD,
      );
    }
    // One bar measured again is a bar of today's page.
    const shown = shownLengths(MM);
    const texts = { ...barTexts(OLD, shown), 'across-printed': '200.2' };
    const again = readBars(texts, { unit: 'mm', nominal: NOMINAL, old: OLD, shown }).calibration;
    expect(again?.across).toMatchObject({ nominalMm: 200, printedMm: 200.2 });
    expect(again?.along.nominalMm).toBe(240);
  });

  test('whatever is typed, there is either a calibration or something said', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 12 }), fc.string({ maxLength: 12 }), (a, b) => {
        const r = read(typed({ 'across-printed': a, 'along-pressed': b }));
        return (r.calibration === null) === Object.keys(r.wrong).length > 0;
      }),
    );
  });
});
