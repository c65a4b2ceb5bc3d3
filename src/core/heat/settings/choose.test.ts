import { inEnglish } from '@/words/inEnglish';
import { LIBRARY } from '../../library/library';
import { STARTER_PRESSES } from '../../demo/things';
import type { Job } from '../../job/job';
import type { Blank } from '../../shop/blank';
import type { HeatSettings } from '../../shop/heatSettings';
import { PEELS, PRESSURES } from '../../shop/heatSettings';
import {
  isWrapPress,
  PRESS_TIMERS,
  TIMER_STARTS,
  type Press,
  type PressHeater,
  type WrapPress,
} from '../../shop/press';
import { BARE_ENTRY, type LogEntry, type Recipe } from '../../shop/records';
import { blurMm } from '../model/blur';
import { chooseHeat, goodPiecesBehind, goodPiecesOf, provenFor } from './choose';
import { TOUCH_SAFE_C } from '../cooling/cooling';
import { lumpedCoolingS, roughCoolS } from '../cooling/roughCooling';
import { exposures, heaterReach } from '../press/heaterReach';
import { PEEL_NOTES, PRESSURE_NOTES, TIMER_START_WORDS } from './labels';
import { coolDownFor, lowestTargetC, startFrom, startingRange } from './starting';

const blank = (id: string): Blank => {
  const b = LIBRARY.find((x) => x.id === id);
  if (!b) throw new Error(id);
  return b;
};
const press = (kind: Press['kind']): Press => {
  const p = STARTER_PRESSES.find((x) => x.kind === kind);
  if (!p) throw new Error(kind);
  return p;
};
const CUP = blank('straight-steel-590');
const PLATE = blank('slate-heart');
const S: HeatSettings = {
  platenC: 188,
  dwellS: 65,
  laterDwellS: null,
  passes: 2,
  timerStart: 'from-closing',
  pressure: 'medium',
  peel: 'hot',
  coolDownC: 170,
};
const recipe = (over: Partial<Recipe> = {}): Recipe => ({
  id: 'r',
  blankId: CUP.id,
  pressId: 'p',
  settings: S,
  load: null,
  pressureAt: null,
  keptAt: 10,
  ...over,
});
const entry = (over: Partial<LogEntry> = {}): LogEntry => ({
  id: 'e',
  at: 1,
  jobId: 'j',
  jobName: 'J',
  blankId: CUP.id,
  blankName: 'Cup',
  pressId: 'p',
  pressName: 'P',
  settings: S,
  load: null,
  verdict: 'good',
  paperState: 'even',
  good: 5,
  spoiled: 1,
  ...BARE_ENTRY,
  ...over,
});

describe('what stands behind a recipe', () => {
  test('good pieces of good entries with exactly its settings, on its blank and press', () => {
    expect(goodPiecesBehind(recipe(), [entry(), entry({ good: 7 })])).toBe(12);
    const others: Partial<LogEntry>[] = [
      { verdict: 'under' },
      { blankId: 'other' },
      { pressId: 'other' },
      { settings: { ...S, platenC: 189 } },
      { settings: { ...S, dwellS: 66 } },
      { settings: { ...S, passes: 1 } },
      { settings: { ...S, timerStart: 'at-temperature' } },
      { settings: { ...S, pressure: 'firm' } },
      { settings: { ...S, peel: 'cold' } },
      { settings: { ...S, coolDownC: null } },
    ];
    for (const other of others) expect(goodPiecesBehind(recipe(), [entry(other)])).toBe(0);
  });

  test('counted already, the log is not asked; a recipe nobody counted has none', () => {
    const log = [entry()];
    expect(goodPiecesOf({ r: 40 }, log)(recipe())).toBe(40);
    expect(goodPiecesOf({}, log)(recipe())).toBe(0);
    expect(goodPiecesOf(undefined, log)(recipe())).toBe(5);
  });

  test('the newest recipe of this blank on this press; of two kept at once the first', () => {
    const recipes = [
      recipe({ id: 'old', keptAt: 5 }),
      recipe({ id: 'new', keptAt: 20 }),
      recipe({ id: 'again', keptAt: 20 }),
      recipe({ id: 'mid', keptAt: 10 }),
      recipe({ id: 'elsewhere', keptAt: 99, pressId: 'q' }),
      recipe({ id: 'another', keptAt: 99, blankId: 'b' }),
    ];
    expect(provenFor(CUP.id, 'p', recipes, () => 3)).toMatchObject({ recipe: { id: 'new' }, goodPieces: 3 });
    expect(provenFor(CUP.id, 'nowhere', recipes, () => 3)).toBeNull();
  });
});

