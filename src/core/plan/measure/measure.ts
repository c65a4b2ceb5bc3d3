import { METHOD_WORDS } from '../../readings/methodWords';
import { figure, uncertaintyOf, type Figure, type Finding } from '../../figures/figure';
import { within95 } from '../../figures/interval';
import { exact, minus, scaled, type Uncertain } from '../../figures/uncertain';
import { PLACES, type Job, type Place, type Reading } from '../../job/job';
import { placesOf, type PlaceRole, type PlaceSpec } from '../../readings/places';
import {
  ODD_BEYOND_MM,
  rawsOf,
  readPlace,
  type PlaceReadings,
  type ReadContext,
} from '../../readings/readings';
import { handsOf } from '../../readings/repeats';
import type { Tape } from '../../readings/surface';
import { formOf } from '../../shapes/round';
import type { Problem } from '../../basics/result';
import { isFlat, isRound, type Blank } from '../../shop/blank';
import type { Settings } from '../../shop/settings';
import { say, type Message, inSentence } from '../../message/message';
import { fineMm, mm } from '../../message/quantity';
import { shapeFindings } from './consistency';
import { finding, type StepPlan } from '../stepPlan';
import {
  measuredFlat,
  makerHandle,
  middleCircumference,
  measuredRound,
  type MeasuredRound,
  type MeasuredShape,
} from './measuredShape';

/** Figure ids are read by scripts and never change, whatever a place is called today. */
const FIGURE_NAMES: Partial<Readonly<Record<PlaceRole, string>>> = { rim: 'girthTop', foot: 'girthFoot' };

export interface MeasurePlan extends StepPlan<'measure'> {
  /** Every place of this blank, in the order it is measured. */
  readonly places: readonly PlaceReadings[];
  /** The blank as far as it is known; null before one is chosen or where the readings cannot be one. */
  readonly measuredShape: MeasuredShape | null;
  /** Right round the middle of a round wall. */
  readonly circumference: Uncertain | null;
}

function howTaken(p: PlaceReadings): Message {
  const read = p.items.filter((i) => i.surfaceMm !== null);
  const method = read[0]?.reading.method ?? 'soft tape';
  const same = read.every((i) => i.reading.method === method);
  const raw = p.rawMeanMm ?? 0;
  const less = p.place.gapMm > 0 ? say('measure.lessHandle') : say('common.n');
  if (!same) return say('measure.mixedMethods', { readings: read.length });
  if (p.place.kind === 'length' || method === 'steel rule')
    return say('measure.methodReadings', { method: METHOD_WORDS[method], readings: read.length });
  if (method === 'caliper' || method === 'maker’s figure')
    return say('measure.methodRawLess', { method: METHOD_WORDS[method], raw: mm(raw), less });
  return say('measure.lessThickness', {
    method: METHOD_WORDS[method],
    raw: mm(raw),
    correction: fineMm(-p.correctionMm),
  });
}

function placeFigure(p: PlaceReadings): Figure | null {
  if (!p.value || p.rawMeanMm === null) return null;
  const read = p.items.filter((i) => i.surfaceMm !== null);
  return figure({
    id: `measure.${FIGURE_NAMES[p.place.role] ?? p.place.id}`,
    label: p.place.name,
    quantity: mm(p.value.value),
    origin: 'measured',
    working: howTaken(p),
    arithmetic: read.map((i) =>
      say('measure.by', {
        reading: i.reading.text,
        method: METHOD_WORDS[i.reading.method],
        raw: mm(i.rawMm ?? 0),
        surface: mm(i.surfaceMm ?? 0),
        which: i.odd ? 'standsApart' : 'other',
      }),
    ),
    ...uncertaintyOf(p.value),
  });
}

