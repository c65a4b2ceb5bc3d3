import { boundsOf } from '../geometry/plane';
import type { Edge } from '../art/pictureTransform';
import { cellOf, pictureNamed } from '../art/names';
import { LEVEL_ORDER } from '../figures/figure';
import { isToCover } from '../job/art';
import { say, type Phrase } from '../units/phrase';
import { count, mm } from '../units/quantity';
import { check, type Check, type CheckInput, type Fix } from './check';
import { checkPicture } from './pictures';
import { checkText } from './text';

const EDGE_WORDS: Readonly<Record<Edge, string>> = {
  top: 'the rim edge',
  right: 'the right end',
  bottom: 'the foot edge',
  left: 'the left end',
};

/** The picture that lies under all others. */
const ground = (c: CheckInput) => c.art.layers.find((l) => l.kind === 'picture');

const fillIt = (c: CheckInput): Fix | null => {
  const layer = ground(c);
  return layer
    ? {
        kind: 'picture',
        label: 'Fill the wrap',
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
  const edges = (Object.keys(EDGE_WORDS) as Edge[]).filter((e) => shortfallMm[e] > 0.05);
  const white = edges.filter((e) => shortfallMm[e] > c.bleedMm + 0.05);
  const at = bare.map(boundsOf);
  const list = (es: readonly Edge[], by: (e: Edge) => number): Phrase =>
    es.flatMap((e, i) => say`${i > 0 ? ', ' : ''}${mm(by(e))} at ${EDGE_WORDS[e]}`);
  if (white.length > 0) {
    const text = say`White will show at these edges: ${list(white, (e) => shortfallMm[e] - c.bleedMm)}. ${fit ? 'Choose Cover if that is not meant.' : 'Move or enlarge the picture.'}`;
    return [check('bare', level, text, at, fillIt(c))];
  }
  if (edges.length > 0)
    return [
      check(
        'bleed',
        level,
        say`The picture stops short of the bleed: ${list(edges, (e) => shortfallMm[e])}. A small slip would show white.`,
        at,
        fillIt(c),
      ),
    ];
  return bare.length > 0
    ? [
        check(
          'bleed',
          level,
          say`A corner of the bleed is bare. Enlarge the picture a little.`,
          at,
          fillIt(c),
        ),
      ]
    : [];
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
            say`${count(lost.length, 'picture')} named in the list but not imported: ${lost
              .slice(0, 3)
              .map((t) => `“${t}”`)
              .join(
                ', ',
              )}${lost.length > 3 ? ` and ${lost.length - 3} more` : ''}. Import files with these names.`,
          ),
        ];
  });
}

/** Ids told apart where the same thing is found of several layers. */
function unique(checks: readonly Check[]): readonly Check[] {
  const seen = new Map<string, number>();
  return checks.map((c) => {
    const n = (seen.get(c.id) ?? 0) + 1;
    seen.set(c.id, n);
    return n === 1 ? c : { ...c, id: `${c.id}-${n}` };
  });
}

/** All that can be told before ink is spent, worst first. */
export function preflight(c: CheckInput): readonly Check[] {
  const none = c.art.layers.length === 0 ? [check('none', 'blocker', say`Add a picture or some text.`)] : [];
  const found = [
    ...none,
    ...bareChecks(c),
    ...c.placedLayers.flatMap((l) => (l.kind === 'picture' ? checkPicture(l, c) : checkText(l, c))),
    ...c.ofNames,
    ...pictureNames(c),
  ];
  return unique([...found].sort((a, b) => LEVEL_ORDER[a.level] - LEVEL_ORDER[b.level]));
}
