import type { Blank } from '../shop/blank';
import type { Paper } from '../shop/paper';
import type { Press } from '../shop/press';

/** Generic blanks a new shop starts with. Invented but geometrically sound; nobody's catalogue. */
export const STARTER_BLANKS: readonly Blank[] = [
  {
    id: 'straight-steel-590', name: '590 ml straight steel', family: 'tumbler',
    shape: { kind: 'straight', diameterMm: 73.5, heightMm: 204, lipMm: 5, footMm: 6 },
    material: 'steel', wall: 'vacuum', wallMm: 0.5,
    coating: { colour: '#ffffff', finish: 'gloss' },
    takeOff: ['lid and straw', 'rubber foot'], film: false, keepClear: [],
    finish: ['rubber foot back on', 'lid and straw', 'care note'],
  },
  {
    id: 'straight-steel-350', name: '350 ml straight steel', family: 'tumbler',
    shape: { kind: 'straight', diameterMm: 73.5, heightMm: 128, lipMm: 5, footMm: 6 },
    material: 'steel', wall: 'vacuum', wallMm: 0.5,
    coating: { colour: '#ffffff', finish: 'gloss' },
    takeOff: ['lid'], film: false, keepClear: [], finish: ['lid', 'care note'],
  },
  {
    id: 'steel-can-sleeve', name: 'slim can sleeve, steel', family: 'can sleeve',
    shape: { kind: 'straight', diameterMm: 68, heightMm: 146, lipMm: 9, footMm: 7 },
    material: 'steel', wall: 'vacuum', wallMm: 0.5,
    coating: { colour: '#ffffff', finish: 'matte' },
    takeOff: ['screw ring and its gasket'], film: false, keepClear: [], finish: ['gasket and ring', 'box'],
  },
  {
    id: 'steel-bottle-750', name: '750 ml steel bottle', family: 'bottle',
    shape: { kind: 'straight', diameterMm: 73, heightMm: 262, lipMm: 52, footMm: 8 },
    material: 'steel', wall: 'vacuum', wallMm: 0.5,
    coating: { colour: '#f2efe6', finish: 'matte' },
    takeOff: ['cap', 'silicone foot'], film: true,
    keepClear: [{ what: 'maker’s stamp', fromTopMm: 184, heightMm: 12 }],
    finish: ['foot and cap', 'care note'],
  },
  {
    id: 'glass-can-470', name: '470 ml frosted glass can', family: 'glass',
    shape: { kind: 'straight', diameterMm: 75, heightMm: 134, lipMm: 18, footMm: 9 },
    material: 'glass', wall: 'single', wallMm: 3,
    coating: { colour: '#e9efee', finish: 'matte' },
    takeOff: ['bamboo lid', 'straw'], film: false, keepClear: [], finish: ['lid and straw', 'box with card between'],
  },
  {
    id: 'ceramic-beaker-330', name: '330 ml ceramic beaker', family: 'cup',
    shape: { kind: 'straight', diameterMm: 82, heightMm: 96, lipMm: 3, footMm: 4 },
    material: 'ceramic', wall: 'single', wallMm: 4,
    coating: { colour: '#ffffff', finish: 'gloss' },
    takeOff: [], film: false, keepClear: [], finish: ['box'],
  },
];

export const STARTER_PRESSES: readonly Press[] = [
  { id: 'tumbler-press-a', name: 'Tumbler press A', kind: 'tumbler', heaterLengthMm: 203, heaterHeightMm: 240, smallestDiameterMm: 62, largestDiameterMm: 90, clock: 'from-closing', autoTimer: true },
  { id: 'mug-press', name: 'Mug press', kind: 'mug', heaterLengthMm: 228, heaterHeightMm: 125, smallestDiameterMm: 72, largestDiameterMm: 92, clock: 'at-temperature', autoTimer: false },
  { id: 'bench-oven', name: 'Bench oven', kind: 'oven', insideHeightMm: 310, hold: 'shrink film' },
];

export const STARTER_PAPERS: readonly Paper[] = [
  { id: 'a4', name: 'A4', widthMm: 210, heightMm: 297, thicknessMm: 0.1 },
  { id: 'legal', name: 'Legal', widthMm: 215.9, heightMm: 355.6, thicknessMm: 0.1 },
  { id: 'a3', name: 'A3', widthMm: 297, heightMm: 420, thicknessMm: 0.1 },
  { id: 'a3-plus', name: 'A3+', widthMm: 329, heightMm: 483, thicknessMm: 0.1 },
];
