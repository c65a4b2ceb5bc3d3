import { figure, uncertaintyOf, type Figure, type Finding } from '../figures/figure';
import { within95 } from '../figures/coverage';
import { exact, minus, scaled, type Uncertain } from '../figures/uncertain';
import { PLACES, type Job, type Place, type Reading } from '../job/job';
import { placesOf, type PlaceSpec } from '../readings/places';
import { ODD_BEYOND_MM, rawsOf, readPlace, type PlaceReadings, type ReadContext } from '../readings/readings';
import { handsOf } from '../readings/repeats';
import type { Tape } from '../readings/surface';
import { formOf } from '../shapes/round';
import type { Problem } from '../result';
import { isFlat, isRound, type Blank } from '../shop/blank';
import type { Shop } from '../shop/shop';
import { say, type Phrase } from '../units/phrase';
import { count, fineMm, mm } from '../units/quantity';
import { shapeFindings } from './consistency';
import { finding, type Section } from './section';
import { flatSolid, makerHandle, middleGirth, roundSolid, type RoundSolid, type Solid } from './solid';

export interface MeasureSection extends Section<'measure'> {
  /** Every place of this blank, in the order it is measured. */
  readonly places: readonly PlaceReadings[];
  /** The blank as far as it is known; null before one is chosen or where the readings cannot be one. */
  readonly solid: Solid | null;
  /** Right round the middle of a round wall. */
  readonly girth: Uncertain | null;
}

function tapeOf(shop: Shop, paperMm: number): Tape {
  const { tape, units } = shop.settings;
  return {
    thicknessMm: tape.thicknessMm,
    finestMm: tape.finestMm,
    stringMm: tape.stringMm,
    inchDenominator: units.inchDenominator,
    paperMm,
  };
}

function howTaken(p: PlaceReadings): Phrase {
  const read = p.items.filter((i) => i.surfaceMm !== null);
  const method = read[0]?.reading.method ?? 'soft tape';
  const same = read.every((i) => i.reading.method === method);
  const raw = p.rawMeanMm ?? 0;
  const less = p.place.gapMm > 0 ? say`, less the handle` : say``;
  if (!same) return say`mixed methods, ${count(read.length, 'reading')}`;
  if (p.place.kind === 'length' || method === 'steel rule')
    return say`${method}, ${count(read.length, 'reading')}`;
  if (method === 'caliper' || method === 'maker’s figure') return say`${method} ${mm(raw)} × π${less}`;
  return say`${method} ${mm(raw)} less ${fineMm(-p.correctionMm)} of its thickness`;
}

function placeFigure(p: PlaceReadings): Figure | null {
  if (!p.value || p.rawMeanMm === null) return null;
  const read = p.items.filter((i) => i.surfaceMm !== null);
  return figure({
    id: `measure.${p.place.id}`,
    label: p.place.name,
    quantity: mm(p.value.value),
    origin: 'taken',
    working: howTaken(p),
    arithmetic: read.map(
      (i) =>
        say`“${i.reading.text}” by ${i.reading.method}: ${mm(i.rawMm ?? 0)} → ${mm(i.surfaceMm ?? 0)}${i.odd ? ' (stands apart)' : ''}`,
    ),
    ...uncertaintyOf(p.value),
  });
}

function readingFindings(p: PlaceReadings): Finding[] {
  return p.items.flatMap((i): Finding[] => {
    const id = `${p.place.id}.${i.reading.id}`;
    if (i.problem)
      return [finding('measure', id, 'stop', say`${i.problem.where}: ${i.problem.what} ${i.problem.wayOut}`)];
    if (i.odd)
      return [
        finding(
          'measure',
          id,
          'heed',
          say`${p.place.name}: “${i.reading.text}” stands more than ${mm(ODD_BEYOND_MM)} from the others. Measure again, or take it out.`,
        ),
      ];
    return [];
  });
}

