import type { Photo } from '../shop/mark';

/**
 * A photograph set square: the projective map that takes the four corners of the face, as they lie in the photograph, to the corners of the
 * face (Heckbert, Fundamentals of Texture Mapping and Image Warping, 1989, 2.2.3).
 */
type Corner = Photo['corners'][number];

/** Whether the corners go round clockwise without crossing: anything else is no photograph of a face. */
export function cornersGoRound(corners: readonly Corner[]): boolean {
  if (corners.length !== 4) return false;
  return corners.every((p, i) => {
    const [q, r] = [corners[(i + 1) % 4], corners[(i + 2) % 4]];
    if (!q || !r) return false;
    return (q.u - p.u) * (r.v - q.v) - (q.v - p.v) * (r.u - q.u) > 1e-4;
  });
}

/** Row by row, 3 × 3: photograph px to face px, for the corners given from the top left clockwise. Null where they do not go round. */
export function squareMap(
  photo: Pick<Photo, 'widthPx' | 'heightPx' | 'corners'>,
  face: { readonly width: number; readonly height: number },
): readonly number[] | null {
  if (!cornersGoRound(photo.corners)) return null;
  const from = photo.corners.map((c) => ({ x: c.u * photo.widthPx, y: c.v * photo.heightPx }));
  const toPhoto = fromUnitSquare(from);
  const toUnit = toPhoto && adjugate(toPhoto);
  return toUnit && times([face.width, 0, 0, 0, face.height, 0, 0, 0, 1], toUnit);
}

/** Unit square to a quadrilateral. */
function fromUnitSquare(q: readonly { readonly x: number; readonly y: number }[]): readonly number[] | null {
  const [a, b, c, d] = q;
  if (!a || !b || !c || !d) return null;
  const [dx1, dx2, sx] = [b.x - c.x, d.x - c.x, a.x - b.x + c.x - d.x];
  const [dy1, dy2, sy] = [b.y - c.y, d.y - c.y, a.y - b.y + c.y - d.y];
  const det = dx1 * dy2 - dx2 * dy1;
  if (Math.abs(det) < 1e-9) return null;
  const g = (sx * dy2 - dx2 * sy) / det;
  const h = (dx1 * sy - sx * dy1) / det;
  return [
    b.x - a.x + g * b.x,
    d.x - a.x + h * d.x,
    a.x,
    b.y - a.y + g * b.y,
    d.y - a.y + h * d.y,
    a.y,
    g,
    h,
    1,
  ];
}

/** The inverse up to a factor, which a projective map does not feel. */
function adjugate(m: readonly number[]): readonly number[] {
  const at = (r: number, c: number): number => m[r * 3 + c] ?? 0;
  const minor = (r: number, c: number): number => {
    const [r1, r2] = [0, 1, 2].filter((x) => x !== r) as [number, number];
    const [c1, c2] = [0, 1, 2].filter((x) => x !== c) as [number, number];
    return at(r1, c1) * at(r2, c2) - at(r1, c2) * at(r2, c1);
  };
  return [0, 1, 2].flatMap((r) => [0, 1, 2].map((c) => ((r + c) % 2 === 0 ? 1 : -1) * minor(c, r)));
}

const times = (a: readonly number[], b: readonly number[]): readonly number[] =>
  [0, 1, 2].flatMap((r) =>
    [0, 1, 2].map((c) => [0, 1, 2].reduce((s, k) => s + (a[r * 3 + k] ?? 0) * (b[k * 3 + c] ?? 0), 0)),
  );

/** A point through such a map. */
export function through(
  m: readonly number[],
  x: number,
  y: number,
): { readonly x: number; readonly y: number } {
  const w = (m[6] ?? 0) * x + (m[7] ?? 0) * y + (m[8] ?? 1);
  return {
    x: ((m[0] ?? 0) * x + (m[1] ?? 0) * y + (m[2] ?? 0)) / w,
    y: ((m[3] ?? 0) * x + (m[4] ?? 0) * y + (m[5] ?? 0)) / w,
  };
}

/** The same as CSS writes it, column by column, for an element whose own size is the photograph's. */
export function matrix3d(m: readonly number[]): string {
  const k = m[8] ?? 1;
  const [a, b, c, d, e, f, g, h] = m.map((v) => v / k);
  return `matrix3d(${[a, d, 0, g, b, e, 0, h, 0, 0, 1, 0, c, f, 0, 1].map((v) => (v ?? 0).toFixed(9)).join(',')})`;
}