function readingFindings(p: PlaceReadings): Finding[] {
  return p.items.flatMap((i): Finding[] => {
    const id = `${p.place.id}.${i.reading.id}`;
    if (i.problem)
      return [
        finding(
          'measure',
          id,
          'blocker',
          say('common.problem', {
            where: i.problem.where,
            what: i.problem.what,
            wayOut: i.problem.wayOut,
          }),
        ),
      ];
    if (i.odd)
      return [
        finding(
          'measure',
          id,
          'warning',
          say('measure.standsMoreThanFrom', {
            place: p.place.name,
            reading: i.reading.text,
            oddBeyond: mm(ODD_BEYOND_MM),
          }),
        ),
      ];
    return [];
  });
}

/** A figure nobody took, with the range it may have. */
function assumed(
  id: string,
  label: Message,
  value: Uncertain,
  working: Message,
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

function roundFigures(s: MeasuredRound, taken: (id: string) => boolean): Figure[] {
  const circumference = middleCircumference(s);
  const both = taken('circumferenceTop') && taken('circumferenceFoot');
  const any = both || taken('circumferenceTop') || taken('circumferenceFoot');
  const label = s.form === 'straight' ? say('measure.circumferenceWall') : say('measure.circumferenceMid');
  const working =
    s.form === 'shaped'
      ? say('measure.fromProfileThrough', { circumferences: s.circumferences.length })
      : both
        ? say('measure.meanRimFoot', { top: mm(s.top.value), foot: mm(s.foot.value) })
        : any
          ? say('measure.onePlaceMeasuredOther')
          : say('measure.makersWidthMeasuredYet');
  const inputs = [
    ...(taken('circumferenceTop') ? ['measure.girthTop'] : []),
    ...(taken('circumferenceFoot') ? ['measure.girthFoot'] : []),
  ];
  const figures = [
    any
      ? figure({
          id: 'measure.girth',
          label,
          quantity: mm(circumference.value),
          origin: 'calculated',
          working,
          arithmetic:
            both && s.form !== 'shaped'
              ? [
                  say('measure.n2', {
                    top: mm(s.top.value),
                    foot: mm(s.foot.value),
                    circumference: mm(circumference.value),
                  }),
                ]
              : [],
          inputs,
          ...uncertaintyOf(circumference),
        })
      : assumed('measure.girth', label, circumference, working, ['blank.across']),
    figure({
      id: 'measure.diameter',
      label: say('measure.diameter'),
      quantity: mm(circumference.value / Math.PI),
      origin: 'calculated',
      working: say('measure.circumference', { circumference: mm(circumference.value) }),
      inputs: ['measure.girth'],
      ...uncertaintyOf(scaled(circumference, 1 / Math.PI)),
    }),
  ];
  if (s.form === 'tapered') {
    const apart = minus(s.top, s.foot);
    figures.push(
      figure({
        id: 'measure.taper',
        label: apart.value >= 0 ? say('measure.taperTowardsFoot') : say('measure.taperTowardsRim'),
        quantity: mm(Math.abs(apart.value)),
        origin: 'calculated',
        working: say('measure.circumferenceOverWall', { slant: mm(s.slant.value) }),
        inputs,
        ...uncertaintyOf(apart),
      }),
    );
  }
  return figures;
}

function figuresOf(measuredShape: MeasuredShape, places: readonly PlaceReadings[]): Figure[] {
  const taken = (id: string) => places.some((p) => p.place.id === id && p.value !== null);
  const figuresAt = (kind: PlaceSpec['kind']) =>
    places.filter((p) => p.place.kind === kind).flatMap((p) => placeFigure(p) ?? []);
  const maker = say('measure.makersFigureMeasuredYet');
  if (measuredShape.kind === 'flat')
    return [
      ...figuresAt('length'),
      ...(taken('width')
        ? []
        : [
            assumed('measure.width', say('blank.overallWidth'), measuredShape.width, maker, ['common.width']),
          ]),
      ...(taken('height')
        ? []
        : [
            assumed('measure.height', say('blank.overallHeight'), measuredShape.height, maker, [
              'common.height',
            ]),
          ]),
    ];
  return [
    ...figuresAt('circumference'),
    ...roundFigures(measuredShape, taken),
    ...figuresAt('length'),
    ...(taken('wall')
      ? []
      : [assumed('measure.wall', say('measure.heightWall'), measuredShape.slant, maker, ['blank.wall'])]),
    ...(measuredShape.handle && !taken('handle')
      ? [assumed('measure.handle', say('measure.widthHandle'), measuredShape.handle, maker, [])]
      : []),
  ];
}

const summaryOf = (measuredShape: MeasuredShape): Message => {
  if (measuredShape.kind === 'flat')
    return say('common.size', {
      width: mm(measuredShape.width.value),
      height: mm(measuredShape.height.value),
    });
  const across = (circumference: Uncertain) => mm(circumference.value / Math.PI);
  return measuredShape.form === 'straight'
    ? say('measure.tall', {
        measuredShape: across(middleCircumference(measuredShape)),
        slant: mm(measuredShape.slant.value),
      })
    : say('measure.to', {
        top: across(measuredShape.top),
        foot: across(measuredShape.foot),
        slant: mm(measuredShape.slant.value),
      });
};

function missingFindings(places: readonly PlaceReadings[], blank: Blank): Finding[] {
  const missing = places.filter((p) => p.value === null);
  if (missing.length === 0) return [];
  if (missing.length < places.length) {
    const list = missing.map((p) => inSentence(p.place.name));
    return [finding('measure', 'some', 'warning', say('measure.stillMeasure', { list }))];
  }
  const what = isFlat(blank) ? say('measure.acrossUpEdge') : say('measure.roundRimFoot');
  return [finding('measure', 'none', 'warning', say('measure.onlyMakersFiguresSo', { what }))];
}

const problemFinding = (p: Problem): Finding =>
  finding(
    'measure',
    'shape',
    'blocker',
    say('common.problem', { where: p.where, what: p.what, wayOut: p.wayOut }),
  );

/** Every place of a blank, read: the handle first, since the circumferences of a handled blank are read beside it. */
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

export interface MeasureInput {
  readonly blank: Blank | null;
  readonly readings: Job['readings'];
  readonly stations: Job['stations'];
  /** The wrap is asked for as a cone. */
  readonly asCone: boolean;
  readonly tape: Settings['tape'];
  readonly inchDenominator: number;
  readonly paperMm: number;
}

export function planMeasure(input: MeasureInput): MeasurePlan {
  const { blank, readings, stations, paperMm } = input;
  const nothing = {
    step: 'measure' as const,
    progress: 'todo' as const,
    figures: [],
    measuredShape: null,
    circumference: null,
  };
  if (!blank) return { ...nothing, summary: say('measure.afterBlank'), findings: [], places: [] };
  const tape: Tape = { ...input.tape, inchDenominator: input.inchDenominator, paperMm };
  const named = (id: string): id is Place => (PLACES as readonly string[]).includes(id);
  const readingsAt = (id: string) =>
    named(id) ? readings[id] : (stations.find((s) => s.id === id)?.readings ?? []);
  const places = readPlaces(blank, stations, readingsAt, tape);
  const made = isRound(blank)
    ? measuredRound(blank.shape, places)
    : isFlat(blank)
      ? { ok: true as const, value: measuredFlat(blank.shape, places) }
      : null;
  const findings = places.flatMap(readingFindings);
  if (!made || !made.ok)
    return {
      ...nothing,
      summary: say('measure.readingsDisagree'),
      findings: [...findings, ...(made ? [problemFinding(made.problem)] : [])],
      places,
    };
  const measuredShape: MeasuredShape = made.value;
  findings.push(
    ...shapeFindings(measuredShape, places, blank, input.asCone),
    ...missingFindings(places, blank),
  );
  const taken = places.filter((p) => p.value !== null).length;
  const stopped = findings.some((f) => f.level === 'blocker');
  return {
    step: 'measure',
    progress: taken === places.length && !stopped ? 'done' : taken > 0 ? 'ready' : 'todo',
    summary: summaryOf(measuredShape),
    figures: figuresOf(measuredShape, places),
    findings,
    places,
    measuredShape,
    circumference: measuredShape.kind === 'round' ? middleCircumference(measuredShape) : null,
  };
}
