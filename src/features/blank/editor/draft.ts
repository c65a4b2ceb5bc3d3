import { type Dim } from './dim';
import { issueText } from '@/core/basics/rule';
import { say, type Message } from '@/core/message/message';
import {
  shapeSchema,
  type Blank,
  type FlatOutline,
  type FlatShape,
  type Hole,
  type ExclusionZone,
  type RoundShape,
} from '@/core/shop/blank';
import { profileAt } from '@/core/shapes/profile';
import { nominalProfile } from '@/core/shapes/round';
import { fail, ok, type Result } from '@/core/basics/result';
import { startById, type Start } from './starts';

/** A diameter between rim and foot: where and how wide, or, of a start nobody has typed into, as shares of the wall and of the rim. */
export interface DraftDiameter {
  readonly id: string;
  readonly share: number;
  readonly ratio: number;
  readonly fromRimMm: number | null;
  readonly diameterMm: number | null;
}

export interface DraftZone extends ExclusionZone {
  readonly id: string;
}

export type DraftHole = Exclude<Hole, { form: 'drawn' }> & { readonly id: string };

/** An outline and holes out of a drawing, which no field can hold. */
export interface Drawn {
  readonly points: Extract<FlatOutline, { form: 'drawn' }>['points'];
  readonly holes: readonly Hole[];
}

/** A blank being typed on its drawing. What nobody typed is guessed from the shape it started from, in proportion. */
export interface Draft {
  readonly start: Start;
  readonly typed: Readonly<Partial<Record<Dim, number>>>;
  readonly between: readonly DraftDiameter[];
  readonly zones: readonly DraftZone[];
  readonly holes: readonly DraftHole[];
  readonly faces: FlatShape['faces'];
  readonly edge: FlatShape['edge'];
  readonly drawn: Drawn | null;
}

const NOTHING = { zones: [], holes: [], faces: 1, edge: 'plain', drawn: null } as const;

const betweenOf = (start: Start): DraftDiameter[] =>
  (start.between ?? []).map(([share, ratio], i) => ({
    id: `start-${i}`,
    share,
    ratio,
    fromRimMm: null,
    diameterMm: null,
  }));

export const newDraft = (startId: Start['id']): Draft => {
  const start = startById(startId);
  return { ...NOTHING, start, typed: {}, between: betweenOf(start) };
};

/** Another shape by its picture: what was typed stays, as far as the other shape has it. */
export const restarted = (d: Draft, startId: Start['id']): Draft => {
  const start = startById(startId);
  return start.id === d.start.id
    ? d
    : { ...d, start, between: betweenOf(start), drawn: start.form === 'drawn' ? d.drawn : null };
};

/** How much larger the blank is than its start, by what was typed of its two main lengths. */
function growth({ start, typed }: Draft): number {
  const mains = (
    start.kind === 'round' ? (['rim', 'height'] as const) : (['width', 'height'] as const)
  ).flatMap((dim) => {
    const [mine, usual] = [typed[dim], start.dims[dim]];
    return mine !== undefined && usual !== undefined && usual > 0 ? [mine / usual] : [];
  });
  return mains.length === 0 ? 1 : mains.reduce((a, k) => a + k, 0) / mains.length;
}

/** A length in force, mm: as typed, else in proportion. */
export function dimMm(d: Draft, dim: Dim): number {
  const typed = d.typed[dim];
  if (typed !== undefined) return typed;
  const usual = d.start.dims[dim] ?? 0;
  // A foot nobody typed keeps its proportion to the rim, so that a straight cup stays straight.
  if (dim === 'foot') return (usual / (d.start.dims.rim ?? usual)) * dimMm(d, 'rim');
  return Math.round(usual * growth(d) * 10) / 10;
}

export const isTyped = (d: Draft, dim: Dim): boolean => d.typed[dim] !== undefined;

export const withDim = (d: Draft, dim: Dim, valueMm: number): Draft => ({
  ...d,
  typed: { ...d.typed, [dim]: valueMm },
});

/** Heights of the wall's ends below the rim, mm. */
export const wallEnds = (d: Draft): { readonly topMm: number; readonly footMm: number } => ({
  topMm: dimMm(d, 'lip'),
  footMm: Math.max(dimMm(d, 'lip'), dimMm(d, 'height') - dimMm(d, 'below')),
});

