import { placePicture, type Edge, type Placed } from '../art/place';
import { runsOutOf, runsPast, setWords, touches, type SetWords } from '../art/words';
import { figure, type Figure, type Finding } from '../figures/figure';
import type { Job } from '../job/job';
import type { Blank } from '../shop/blank';
import { say, type Phrase } from '../units/phrase';
import { mm, ppi } from '../units/quantity';
import { mainFace, type Pattern } from '../wrap/pattern';
import { finding, type Section } from './section';
import type { WrapSection } from './wrap';

export interface ArtSection extends Section<'art'> {
  readonly placed: Placed | null;
  readonly words: SetWords | null;
}

/** Below these a print looks soft at reading distance, or plainly blocky. */
export const SOFT_BELOW_PPI = 200;
export const BLOCKY_BELOW_PPI = 120;

const EDGE_WORDS: Readonly<Record<Edge, string>> = {
  top: 'the rim edge',
  right: 'the right end',
  bottom: 'the foot edge',
  left: 'the left end',
};

function shortfallFindings(placed: Placed, bleedMm: number, fit: boolean): Finding[] {
  const edges = (Object.keys(EDGE_WORDS) as Edge[]).filter((e) => placed.shortfallMm[e] > 0.05);
  const bare = edges.filter((e) => placed.shortfallMm[e] > bleedMm + 0.05);
  const list = (es: readonly Edge[], by: (e: Edge) => number): Phrase =>
    es.flatMap((e, i) => say`${i > 0 ? ', ' : ''}${mm(by(e))} at ${EDGE_WORDS[e]}`);
  if (bare.length > 0) {
    const text = say`White will show: ${list(bare, (e) => placed.shortfallMm[e] - bleedMm)}. ${fit ? 'Choose Cover if that is not meant.' : 'Move or enlarge the picture.'}`;
    return [finding('art', 'bare', fit ? 'note' : 'heed', text)];
  }
  if (edges.length > 0)
    return [
      finding(
        'art',
        'bleed',
        'heed',
        say`The picture stops short of the bleed: ${list(edges, (e) => placed.shortfallMm[e])}. A small slip would show white.`,
      ),
    ];
  if (placed.bare.length > 0)
    return [
      finding('art', 'bleed', 'heed', say`A corner of the bleed is bare. Enlarge the picture a little.`),
    ];
  return [];
}

function pictureFindings(placed: Placed, bleedMm: number, fit: boolean, blank: Blank): Finding[] {
  const found = shortfallFindings(placed, bleedMm, fit);
  if (placed.ppi < BLOCKY_BELOW_PPI)
    found.push(
      finding(
        'art',
        'ppi',
        'heed',
        say`Only ${ppi(placed.ppi)} at this size: it will look blocky. Use a larger picture, or make it smaller here.`,
      ),
    );
  else if (placed.ppi < SOFT_BELOW_PPI)
    found.push(finding('art', 'ppi', 'heed', say`${ppi(placed.ppi)} at this size: fine lines will be soft.`));
  if (blank.coating.colour.toLowerCase() !== '#ffffff')
    found.push(
      finding('art', 'tint', 'note', say`White is never printed: pale parts take the colour of the blank.`),
    );
  return found;
}

