import { isRaw, type VersionStep } from './raw';

/*
 * Version 2 to version 3: layers of art, names, printers with settings of their own, rolls of paper. Stands alone, with its own defaults: what
 * a new layer or printer starts with today may change, this step may not.
 */

const NEW_PLACEMENT = { base: 'cover', scale: 1, dxMm: 0, dyMm: 0, turnDeg: 0 };
const NEW_SHEET = {
  paperId: null,
  printerId: null,
  gapMm: 4,
  mirrorBy: null,
  cut: 'knife',
  turning: true,
  withJobs: [],
  panels: { way: null, overlapMm: 8, join: 'hidden', joins: [] },
};
/** A shop of version 2 could print on any paper it had: the width takes nothing of that away. */
const NEW_PRINTER = {
  id: 'desk-printer',
  name: 'Desk printer',
  widestMm: 1200,
  rolls: false,
  mirrorBy: 'app',
  colourBy: 'driver',
  ppi: 300,
  inkPerM2Cents: 900,
  mostInkPct: 260,
  driver: [
    'Scale 100 %, no “fit to page”, no borderless enlargement',
    'Best quality, high speed (both ways) off',
    'Paper kind: the one the ink’s maker names for its transfer paper',
    'Paper size and tray as said on the sheet',
  ],
};

const pictureLayer = (picture: unknown, placement: unknown) => ({
  kind: 'picture',
  id: 'picture',
  flip: { across: false, down: false },
  repeat: 'once',
  keep: null,
  on: 'both',
  field: null,
  picture,
  placement: placement ?? NEW_PLACEMENT,
});

const wordsLayer = (words: object) => ({
  kind: 'words',
  id: 'words',
  text: 'x',
  font: 'narrow',
  capHeightMm: 9,
  dxMm: 0,
  dyMm: 0,
  turnDeg: 0,
  colour: '#f4efe0',
  along: 'line',
  mostMm: null,
  overlong: 'fit',
  on: 'both',
  field: null,
  ...words,
});

/** One picture under one line of words becomes two layers. Art lay straight on the paper before, and still does. */
function art(v: unknown): unknown {
  if (!isRaw(v) || Array.isArray(v.layers)) return v;
  const { picture, placement, words } = v;
  return {
    lie: 'flat',
    names: null,
    layers: [
      ...(isRaw(picture) ? [pictureLayer(picture, placement)] : []),
      ...(isRaw(words) ? [wordsLayer(words)] : []),
    ],
  };
}

function settings(v: unknown): unknown {
  if (!isRaw(v) || !isRaw(v.printer)) return v;
  const { printer: _, ...rest } = v;
  const { marginMm, ...known } = v.printer;
  const marginsMm = { top: marginMm, right: marginMm, bottom: marginMm, left: marginMm };
  return { ...rest, currency: '$', printers: [{ ...NEW_PRINTER, ...known, marginsMm }] };
}

export const TO_3: VersionStep = {
  to: 3,
  settings,
  job: (v) =>
    isRaw(v) ? { ...v, art: art(v.art), sheet: { ...NEW_SHEET, ...(isRaw(v.sheet) ? v.sheet : {}) } } : v,
  paper: (v) => (isRaw(v) ? { kind: 'sheet', printSide: '', tray: '', costCents: 0, ...v } : v),
};