/** A figure nobody took, with the range it may have. */
function assumed(
  id: string,
  label: string,
  value: Uncertain,
  working: Phrase,
  inputs: readonly string[],
): Figure {
  const half = within95(value);
  return figure({
    id,
    label,
    quantity: mm(value.value),
    origin: 'estimated',
    spread: [value.value - half, value.value + half],
    working,
    inputs,
    ...uncertaintyOf(value),
  });
}

function roundFigures(s: RoundSolid, taken: (id: string) => boolean): Figure[] {
  const girth = middleGirth(s);
  const both = taken('girthTop') && taken('girthFoot');
  const any = both || taken('girthTop') || taken('girthFoot');
  const label = s.form === 'straight' ? 'Round the wall' : 'Round the middle';
  const working =
    s.form === 'shaped'
      ? say`from the profile through ${count(s.girths.length, 'girth')}`
      : both
        ? say`mean of rim ${mm(s.top.value)} and foot ${mm(s.foot.value)}`
        : any
          ? say`one place measured, the other from the maker`
          : say`maker’s width × π; not measured yet`;
  const inputs = [
    ...(taken('girthTop') ? ['measure.girthTop'] : []),
    ...(taken('girthFoot') ? ['measure.girthFoot'] : []),
  ];
  const figures = [
    any
      ? figure({
          id: 'measure.girth',
          label,
          quantity: mm(girth.value),
          origin: 'reckoned',
          working,
          arithmetic:
            both && s.form !== 'shaped'
              ? [say`(${mm(s.top.value)} + ${mm(s.foot.value)}) ÷ 2 = ${mm(girth.value)}`]
              : [],
          inputs,
          ...uncertaintyOf(girth),
        })
      : assumed('measure.girth', label, girth, working, ['blank.across']),
    figure({
      id: 'measure.diameter',
      label: 'Across',
      quantity: mm(girth.value / Math.PI),
      origin: 'reckoned',
      working: say`${mm(girth.value)} ÷ π`,
      inputs: ['measure.girth'],
      ...uncertaintyOf(scaled(girth, 1 / Math.PI)),
    }),
  ];
  if (s.form === 'tapered') {
    const apart = minus(s.top, s.foot);
    figures.push(
      figure({
        id: 'measure.taper',
        label: apart.value >= 0 ? 'Narrower at the foot by' : 'Narrower at the rim by',
        quantity: mm(Math.abs(apart.value)),
        origin: 'reckoned',
        working: say`of girth, over ${mm(s.slant.value)} of wall`,
        inputs,
        ...uncertaintyOf(apart),
      }),
    );
  }
  return figures;
}

function figuresOf(solid: Solid, places: readonly PlaceReadings[]): Figure[] {
  const taken = (id: string) => places.some((p) => p.place.id === id && p.value !== null);
  const figuresAt = (kind: PlaceSpec['kind']) =>
    places.filter((p) => p.place.kind === kind).flatMap((p) => placeFigure(p) ?? []);
  const maker = say`maker’s figure; not measured yet`;
  if (solid.kind === 'flat')
    return [
      ...figuresAt('length'),
      ...(taken('width')
        ? []
        : [assumed('measure.width', 'Width over all', solid.width, maker, ['blank.width'])]),
      ...(taken('height')
        ? []
        : [assumed('measure.height', 'Height over all', solid.height, maker, ['blank.height'])]),
    ];
  return [
    ...figuresAt('girth'),
    ...roundFigures(solid, taken),
    ...figuresAt('length'),
    ...(taken('wall')
      ? []
      : [assumed('measure.wall', 'Height of the wall', solid.slant, maker, ['blank.wall'])]),
    ...(solid.handle && !taken('handle')
      ? [assumed('measure.handle', 'Width of the handle', solid.handle, maker, [])]
      : []),
  ];
}

