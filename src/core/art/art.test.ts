import { boundsOf, rectCorners, type Point } from '../geometry/plane';
import { signedArea } from '../geometry/ring';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import fontkit from '@pdf-lib/fontkit';
import { textLayer, type PicturePlacement } from '../job/art';
import {
  apply,
  compose,
  determinant,
  IDENTITY,
  invert,
  mirrorX,
  orientationMap,
  rotate,
  scale,
  translate,
} from '../geometry/affine';
import { FONTS } from '../job/fonts';
import { bareAreas, placePicture } from './pictureTransform';
import { uncovered } from '../geometry/polygon';
import { drawScene } from './scenes';
import { rectContour } from '../geometry/contour';
import { runsOutOf, runsPast, setText, touches } from './text';

const area = (p: readonly Point[]): number => Math.abs(signedArea(p));

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const rectArb = fc.record({ x: num(-50, 50), y: num(-50, 50), width: num(1, 300), height: num(1, 300) });

describe('maps', () => {
  test('a map and its inverse is the identity', () => {
    fc.assert(
      fc.property(
        num(-100, 100),
        num(-100, 100),
        num(-360, 360),
        num(0.1, 10),
        num(-50, 50),
        num(-50, 50),
        (dx, dy, deg, s, x, y) => {
          const m = compose(translate(dx, dy), rotate(deg), scale(s), mirrorX(3));
          const back = invert(m);
          expect(back).not.toBeNull();
          if (!back) return;
          const p = apply(compose(back, m), { x, y });
          expect(p.x).toBeCloseTo(x, 6);
          expect(p.y).toBeCloseTo(y, 6);
          expect(Math.sign(determinant(m))).toBe(-1);
        },
      ),
    );
    expect(invert(scale(0))).toBeNull();
  });

  test('quarter turns are exact and clockwise', () => {
    expect(apply(rotate(90), { x: 1, y: 0 })).toEqual({ x: 0, y: 1 });
    expect(compose(rotate(90), rotate(-90))).toEqual(IDENTITY);
  });

  test('every EXIF orientation keeps the picture inside its seen size and area', () => {
    for (let o = 1; o <= 8; o += 1) {
      const [w, h] = [40, 30];
      const stored = o >= 5 ? { x: 0, y: 0, width: h, height: w } : { x: 0, y: 0, width: w, height: h };
      const seen = boundsOf(rectCorners(stored).map((p) => apply(orientationMap(o, w, h), p)));
      expect(seen).toEqual({ x: 0, y: 0, width: w, height: h });
    }
    // Orientation 6: the stored top left is seen at the top right (Exif 2.32).
    expect(apply(orientationMap(6, 40, 30), { x: 0, y: 0 })).toEqual({ x: 40, y: 0 });
    expect(apply(orientationMap(8, 40, 30), { x: 0, y: 0 })).toEqual({ x: 0, y: 30 });
  });
});

describe('what is left uncovered', () => {
  test('covered and uncovered parts add up to the whole', () => {
    fc.assert(
      fc.property(rectArb, rectArb, num(-180, 180), (whole, cover, deg) => {
        const turned = rectCorners(cover).map((p) => apply(rotate(deg), p));
        const pieces = uncovered(rectCorners(whole), turned, 0);
        const bare = pieces.reduce((s, p) => s + area(p), 0);
        // The part of the cover inside the whole, by asking the question the other way round.
        const outsideOfCover = uncovered(turned, rectCorners(whole), 0).reduce((s, p) => s + area(p), 0);
        const common = area(turned) - outsideOfCover;
        expect(bare + common).toBeCloseTo(area(rectCorners(whole)), 3);
      }),
    );
  });
});

