import { figure, uncertaintyOf, type Figure, type Finding } from '../figures/figure';
import { meanOf, measured, minus, scaled, standardU, type Uncertain } from '../figures/uncertain';
import { PLACES, type Job, type Place } from '../job/job';
import {
  ODD_BEYOND_MM,
  PLACE_NAMES,
  readPlace,
  uniformU,
  type PlaceReadings,
  type Tape,
} from '../readings/readings';
import { nominalWallMm } from '../shapes/straight';
import type { Blank } from '../shop/blank';
import type { Shop } from '../shop/shop';
import { say, type Phrase } from '../units/phrase';
import { count, fineMm, mm } from '../units/quantity';
import { finding, type Section } from './section';

export interface MeasureSection extends Section<'measure'> {
  readonly places: Readonly<Record<Place, PlaceReadings>>;
  /** Girth of the bare surface and height of the straight wall, taken or, failing that, from the maker. */
  readonly girth: Uncertain | null;
  readonly wall: Uncertain | null;
}

/** A maker's diameter is good to about a millimetre, a height to two (uniform). */
const MAKER_DIAMETER_HALF_WIDTH_MM = 1;
const MAKER_HEIGHT_HALF_WIDTH_MM = 2;
/** Beyond this a straight wrap visibly opens or laps from rim to foot. */
const STRAIGHT_WITHIN_MM = 1.5;
const CLEARLY_TAPERED_MM = 4;
const COVERAGE_FACTOR_95 = 1.96;

function tapeOf(shop: Shop, paperMm: number): Tape {
  const { tape, units } = shop.settings;
  return {
    thicknessMm: tape.thicknessMm,
    finestMm: tape.finestMm,
    inchDenominator: units.inchDenominator,
    paperMm,
  };
}

function placeFigure(p: PlaceReadings): Figure | null {
  if (!p.value || p.rawMeanMm === null) return null;
  const read = p.items.filter((i) => i.surfaceMm !== null);
  const method = read[0]?.reading.method ?? 'soft tape';
  const same = read.every((i) => i.reading.method === method);
  const by = !same ? 'mixed methods' : method;
  const working: Phrase =
    p.place === 'wall' || method === 'steel rule'
      ? say`${by}, ${count(read.length, 'reading')}`
      : method === 'caliper' && same
        ? say`caliper ${mm(p.rawMeanMm)} × π`
        : say`${by} ${mm(p.rawMeanMm)} less ${fineMm(-p.correctionMm)} of its thickness`;
  return figure({
    id: `measure.${p.place}`,
    label: PLACE_NAMES[p.place],
    quantity: mm(p.value.value),
    origin: 'taken',
    working,
    arithmetic: read.map(
      (i) =>
        say`“${i.reading.text}” by ${i.reading.method}: ${mm(i.rawMm ?? 0)} → ${mm(i.surfaceMm ?? 0)}${i.odd ? ' (stands apart)' : ''}`,
    ),
    ...uncertaintyOf(p.value),
  });
}

function readingFindings(p: PlaceReadings): Finding[] {
  return p.items.flatMap((i): Finding[] => {
    if (i.problem)
      return [
        finding(
          'measure',
          `${p.place}.${i.reading.id}`,
          'stop',
          say`${i.problem.where}: ${i.problem.what} ${i.problem.wayOut}`,
        ),
      ];
    if (i.odd)
      return [
        finding(
          'measure',
          `${p.place}.${i.reading.id}`,
          'heed',
          say`${PLACE_NAMES[p.place]}: “${i.reading.text}” stands more than ${mm(ODD_BEYOND_MM)} from the others. Measure again, or take it out.`,
        ),
      ];
    return [];
  });
}

function girthFindings(
  top: Uncertain | null,
  foot: Uncertain | null,
  girth: Uncertain,
  makerMm: number,
): Finding[] {
  const found: Finding[] = [];
  if (top && foot) {
    const apart = minus(top, foot);
    const d = Math.abs(apart.value);
    if (d > STRAIGHT_WITHIN_MM && d > COVERAGE_FACTOR_95 * standardU(apart)) {
      const wide = apart.value > 0 ? 'rim' : 'foot';
      found.push(
        finding(
          'measure',
          'taper',
          d > CLEARLY_TAPERED_MM ? 'stop' : 'heed',
          say`Wider at the ${wide} by ${mm(d)}: this blank tapers. A straight wrap will open at that end. Measure both again.`,
        ),
      );
    }
  }
  if ((top || foot) && Math.abs(girth.value / makerMm - 1) > 0.06) {
    found.push(
      finding(
        'measure',
        'maker',
        'heed',
        say`The maker’s figure gives ${mm(makerMm)} round, your readings ${mm(girth.value)}. Is this the right blank?`,
      ),
    );
  }
  return found;
}

