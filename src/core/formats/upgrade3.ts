import { NEW_SHEET } from '../job/job';
import { NO_ART, pictureLayer, wordsLayer } from '../job/art';
import { DEFAULT_SETTINGS } from '../shop/settings';
import { STARTER_PRINTER } from '../shop/printer';

/** Records of version 2 carried over to version 3: layers of art, names, printers with their own ways, rolls of paper. */

type Raw = Record<string, unknown>;
const isRaw = (v: unknown): v is Raw => typeof v === 'object' && v !== null && !Array.isArray(v);
const list = (v: unknown): readonly unknown[] => (Array.isArray(v) ? v : []);

/** One picture under one line of words becomes two layers. Art lay straight on the paper before, and still does. */
function artTo3(art: unknown): unknown {
  if (!isRaw(art) || Array.isArray(art.layers)) return art;
  const { picture, placement, words } = art;
  const layers: unknown[] = [];
  if (isRaw(picture)) {
    const { picture: _, placement: usual, ...rest } = pictureLayer('picture', picture as never);
    layers.push({ ...rest, picture, placement: placement ?? usual });
  }
  if (isRaw(words)) layers.push({ ...wordsLayer('words', 'x', { along: 'line' }), ...words });
  return { ...NO_ART, lie: 'flat', layers };
}

export function upgradeJob3(v: unknown): unknown {
  if (!isRaw(v)) return v;
  return { ...v, art: artTo3(v.art), sheet: { ...NEW_SHEET, ...(isRaw(v.sheet) ? v.sheet : {}) } };
}

export const upgradePaper3 = (v: unknown): unknown =>
  isRaw(v) ? { kind: 'sheet', printSide: '', tray: '', costCents: 0, ...v } : v;

export function upgradeSettings3(v: unknown): unknown {
  if (!isRaw(v) || !isRaw(v.printer)) return v;
  const { printer, ...rest } = v;
  const { marginMm, ...known } = printer as Raw;
  const marginsMm = { top: marginMm, right: marginMm, bottom: marginMm, left: marginMm };
  // Until now a shop could print on any paper it had: nothing of that is taken away.
  return {
    ...rest,
    currency: DEFAULT_SETTINGS.currency,
    printers: [{ ...STARTER_PRINTER, widestMm: 1200, ...known, marginsMm }],
  };
}

function upgradeShop3(v: unknown): unknown {
  if (!isRaw(v)) return v;
  return { ...v, settings: upgradeSettings3(v.settings), papers: list(v.papers).map(upgradePaper3) };
}

export const jobFileTo3 = (raw: Raw): Raw => ({
  ...raw,
  job: upgradeJob3(raw.job),
  shop: upgradeShop3(raw.shop),
});
export const shopFileTo3 = (raw: Raw): Raw => ({
  ...raw,
  shop: upgradeShop3(raw.shop),
  jobs: list(raw.jobs).map(upgradeJob3),
});
