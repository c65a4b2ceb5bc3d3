import { SUPPLIES, type LogRow, type Supply } from './rows';

/** What came out good with one supply. */
export interface SupplyShare {
  readonly name: string;
  readonly good: number;
  readonly pressed: number;
  readonly share: number;
  /** 95 % interval of the share. */
  readonly low: number;
  readonly high: number;
}

/** All supplies of one kind that were used, those used most first. */
export interface SupplyChart {
  readonly supply: Supply;
  readonly shares: readonly SupplyShare[];
  /** Two whose intervals do not overlap, the better one first; null where chance may explain every difference. */
  readonly different: readonly [SupplyShare, SupplyShare] | null;
}

/** Standard normal deviate of a 95 % interval. */
const Z = 1.959964;
/** With fewer pieces than this the interval is too wide to compare. */
const FEWEST = 5;

/** 95 % interval of a share of n (Wilson 1927, JASA 22:209). */
export function wilson(good: number, n: number): readonly [number, number] {
  const p = good / n;
  const z2 = Z * Z;
  const middle = (p + z2 / (2 * n)) / (1 + z2 / n);
  const half = (Z * Math.sqrt((p * (1 - p)) / n + z2 / (4 * n * n))) / (1 + z2 / n);
  return [Math.max(0, middle - half), Math.min(1, middle + half)];
}

/** Blanks pressed with two or more of a supply. Only these are compared, so that a difference between blanks is not taken for one between supplies. */
function comparedOn(rows: readonly LogRow[], supply: Supply): ReadonlySet<string> {
  const names = new Map<string, Set<string>>();
  for (const r of rows) {
    if (r[supply] === '') continue;
    const of = names.get(r.blankId) ?? new Set();
    names.set(r.blankId, of.add(r[supply]));
  }
  return new Set([...names].flatMap(([blankId, of]) => (of.size > 1 ? [blankId] : [])));
}

function sharesOf(rows: readonly LogRow[], supply: Supply): readonly SupplyShare[] {
  const compared = comparedOn(rows, supply);
  const by = new Map<string, { good: number; pressed: number }>();
  for (const r of rows) {
    const name = r[supply];
    if (name === '' || !compared.has(r.blankId)) continue;
    const n = by.get(name) ?? { good: 0, pressed: 0 };
    n.good += r.good;
    n.pressed += r.good + r.seconds + r.spoiled;
    by.set(name, n);
  }
  return [...by]
    .filter(([, n]) => n.pressed >= FEWEST)
    .map(([name, { good, pressed }]) => {
      const [low, high] = wilson(good, pressed);
      return { name, good, pressed, share: good / pressed, low, high };
    })
    .sort((a, b) => b.pressed - a.pressed || (a.name < b.name ? -1 : 1));
}

/** Papers, printers, inks and suppliers by what came out good with them; only kinds of which there are two or more. */
export const supplyCharts = (rows: readonly LogRow[]): readonly SupplyChart[] =>
  SUPPLIES.flatMap((supply): SupplyChart[] => {
    const shares = sharesOf(rows, supply);
    if (shares.length < 2) return [];
    const [best, ...rest] = [...shares].sort((a, b) => b.low - a.low);
    const worst = rest.sort((a, b) => a.high - b.high)[0];
    const different = best && worst && best.low > worst.high ? ([best, worst] as const) : null;
    return [{ supply, shares, different }];
  });