/** Where a width between stands and what it is, mm. */
export function betweenMm(
  d: Draft,
  b: DraftDiameter,
): { readonly fromRimMm: number; readonly diameterMm: number } {
  const { topMm, footMm } = wallEnds(d);
  return {
    fromRimMm: b.fromRimMm ?? topMm + b.share * (footMm - topMm),
    diameterMm: b.diameterMm ?? b.ratio * dimMm(d, 'rim'),
  };
}

/** One more width, in the widest stretch of wall that has none, as wide as the wall is there now. */
export function addBetween(d: Draft, id: string): Draft {
  const { topMm, footMm } = wallEnds(d);
  const heights = [topMm, ...d.between.map((b) => betweenMm(d, b).fromRimMm), footMm].sort((a, b) => a - b);
  const gaps = heights
    .slice(1)
    .map((z, i) => ({ at: (z + (heights[i] ?? 0)) / 2, size: z - (heights[i] ?? 0) }));
  const { at } = gaps.reduce((a, b) => (b.size > a.size ? b : a), { at: topMm, size: 0 });
  const fromRimMm = Math.round(at);
  const shape = rawShape(d);
  const diameterMm =
    shape.kind === 'round'
      ? Math.round(2 * profileAt(nominalProfile(shape.sections), fromRimMm).r * 10) / 10
      : dimMm(d, 'rim');
  return { ...d, between: [...d.between, { id, share: 0.5, ratio: 1, fromRimMm, diameterMm }] };
}

export const changeBetween = (d: Draft, id: string, next: Partial<DraftDiameter>): Draft => ({
  ...d,
  between: d.between.map((b) => (b.id === id ? { ...b, ...next } : b)),
});

export const withoutBetween = (d: Draft, id: string): Draft => ({
  ...d,
  between: d.between.filter((b) => b.id !== id),
});

/** An exclusion zone: right round in the middle of the wall until it is moved. */
export function addZone(d: Draft, id: string): Draft {
  const { topMm, footMm } = wallEnds(d);
  const zone = {
    what: 'stamp',
    fromRimMm: Math.round((topMm + footMm) / 2),
    heightMm: 10,
    widthMm: null,
    atDeg: 0,
  };
  return { ...d, zones: [...d.zones, { id, ...zone }] };
}

export const changeZone = (d: Draft, id: string, next: Partial<ExclusionZone>): Draft => ({
  ...d,
  zones: d.zones.map((z) => (z.id === id ? { ...z, ...next } : z)),
});

export const withoutZone = (d: Draft, id: string): Draft => ({
  ...d,
  zones: d.zones.filter((z) => z.id !== id),
});

export function addHole(d: Draft, id: string, form: DraftHole['form']): Draft {
  const at = { xMm: Math.round(dimMm(d, 'width') / 2), yMm: Math.round(dimMm(d, 'height') * 0.12) };
  const hole: DraftHole =
    form === 'round' ? { id, form, ...at, diameterMm: 4 } : { id, form, ...at, widthMm: 12, heightMm: 4 };
  return { ...d, holes: [...d.holes, hole] };
}

export const changeHole = (d: Draft, id: string, next: Partial<DraftHole>): Draft => ({
  ...d,
  holes: d.holes.map((h) => (h.id === id ? ({ ...h, ...next } as DraftHole) : h)),
});

export const withoutHole = (d: Draft, id: string): Draft => ({
  ...d,
  holes: d.holes.filter((h) => h.id !== id),
});

const withoutId = <T extends { readonly id: string }>({ id: _id, ...rest }: T): Omit<T, 'id'> => rest;

function rawRound(d: Draft): RoundShape {
  const { topMm, footMm } = wallEnds(d);
  const between = d.between.map((b) => betweenMm(d, b)).sort((a, b) => a.fromRimMm - b.fromRimMm);
  return {
    kind: 'round',
    heightMm: dimMm(d, 'height'),
    sections: [
      { fromRimMm: topMm, diameterMm: dimMm(d, 'rim') },
      ...between,
      { fromRimMm: footMm, diameterMm: dimMm(d, 'foot') },
    ],
    handle:
      (d.start.dims.handleWidth ?? 0) > 0
        ? {
            widthMm: dimMm(d, 'handleWidth'),
            fromRimMm: dimMm(d, 'handleFrom'),
            heightMm: dimMm(d, 'handleHeight'),
            reachMm: dimMm(d, 'handleReach'),
          }
        : null,
    openEnds: d.start.openEnds ?? false,
    exclusionZones: d.zones.map((z) => withoutId(z)),
  };
}

