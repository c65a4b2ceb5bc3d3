import { demoPresses } from '../../demo/things';
import { LIBRARY } from '../../library/library';
import { isWrapPress, type Press } from '../../shop/press';
import { pieceJ, pressEnergy, workedW } from './energy';
import { pressModel } from '../press/pressModel';

const press = (id: string): Press => {
  const p = demoPresses().find((x) => x.id === id);
  if (!p) throw new Error(id);
  return p;
};
const matOf = (p: Press) => (isWrapPress(p) ? (p.heaters[0] ?? null) : null);

test('warmed up for as long as it says, a heater stepped second by second is where it should be', () => {
  for (const id of ['flat-press-a', 'flat-press-b', 'mug-press', 'tumbler-press-a']) {
    const p = press(id);
    const setC = 195;
    const { warmS, powerW, keptW } = pressEnergy(p, matOf(p), setC);
    const { heater } = pressModel(p, matOf(p), { uncoveredM2: 0, inEdge: false });
    // Open a quarter of the time.
    const lossWK = 0.75 * heater.lossClosedWK + 0.25 * heater.lossOpenWK;
    let c = 22;
    const stepS = 0.05;
    for (let t = 0; t < warmS; t += stepS) c += ((powerW - lossWK * (c - 22)) * stepS) / heater.capacityJK;
    expect(c).toBeCloseTo(setC, 0);
    expect(keptW).toBeCloseTo(lossWK * (setC - 22), 6);
  }
});

test('hotter takes longer, and a heater too weak to get there four hours', () => {
  const p = press('flat-press-a');
  expect(pressEnergy(p, null, 210).warmS).toBeGreaterThan(pressEnergy(p, null, 180).warmS);
  const weak: Press = { ...p, power: { watts: 100, from: 'plate', volts: 230 } };
  expect(pressEnergy(weak, null, 195)).toMatchObject({ warmS: 14_400, keptW: 100 });
});

test('a piece takes up its mass times its heat, and a press worked without pause no more than its power', () => {
  const panel = LIBRARY.find((b) => b.id === 'panel-400-600');
  if (!panel) throw new Error('no panel');
  // Aluminium at 2.43 MJ/(m³ K): 0.24 m² by its thickness, over 178 K.
  expect(pieceJ(panel, 0.24, 200)).toBeCloseTo(0.24 * (panel.wallMm / 1000) * 2.43e6 * 178, -3);
  const e = pressEnergy(press('flat-press-a'), null, 195);
  expect(workedW(e, 60_000, 300)).toBeCloseTo(e.keptW + 200, 6);
  expect(workedW(e, 1e9, 10)).toBe(e.powerW);
});