const matOf = (p: Press): PressHeater | null => (isWrapPress(p) ? (p.heaters[0] ?? null) : null);
/** The tumbler press with a mat of another length, and keeping time in another way. */
const wrapWith = (lengthMm: number, timer: WrapPress['timer']): Press => {
  const p = press('tumbler');
  if (!isWrapPress(p)) throw new Error('no mats');
  return { ...p, timer, heaters: p.heaters.map((h) => ({ ...h, lengthMm })) };
};

describe('settings chosen', () => {
  const WORK = { circumferenceMm: 360, printMm: 360, handled: false };
  const choose = (b: Blank, p: Press, heat: Job['heat'] = {}, recipes: readonly Recipe[] = []) =>
    chooseHeat(heat, b, p, matOf(p), WORK, recipes, () => 1);

  test('by hand over proven over the starting range, each said for what it is', () => {
    const wrap = press('tumbler');
    const estimated = choose(CUP, wrap);
    expect(estimated).toMatchObject({ baseOrigin: 'estimated', originOf: { platenC: 'estimated' } });
    const own = recipe({ pressId: wrap.id });
    expect(choose(CUP, wrap, {}, [own])).toMatchObject({ settings: S, baseOrigin: 'proven' });
    expect(choose(CUP, wrap, { dwellS: 80 }, [own])).toMatchObject({
      settings: { ...S, dwellS: 80 },
      base: S,
      originOf: { dwellS: 'measured', platenC: 'proven' },
    });
    // A field emptied on the screen is no setting of nothing.
    const emptied = { dwellS: undefined } as unknown as Job['heat'];
    expect(choose(CUP, wrap, emptied, [own])?.settings.dwellS).toBe(65);
  });

  test('what cannot be pressed there has no settings: a cup on a flat press, a plate in a wrap press', () => {
    expect(choose(CUP, press('flat'))).toBeNull();
    expect(choose(PLATE, press('tumbler'))).toBeNull();
    expect(choose(PLATE, press('flat'))).not.toBeNull();
    expect(choose(CUP, press('oven'))).not.toBeNull();
    // Aluminium has a range on a flat press, and a round one still does not lie on it.
    const can: Blank = { ...CUP, material: 'aluminium' };
    expect(startingRange('aluminium', 'flat', 1)).not.toBeNull();
    expect(choose(can, press('flat'))).toBeNull();
  });

  test('an oven counts from temperature and heats all round; a press by its own timer', () => {
    const oven = choose(CUP, press('oven'));
    expect(oven?.settings.timerStart).toBe('at-temperature');
    expect(oven?.heaterReach).toBeNull();
    const wrap = press('tumbler');
    const counts = {
      'by-hand': 'from-closing',
      'own-from-closing': 'from-closing',
      'own-at-temperature': 'at-temperature',
    };
    for (const timer of PRESS_TIMERS)
      expect(choose(CUP, wrapWith(203, timer))?.settings.timerStart).toBe(counts[timer]);
    expect(chooseHeat({}, CUP, wrap, null, null, [], () => 0)).toMatchObject({
      heaterReach: null,
      settings: { passes: 1 },
    });
  });

  test('an oven holds a wrap the way it holds wraps; a barrel is wound in any of them', () => {
    const oven = (hold: 'sleeve' | 'shrink film' | 'wound tape'): Press =>
      ({ ...press('oven'), hold }) as Press;
    expect(choose(CUP, oven('sleeve'))?.settings.pressure).toBe('sleeve');
    expect(choose(CUP, oven('shrink film'))?.settings.pressure).toBe('film');
    expect(choose(CUP, oven('wound tape'))?.settings.pressure).toBe('tape');
    expect(choose(blank('pen-aluminium'), oven('sleeve'))?.settings.pressure).toBe('tape');
  });

  test('as many passes as the heater needs; an auto-timing press is let cool down between them', () => {
    const auto = wrapWith(180, 'own-at-temperature');
    const byHand = wrapWith(180, 'by-hand');
    expect(choose(CUP, auto)?.settings.passes).toBe(3);
    const { platenC, coolDownC } = choose(CUP, auto)?.settings ?? { platenC: 0, coolDownC: 0 };
    expect(coolDownC).toBe(platenC - 18);
    expect(choose(CUP, byHand)?.settings.coolDownC).toBeNull();
  });

  test('the cool-down target lies below the working temperature, and only where there is a second closing', () => {
    const range = startingRange('steel', 'tumbler', 0.5);
    if (!range) throw new Error('no range');
    const s = startFrom(range, 2, 'from-closing', true, null);
    expect(s.coolDownC).toBe(s.platenC - 18);
    expect(startFrom(range, 1, 'from-closing', true, null).coolDownC).toBeNull();
    expect(startFrom(range, 2, 'from-closing', false, null).coolDownC).toBeNull();
  });

  test('the cool-down target follows the set and the resting temperature, and is never what the press does not read', () => {
    expect(coolDownFor(190, null)).toBe(172);
    expect(coolDownFor(172, null)).toBe(154);
    expect(coolDownFor(190, 180)).toBe(182);
    expect(coolDownFor(190, 120)).toBe(172);
    // It rests three degrees below its working temperature: it never falls far enough to be noticed.
    expect(coolDownFor(190, 187)).toBeNull();
    expect(lowestTargetC(180)).toBe(182);
  });
});

