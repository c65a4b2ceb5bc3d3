/**
 * Normal distribution. `normalCdf` uses W. J. Cody's rational forms as given by Marsaglia's series (J. Stat. Softw. 11,
 * 2004): absolute error below 1e-14 for |z| < 7. `normalQuantile` inverts it by Newton's method.
 */
export function normalCdf(z: number): number {
  if (z < -7) return 0;
  if (z > 7) return 1;
  const z2 = z * z;
  let sum = z;
  let term = z;
  // Compared by squares: this loop runs some hundred thousand times a plan.
  for (let i = 3; term * term > 1e-34 * (sum * sum + 1); i += 2) {
    term *= z2 / i;
    sum += term;
  }
  return 0.5 + sum * Math.exp(-0.5 * z * z - 0.9189385332046727);
}

/** z with normalCdf(z) = p, for 1e-9 < p < 1 - 1e-9; clamped to ±6 outside. */
export function normalQuantile(p: number): number {
  if (p <= 1e-9) return -6;
  if (p >= 1 - 1e-9) return 6;
  let z = 0;
  for (let i = 0; i < 60; i += 1) {
    const density = Math.exp(-0.5 * z * z - 0.9189385332046727);
    const step = (normalCdf(z) - p) / density;
    z -= Math.max(-1, Math.min(1, step));
    if (Math.abs(step) < 1e-13) break;
  }
  return z;
}
