import { figure, type Figure } from '../figures/figure';
import { formOf, wallOf } from '../shapes/round';
import { isFlat, isRound, type Blank, type FlatBlank, type RoundBlank } from '../shop/blank';
import { say } from '../units/phrase';
import { count, fineMm, mm, word } from '../units/quantity';
import { finding, type StepPlan } from './stepPlan';

export interface BlankPlan extends StepPlan<'blank'> {
  readonly blank: Blank | null;
  /** Things to do to the blank before measuring. */
  readonly toPrepare: readonly string[];
}

const preparationsOf = (b: Blank): readonly string[] => [
  ...b.takeOff.map((part) => `Take off: ${part}`),
  ...(b.film ? ['Peel the film before wrapping'] : []),
];

function diameterFigures({ shape }: RoundBlank): Figure[] {
  const first = shape.sections[0];
  const last = shape.sections.at(-1);
  if (!first || !last) return [];
  const form = formOf(shape);
  const listed = say`catalogue value, rounded and before coating`;
  const across = (id: string, label: string, value: number): Figure =>
    figure({
      id,
      label,
      quantity: mm(value),
      origin: 'estimated',
      spread: [value - 1, value + 1],
      working: listed,
    });
  if (form === 'straight') return [across('blank.across', 'Diameter, maker’s figure', first.diameterMm)];
  const widest = Math.max(...shape.sections.map((v) => v.diameterMm));
  return [
    across('blank.across', 'Diameter near the rim', first.diameterMm),
    ...(form === 'shaped' ? [across('blank.widest', 'Widest', widest)] : []),
    across('blank.acrossFoot', 'Diameter near the foot', last.diameterMm),
  ];
}

function roundFigures(b: RoundBlank): Figure[] {
  const { shape } = b;
  const wall = wallOf(shape);
  const tall = wall.footMm - wall.topMm;
  return [
    ...diameterFigures(b),
    figure({
      id: 'blank.height',
      label: 'Overall height',
      quantity: mm(shape.heightMm),
      origin: 'estimated',
      working: say`catalogue value`,
    }),
    figure({
      id: 'blank.wall',
      label: formOf(shape) === 'shaped' ? 'Coated wall' : 'Straight wall',
      quantity: mm(tall),
      origin: 'calculated',
      working: say`less ${mm(wall.topMm)} at the rim and ${mm(shape.heightMm - wall.footMm)} at the foot`,
      arithmetic: [
        say`${mm(shape.heightMm)} − ${mm(wall.topMm)} − ${mm(shape.heightMm - wall.footMm)} = ${mm(tall)}`,
      ],
      inputs: ['blank.height'],
    }),
    figure({
      id: 'blank.skin',
      label: b.wall === 'vacuum' ? 'Vacuum wall, each skin' : 'Wall',
      quantity: fineMm(b.wallMm),
      origin: 'estimated',
      working: b.wall === 'vacuum' ? say`two skins with nothing between: heats fast` : say`one solid wall`,
    }),
    ...(shape.handle
      ? [
          figure({
            id: 'blank.handle',
            label: 'Handle, across',
            quantity: mm(shape.handle.widthMm),
            origin: 'estimated',
            working: say`${mm(shape.handle.heightMm)} tall; the paper ends on both sides of it`,
          }),
        ]
      : []),
  ];
}

const EDGE_NOTES = {
  plain: 'edge takes no dye',
  coated: 'edge is coated too: bleed colours it',
  rough: 'rough edge: fold the paper over it',
} as const;

function flatFigures(b: FlatBlank): Figure[] {
  const { outline, holes, faces, edge } = b.shape;
  return [
    figure({
      id: 'blank.width',
      label: 'Overall width',
      quantity: mm(outline.widthMm),
      origin: 'estimated',
      spread: [outline.widthMm - 1, outline.widthMm + 1],
      working: say`${outline.form}, as listed`,
    }),
    figure({
      id: 'blank.height',
      label: 'Overall height',
      quantity: mm(outline.heightMm),
      origin: 'estimated',
      spread: [outline.heightMm - 1, outline.heightMm + 1],
      working: say`catalogue value`,
    }),
    figure({
      id: 'blank.thick',
      label: 'Thickness',
      quantity: fineMm(b.wallMm),
      origin: 'estimated',
      working: say`${EDGE_NOTES[edge]}`,
    }),
    figure({
      id: 'blank.faces',
      label: 'Printed faces',
      quantity: count(faces, 'face'),
      origin: 'calculated',
      working:
        holes.length > 0
          ? say`${count(holes.length, 'hole or slot', 'holes and slots')} to keep out of`
          : say`no holes`,
    }),
  ];
}

function coatFigure(b: Blank): Figure {
  const { finish, colour, stock } = b.coating;
  const working =
    stock === 'clear'
      ? say`clear: the picture shows little until something opaque is behind it`
      : colour.toLowerCase() === '#ffffff'
        ? say`white: the blank is the white of the picture`
        : say`tinted: white in the picture shows as this tint`;
  return figure({
    id: 'blank.coat',
    label: 'Coating',
    quantity: word(finish),
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
    const text = gone
      ? say`This job’s blank is no longer in the shop. Choose another.`
      : say`Choose the blank, or add a new one.`;
    return {
      step: 'blank',
      progress: 'todo',
      summary: say`not chosen`,
      figures: [],
      findings: [finding('blank', 'none', 'blocker', text)],
      blank: null,
      toPrepare: [],
    };
  }
  const toPrepare = preparationsOf(blank);
  const left = toPrepare.filter((p) => !prepared.includes(p));
  const shape = isRound(blank) ? roundFigures(blank) : isFlat(blank) ? flatFigures(blank) : [];
  return {
    step: 'blank',
    progress: left.length === 0 ? 'done' : 'ready',
    summary: say`${blank.name}`,
    figures: [...shape, coatFigure(blank)],
    findings: [
      ...left.map((p, i) => finding('blank', `prepare-${i}`, 'info', say`${p}.`)),
      ...blank.cautions.map((c, i) => finding('blank', `caution-${i}`, 'info', say`${c}`)),
      ...(blank.needs.length > 0
        ? [finding('blank', 'needs', 'info', say`To finish it you need: ${blank.needs.join(', ')}.`)]
        : []),
    ],
    blank,
    toPrepare,
  };
}
