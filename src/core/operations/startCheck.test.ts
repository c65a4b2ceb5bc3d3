import { english } from '@/words/english';
import { USUAL_WASTE } from './prepare';
import { demoPresses } from '../demo/things';
import { LIBRARY } from '../library/library';
import type { HeatSettings } from '../shop/heatSettings';
import type { Press } from '../shop/press';
import { endCheck, startCheck } from './startCheck';

const blankOf = (id: string) => {
  const blank = LIBRARY.find((b) => b.id === id);
  if (!blank) throw new Error(id);
  return blank;
};
const pressOf = (kind: Press['kind']) => {
  const press = demoPresses().find((p) => p.kind === kind);
  if (!press) throw new Error(kind);
  return press;
};
const SETTINGS: HeatSettings = {
  platenC: 190,
  dwellS: 60,
  laterDwellS: null,
  passes: 1,
  timerStart: 'from-closing',
  pressure: 'medium',
  peel: 'hot',
  coolDownC: null,
};
const TUMBLER = blankOf('straight-steel-590');
const text = (items: ReturnType<typeof startCheck>) => items.map((i) => english.text(i.text)).join('\n');
const check = (over: Partial<Parameters<typeof startCheck>[0]> = {}) =>
  startCheck({
    settings: SETTINGS,
    blank: TUMBLER,
    press: pressOf('tumbler'),
    waste: USUAL_WASTE,
    others: 0,
    ...over,
  });

test('what can hurt someone is said at every start: fume, socket, gloves, hot places, what burns', () => {
  for (const kind of ['tumbler', 'mug', 'flat', 'oven'] as const)
    expect(
      check({ press: pressOf(kind) })
        .filter((i) => i.caution)
        .map((i) => i.id),
    ).toEqual(['fan', 'socket', 'gloves', 'hot-place', 'burns']);
});

test('how pressure is felt goes by the press: cold, blank in, by hand; an oven has none', () => {
  expect(text(check())).toMatch(/cold, with the blank in: medium, one hand closes it.*does not turn by hand/);
  expect(text(check({ press: pressOf('flat') }))).toMatch(/with the blank and its paper in/);
  const oven = text(check({ press: pressOf('oven'), settings: { ...SETTINGS, pressure: 'sleeve' } }));
  expect(oven).toMatch(/sleeve tight all over/);
  expect(oven).not.toMatch(/cold/);
  expect(oven).toMatch(/never cooks food again/);
});

test('another press that is on is named at the socket; glass and slate go where they do not crack', () => {
  expect(text(check({ others: 2 }))).toMatch(/2 more on now/);
  expect(text(check())).not.toMatch(/more on now/);
  const glass = LIBRARY.find((b) => b.material === 'glass');
  expect(text(check({ blank: glass ?? TUMBLER }))).toMatch(/dry felt, out of the draught/);
});

test('at the end the press goes off, a mug press keeps a spare blank in it; not where another job waits', () => {
  const ids = (kind: Press['kind'], wait: boolean) => endCheck(pressOf(kind), wait, null).map((i) => i.id);
  expect(ids('mug', false)).toEqual(['off', 'spare', 'count', 'cold']);
  expect(ids('mug', true)).toEqual(['count', 'cold']);
  for (const kind of ['flat', 'tumbler', 'oven'] as const)
    expect(ids(kind, false)).toEqual(
      kind === 'oven' ? ['off', 'count', 'cold'] : ['off', 'open', 'count', 'cold'],
    );
  expect(text(endCheck(pressOf('oven'), false, null))).toMatch(/Oven off, door ajar/);
});
