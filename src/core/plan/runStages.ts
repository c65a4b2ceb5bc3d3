import { labelColumn } from '../art/names';
import { blurMm } from '../heat/model/blur';
import type { TextLayer } from '../job/art';
import type { Job } from '../job/job';
import { NONE_CONFIRMED } from '../inspect/shopTable';
import type { Check } from '../preflight/check';
import type { Blank } from '../shop/blank';
import { printerOf } from '../shop/settings';
import type { Shop } from '../shop/shop';
import { singleAspect } from '../wrap/startingMethod';
import type { Arranged, ToArrange } from './sheet/arrange';
import type { PlacedArt } from './art/art';
import type { HeatPlan } from './heat/heat';
import type { MeasurePlan } from './measure/measure';
import { inkOf } from './sheet/cost';
import { type Extra, type Plan } from './planShape';
import type { PressPlan } from './press/press';
import type { SharedPart } from './sheet/sheet';
import {
  createArtStages,
  createSizeStages,
  createStages,
  samePaperScale,
  type ArtStages,
  type PaperScale,
  type OnStage,
  type Printed,
  type Memoizers,
  type SizeStages,
  type Stages,
} from './stages';
import type { WrapPlan } from './wrap/wrapPlan';

const NO_ANALYSES: NonNullable<Extra['analyses']> = {};
const NO_CHECKS: readonly Check[] = [];
const NO_HEAT_CACHE: NonNullable<Extra['heatCache']> = {};

interface Sizes {
  readonly on: PaperScale;
  readonly measure: MeasurePlan;
  readonly wrap: WrapPlan;
}

function sizesOf(stages: SizeStages, job: Job, shop: Shop, blank: Blank | null, on: PaperScale): Sizes {
  const { settings } = shop;
  const measure = stages.measure({
    blank,
    readings: job.readings,
    stations: job.stations,
    asCone: job.wrap.form === 'cone',
    tape: settings.tape,
    inchDenominator: settings.units.inchDenominator,
    paperMm: on.thicknessMm,
  });
  const wrap = stages.wrap({
    asked: job.wrap,
    defaults: settings.defaults,
    paperEdge: job.practices.paperEdge ?? settings.practices.paperEdge,
    blank,
    measure,
    pictureAspect: singleAspect(job.art.layers),
    paperMm: on.thicknessMm,
    along: on.along,
    up: on.up,
  });
  return { on, measure, wrap };
}

interface Named {
  readonly all: Printed['pieces'];
  readonly printed: Printed;
}

function namedOf(stages: ArtStages, job: Job): Named {
  const all = stages.named({ names: job.art.names, column: labelColumn(job.art) });
  return { all, printed: stages.printed({ pieces: all, jobPieces: job.pieces, reprint: job.reprint }) };
}

interface Laid {
  readonly placed: PlacedArt;
  readonly part: SharedPart | null;
}

function laidArt(
  stages: ArtStages,
  job: Job,
  blank: Blank | null,
  { pattern }: WrapPlan,
  named: Named,
): Laid {
  const placed = stages.place({
    art: job.art,
    pattern: blank ? pattern : null,
    flat: pattern?.form === 'flat',
    pieces: named.all,
  });
  const part = stages.part({
    jobName: job.name,
    blankName: blank?.name ?? '',
    art: job.art,
    pattern,
    placed,
    ...named.printed,
  });
  return { placed, part };
}

/** One of the other jobs on the sheets: only what the sheet needs of it. */
function createOther(remember: Memoizers, on: OnStage) {
  const art = createArtStages(remember, on);
  const guessed = createSizeStages(remember, on);
  const found = createSizeStages(remember, on);
  const toArrange = remember.one((t: ToArrange) => t);
  return (job: Job, shop: Shop) => {
    const blank = blankOf(job, shop);
    const named = namedOf(art, job);
    return {
      toArrange: (onGuess: PaperScale): ToArrange | null => {
        const { pattern } = sizesOf(guessed, job, shop, blank, onGuess).wrap;
        return pattern && named.printed.pieceCount > 0 ? toArrange({ pattern, ...named.printed }) : null;
      },
      part: (onFound: PaperScale, same: boolean): SharedPart | null => {
        const { wrap } = sizesOf(same ? guessed : found, job, shop, blank, onFound);
        return named.printed.pieceCount > 0 ? laidArt(art, job, blank, wrap, named).part : null;
      },
    };
  };
}

