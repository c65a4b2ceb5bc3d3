import { boundsOf } from '../geometry/plane';
import type { PictureEdge } from '../art/pictureTransform';
import { cellOf, pictureNamed } from '../art/names';
import { LEVEL_ORDER } from '../figures/figure';
import { isToCover } from '../job/art';
import { say, type Message } from '../message/message';
import { mm } from '../message/quantity';
import { check, type Check, type CheckInput, type Fix } from './check';
import { checkPicture } from './pictures';
import { checkText } from './text';

const EDGE_WORDS: Readonly<Record<PictureEdge, Message>> = {
  top: say('art.rimEdge'),
  right: say('art.rightEnd'),
  bottom: say('art.footEdge'),
  left: say('art.leftEnd'),
};

/** The picture that lies under all others. */
const ground = (c: CheckInput) => c.art.layers.find((l) => l.kind === 'picture');

const fillIt = (c: CheckInput): Fix | null => {
  const layer = ground(c);
  return layer
    ? {
        kind: 'picture',
        label: say('art.fillWrap'),
        layer: layer.id,
        placement: { base: 'cover', scale: 1, dxMm: 0, dyMm: 0 },
      }
    : null;
};

/** What the pictures leave white, of the wrap or only of its bleed. */
function bareChecks(c: CheckInput): readonly Check[] {
  const layer = ground(c);
  if (!layer) return [];
  const { shortfallMm, bare } = c.bareAreas;
  const fit = !isToCover(c.art);
  const level = fit ? 'info' : 'warning';
  const edges = (Object.keys(EDGE_WORDS) as PictureEdge[]).filter((e) => shortfallMm[e] > 0.05);
  const white = edges.filter((e) => shortfallMm[e] > c.bleedMm + 0.05);
  const at = bare.map(boundsOf);
  const list = (es: readonly PictureEdge[], by: (e: PictureEdge) => number): readonly Message[] =>
    es.map((e) => say('art.amountAtEdge', { amount: mm(by(e)), edge: EDGE_WORDS[e] }));
  if (white.length > 0) {
    const text = say('art.whiteShowTheseEdges', {
      list: list(white, (e) => shortfallMm[e] - c.bleedMm),
      which: fit ? 'chooseCoverIfM' : 'other',
    });
    return [check('bare', level, text, at, fillIt(c))];
  }
  if (edges.length > 0)
    return [
      check(
        'bleed',
        level,
        say('art.pictureStopsShortBleed', { list: list(edges, (e) => shortfallMm[e]) }),
        at,
        fillIt(c),
      ),
    ];
  return bare.length > 0 ? [check('bleed', level, say('art.cornerBleedBareEnlarge'), at, fillIt(c))] : [];
}

/** Pictures a list names that nobody has brought. */
function pictureNames(c: CheckInput): readonly Check[] {
  const { names, layers } = c.art;
  if (!names) return [];
  return layers.flatMap((l): Check[] => {
    if (l.kind !== 'picture' || l.field === null) return [];
    const { field } = l;
    const cells = [...new Set(names.rows.map((r) => cellOf(names, r, field)).filter((t) => t !== ''))];
    const lost = cells.filter((cell) => pictureNamed(names, cell) === null);
    return lost.length === 0
      ? []
      : [
          check(
            'names-pictures',
            'blocker',
            say('art.picturesLostLost2', {
              pictures: lost.length,
              lost: lost.slice(0, 3).map((t) => `“${t}”`),
              lost2: lost.length - 3,
              which: lost.length > 3 ? 'andMore' : 'other',
            }),
          ),
        ];
  });
}

/** Ids distinguished where the same thing is found of several layers. */
function unique(checks: readonly Check[]): readonly Check[] {
  const seen = new Map<string, number>();
  return checks.map((c) => {
    const n = (seen.get(c.id) ?? 0) + 1;
    seen.set(c.id, n);
    return n === 1 ? c : { ...c, id: `${c.id}-${n}` };
  });
}

/** All that can be found before ink is spent, worst first. */
export function preflight(c: CheckInput): readonly Check[] {
  const none = c.art.layers.length === 0 ? [check('none', 'blocker', say('art.addPictureSomeText'))] : [];
  const found = [
    ...none,
    ...bareChecks(c),
    ...c.placedLayers.flatMap((l) => (l.kind === 'picture' ? checkPicture(l, c) : checkText(l, c))),
    ...c.ofNames,
    ...pictureNames(c),
  ];
  return unique([...found].sort((a, b) => LEVEL_ORDER[a.level] - LEVEL_ORDER[b.level]));
}
