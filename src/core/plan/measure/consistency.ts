import { METHOD_WORDS } from '../../readings/methodWords';
import { within95 } from '../../figures/interval';
import type { Finding } from '../../figures/figure';
import { measured, minus, type Uncertain } from '../../figures/uncertain';
import { isRounding } from '../../figures/sources';
import type { PlaceRole } from '../../readings/places';
import type { PlaceReadings } from '../../readings/readings';
import { profileAt } from '../../shapes/profile';
import { formOf, nominalProfile } from '../../shapes/round';
import { isRound, type Blank } from '../../shop/blank';
import { say } from '../../message/message';
import { mm } from '../../message/quantity';
import { finding } from '../stepPlan';
import type { MeasuredRound, MeasuredShape } from './measuredShape';

/** Beyond this a straight wrap visibly opens or laps from rim to foot, mm of circumference. */
const STRAIGHT_WITHIN_MM = 1.5;
const CLEARLY_TAPERED_MM = 4;
/** Further off the maker's figure than this share, and it is another blank. */
const ANOTHER_BLANK = 0.06;

const valueAt = (places: readonly PlaceReadings[], role: PlaceRole): Uncertain | null =>
  places.find((p) => p.place.role === role)?.value ?? null;

/**
 * How far two circumferences stand apart. On a straight wall both are rounded alike as long as they are alike; that they may not be is the very
 * question here, so their rounding counts twice.
 */
function apartOf(top: Uncertain, foot: Uncertain): Uncertain {
  const apart = minus(top, foot);
  const parts: Record<string, number> = { ...apart.parts };
  for (const source of Object.keys({ ...top.parts, ...foot.parts }).filter(isRounding))
    parts[source] = Math.hypot(top.parts[source] ?? 0, foot.parts[source] ?? 0);
  return { ...apart, parts };
}

/** A "straight" cup that is not. */
function straightness(s: MeasuredRound, top: Uncertain | null, foot: Uncertain | null): Finding[] {
  if (s.form !== 'straight' || !top || !foot) return [];
  const apart = apartOf(top, foot);
  const d = Math.abs(apart.value);
  if (d <= STRAIGHT_WITHIN_MM || d <= within95(apart)) return [];
  return [
    finding(
      'measure',
      'taper',
      d > CLEARLY_TAPERED_MM ? 'blocker' : 'warning',
      say('measure.widerAtThe', { which: apart.value > 0 ? 'rim' : 'other', d: mm(d) }),
    ),
  ];
}

/** Readings that disagree with the blank that was chosen. */
function makersFigures(blank: Blank, places: readonly PlaceReadings[]): Finding[] {
  const far = places.find(
    (p) =>
      p.place.kind === 'circumference' &&
      p.value &&
      Math.abs(p.value.value / p.place.expectedMm - 1) > ANOTHER_BLANK,
  );
  if (!far?.value || !isRound(blank)) return [];
  return [
    finding(
      'measure',
      'maker',
      'warning',
      say('measure.makersFigureGivesYour', {
        place: far.place.name,
        expected: mm(far.place.expectedMm),
        far: mm(far.value.value),
      }),
    ),
  ];
}

/** Two tapers that disagree: a circumference between rim and foot that is not on the line of a cone. */
function taper(s: MeasuredRound, places: readonly PlaceReadings[], blank: Blank): Finding[] {
  if (!isRound(blank) || formOf(blank.shape) === 'shaped') return [];
  return places.flatMap((p): Finding[] => {
    if (p.place.atMm === null || !p.value || p.place.role !== 'between') return [];
    const share = (p.place.atMm - s.wall.topMm) / (s.wall.footMm - s.wall.topMm);
    const onLine = s.top.value + (s.foot.value - s.top.value) * share;
    const round = p.value.value + p.place.gapMm;
    const off = round - onLine;
    if (Math.abs(off) <= STRAIGHT_WITHIN_MM || Math.abs(off) <= within95(p.value)) return [];
    return [
      finding(
        'measure',
        `line-${p.place.id}`,
        'warning',
        say('measure.placeOffMore', {
          place: p.place.name,
          off: mm(Math.abs(off)),
          which: off > 0 ? 'more' : 'other',
        }),
      ),
    ];
  });
}

/** Which way the wall narrows, against the catalogue. */
function direction(s: MeasuredRound, blank: Blank, places: readonly PlaceReadings[]): Finding[] {
  const [top, foot] = [valueAt(places, 'rim'), valueAt(places, 'foot')];
  if (s.form !== 'tapered' || !top || !foot || !isRound(blank)) return [];
  const p = nominalProfile(blank.shape.sections);
  const nominal = profileAt(p, s.wall.topMm).r - profileAt(p, blank.shape.sections.at(-1)?.fromRimMm ?? 0).r;
  const measuredBy = minus(top, foot);
  if (
    Math.sign(nominal) === Math.sign(measuredBy.value) ||
    Math.abs(measuredBy.value) <= within95(measuredBy)
  )
    return [];
  return [
    finding(
      'measure',
      'upside-down',
      'warning',
      say('measure.blankWider', {
        which: nominal > 0 ? 'rim' : 'other',
        which2: nominal > 0 ? 'foot' : 'other',
      }),
    ),
  ];
}

/** A handle gap that leaves no wall. */
function handleGap(s: MeasuredRound): Finding[] {
  if (!s.handle) return [];
  const circumference = Math.min(s.top.value, s.foot.value);
  return s.handle.value > circumference / 2
    ? [
        finding(
          'measure',
          'handle',
          'blocker',
          say('measure.handleGivenWideWall', {
            handle: mm(s.handle.value),
            circumference: mm(circumference),
          }),
        ),
      ]
    : [];
}

/** A caliper and a tape at one place that do not agree. */
function twoMethods(places: readonly PlaceReadings[]): Finding[] {
  return places.flatMap((p): Finding[] => {
    const across = p.items.filter((i) => i.surfaceMm !== null && i.reading.method === 'caliper');
    const round = p.items.filter((i) => i.surfaceMm !== null && i.reading.method !== 'caliper');
    const [a, b] = [across[0]?.surfaceMm, round[0]?.surfaceMm];
    if (p.place.kind !== 'circumference' || a == null || b == null) return [];
    const uncertainty = within95(minus(measured(a, 0.6, 'across'), measured(b, 0.6, 'round')));
    return Math.abs(a - b) > Math.max(STRAIGHT_WITHIN_MM, uncertainty)
      ? [
          finding(
            'measure',
            `methods-${p.place.id}`,
            'warning',
            say('measure.caliperBlankRoundOne', {
              place: p.place.name,
              a: mm(a),
              b: mm(b),
              method: METHOD_WORDS[round[0]?.reading.method ?? 'soft tape'],
            }),
          ),
        ]
      : [];
  });
}

/** What the readings say against each other and against the blank. */
export function shapeFindings(
  measuredShape: MeasuredShape,
  places: readonly PlaceReadings[],
  blank: Blank,
  asCone: boolean,
): Finding[] {
  if (measuredShape.kind === 'flat') return [];
  const [top, foot] = [valueAt(places, 'rim'), valueAt(places, 'foot')];
  return [
    ...(asCone ? [] : straightness(measuredShape, top, foot)),
    ...direction(measuredShape, blank, places),
    ...taper(measuredShape, places, blank),
    ...handleGap(measuredShape),
    ...twoMethods(places),
    ...makersFigures(blank, places),
  ];
}