function wordsFindings(set: SetWords, pattern: Pattern): Finding[] {
  const found: Finding[] = [];
  const face = mainFace(pattern);
  const out = face.safe.length === 0 ? 0 : runsOutOf(set.box, face.safe);
  const { front } = pattern;
  const past = front ? runsPast(set.box, front.x - front.wellMm / 2, front.x + front.wellMm / 2) : 0;
  if (set.missing.length > 0)
    found.push(
      finding(
        'art',
        'letters',
        'stop',
        say`This lettering has no ${set.missing.map((l) => `“${l}”`).join(', ')}. Choose another lettering or another spelling.`,
      ),
    );
  if (
    touches(
      set.box,
      face.noGo.map((z) => z.contour),
    )
  )
    found.push(finding('art', 'nogo', 'heed', say`The words run into a part to stay clear of. Move them.`));
  if (touches(set.box, pattern.seams))
    found.push(
      finding('art', 'seam', 'heed', say`The words run into the seam. Move them towards the middle.`),
    );
  else if (out > 0)
    found.push(
      finding(
        'art',
        'safe',
        'heed',
        say`The words stand ${mm(out)} past the safe edge. Move them or make them smaller.`,
      ),
    );
  if (past > 0)
    found.push(
      finding('art', 'front', 'note', say`The words run ${mm(past)} past what is seen from the front.`),
    );
  return found;
}

function figuresOf(job: Job, placed: Placed | null, set: SetWords | null, flat: boolean): Figure[] {
  const { picture } = job.art;
  const figures: Figure[] = [];
  if (placed && picture) {
    figures.push(
      figure({
        id: 'art.size',
        label: 'Picture, printed',
        quantity: mm(placed.widthMm),
        origin: 'reckoned',
        working: say`wide, ${mm(placed.heightMm)} tall, from ${String(picture.widthPx)} × ${String(picture.heightPx)} px`,
        inputs: flat ? ['wrap.size'] : ['wrap.length', 'wrap.height'],
      }),
      figure({
        id: 'art.ppi',
        label: 'Fineness',
        quantity: ppi(placed.ppi),
        origin: 'reckoned',
        working: say`pixels to the inch at this size; ${ppi(SOFT_BELOW_PPI)} or more is sharp`,
        arithmetic: [say`${String(picture.widthPx)} px over ${mm(placed.widthMm)} = ${ppi(placed.ppi)}`],
        inputs: ['art.size'],
      }),
    );
  }
  if (set && job.art.words) {
    figures.push(
      figure({
        id: 'art.words',
        label: 'Words',
        quantity: mm(set.box.width),
        origin: 'reckoned',
        working: say`“${job.art.words.text}” long, capitals ${mm(job.art.words.capHeightMm)}`,
      }),
    );
  }
  return figures;
}

/** Least the picture runs past a cut edge, mm. */
const edgeBleed = ({ pattern }: WrapSection): number =>
  pattern ? Math.max(0, Math.min(-pattern.bleed.x, -pattern.bleed.y)) : 0;

export function planArt(job: Job, wrap: WrapSection, blank: Blank | null): ArtSection {
  const shared = { terrace: 'art' as const };
  const { pattern } = wrap;
  if (!pattern || !blank)
    return {
      ...shared,
      progress: 'todo',
      summary: say`after the wrap`,
      figures: [],
      findings: [],
      placed: null,
      words: null,
    };
  const { picture, placement, words } = job.art;
  const placed =
    picture &&
    placePicture(
      picture.widthPx,
      picture.heightPx,
      placement,
      pattern.trim,
      pattern.bleed,
      mainFace(pattern).bleed,
    );
  const set = words && setWords(words, pattern.trim);
  const findings = [
    ...(picture || words ? [] : [finding('art', 'none', 'stop', say`Bring a picture, or set some words.`)]),
    ...(placed ? pictureFindings(placed, edgeBleed(wrap), placement.base === 'fit', blank) : []),
    ...(set ? wordsFindings(set, pattern) : []),
  ];
  const stopped = findings.some((f) => f.level === 'stop');
  return {
    ...shared,
    progress: stopped ? 'todo' : findings.some((f) => f.level === 'heed') ? 'ready' : 'done',
    summary:
      placed && words
        ? say`picture and “${words.text}”`
        : placed
          ? say`${ppi(placed.ppi)}, ${placement.base}`
          : words
            ? say`“${words.text}”`
            : say`no picture yet`,
    figures: figuresOf(job, placed, set, pattern.form === 'flat'),
    findings,
    placed,
    words: set,
  };
}
