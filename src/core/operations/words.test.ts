import { USUAL_PRACTICES } from '../shop/practices';
import { verbatim } from '@/core/message/message';
import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import { demoShop } from '../demo/demoShop';
import { startingRange, startFrom } from '../heat/settings/starting';
import { LIBRARY } from '../library/library';
import type { Blank } from '../shop/blank';
import type { Press } from '../shop/press';
import type { Message } from '../message/message';
import { pressCycle } from './cycle';
import { ONE_PIECE } from './testTimes';
import { ofStage } from '../shop/operation';
import { preparations, type PaperHold, USUAL_WASTE, type Waste } from './prepare';
import { operationWords } from './words';

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
  const range = startingRange(blank.material, press.kind, blank.wallMm);
  if (!range) throw new Error('no range');
  return startFrom(range, 1, press.kind === 'oven' ? 'at-temperature' : 'from-closing', false, null);
};
const SEAM = verbatim('Ends must meet.');
const HELD: PaperHold = {
  seamMethod: 'over',
  hold: 'bare tape',
  bothFaces: false,
  wrapped: false,
  waste: USUAL_WASTE,
  practices: USUAL_PRACTICES,
  cutAtEdge: false,
  tails: false,
};
const spoken = (phrases: readonly Message[]): string => phrases.map((p) => english.text(p)).join('|');

const before = (id: string, kind: Press['kind'], held: Partial<PaperHold> = {}): string => {
  const [blank, press] = [{ ...blankOf(id), film: true }, pressOf(kind)];
  const settings = settingsFor(blank, press);
  const context = { settings, blank, press, waste: USUAL_WASTE, seam: SEAM };
  return spoken(
    preparations(settings, blank, press, { ...HELD, ...held }).map((o) => operationWords(o, context).title),
  );
};
const during = (id: string, kind: Press['kind']): string => {
  const [blank, press] = [blankOf(id), pressOf(kind)];
  const settings = settingsFor(blank, press);
  const context = { settings, blank, press, waste: USUAL_WASTE, seam: SEAM };
  return spoken(
    ofStage(pressCycle(settings, press, ONE_PIECE), 'press').map((o) => operationWords(o, context).title),
  );
};

test('a full wrap: film off, clean, wrap, seam taped, rims pulled down, pressure cold', () => {
  expect(before('straight-steel-590', 'tumbler')).toMatch(
    /film\|Wipe.*away from the press.*\|.*Ends must meet.*\|Tape the seam.*\|Tape both rims.*\|.*waste paper.*\|.*pressure cold/,
  );
});

test('a mug has no seam to tape: its two ends are held beside the handle, and it goes in once', () => {
  const steps = before('mug-325', 'mug', { seamMethod: 'under' });
  expect(steps).toMatch(/both ends down flat beside the handle/);
  expect(steps).not.toMatch(/seam its full length|rims/);
  expect(during('mug-325', 'mug')).toMatch(/handle in the opening of the heater/);
  expect(during('mug-325', 'mug')).not.toMatch(/Turn/);
});

