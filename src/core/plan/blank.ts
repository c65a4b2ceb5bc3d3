import { figure } from '../figures/figure';
import type { Job } from '../job/job';
import { nominalWallMm, sideOutline, sideZones, type SideZones } from '../shapes/straight';
import type { Blank } from '../shop/blank';
import type { Shop } from '../shop/shop';
import { say } from '../units/phrase';
import { fineMm, mm, word } from '../units/quantity';
import { finding, type Section } from './section';

export interface BlankSection extends Section<'blank'> {
  readonly blank: Blank | null;
  readonly zones: SideZones | null;
  readonly outline: string | null;
  /** Things to do to the blank before measuring. */
  readonly toPrepare: readonly string[];
}

const preparationsOf = (b: Blank): readonly string[] => [
  ...b.takeOff.map((part) => `Take off: ${part}`),
  ...(b.film ? ['Peel the film before wrapping'] : []),
];

function figuresOf(b: Blank) {
  const s = b.shape;
  return [
    figure({
      id: 'blank.diameter',
      label: 'Across, maker’s figure',
      quantity: mm(s.diameterMm),
      origin: 'estimated',
      spread: [s.diameterMm - 1, s.diameterMm + 1],
      working: say`as listed; rounded, and coated since`,
    }),
    figure({
      id: 'blank.height',
      label: 'Height over all',
      quantity: mm(s.heightMm),
      origin: 'estimated',
      working: say`as listed`,
    }),
    figure({
      id: 'blank.wall',
      label: 'Straight wall',
      quantity: mm(nominalWallMm(s)),
      origin: 'reckoned',
      working: say`less ${mm(s.lipMm)} lip and ${mm(s.footMm)} rounded foot`,
      arithmetic: [say`${mm(s.heightMm)} − ${mm(s.lipMm)} − ${mm(s.footMm)} = ${mm(nominalWallMm(s))}`],
      inputs: ['blank.height'],
    }),
    figure({
      id: 'blank.skin',
      label: b.wall === 'vacuum' ? 'Vacuum wall, each skin' : 'Wall',
      quantity: fineMm(b.wallMm),
      origin: 'estimated',
      working: b.wall === 'vacuum' ? say`two skins with nothing between: heats fast` : say`one solid wall`,
    }),
    figure({
      id: 'blank.coat',
      label: 'Coating',
      quantity: word(b.coating.finish),
      origin: 'reckoned',
      working:
        b.coating.colour.toLowerCase() === '#ffffff'
          ? say`white: the blank is the white of the picture`
          : say`tinted: white in the picture shows as this tint`,
    }),
  ];
}

export function planBlank(job: Job, shop: Shop): BlankSection {
  const blank = shop.blanks.find((b) => b.id === job.blankId) ?? null;
  if (!blank) {
    const gone = job.blankId !== null;
    const text = gone
      ? say`This job’s blank is no longer in the shop. Choose another.`
      : say`Choose the blank, or type a new one in.`;
    return {
      terrace: 'blank',
      progress: 'todo',
      summary: say`not chosen`,
      figures: [],
      findings: [finding('blank', 'none', 'stop', text)],
      blank: null,
      zones: null,
      outline: null,
      toPrepare: [],
    };
  }
  const toPrepare = preparationsOf(blank);
  const left = toPrepare.filter((p) => !job.prepared.includes(p));
  return {
    terrace: 'blank',
    progress: left.length === 0 ? 'done' : 'ready',
    summary: say`${blank.name}`,
    figures: figuresOf(blank),
    findings: left.map((p, i) => finding('blank', `prepare-${i}`, 'note', say`${p}.`)),
    blank,
    zones: sideZones(blank.shape),
    outline: sideOutline(blank.shape),
    toPrepare,
  };
}