type Other = ReturnType<typeof createOther>;

const blankOf = (job: Job, shop: Shop): Blank | null => shop.blanks.find((b) => b.id === job.blankId) ?? null;

const isThere = <T>(x: T | null): x is T => x !== null;

/** Sizes, art and sheet: the paper decides the sizes a little, and the sizes the paper. */
interface OnSheets extends Laid {
  readonly sizes: Sizes;
  readonly arranged: Arranged;
  readonly others: readonly SharedPart[];
  readonly pieces: Printed['pieces'];
}

/**
 * The paper found to fit may be thicker than the one guessed, or the wrap may lie along the feed: sizes, and only sizes, are made again for
 * what it will be printed on.
 */
function onSheets(
  stages: Stages,
  job: Job,
  shop: Shop,
  extra: Extra,
  others: readonly ReturnType<Other>[],
): OnSheets {
  const blank = blankOf(job, shop);
  const named = namedOf(stages, job);
  const asked = shop.papers.find((p) => p.id === job.sheet.paperId) ?? null;
  const guess = asked ?? shop.papers[0] ?? null;
  const shared = {
    sheet: job.sheet,
    papers: shop.papers,
    media: job.practices.media ?? shop.settings.practices.media,
    printers: shop.settings.printers,
    ...named.printed,
    inkPct: inkOf(job, extra.analyses ?? NO_ANALYSES),
    nests: extra.nests,
  };
  const onGuess = stages.guessed.onPaper({ paper: guess, turned: false });
  const rough = sizesOf(stages.guessed, job, shop, blank, onGuess);
  const first = stages.guessed.arrange({
    ...shared,
    asked,
    pattern: blank ? rough.wrap.pattern : null,
    others: stages.guessed.others(others.map((o) => o.toArrange(onGuess)).filter(isThere)),
    onPanels: null,
  });
  const { paper, layout } = first;
  const onFound = paper
    ? stages.found.onPaper({ paper, turned: layout?.ok === true && layout.value.turned })
    : onGuess;
  const same = samePaperScale(onGuess, onFound);
  const sizes = same ? rough : sizesOf(stages.found, job, shop, blank, onFound);
  const { placed, part } = laidArt(stages, job, blank, sizes.wrap, named);
  const parts = stages.parts(others.map((o) => o.part(onFound, same)).filter(isThere));
  const again = (withArt: boolean): Arranged =>
    stages.found.arrange({
      ...shared,
      asked: paper,
      pattern: blank ? sizes.wrap.pattern : null,
      others: parts,
      onPanels:
        withArt && placed.board
          ? stages.onPanels({ art: job.art, board: placed.board, placedLayers: placed.placedLayers })
          : null,
    });
  const settled = same && !first.panels ? first : again(first.panels !== null);
  const arranged = settled.panels && !first.panels ? again(true) : settled;
  return { sizes, placed, part, arranged, others: parts, pieces: named.all };
}

function heatOf(stages: Stages, job: Job, shop: Shop, extra: Extra, wrap: WrapPlan): HeatPlan {
  const blank = blankOf(job, shop);
  return stages.heat({
    blank,
    wrap: stages.sameToPress(stages.toPress({ wrap, blank, asked: job.wrap })),
    press: shop.presses.find((p) => p.id === job.pressId) ?? null,
    hand: job.heat,
    load: job.load,
    pieces: job.pieces,
    hold: job.wrap.hold ?? shop.settings.defaults.hold,
    practices: stages.practices({ ofShop: shop.settings.practices, ofJob: job.practices }),
    facesWay: job.wrap.faces,
    printedBehind: job.art.layers.some((l) => l.on !== 'front'),
    recipes: shop.recipes,
    presses: shop.presses,
    blanks: shop.blanks,
    proven: extra.proven,
    log: extra.proven ? NO_LOG : shop.log,
    tried: extra.tried ?? shop.log,
    cache: extra.heatCache ?? NO_HEAT_CACHE,
  });
}

