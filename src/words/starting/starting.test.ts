import { LIBRARY } from '@/core/library/library';
import { starterShop } from '@/core/demo/demoShop';
import { finishSteps } from '@/core/finish/steps';
import { blankSchema } from '@/core/shop/blank';
import { settingsSchema } from '@/core/shop/settings';
import { inEveryLanguage, startingIn } from './starting';
import { STARTING_ES } from './es';

/** What people read of a blank. */
const textsOf = (b: (typeof LIBRARY)[number]): readonly string[] => [
  b.name,
  ...b.takeOff,
  ...b.finish,
  ...b.needs,
  ...b.cautions,
  ...(b.shape.kind === 'round' ? b.shape.exclusionZones.map((z) => z.what) : []),
];

test('every text of the library has its Spanish', () => {
  const missing = LIBRARY.flatMap(textsOf).filter((text) => STARTING_ES[text] === undefined);
  expect([...new Set(missing)]).toEqual([]);
});

test('a library in Spanish differs from the English one in nothing but what is read', async () => {
  const spanish = await startingIn('es', LIBRARY);
  const silent = (b: (typeof LIBRARY)[number]) => ({
    ...b,
    name: '',
    takeOff: b.takeOff.length,
    finish: b.finish.length,
    needs: b.needs.length,
    cautions: b.cautions.length,
    shape:
      b.shape.kind === 'flat'
        ? b.shape
        : { ...b.shape, exclusionZones: b.shape.exclusionZones.map((z) => ({ ...z, what: '' })) },
  });
  expect(spanish.map(silent)).toEqual(LIBRARY.map(silent));
  for (const b of spanish) {
    expect(blankSchema.safeParse(b)).toMatchObject({ success: true });
    expect(
      textsOf(b).filter((text) => STARTING_ES[text] !== undefined && STARTING_ES[text] !== text),
    ).toEqual([]);
  }
});

test('the finishing steps of a blank are the same in Spanish', async () => {
  const spanish = await startingIn('es', LIBRARY);
  LIBRARY.forEach((b, i) => {
    const other = spanish[i];
    if (!other) throw new Error(b.id);
    expect([b.id, finishSteps(other).map((s) => s.kind)]).toEqual([b.id, finishSteps(b).map((s) => s.kind)]);
  });
});

test('a starting shop is itself in English, and its settings hold in every language', async () => {
  const { settings } = starterShop().shop;
  const [english, american, spanish] = await inEveryLanguage(settings);
  expect(english).toBe(settings);
  expect(american?.shopName).toBe(settings.shopName);
  expect(spanish).toMatchObject({ shopName: 'Mi taller', currency: settings.currency });
  expect(settingsSchema.safeParse(spanish)).toMatchObject({ success: true });
  const [, us] = await inEveryLanguage(LIBRARY);
  expect(us?.find((b) => b.id === 'panel-400-600')?.name).toBe('aluminum panel 400 × 600');
});
