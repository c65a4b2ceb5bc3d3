import { demoShop } from '../demo/demoShop';
import { startingRange, startFrom } from '../heat/starting';
import { LIBRARY } from '../library/library';
import type { Blank } from '../shop/blank';
import type { Press } from '../shop/press';
import { prePressSteps, type Fixing } from './fixing';
import { stepsForPiece } from './steps';

const { shop } = demoShop(new Date('2026-11-24T12:00:00Z'));
const blankOf = (id: string): Blank => {
  const b = LIBRARY.find((x) => x.id === id);
  if (!b) throw new Error(id);
  return b;
};
const pressOf = (kind: Press['kind']): Press => {
  const p = shop.presses.find((x) => x.kind === kind);
  if (!p) throw new Error(kind);
  return p;
};
const settingsFor = (blank: Blank, press: Press) => {
  const range = startingRange(blank.material, press.kind);
  if (!range) throw new Error('no range');
  return startFrom(range, 1, press.kind === 'oven' ? 'at-temperature' : 'from-closing', false);
};
const before = (id: string, kind: Press['kind'], fixing: Partial<Fixing> = {}): string => {
  const [blank, press] = [blankOf(id), pressOf(kind)];
  return prePressSteps(settingsFor(blank, press), { ...blank, film: true }, press, {
    school: 'over',
    seam: ['Ends must meet.'],
    hold: 'bare tape',
    bothFaces: false,
    parcel: false,
    ...fixing,
  })
    .map((p) => p.map((x) => (typeof x === 'string' ? x : `<${x.kind}>`)).join(''))
    .join('|');
};
const during = (id: string, kind: Press['kind']): string => {
  const [blank, press] = [blankOf(id), pressOf(kind)];
  return stepsForPiece(settingsFor(blank, press), blank, press)
    .map((s) => s.title.map((x) => (typeof x === 'string' ? x : '')).join(''))
    .join('|');
};

test('a full wrap: film off, clean, wrap, seam taped, rims pulled down, pressure cold', () => {
  expect(before('straight-steel-590', 'tumbler')).toMatch(
    /film\|Wipe.*away from the press.*\|.*Ends must meet.*\|Tape the seam.*\|Tape both rims.*\|.*waste paper.*\|.*pressure cold/,
  );
});

test('a mug has no seam to tape: its two ends are held beside the handle, and it goes in once', () => {
  const steps = before('mug-325', 'mug', { school: 'under' });
  expect(steps).toMatch(/both ends down flat beside the handle/);
  expect(steps).not.toMatch(/seam its full length|rims/);
  expect(during('mug-325', 'mug')).toMatch(/handle in the opening of the heater/);
  expect(during('mug-325', 'mug')).not.toMatch(/Turn/);
});

test('a pen is wound from the middle and peeled from its ends; no film, no rims, nothing upright', () => {
  const steps = before('pen-aluminium', 'oven', { school: 'lap' });
  expect(steps).toMatch(
    /strip of tape inside the lap.*\|Wind .*from the middle to both ends.*\|Leave a tail/,
  );
  expect(steps).not.toMatch(/shrink film|rims|sleeve/);
  expect(during('pen-aluminium', 'oven')).toMatch(/Lay it on the rack/);
  expect(during('pen-aluminium', 'oven')).toMatch(/both ends off like a spiral/);
  expect(during('pen-aluminium', 'oven')).not.toMatch(/upright/);
});

test('an oven tumbler gets its film or sleeve, as that oven holds it', () => {
  const oven = pressOf('oven');
  expect(before('straight-steel-590', 'oven')).toMatch(
    new RegExp(`Pull the ${oven.kind === 'oven' ? oven.hold : ''} over the whole wrap`),
  );
});

test('a sleeve on a press is pulled on where the hold is a sleeve', () => {
  expect(before('bellied-glass-400', 'tumbler', { hold: 'sleeve', school: 'gap' })).toMatch(
    /Pull the sleeve/,
  );
  expect(before('bellied-glass-400', 'tumbler', { school: 'gap' })).not.toMatch(/Pull the sleeve/);
});

test('a two-sided piece gets no tape on a face', () => {
  const steps = before('ornament-ceramic-disc', 'flat', { bothFaces: true });
  expect(steps).toMatch(/spray tack.*none on a face/);
  expect(steps).not.toMatch(/Tape at two edges/);
});
