import type { PlacedText } from '../art/placedLayers';
import { runsOutOf, runsPast, touches } from '../art/text';
import { boundsOfContour } from '../geometry/contour';
import { say, type Message } from '../message/message';
import { mm } from '../message/quantity';
import { mainFace } from '../wrap/pattern';
import { check, type Check, type CheckInput, type Fix, type TextCheck } from './check';

const named = (l: PlacedText, c: CheckInput): Message =>
  c.placedLayers.filter((x) => x.kind === 'text').length > 1
    ? say('art.set', { set: l.set.text })
    : say('art.theText');

/** The move that brings a box inside another, or smaller letters where it is too large. */
function backInside(l: PlacedText, c: CheckInput): Fix | null {
  const layer = c.art.layers.find((x) => x.id === l.id);
  const [zone] = mainFace(c.board.pattern).safe;
  if (layer?.kind !== 'text' || !zone) return null;
  const safe = boundsOfContour(zone);
  const { box } = l.set;
  const k = Math.min(1, (0.98 * safe.width) / box.width, (0.98 * safe.height) / box.height);
  if (k < 1)
    return {
      kind: 'text',
      label: say('art.makeThemFit'),
      layer: l.id,
      text: { capHeightMm: Math.max(1, layer.capHeightMm * k) },
    };
  const move = (from: number, size: number, lo: number, room: number) =>
    Math.max(0, lo - from) - Math.max(0, from + size - lo - room);
  return {
    kind: 'text',
    label: say('art.moveThem'),
    layer: l.id,
    text: {
      dxMm: layer.dxMm + move(box.x, box.width, safe.x, safe.width),
      dyMm: layer.dyMm + move(box.y, box.height, safe.y, safe.height),
    },
  };
}

const letters: TextCheck = (l) =>
  l.set.missing.length > 0
    ? [
        check(
          'letters',
          'blocker',
          say('art.fontHasChooseAnother', { missing: l.set.missing.map((x) => `“${x}”`) }),
          [l.set.box],
        ),
      ]
    : [];

const zones: TextCheck = (l, c) => {
  const { pattern } = c.board;
  const face = mainFace(pattern);
  const { quads, box } = l.set;
  if (quads.length === 0) return [];
  const found: Check[] = [];
  const exclusionZones = face.exclusionZones.map((z) => z.contour);
  if (touches(quads, exclusionZones))
    found.push(check('nogo', 'warning', say('art.reachesIntoExclusionZone', { named: named(l, c) }), [box]));
  const out = face.safe.length === 0 ? 0 : runsOutOf(quads, face.safe);
  if (touches(quads, pattern.seams))
    found.push(
      check(
        'seam',
        'warning',
        say('art.reachesIntoSeamMove', { named: named(l, c) }),
        [box],
        backInside(l, c),
      ),
    );
  else if (out > 0)
    found.push(
      check(
        'safe',
        'warning',
        say('art.outsideSafeZoneMove', { named: named(l, c), out: mm(out) }),
        [box],
        backInside(l, c),
      ),
    );
  const { front } = pattern;
  const past = front ? runsPast(box, front.x - front.wellMm / 2, front.x + front.wellMm / 2) : 0;
  if (past > 0)
    found.push(
      check('front', 'info', say('art.outsideFrontView', { named: named(l, c), past: mm(past) }), [box]),
    );
  return found;
};

const fitted: TextCheck = (l) =>
  l.set.overMm > 0.05
    ? [
        check('long', 'warning', say('art.tooLongSpaceEven', { set: l.set.text, over: mm(l.set.overMm) }), [
          l.set.box,
        ]),
      ]
    : [];

export const checkText: TextCheck = (l, c) => [
  ...letters(l, c),
  ...zones(l, c),
  ...(c.art.names ? [] : fitted(l, c)),
];

/** The first three of some texts, quoted, and how many more there are. */
export const some = (texts: readonly string[]): Message =>
  say('art.someTexts', {
    texts: texts.slice(0, 3).map((text) => say('common.quoted', { text })),
    more: Math.max(0, texts.length - 3),
  });