function rawFlat(d: Draft): FlatShape {
  const box = { widthMm: dimMm(d, 'width'), heightMm: dimMm(d, 'height') };
  const { form } = d.start;
  const outline: FlatOutline =
    form === 'drawn'
      ? { form, ...box, points: [...(d.drawn?.points ?? [])] }
      : form === undefined || form === 'rectangle'
        ? { form: 'rectangle', ...box, cornerMm: dimMm(d, 'corner') }
        : { form, ...box };
  return {
    kind: 'flat',
    outline,
    holes: [...d.holes.map((h) => withoutId(h) as Hole), ...(form === 'drawn' ? (d.drawn?.holes ?? []) : [])],
    faces: d.faces,
    edge: d.edge,
  };
}

/** The shape as it stands, guesses and all, whether or not it can be one. */
export const rawShape = (d: Draft): Blank['shape'] => (d.start.kind === 'round' ? rawRound(d) : rawFlat(d));

/** The shape as far as it can be drawn; a problem in words where it cannot be one. */
export function draftShape(d: Draft): Result<Blank['shape']> {
  if (d.start.form === 'drawn' && !d.drawn)
    return fail(say('blank.outlineYet'), say('blank.outline'), say('blank.importSvgFileChoose'));
  const parsed = shapeSchema.safeParse(rawShape(d));
  if (parsed.success) return ok(parsed.data);
  const issue = parsed.error.issues[0];
  return fail(
    issue ? issueText(issue.message) : say('blank.shapeDoesClose'),
    say('common.shape'),
    say('blank.changeOneLengths'),
  );
}

/** What has still to be typed before the blank can be kept; null where nothing is. */
export function stillNeeded(d: Draft): Message | null {
  const mains: readonly (readonly [Dim, Message])[] =
    d.start.kind === 'round'
      ? [
          ['rim', say('blank.widthNearRim')],
          ['height', say('blank.itsHeight2')],
        ]
      : [
          ['width', say('blank.itsWidth2')],
          ['height', say('blank.itsHeight2')],
        ];
  const missing = mains.filter(([dim]) => !isTyped(d, dim)).map(([, words]) => words);
  const [first, second] = missing;
  if (!first) return null;
  return say('blank.typeRestMayStay', { missing: second ? say('blank.two', { first, second }) : first });
}

const dimsOf = (shape: Blank['shape']): Draft['typed'] => {
  if (shape.kind === 'flat') {
    const { outline } = shape;
    return {
      width: outline.widthMm,
      height: outline.heightMm,
      ...(outline.form === 'rectangle' ? { corner: outline.cornerMm } : {}),
    };
  }
  const first = shape.sections[0];
  const last = shape.sections.at(-1);
  const { handle: h } = shape;
  return {
    rim: first?.diameterMm ?? 0,
    foot: last?.diameterMm ?? 0,
    height: shape.heightMm,
    lip: first?.fromRimMm ?? 0,
    below: shape.heightMm - (last?.fromRimMm ?? shape.heightMm),
    ...(h
      ? { handleWidth: h.widthMm, handleFrom: h.fromRimMm, handleHeight: h.heightMm, handleReach: h.reachMm }
      : {}),
  };
};

function startOf(shape: Blank['shape']): Start {
  if (shape.kind === 'flat') return startById(shape.outline.form);
  if (shape.handle) return startById('mug');
  if (shape.openEnds) return startById('barrel');
  return startById('cup');
}

/** A draft of a blank there is, every length as it stands there. */
export function draftOf(blank: Blank): Draft {
  const { shape } = blank;
  const draft: Draft = { ...NOTHING, start: startOf(shape), typed: dimsOf(shape), between: [] };
  if (shape.kind === 'flat') {
    const { outline, holes, faces, edge } = shape;
    return {
      ...draft,
      faces,
      edge,
      holes: holes.flatMap((h, i) => (h.form === 'drawn' ? [] : [{ ...h, id: `hole-${i}` }])),
      drawn:
        outline.form === 'drawn'
          ? { points: outline.points, holes: holes.filter((h) => h.form === 'drawn') }
          : null,
    };
  }
  return {
    ...draft,
    start: { ...draft.start, openEnds: shape.openEnds },
    between: shape.sections.slice(1, -1).map((s, i) => ({
      id: `width-${i}`,
      share: 0.5,
      ratio: 1,
      fromRimMm: s.fromRimMm,
      diameterMm: s.diameterMm,
    })),
    zones: shape.exclusionZones.map((z, i) => ({ ...z, id: `zone-${i}` })),
  };
}
