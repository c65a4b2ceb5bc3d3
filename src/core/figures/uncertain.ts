/**
 * First-order propagation of uncertainty with the sources kept apart (GUM, JCGM 100:2008, section 5), so that a source
 * entering twice is counted once, correctly signed. `parts` holds, per source, the signed standard contribution in
 * the unit of `value`.
 */
export interface Uncertain {
  readonly value: number;
  readonly parts: Readonly<Record<string, number>>;
}

export const exact = (value: number): Uncertain => ({ value, parts: {} });

/** Uniform error of half-width a: standard uncertainty a/√3 (GUM, JCGM 100:2008, 4.3.7). */
export const uniformU = (halfWidth: number): number => halfWidth / Math.sqrt(3);

/** A value with standard uncertainty `u` (same unit, u >= 0) from one named source. */
export const measured = (value: number, u: number, source: string): Uncertain => ({
  value,
  parts: u === 0 ? {} : { [source]: u },
});

function combine(a: Uncertain, ka: number, b: Uncertain, kb: number, value: number): Uncertain {
  const parts: Record<string, number> = {};
  for (const [source, u] of Object.entries(a.parts)) parts[source] = ka * u;
  for (const [source, u] of Object.entries(b.parts)) parts[source] = (parts[source] ?? 0) + kb * u;
  return { value, parts };
}

export const plus = (a: Uncertain, b: Uncertain): Uncertain => combine(a, 1, b, 1, a.value + b.value);
export const minus = (a: Uncertain, b: Uncertain): Uncertain => combine(a, 1, b, -1, a.value - b.value);
export const times = (a: Uncertain, b: Uncertain): Uncertain =>
  combine(a, b.value, b, a.value, a.value * b.value);
export const scaled = (a: Uncertain, k: number): Uncertain => combine(a, k, a, 0, k * a.value);
export const shifted = (a: Uncertain, by: number): Uncertain => ({ ...a, value: a.value + by });

/** Mean of at least one value. */
export function meanOf(first: Uncertain, ...rest: readonly Uncertain[]): Uncertain {
  return scaled(rest.reduce(plus, first), 1 / (rest.length + 1));
}

/**
 * First-order propagation through any smooth function: partial derivatives by central differences at one standard uncertainty
 * either side (GUM 5.1.3, note 2). Sources shared by inputs stay shared.
 */
export function derive(inputs: readonly Uncertain[], f: (...values: readonly number[]) => number): Uncertain {
  const at = inputs.map((x) => x.value);
  const parts: Record<string, number> = {};
  inputs.forEach((input, i) => {
    const step = standardU(input);
    if (step === 0) return;
    const moved = (by: number) => f(...at.map((v, j) => (j === i ? v + by : v)));
    const slope = (moved(step) - moved(-step)) / (2 * step);
    for (const [source, u] of Object.entries(input.parts)) parts[source] = (parts[source] ?? 0) + slope * u;
  });
  return { value: f(...at), parts };
}

/** Combined standard uncertainty: root sum of squares over independent sources. */
export const standardU = (a: Uncertain): number => Math.hypot(...Object.values(a.parts));

export interface BudgetLine {
  readonly source: string;
  readonly u: number;
  /** Share of the variance, 0..1. */
  readonly share: number;
}

/** The sources, largest first. */
export function budget(a: Uncertain): readonly BudgetLine[] {
  const total = standardU(a) ** 2;
  return Object.entries(a.parts)
    .map(([source, u]) => ({ source, u: Math.abs(u), share: total === 0 ? 0 : (u * u) / total }))
    .filter((line) => line.u > 0)
    .sort((x, y) => y.u - x.u || x.source.localeCompare(y.source));
}