test('a pen is wound from the middle and peeled from its ends; no film, no rims, nothing upright', () => {
  const steps = before('pen-aluminium', 'oven', { seamMethod: 'lap' });
  expect(steps).toMatch(
    /strip of tape inside the overlap.*\|Wind .*from the middle to both ends.*\|Leave a tail/,
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
  expect(before('bellied-glass-400', 'tumbler', { hold: 'sleeve', seamMethod: 'gap' })).toMatch(
    /Pull the sleeve/,
  );
  expect(before('bellied-glass-400', 'tumbler', { seamMethod: 'gap' })).not.toMatch(/Pull the sleeve/);
});

test('a two-sided piece gets no tape on a face', () => {
  const steps = before('ornament-ceramic-disc', 'flat', { bothFaces: true });
  expect(steps).toMatch(/spray tack.*none on a face/);
  expect(steps).not.toMatch(/Tape at two edges/);
});

test('cautions stand at the operations where the hand is', () => {
  const cautions = (id: string, kind: Press['kind']) => {
    const [blank, press] = [blankOf(id), pressOf(kind)];
    const settings = { ...settingsFor(blank, press), passes: 2 };
    const context = { settings, blank, press, waste: USUAL_WASTE, seam: SEAM };
    return Object.fromEntries(
      pressCycle(settings, press, ONE_PIECE).map((o) => [o.id, operationWords(o, context).caution ?? '']),
    );
  };
  expect(inEnglish(cautions('straight-steel-590', 'tumbler'))).toMatchObject({
    'turn-2': expect.stringMatching(/gloves/i) as string,
    'close-1': expect.stringMatching(/fingers/) as string,
    peel: expect.stringMatching(/heat mat/) as string,
    'set-down': expect.stringMatching(/fume/) as string,
  });
  expect(inEnglish(cautions('straight-steel-590', 'oven').load)).toMatch(/never cooks food/);
  expect(inEnglish(cautions('bellied-glass-400', 'tumbler').peel)).toMatch(/glass cracks/i);
  expect(inEnglish(cautions('slate-trail-marker', 'flat')['close-1'])).toMatch(/both hands on the lever/);
});

test('on a flat press it is said which way a piece lies: paper towards the platen, or heated through', () => {
  const [blank, press] = [blankOf('slate-trail-marker'), pressOf('flat')];
  const settings = settingsFor(blank, press);
  const context = { settings, blank, press, waste: USUAL_WASTE, seam: SEAM };
  const load = (lies: 'face up' | 'face down' | null, pieces = 1) =>
    spoken(
      pressCycle(settings, press, { ...ONE_PIECE, lies, pieces })
        .slice(0, 1)
        .map((o) => operationWords(o, context).title),
    );
  expect(load('face up')).toMatch(/its paper on top/);
  expect(load('face down', 6)).toMatch(/All 6 on the bed.*face down on its paper/);
  expect(load(null)).toBe('On the bed, in the middle, waste paper under and over');
});

test('what lies between is said as it is set: fresh paper, parchment, silicone that is wiped, or nothing', () => {
  const [blank, press] = [blankOf('slate-trail-marker'), pressOf('flat')];
  const settings = settingsFor(blank, press);
  const said = (waste: Waste) =>
    spoken(
      [...preparations(settings, blank, press, { ...HELD, waste }), ...pressCycle(settings, press, ONE_PIECE)]
        .filter((o) => o.kind === 'waste-paper' || o.kind === 'load')
        .map((o) => operationWords(o, { settings, blank, press, waste, seam: SEAM }).title),
    );
  expect(said({ wasteSheets: 0, wasteKind: 'plain' })).not.toMatch(/paper|parchment|silicone|fresh/i);
  expect(said({ wasteSheets: 1, wasteKind: 'parchment' })).toMatch(
    /^Fresh parchment over, one under.*parchment under and over/,
  );
  expect(said({ wasteSheets: 1, wasteKind: 'silicone' })).toMatch(
    /^Silicone sheet under and over, wiped clean/,
  );
  expect(said({ wasteSheets: 1, wasteKind: 'silicone' })).not.toMatch(/fresh|one use/i);
  expect(said({ wasteSheets: 2, wasteKind: 'plain' })).toMatch(
    /^2 sheets of fresh waste paper over, one under/,
  );
});

test('a barrel is peeled as it is set: hot or cold, from both ends', () => {
  const [blank, press] = [blankOf('pen-aluminium'), pressOf('oven')];
  const peel = (how: 'hot' | 'cold') => {
    const settings = { ...settingsFor(blank, press), peel: how };
    const o = pressCycle(settings, press, ONE_PIECE).find((x) => x.kind === 'peel');
    if (!o) throw new Error('no peel');
    return spoken([operationWords(o, { settings, blank, press, waste: USUAL_WASTE, seam: SEAM }).title]);
  };
  expect(settingsFor(blank, press).peel).toBe('hot');
  expect(peel('hot')).toMatch(/both ends.*while hot/);
  expect(peel('cold')).toMatch(/until cold.*both ends/);
});

describe('each note is shown at its step', () => {
  const notes = (id: string, kind: Press['kind'], held: Partial<PaperHold> = {}): readonly string[] => {
    const [blank, press] = [blankOf(id), pressOf(kind)];
    const settings = settingsFor(blank, press);
    const context = { settings, blank, press, waste: USUAL_WASTE, seam: SEAM };
    const all = [
      ...preparations(settings, blank, press, { ...HELD, ...held }),
      ...ofStage(pressCycle(settings, press, ONE_PIECE), 'press'),
    ];
    return all.flatMap((o) => {
      const { note } = operationWords(o, context);
      return note ? [`${o.kind}: ${english.text(note)}`] : [];
    });
  };

  test('a mug: the end of the paper taped down before it slides in, held by its handle', () => {
    expect(notes('mug-325', 'mug')).toEqual([
      'load: Tape down the end of the paper first, so that it does not fold back.',
      'peel: Hold the mug by its handle.',
    ]);
  });

  test('metal is lifted by the paper; a fold lies towards the hinge; tacked paper needs a slow opening', () => {
    expect(notes('panel-200-300', 'flat')).toContain('peel: Lift the metal by the paper.');
    const both = notes('ornament-aluminium-disc', 'flat', { bothFaces: true });
    expect(both).toContain('fold-in: Lay the fold towards the hinge of the press.');
    expect(both.find((n) => n.startsWith('tack-both-faces'))).toMatch(/open the press slowly/);
  });

  test('an oven has no end of paper to close; its display is watched on the way up', () => {
    const found = notes('straight-steel-590', 'oven');
    expect(found.filter((n) => n.startsWith('load'))).toEqual([]);
    expect(found).toContain(
      'reach-temperature: If the display does not climb, check the breaker of the press itself.',
    );
  });
});
