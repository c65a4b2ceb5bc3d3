/**
 * Normal distribution: rational Chebyshev approximations of W. J. Cody (Mathematics of Computation 23, 1969), with the coefficients of
 * his routine ANORM (ACM Algorithm 715, 1993). Relative error below 1e-15 in both tails.
 */
const CENTRE_A = [
  2.2352520354606839287, 1.6102823106855587881e2, 1.0676894854603709582e3, 1.8154981253343561249e4,
  6.5682337918207449113e-2,
] as const;
const CENTRE_B = [
  4.720258190468824187e1, 9.7609855173777669322e2, 1.0260932208618978205e4, 4.5507789335026729956e4,
] as const;
const MIDDLE_C = [
  3.9894151208813466764e-1, 8.8831497943883759412, 9.3506656132177855979e1, 5.9727027639480026226e2,
  2.4945375852903726711e3, 6.8481904505362823326e3, 1.1602651437647350124e4, 9.8427148383839780218e3,
  1.0765576773720192317e-8,
] as const;
const MIDDLE_D = [
  2.2266688044328115691e1, 2.3538790178262499861e2, 1.519377599407554805e3, 6.485558298266760755e3,
  1.8615571640885098091e4, 3.4900952721145977266e4, 3.8912003286093271411e4, 1.9685429676859990727e4,
] as const;
const TAIL_P = [
  2.1589853405795699e-1, 1.274011611602473639e-1, 2.2235277870649807e-2, 1.421619193227893466e-3,
  2.9112874951168792e-5, 2.307344176494017303e-2,
] as const;
const TAIL_Q = [
  1.28426009614491121, 4.68238212480865118e-1, 6.59881378689285515e-2, 3.78239633202758244e-3,
  7.29751555083966205e-5,
] as const;

/** Below this, and beyond the next, another approximation holds; past the last the tail is 0 as a double. */
const CENTRE_TO = 0.67448975;
const MIDDLE_TO = Math.sqrt(32);
const TAIL_TO = 38.5;
const SQRT_2PI_INVERSE = 0.39894228040143267794;

/** exp(−y²/2), the square split so that no digit of it is lost. */
function exactGauss(y: number): number {
  const coarse = Math.trunc(y * 16) / 16;
  return Math.exp(-0.5 * coarse * coarse) * Math.exp(-0.5 * (y - coarse) * (y + coarse));
}

/** Φ(−y) for y beyond the centre. */
function upperTail(y: number): number {
  if (y > TAIL_TO) return 0;
  if (y <= MIDDLE_TO) {
    let num = MIDDLE_C[8] * y;
    let den = y;
    for (let i = 0; i < 7; i += 1) {
      num = (num + (MIDDLE_C[i] as number)) * y;
      den = (den + (MIDDLE_D[i] as number)) * y;
    }
    return (exactGauss(y) * (num + MIDDLE_C[7])) / (den + MIDDLE_D[7]);
  }
  const x = 1 / (y * y);
  let num = TAIL_P[5] * x;
  let den = x;
  for (let i = 0; i < 4; i += 1) {
    num = (num + (TAIL_P[i] as number)) * x;
    den = (den + (TAIL_Q[i] as number)) * x;
  }
  return (exactGauss(y) * (SQRT_2PI_INVERSE - (x * (num + TAIL_P[4])) / (den + TAIL_Q[4]))) / y;
}

/** Φ(z): chance that a standard normal is at most z, 0..1. */
export function normalCdf(z: number): number {
  const y = Math.abs(z);
  if (y > CENTRE_TO) return z < 0 ? upperTail(y) : 1 - upperTail(y);
  const x = z * z;
  let num = CENTRE_A[4] * x;
  let den = x;
  for (let i = 0; i < 3; i += 1) {
    num = (num + (CENTRE_A[i] as number)) * x;
    den = (den + (CENTRE_B[i] as number)) * x;
  }
  return 0.5 + (z * (num + CENTRE_A[3])) / (den + CENTRE_B[3]);
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