const NO_LOG: Shop['log'] = [];

function pressOf(
  stages: Stages,
  job: Job,
  shop: Shop,
  heat: HeatPlan,
  named: Printed['pieces'],
  wrap: WrapPlan,
): PressPlan {
  const own = stages.ownRuns(shop.runs.filter((r) => r.jobId === job.id));
  return stages.press({
    jobPieces: job.pieces,
    named,
    runs: stages.runs({ runs: own, jobId: job.id }),
    operations: heat.operations,
    atOnce: heat.load?.load.piecesAtOnce ?? 1,
    circumferenceMm: wrap.wall?.widest.value ?? null,
  });
}

/**
 * Plans jobs stage by stage; what `remember` keeps is not made again for the same inputs, and keeps its identity, so that a screen redraws only
 * what changed. `on` is called for every stage that runs.
 */
export function createRunner(remember: Memoizers, on: OnStage = () => undefined) {
  const stages = createStages(remember, on);
  let others = new Map<string, Other>();
  return (job: Job, shop: Shop, extra: Extra = {}): Plan => {
    const shared = (extra.sharedJobs ?? []).filter((j) => job.sheet.sharedJobIds.includes(j.id));
    others = new Map(shared.map((j) => [j.id, others.get(j.id) ?? createOther(remember, on)]));
    const blank = blankOf(job, shop);
    const analyses = extra.analyses ?? NO_ANALYSES;
    const { settings } = shop;
    const printer = printerOf(settings, job.sheet.printerId);
    const sheets = onSheets(
      stages,
      job,
      shop,
      extra,
      shared.flatMap((j) => others.get(j.id)?.(j, shop) ?? []),
    );
    const { sizes, placed, arranged } = sheets;
    const { wrap, measure } = sizes;
    const { pattern, wall } = wrap;
    const heat = heatOf(stages, job, shop, extra, wrap);
    const checks = stages.checks({
      art: job.art,
      placed,
      blank,
      pattern,
      ofNames: placed.board
        ? stages.ofNames({
            names: job.art.names,
            layers: stages.nameLayers(
              job.art.layers.filter((l): l is TextLayer => l.kind === 'text' && l.field !== null),
            ),
            pattern: placed.board.pattern,
          })
        : NO_CHECKS,
      mostInkPct: printer.mostInkPct,
      blurMm: heat.chosen && blurMm(heat.chosen.settings),
      analyses,
    });
    const sheet = stages.sheet({
      arranged,
      own: sheets.part,
      others: sheets.others,
      sheet: job.sheet,
      media: job.practices.media ?? settings.practices.media,
      again: job.reprint !== null,
      jobPieces: job.pieces,
      unit: settings.units.length,
      currency: settings.currency,
      inkPct: inkOf(job, analyses),
    });
    const press = pressOf(stages, job, shop, heat, sheets.pieces, wrap);
    const inspect = stages.inspect({
      inspection: job.inspection,
      entries: stages.ownEntries(stages.entries({ log: shop.log, jobId: job.id })),
      tally: extra.tally,
      tried: stages.ownTried(
        stages.tried({ log: extra.tried ?? shop.log, blankId: job.blankId, pressId: heat.press?.id ?? null }),
      ),
      confirmed:
        extra.confirmed ?? (shop.log.length === 0 ? NONE_CONFIRMED : stages.confirmed({ log: shop.log })),
      cache: extra.heatCache ?? NO_HEAT_CACHE,
      pattern,
      face: pattern && stages.face({ pattern }),
      wall,
      heat,
      press,
      paperName: sheet.paper?.name ?? '',
      printerName: printer.name,
    });
    return stages.plan({
      blank: stages.blank({ blank, gone: !blank && job.blankId !== null, prepared: job.prepared }),
      measure,
      wrap,
      art: stages.art({ placed, checks, jobPieces: job.pieces }),
      sheet,
      heat,
      press,
      inspect,
    });
  };
}