describe('placing a picture', () => {
  const trim = { x: 0, y: 0, width: 234, height: 190 };
  const bleed = { x: -3, y: -3, width: 240, height: 196 };
  const at = (p: Partial<PicturePlacement>): PicturePlacement => ({
    base: 'cover',
    scale: 1,
    dxMm: 0,
    dyMm: 0,
    rotationDeg: 0,
    ...p,
  });

  const covered = (w: number, h: number, p: Partial<PicturePlacement>) =>
    bareAreas(rectContour(bleed), bleed, [placePicture(w, h, at(p), trim, bleed).corners]);
  const bareOf = (w: number, h: number, p: Partial<PicturePlacement>) => covered(w, h, p).bare;

  test('cover leaves nothing bare at any turn, and no smaller scale would do', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 8000 }),
        fc.integer({ min: 10, max: 8000 }),
        num(-180, 180),
        (w, h, rotationDeg) => {
          expect(bareOf(w, h, { rotationDeg })).toEqual([]);
          expect(bareOf(w, h, { rotationDeg, scale: 0.99 }).length).toBeGreaterThan(0);
        },
      ),
    );
  });

  test('fit stays inside the trim at any turn', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 8000 }),
        fc.integer({ min: 10, max: 8000 }),
        num(-180, 180),
        (w, h, rotationDeg) => {
          const b = boundsOf(placePicture(w, h, at({ base: 'fit', rotationDeg }), trim, bleed).corners);
          expect(b.x).toBeGreaterThan(-1e-6);
          expect(b.x + b.width).toBeLessThan(trim.width + 1e-6);
          expect(b.y + b.height).toBeLessThan(trim.height + 1e-6);
          expect(Math.min(trim.width - b.width, trim.height - b.height)).toBeCloseTo(0, 6);
        },
      ),
    );
  });

  test('ppi is pixels over printed inches', () => {
    const p = placePicture(2400, 1960, at({}), trim, bleed);
    expect(p.widthMm).toBeCloseTo(240, 9);
    expect(p.ppi).toBeCloseTo((2400 / 240) * 25.4, 9);
  });

  test('a picture slid aside falls short by exactly the slide', () => {
    const p = covered(2400, 1960, { dxMm: 4 });
    expect(p.shortfallMm.left).toBeCloseTo(4, 6);
    expect(p.shortfallMm.right).toBe(0);
    expect(p.shortfallMm.top).toBe(0);
    const down = covered(2400, 1960, { dyMm: -2.5 });
    expect(down.shortfallMm.bottom).toBeCloseTo(2.5, 6);
    expect(down.shortfallMm.left).toBe(0);
  });
});

describe('text', () => {
  const trim = { x: 0, y: 0, width: 234, height: 190 };
  const words = textLayer('w', 'Dome 4', { font: 'plain', capHeightMm: 10, dxMm: 5, dyMm: -20 });

  test('the shipped metrics agree with the shipped fonts', () => {
    for (const f of FONTS) {
      const font = fontkit.create(
        readFileSync(`node_modules/@fontsource/${f.file.split('-latin')[0]}/files/${f.file}.woff`),
      );
      const text = 'Mesa Ø½é 0123';
      const advance = [...text].reduce(
        (s, ch) => s + font.glyphForCodePoint(ch.codePointAt(0) ?? 0).advanceWidth,
        0,
      );
      const set = setText({ ...words, text, font: f.id }, trim);
      expect(set.missing).toEqual([]);
      expect(set.box.width / set.emMm).toBeCloseTo(advance / font.unitsPerEm, 2);
      expect(set.box.height / set.emMm).toBeCloseTo(font.capHeight / font.unitsPerEm, 3);
    }
  });

  test('the box stands where it was put, letters run left to right', () => {
    const set = setText(words, trim);
    expect(set.box.x + set.box.width / 2).toBeCloseTo(122, 9);
    expect(set.box.y + set.box.height / 2).toBeCloseTo(75, 9);
    const xs = set.letters.map((l) => l.matrix[4]);
    expect([...xs].sort((a, b) => a - b)).toEqual(xs);
    expect(set.letters.every((l) => Math.abs(l.matrix[5] - 80) < 1e-9)).toBe(true);
  });

  test('a letter the font lacks is named once', () => {
    expect(setText({ ...words, text: 'Łukasz Łąka' }, trim).missing).toEqual(['Ł', 'ą']);
  });

  test('running out and touching', () => {
    const frame = [rectContour({ x: 2, y: 0, width: 20, height: 20 })];
    expect(runsOutOf([rectCorners({ x: 0, y: 0, width: 10, height: 5 })], frame)).toBeCloseTo(2, 9);
    expect(runsOutOf([rectCorners({ x: 3, y: 1, width: 5, height: 5 })], frame)).toBe(0);
    expect(runsOutOf([rectCorners({ x: 3, y: 1, width: 5, height: 5 })], [])).toBe(Infinity);
    expect(runsPast({ x: -3, y: 0, width: 10, height: 5 }, 0, 20)).toBe(3);
    const zone = [rectContour({ x: 2, y: 0, width: 2, height: 2 })];
    expect(touches([rectCorners({ x: 0, y: 0, width: 1.9, height: 2 })], zone)).toBe(false);
    expect(touches([rectCorners({ x: 0, y: 0, width: 2.1, height: 2 })], zone)).toBe(true);
    expect(touches([rectCorners({ x: -10, y: -10, width: 50, height: 50 })], zone)).toBe(true);
  });
});

test('a drawn scene is the same for the same seed and continues across the seam', () => {
  const a = drawScene('star chart', 900, 600, 3);
  expect(drawScene('star chart', 900, 600, 3)).toEqual(a);
  expect(drawScene('star chart', 900, 600, 4)).not.toEqual(a);
  const dots = a.shapes.flatMap((s) => (s.kind === 'dot' ? [s] : []));
  for (const d of dots.filter((s) => s.x + s.r > 900)) {
    expect(dots.some((o) => o.y === d.y && Math.abs(o.x - (d.x - 900)) < 1e-9)).toBe(true);
  }
});