describe('heater reach, by hand', () => {
  const round = (mm: number) => ({ circumferenceMm: mm, printMm: mm, handled: false });

  test('the cooler end of the mat is not counted, at both of its ends', () => {
    // 190° of heater: 180° of it counted, so two passes meet. One degree less of either end and they would not.
    expect(heaterReach(round(360), 190, 1).passesNeeded).toBe(2);
    expect(heaterReach(round(360), 189.9, 1).passesNeeded).toBe(3);
    expect(heaterReach(round(360), 130, 1).passesNeeded).toBe(3);
    expect(heaterReach(round(360), 129, 1).passesNeeded).toBe(4);
  });

  test('a heater hardly longer than its cool ends, or no longer, asks for all passes there are', () => {
    for (const mm of [5, 10, 11, 20]) expect(heaterReach(round(360), mm, 1).passesNeeded).toBe(6);
  });

  test('turned by equal shares, and not at all in one pass', () => {
    expect(heaterReach(round(360), 190, 1).rotationDeg).toBe(0);
    expect(heaterReach(round(360), 190, 2).rotationDeg).toBe(180);
    expect(heaterReach(round(360), 130, 3).rotationDeg).toBe(120);
  });

  test('a print exactly as long as the heater lies inside it; a longer one gets nothing at its ends in one pass', () => {
    expect(heaterReach({ ...round(360), printMm: 180 }, 180, 1)).toMatchObject({
      exposures: [1, 1],
      missedMm: 0,
    });
    expect(heaterReach({ ...round(360), printMm: 190 }, 180, 1)).toMatchObject({
      exposures: [0, 1],
      missedMm: 5,
    });
    expect(heaterReach({ ...round(360), printMm: 180 }, 180, 2).exposures).toEqual([1, 1]);
    expect(heaterReach({ ...round(360), printMm: 100 }, 240, 2).exposures).toEqual([1, 2]);
  });

  test('passes that just meet count once everywhere, in spite of rounding', () => {
    expect(exposures(180, 2)).toEqual([1, 1]);
    expect(exposures(120, 3)).toEqual([1, 1]);
    expect(exposures(360 / 7, 7)).toEqual([1, 1]);
    expect(exposures(360, 1)).toEqual([1, 1]);
    expect(exposures(179, 2)).toEqual([0, 1]);
    expect(exposures(181, 2)).toEqual([1, 2]);
  });
});

