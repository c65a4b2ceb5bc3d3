/** JSON with its keys in order, so that two records are compared by what they say and not by how they were built. */
const canonical = (v: unknown): string =>
  JSON.stringify(v, (_, x: unknown) =>
    typeof x === 'object' && x !== null && !Array.isArray(x)
      ? Object.fromEntries(Object.entries(x).sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)))
      : x,
  );

/** Whether two plain values say the same, whatever the order of their keys. */
export const sameContent = (a: unknown, b: unknown): boolean => canonical(a) === canonical(b);