function girthFigures(top: Uncertain | null, foot: Uncertain | null, girth: Uncertain): Figure[] {
  const taken = top !== null || foot !== null;
  const both = top && foot;
  return [
    figure({
      id: 'measure.girth',
      label: 'Round the wall',
      quantity: mm(girth.value),
      origin: taken ? 'reckoned' : 'estimated',
      working: both
        ? say`mean of rim ${mm(top.value)} and foot ${mm(foot.value)}`
        : taken
          ? say`one place only`
          : say`maker’s diameter × π; not measured yet`,
      arithmetic: both ? [say`(${mm(top.value)} + ${mm(foot.value)}) ÷ 2 = ${mm(girth.value)}`] : [],
      inputs: taken
        ? [...(top ? ['measure.girthTop'] : []), ...(foot ? ['measure.girthFoot'] : [])]
        : ['blank.diameter'],
      ...(taken
        ? {}
        : {
            spread: [
              girth.value - COVERAGE_FACTOR_95 * standardU(girth),
              girth.value + COVERAGE_FACTOR_95 * standardU(girth),
            ] as const,
          }),
      ...uncertaintyOf(girth),
    }),
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
}

function wallFigure(wall: Uncertain): Figure {
  return figure({
    id: 'measure.wall',
    label: PLACE_NAMES.wall,
    quantity: mm(wall.value),
    origin: 'estimated',
    spread: [wall.value - MAKER_HEIGHT_HALF_WIDTH_MM, wall.value + MAKER_HEIGHT_HALF_WIDTH_MM],
    working: say`maker’s figure; not measured yet`,
    inputs: ['blank.wall'],
    ...uncertaintyOf(wall),
  });
}

function overGirth(top: Uncertain | null, foot: Uncertain | null, blank: Blank): Uncertain {
  if (top && foot) return meanOf(top, foot);
  return (
    top ??
    foot ??
    scaled(
      measured(blank.shape.diameterMm, uniformU(MAKER_DIAMETER_HALF_WIDTH_MM), 'maker’s figure'),
      Math.PI,
    )
  );
}

export function planMeasure(job: Job, shop: Shop, blank: Blank | null, paperMm: number): MeasureSection {
  const tape = tapeOf(shop, paperMm);
  const read = (place: Place) => readPlace(place, job.readings[place], tape);
  const places = { girthTop: read('girthTop'), girthFoot: read('girthFoot'), wall: read('wall') };
  if (!blank)
    return {
      terrace: 'measure',
      progress: 'todo',
      summary: say`after the blank`,
      figures: [],
      findings: [],
      places,
      girth: null,
      wall: null,
    };
  const top = places.girthTop.value;
  const foot = places.girthFoot.value;
  const girth = overGirth(top, foot, blank);
  const wall =
    places.wall.value ??
    measured(nominalWallMm(blank.shape), uniformU(MAKER_HEIGHT_HALF_WIDTH_MM), 'maker’s figure');
  const taken = PLACES.filter((p) => places[p].value !== null).length;
  const findings = PLACES.flatMap((p) => readingFindings(places[p]));
  findings.push(...girthFindings(top, foot, girth, Math.PI * blank.shape.diameterMm));
  if (taken === 0)
    findings.push(
      finding(
        'measure',
        'none',
        'heed',
        say`Only the maker’s figures so far. Measure round the rim, round the foot and up the straight wall.`,
      ),
    );
  else if (taken < PLACES.length) {
    const missing = PLACES.filter((p) => places[p].value === null).map((p) => PLACE_NAMES[p].toLowerCase());
    findings.push(finding('measure', 'some', 'heed', say`Still to measure: ${missing.join(', ')}.`));
  }
  const figures = [
    placeFigure(places.girthTop),
    placeFigure(places.girthFoot),
    ...girthFigures(top, foot, girth),
    placeFigure(places.wall) ?? wallFigure(wall),
  ];
  return {
    terrace: 'measure',
    progress:
      taken === PLACES.length && !findings.some((f) => f.level === 'stop')
        ? 'done'
        : taken > 0
          ? 'ready'
          : 'todo',
    summary: say`Ø ${mm(girth.value / Math.PI)} · ${mm(wall.value)} tall`,
    figures: figures.filter((f) => f !== null),
    findings,
    places,
    girth,
    wall,
  };
}
