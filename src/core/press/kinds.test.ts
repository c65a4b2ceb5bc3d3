import { operationWords } from '../operations/words';
import { english } from '@/words/english';
import { LIBRARY } from '../library/library';
import { PRESS_KINDS, pressSchema, USUAL_POWER, type Press, type VacuumPress } from '../shop/press';
import { STARTER_PRESSES } from '../demo/things';
import { plan } from '../plan/plan';
import { demoShop } from '../demo/demoShop';
import { startCheck, endCheck } from '../operations/startCheck';
import { heldBy, heatsOf, KINDS, PRESS_KIND_WORDS, rangesOf, takes, timerStartOf } from './kinds';

const VACUUM: VacuumPress = {
  id: 'vacuum-press',
  name: 'Vacuum press',
  kind: 'vacuum',
  power: USUAL_POWER,
  checks: [],
  timings: [],
  insideHeightMm: 160,
  insideWidthMm: 420,
  insideDepthMm: 330,
  membraneMm: 1.5,
  timer: 'by-hand',
};
const { shop, jobs } = demoShop(new Date('2026-12-01T09:00:00Z'));
const job = (id: string) => {
  const found = jobs.find((j) => j.id === id);
  if (!found) throw new Error(id);
  return found;
};
const blankOf = (id: string) => {
  const found = LIBRARY.find((b) => b.id === id);
  if (!found) throw new Error(id);
  return found;
};

test.each(PRESS_KINDS)('%s: its name, ranges with room in them, and words', (kind) => {
  expect(english.text(PRESS_KIND_WORDS[kind])).toMatch(/press|oven/);
  for (const r of rangesOf(kind)) {
    expect(r.platenC[0]).toBeLessThan(r.platenC[1]);
    expect(r.dwellS[0]).toBeLessThan(r.dwellS[1]);
    expect(r.dwellS[1]).toBeLessThanOrEqual(7200);
  }
  expect(english.text(KINDS[kind].words.off)).toMatch(/off/);
});

test('a flat press takes flat blanks, a mat round ones, an oven both, a membrane whatever has no open ends', () => {
  const [mug, panel, pen] = ['mug-325', 'panel-400-600', 'pen-aluminium'].map((id) =>
    LIBRARY.find((b) => b.id === id),
  );
  const pieces = [mug, panel, pen ?? LIBRARY.find((b) => b.shape.kind === 'round' && b.shape.openEnds)];
  const taken = (p: Press) => pieces.map((b) => b !== undefined && takes(p, b));
  const of = (kind: Press['kind']): Press => {
    const found = STARTER_PRESSES.find((p) => p.kind === kind);
    if (!found) throw new Error(kind);
    return found;
  };
  expect(taken(of('flat'))).toEqual([false, true, false]);
  expect(taken(of('mug'))).toEqual([true, false, true]);
  expect(taken(of('oven'))).toEqual([true, true, true]);
  expect(taken(VACUUM)).toEqual([true, true, false]);
});

test('a vacuum press is stored as it is, and a membrane without a thickness is not one', () => {
  expect(pressSchema.parse(VACUUM)).toEqual(VACUUM);
  expect(pressSchema.safeParse({ ...VACUUM, membraneMm: 0 }).success).toBe(false);
});

test('a vacuum press: the membrane presses, times count from closing or by its own timer, heat comes as in an oven', () => {
  expect(heldBy(VACUUM, blankOf('mug-325'))).toBe('membrane');
  expect([timerStartOf(VACUUM), timerStartOf({ ...VACUUM, timer: 'own-at-temperature' })]).toEqual([
    'from-closing',
    'at-temperature',
  ]);
  expect(heatsOf(VACUUM)).toBe('oven');
});

describe('a job on a vacuum press', () => {
  const withPress = { ...shop, presses: [...shop.presses, VACUUM] };
  const mugs = { ...job('constellation-mugs'), pressId: VACUUM.id, heat: {}, load: {} };
  const made = plan(mugs, withPress);

  test('its settings, several pieces at once, and no waste paper', () => {
    expect(made.heat.chosen?.settings).toMatchObject({
      pressure: 'membrane',
      passes: 1,
      timerStart: 'from-closing',
    });
    expect(made.heat.load?.load).toMatchObject({ wasteSheets: 0 });
    expect(made.heat.load?.load.piecesAtOnce).toBeGreaterThan(1);
    expect(made.heat.findings.filter((f) => f.level === 'blocker')).toEqual([]);
  });

  test('a wrap taller than the chamber is refused with both heights', () => {
    const low = { ...withPress, presses: [{ ...VACUUM, insideHeightMm: 60 }] };
    const blocked = plan(mugs, low).heat.findings.filter((f) => f.level === 'blocker');
    expect(blocked.map((f) => english.text(f.text)).join(' ')).toMatch(
      /up to 60 mm tall; the wrap alone is 8\d(?:\.\d)? mm/,
    );
  });

  test('the steps: the membrane is drawn down, nothing is pulled over, and what is checked before and after says so', () => {
    const { chosen } = made.heat;
    const blank = made.blank.blank;
    if (!chosen || !blank) throw new Error('not chosen');
    const context = {
      settings: chosen.settings,
      blank,
      press: VACUUM,
      waste: { wasteSheets: 0, wasteKind: 'plain' },
      seam: null,
    } as const;
    const steps = made.heat.operations.map((o) => english.text(operationWords(o, context).title));
    expect(steps.join('\n')).toMatch(/Heat the chamber to \d+ °C with the lid closed/);
    expect(steps.join('\n')).toMatch(/Close the lid and draw the vacuum/);
    expect(steps.join('\n')).not.toMatch(/Pull the|waste paper|oven/i);
    const checks = startCheck({
      settings: chosen.settings,
      blank,
      press: VACUUM,
      waste: { wasteSheets: 0, wasteKind: 'plain' },
      others: 0,
    });
    expect(checks.map((c) => english.text(c.text)).join(' ')).toMatch(/Membrane clean and whole/);
    expect(
      endCheck(VACUUM, false, null)
        .map((c) => english.text(c.text))
        .join(' '),
    ).toMatch(/Vacuum off/);
  });
});
