import { FLAT_FORM_WORDS, FINISH_WORDS } from '../../shop/kindWords';
import { figure, type Figure } from '../../figures/figure';
import { formOf, wallOf } from '../../shapes/round';
import { isFlat, isRound, type Blank, type FlatBlank, type RoundBlank } from '../../shop/blank';
import { say, verbatim, type Message } from '../../message/message';
import { count, fineMm, mm, word } from '../../message/quantity';
import { finding, type StepPlan } from '../stepPlan';

export interface BlankPlan extends StepPlan<'blank'> {
  readonly blank: Blank | null;
  /** Things to do to the blank before measuring. */
  readonly toPrepare: readonly Preparation[];
}

/** One thing to do to a blank before measuring; a job keeps its id once it is done. */
export interface Preparation {
  readonly id: string;
  readonly text: Message;
}

const preparationsOf = (b: Blank): readonly Preparation[] => [
  ...b.takeOff.map((part) => ({ id: `take-off: ${part}`, text: say('press.takeOff', { part }) })),
  ...(b.film ? [{ id: 'peel-film', text: say('blank.peelFilm') }] : []),
];

function diameterFigures({ shape }: RoundBlank): Figure[] {
  const first = shape.sections[0];
  const last = shape.sections.at(-1);
  if (!first || !last) return [];
  const form = formOf(shape);
  const listed = say('blank.catalogueValueRoundedBefore');
  const across = (id: string, label: Message, value: number): Figure =>
    figure({
      id,
      label,
      quantity: mm(value),
      origin: 'estimated',
      spread: [value - 1, value + 1],
      working: listed,
    });
  if (form === 'straight')
    return [across('blank.across', say('blank.diameterMakersFigure'), first.diameterMm)];
  const widest = Math.max(...shape.sections.map((v) => v.diameterMm));
  return [
    across('blank.across', say('blank.diameterNearRim'), first.diameterMm),
    ...(form === 'shaped' ? [across('blank.widest', say('blank.widest'), widest)] : []),
    across('blank.acrossFoot', say('blank.diameterNearFoot'), last.diameterMm),
  ];
}

function roundFigures(b: RoundBlank): Figure[] {
  const { shape } = b;
  const wall = wallOf(shape);
  const tall = wall.footMm - wall.topMm;
  return [
    ...diameterFigures(b),
    figure({
      id: 'common.height',
      label: say('blank.overallHeight'),
      quantity: mm(shape.heightMm),
      origin: 'estimated',
      working: say('blank.catalogueValue'),
    }),
    figure({
      id: 'blank.wall',
      label: formOf(shape) === 'shaped' ? say('blank.coatedWall') : say('blank.straightWall'),
      quantity: mm(tall),
      origin: 'calculated',
      working: say('blank.lessRimFoot', { top: mm(wall.topMm), height: mm(shape.heightMm - wall.footMm) }),
      arithmetic: [
        say('blank.heightTopHeight2', {
          height: mm(shape.heightMm),
          top: mm(wall.topMm),
          height2: mm(shape.heightMm - wall.footMm),
          tall: mm(tall),
        }),
      ],
      inputs: ['common.height'],
    }),
    figure({
      id: 'blank.skin',
      label: b.wall === 'vacuum' ? say('blank.vacuumWallEachSkin') : say('blank.wall'),
      quantity: fineMm(b.wallMm),
      origin: 'estimated',
      working: b.wall === 'vacuum' ? say('blank.twoSkinsNothingBetween') : say('blank.oneSolidWall'),
    }),
    ...(shape.handle
      ? [
          figure({
            id: 'blank.handle',
            label: say('blank.handleAcross'),
            quantity: mm(shape.handle.widthMm),
            origin: 'estimated',
            working: say('blank.tallPaperEndsBoth', { height: mm(shape.handle.heightMm) }),
          }),
        ]
      : []),
  ];
}

const EDGE_NOTES = {
  plain: say('blank.edgeTakesNoDye'),
  coated: say('blank.edgeIsCoated'),
  rough: say('blank.edgeIsRough'),
} as const;

function flatFigures(b: FlatBlank): Figure[] {
  const { outline, holes, faces, edge } = b.shape;
  return [
    figure({
      id: 'common.width',
      label: say('blank.overallWidth'),
      quantity: mm(outline.widthMm),
      origin: 'estimated',
      spread: [outline.widthMm - 1, outline.widthMm + 1],
      working: say('blank.asListed', { form: FLAT_FORM_WORDS[outline.form] }),
    }),
    figure({
      id: 'common.height',
      label: say('blank.overallHeight'),
      quantity: mm(outline.heightMm),
      origin: 'estimated',
      spread: [outline.heightMm - 1, outline.heightMm + 1],
      working: say('blank.catalogueValue'),
    }),
    figure({
      id: 'blank.thick',
      label: say('common.thickness'),
      quantity: fineMm(b.wallMm),
      origin: 'estimated',
      working: EDGE_NOTES[edge],
    }),
    figure({
      id: 'blank.faces',
      label: say('blank.printedFaces'),
      quantity: count(faces, 'face'),
      origin: 'calculated',
      working:
        holes.length > 0 ? say('blank.holesandslots', { holesAndSlots: holes.length }) : say('blank.noHoles'),
    }),
  ];
}

function coatFigure(b: Blank): Figure {
  const { finish, colour, stock } = b.coating;
  const working =
    stock === 'clear'
      ? say('blank.clearPictureShowsLittle')
      : colour.toLowerCase() === '#ffffff'
        ? say('blank.whiteBlankWhitePicture')
        : say('blank.tintedWhitePictureShows');
  return figure({
    id: 'blank.coat',
    label: say('common.coating'),
    quantity: word(FINISH_WORDS[finish]),
    origin: 'calculated',
    working,
  });
}

export interface BlankInput {
  readonly blank: Blank | null;
  /** A blank was chosen that the shop no longer has. */
  readonly gone: boolean;
  readonly prepared: readonly string[];
}

export function planBlank({ blank, gone, prepared }: BlankInput): BlankPlan {
  if (!blank) {
    const text = gone ? say('blank.jobsBlankLongerShop') : say('blank.chooseBlankAddNew');
    return {
      step: 'blank',
      progress: 'todo',
      summary: say('blank.notChosen'),
      figures: [],
      findings: [finding('blank', 'none', 'blocker', text)],
      blank: null,
      toPrepare: [],
    };
  }
  const toPrepare = preparationsOf(blank);
  const left = toPrepare.filter((p) => !prepared.includes(p.id));
  const shape = isRound(blank) ? roundFigures(blank) : isFlat(blank) ? flatFigures(blank) : [];
  return {
    step: 'blank',
    progress: left.length === 0 ? 'done' : 'ready',
    summary: verbatim(blank.name),
    figures: [...shape, coatFigure(blank)],
    findings: [
      ...left.map((p, i) => finding('blank', `prepare-${i}`, 'info', p.text)),
      ...blank.cautions.map((c, i) => finding('blank', `caution-${i}`, 'info', verbatim(c))),
      ...(blank.needs.length > 0
        ? [finding('blank', 'needs', 'info', say('blank.finishYouNeed', { needs: blank.needs }))]
        : []),
    ],
    blank,
    toPrepare,
  };
}
