/**
 * Where a rising function passes zero between two limits, to `tolerance`: false position with the Illinois halving (Dowell and Jarratt, BIT 11,
 * 1971), which keeps the root between its limits. The nearer limit where it does not pass zero between them.
 */
export function rising(f: (x: number) => number, from: number, to: number, tolerance: number): number {
  let lo = { x: from, y: f(from) };
  let hi = { x: to, y: f(to) };
  if (lo.y >= 0) return lo.x;
  if (hi.y <= 0) return hi.x;
  let last = Infinity;
  let side = 0;
  for (let i = 0; i < 100; i += 1) {
    const x = lo.x - (lo.y * (hi.x - lo.x)) / (hi.y - lo.y);
    const y = f(x);
    if (y === 0 || Math.abs(x - last) < tolerance || hi.x - lo.x < tolerance) return x;
    last = x;
    if (y > 0) {
      hi = { x, y };
      // The end that stands still twice is halved, or the steps would all come from one side.
      if (side > 0) lo = { ...lo, y: lo.y / 2 };
      side = 1;
    } else {
      lo = { x, y };
      if (side < 0) hi = { ...hi, y: hi.y / 2 };
      side = -1;
    }
  }
  return last;
}