const summaryOf = (solid: Solid): Phrase => {
  if (solid.kind === 'flat') return say`${mm(solid.width.value)} × ${mm(solid.height.value)}`;
  const across = (girth: Uncertain) => mm(girth.value / Math.PI);
  return solid.form === 'straight'
    ? say`Ø ${across(middleGirth(solid))} · ${mm(solid.slant.value)} tall`
    : say`Ø ${across(solid.top)} to ${across(solid.foot)} · ${mm(solid.slant.value)}`;
};

function missingFindings(places: readonly PlaceReadings[], blank: Blank): Finding[] {
  const missing = places.filter((p) => p.value === null);
  if (missing.length === 0) return [];
  if (missing.length < places.length) {
    const list = missing.map((p) => p.place.name.toLowerCase()).join(', ');
    return [finding('measure', 'some', 'heed', say`Still to measure: ${list}.`)];
  }
  const what = isFlat(blank)
    ? 'Measure it across and up, edge to edge.'
    : 'Measure round the rim, round the foot and up the wall.';
  return [finding('measure', 'none', 'heed', say`Only the maker’s figures so far. ${what}`)];
}

const problemFinding = (p: Problem): Finding =>
  finding('measure', 'shape', 'stop', say`${p.where}: ${p.what} ${p.wayOut}`);

/** Every place of a blank, read: the handle first, since the girths of a handled blank are read beside it. */
function readPlaces(
  blank: Blank,
  stations: Job['stations'],
  readingsAt: (id: string) => readonly Reading[],
  tape: Tape,
): readonly PlaceReadings[] {
  const nominal = placesOf(blank, stations);
  const hands = handsOf(nominal.map((p) => rawsOf(p, readingsAt(p.id), tape)));
  const context: ReadContext = {
    tape,
    hands,
    gap: exact(0),
    sameWidth: isRound(blank) && formOf(blank.shape) === 'straight',
  };
  const handleAt = nominal.find((p) => p.role === 'handle');
  const handle = handleAt && readPlace(handleAt, readingsAt(handleAt.id), context).value;
  const gap = handle ?? (handleAt ? makerHandle(handleAt.expectedMm) : exact(0));
  return placesOf(blank, stations, handle?.value ?? null).map((p) =>
    readPlace(p, readingsAt(p.id), { ...context, gap }),
  );
}

export function planMeasure(job: Job, shop: Shop, blank: Blank | null, paperMm: number): MeasureSection {
  const nothing = {
    terrace: 'measure' as const,
    progress: 'todo' as const,
    figures: [],
    solid: null,
    girth: null,
  };
  if (!blank) return { ...nothing, summary: say`after the blank`, findings: [], places: [] };
  const tape = tapeOf(shop, paperMm);
  const named = (id: string): id is Place => (PLACES as readonly string[]).includes(id);
  const readingsAt = (id: string) =>
    named(id) ? job.readings[id] : (job.stations.find((s) => s.id === id)?.readings ?? []);
  const places = readPlaces(blank, job.stations, readingsAt, tape);
  const made = isRound(blank)
    ? roundSolid(blank.shape, places)
    : isFlat(blank)
      ? { ok: true as const, value: flatSolid(blank.shape, places) }
      : null;
  const findings = places.flatMap(readingFindings);
  if (!made || !made.ok)
    return {
      ...nothing,
      summary: say`readings disagree`,
      findings: [...findings, ...(made ? [problemFinding(made.problem)] : [])],
      places,
    };
  const solid: Solid = made.value;
  findings.push(
    ...shapeFindings(solid, places, blank, job.wrap.form === 'cone'),
    ...missingFindings(places, blank),
  );
  const taken = places.filter((p) => p.value !== null).length;
  const stopped = findings.some((f) => f.level === 'stop');
  return {
    terrace: 'measure',
    progress: taken === places.length && !stopped ? 'done' : taken > 0 ? 'ready' : 'todo',
    summary: summaryOf(solid),
    figures: figuresOf(solid, places),
    findings,
    places,
    solid,
    girth: solid.kind === 'round' ? middleGirth(solid) : null,
  };
}
