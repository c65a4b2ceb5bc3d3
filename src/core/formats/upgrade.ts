import { newJob } from '../job/job';
import { DEFAULT_SETTINGS } from '../shop/settings';

/** Records of version 1 carried over to version 2: shapes of every kind, more readings, more of the wrap. */

type Raw = Record<string, unknown>;

const isRaw = (v: unknown): v is Raw => typeof v === 'object' && v !== null && !Array.isArray(v);
const list = (v: unknown): readonly unknown[] => (Array.isArray(v) ? v : []);
const number = (v: unknown): number => (typeof v === 'number' ? v : 0);

/** A straight wall given by its lip and foot becomes two widths down the wall. */
function shapeOf(shape: Raw, keepClear: readonly unknown[]): Raw {
  const { diameterMm, heightMm, lipMm, footMm } = shape;
  const top = number(lipMm);
  return {
    kind: 'round',
    heightMm,
    sections: [
      { fromRimMm: top, acrossMm: diameterMm },
      { fromRimMm: number(heightMm) - number(footMm), acrossMm: diameterMm },
    ],
    handle: null,
    openEnds: false,
    keepClear: keepClear.map((z) =>
      isRaw(z)
        ? {
            what: z.what,
            fromRimMm: top + number(z.fromTopMm),
            heightMm: z.heightMm,
            aroundMm: null,
            atDeg: 0,
          }
        : z,
    ),
  };
}

export function upgradeBlank(v: unknown): unknown {
  if (!isRaw(v) || !isRaw(v.shape) || v.shape.kind !== 'straight') return v;
  const { keepClear, shape, coating, ...rest } = v;
  return {
    ...rest,
    shape: shapeOf(shape as Raw, list(keepClear)),
    coating: isRaw(coating) ? { ...coating, stock: 'opaque' } : coating,
    cautions: [],
    needs: [],
  };
}

export function upgradeJob(v: unknown): unknown {
  if (!isRaw(v)) return v;
  const fresh = newJob('fresh', 'fresh');
  return {
    ...v,
    readings: { ...fresh.readings, ...(isRaw(v.readings) ? v.readings : {}) },
    stations: v.stations ?? [],
    wrap: { ...fresh.wrap, ...(isRaw(v.wrap) ? v.wrap : {}) },
  };
}

export const upgradePaper = (v: unknown): unknown => (isRaw(v) ? { calibration: null, ...v } : v);

export function upgradeSettings(v: unknown): unknown {
  if (!isRaw(v)) return v;
  const { stringMm } = DEFAULT_SETTINGS.tape;
  const { flatBleedMm, hold } = DEFAULT_SETTINGS.house;
  return {
    ...v,
    tape: isRaw(v.tape) ? { stringMm, ...v.tape } : v.tape,
    house: isRaw(v.house) ? { flatBleedMm, hold, ...v.house } : v.house,
  };
}

export const upgradeRun = (v: unknown): unknown => (isRaw(v) ? { ...v, blank: upgradeBlank(v.blank) } : v);

function upgradeShop(v: unknown): unknown {
  if (!isRaw(v)) return v;
  return {
    ...v,
    settings: upgradeSettings(v.settings),
    blanks: list(v.blanks).map(upgradeBlank),
    papers: list(v.papers).map(upgradePaper),
    runs: list(v.runs).map(upgradeRun),
  };
}

export const jobFileTo2 = (raw: Raw): Raw => ({
  ...raw,
  job: upgradeJob(raw.job),
  shop: upgradeShop(raw.shop),
});

export const shopFileTo2 = (raw: Raw): Raw => ({
  ...raw,
  shop: upgradeShop(raw.shop),
  jobs: list(raw.jobs).map(upgradeJob),
});