describe('cooling and lines, by hand', () => {
  test('before a simulation: a vacuum wall cools by its outer skin alone, a plate by both faces, a cup by little more than one; of a thick one only what was heated through', () => {
    const LONG = { platenC: 188, dwellS: 600, passes: 1 };
    // τ = ρc·d/h: 3.95 MJ/(m³K) × 0.5 mm / 12 W/(m²K) = 164.6 s at the usual air, times ln(166/23).
    const skin = roughCoolS({ ...CUP, wall: 'vacuum', wallMm: 0.5 }, LONG, TOUCH_SAFE_C);
    expect(skin.value).toBeCloseTo((1975 / 12) * Math.log(166 / 23), 6);
    expect(skin.low).toBeCloseTo(((1975 / 16) * Math.log(166 / 23)) / 1.3, 6);
    expect(skin.high).toBeCloseTo((1975 / 9) * Math.log(166 / 23) * 1.3, 6);
    expect(roughCoolS({ ...CUP, wall: 'single', wallMm: 0.5 }, LONG, TOUCH_SAFE_C).value).toBeCloseTo(
      skin.value / 1.2,
      6,
    );
    // Slate, 2.1 MJ/(m³K), by both faces.
    const plate = roughCoolS({ ...PLATE, wallMm: 8 }, LONG, TOUCH_SAFE_C);
    expect(plate.value).toBeCloseTo((16800 / 2 / 12) * Math.log(166 / 23), 6);
    // Board, α = 0.16 / 1.25e6 m²/s: in 100 s heat reaches 1.4 √(α·100) = 5.0 mm, however thick it is.
    const board = (wallMm: number) =>
      roughCoolS(
        { ...PLATE, material: 'hardboard', wallMm },
        { platenC: 188, dwellS: 100, passes: 1 },
        TOUCH_SAFE_C,
      ).value;
    expect(board(25)).toBe(board(12));
    expect(board(25)).toBeCloseTo(((1.25e6 * 1.4 * Math.sqrt(1.28e-5)) / 2 / 12) * Math.log(166 / 23), 3);
    expect(lumpedCoolingS(45, 45, 22, 100)).toBe(0);
    expect(lumpedCoolingS(30, 45, 22, 100)).toBe(0);
  });

  test('creep grows with the root of time, of all passes together: medium pressure, 240 s is twice 60 s', () => {
    const creep = (dwellS: number, passes: number) => blurMm({ dwellS, passes, pressure: 'medium' }) - 0.07;
    expect(creep(60, 1)).toBeCloseTo(0.08, 12);
    expect(creep(240, 1)).toBeCloseTo(0.16, 12);
    expect(creep(120, 2)).toBeCloseTo(0.16, 12);
  });

  test('every pressure, timer start and peel has its words', () => {
    for (const p of PRESSURES) expect(inEnglish(PRESSURE_NOTES[p])).toMatch(/\w/);
    for (const t of TIMER_STARTS) expect(inEnglish(TIMER_START_WORDS[t])).toMatch(/\w/);
    for (const p of PEELS)
      for (const words of Object.values(PEEL_NOTES[p])) expect(inEnglish(words)).toMatch(/\w/);
  });
});
