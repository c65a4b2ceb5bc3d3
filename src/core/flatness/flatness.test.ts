import { seeded } from '../random/random';
import { levelPlace, packingOf } from './packing';
import { gapSurface, READING_SD_MM, spansPlane, type GapReading } from './surface';

const SIZE = { widthMm: 400, heightMm: 500 };
const NINE = [20, 200, 380].flatMap((xMm) => [20, 250, 480].map((yMm) => ({ xMm, yMm })));
const read = (f: (x: number, y: number) => number): GapReading[] =>
  NINE.map((p) => ({ ...p, gapMm: f(p.xMm, p.yMm) }));
const each = (f: (x: number, y: number) => void) => {
  for (let i = 0; i <= 20; i += 1) for (let j = 0; j <= 20; j += 1) f(i * 20, j * 25);
};

describe('the surface', () => {
  test('a plane is given back as it is, between the readings and beyond them', () => {
    const plane = (x: number, y: number) => 0.1 + x / 1000 + y / 2000;
    const s = gapSurface(read(plane), SIZE, 0.01);
    each((x, y) => expect(s?.gapAt(x, y)).toBeCloseTo(plane(x, y), 3));
  });

  test('it is surest where it was read, and less sure away from it', () => {
    const s = gapSurface(
      read((x) => (x / 400) ** 2 * 0.6),
      SIZE,
      0.03,
    );
    if (!s) throw new Error('no surface');
    expect(s.sdAt(200, 250)).toBeLessThan(s.sdAt(300, 370));
    expect(s.sdAt(200, 250)).toBeLessThanOrEqual(0.031);
  });

  test('readings in one line make no surface', () => {
    const line = [0, 100, 200].map((xMm) => ({ xMm, yMm: 50, gapMm: 0.1 }));
    expect(spansPlane(line)).toBe(false);
    expect(gapSurface(line, SIZE, 0.03)).toBeNull();
    expect(gapSurface([...line, { xMm: 0, yMm: 300, gapMm: 0.4 }], SIZE, 0.03)).not.toBeNull();
  });
});

describe('how sure the surface is, played out on seeded platens', () => {
  const random = seeded(91);
  const normal = () => Math.sqrt(-2 * Math.log(random() || 1e-12)) * Math.cos(2 * Math.PI * random());
  const CORNERS = [20, 380].flatMap((xMm) => [20, 480].map((yMm) => ({ xMm, yMm })));
  /** A platen out by about 0.6 mm from lowest to highest: tilted, bent and twisted. */
  function platen(): (x: number, y: number) => number {
    const [a, b, c, d, e] = [normal(), normal(), 0.6 * normal(), 0.6 * normal(), 0.6 * normal()];
    const raw = (x: number, y: number) => {
      const [u, v] = [x / 400 - 0.5, y / 500 - 0.5];
      return a * u + b * v + 2 * c * u * v + 2 * d * u * u + 2 * e * v * v;
    };
    let [lo, hi] = [Infinity, -Infinity];
    each((x, y) => {
      lo = Math.min(lo, raw(x, y));
      hi = Math.max(hi, raw(x, y));
    });
    return (x, y) => 1 + ((raw(x, y) - lo) / (hi - lo)) * 0.6;
  }

  test.each([
    ['three', CORNERS.slice(0, 3)],
    ['four corners', CORNERS],
    ['five', [...CORNERS, { xMm: 200, yMm: 250 }]],
    ['nine', NINE],
  ])('%s readings: 1.96 standard deviations hold the truth 92 to 99 times in 100', (_, places) => {
    let [held, of] = [0, 0];
    for (let k = 0; k < 150; k += 1) {
      const truth = platen();
      const sd = READING_SD_MM.feeler;
      const s = gapSurface(
        places.map((p) => ({ ...p, gapMm: truth(p.xMm, p.yMm) + sd * normal() })),
        SIZE,
        sd,
      );
      if (!s) throw new Error('no surface');
      for (let i = 0; i < 12; i += 1) {
        const [x, y] = [random() * 400, random() * 500];
        of += 1;
        if (Math.abs(truth(x, y) - s.gapAt(x, y)) <= 1.96 * s.sdAt(x, y)) held += 1;
      }
    }
    expect(held / of).toBeGreaterThan(0.92);
    // Nine readings of a smooth platen say more than the surface dares to.
    expect(held / of).toBeLessThan(places.length < 9 ? 0.99 : 1);
  });

  test('three readings: how sure it is drifts as one of them moves by a millimetre, and does not jump', () => {
    const at = (xMm: number) =>
      gapSurface(
        [
          { xMm, yMm: 20, gapMm: 0.1 },
          { xMm: 380, yMm: 20, gapMm: 0.3 },
          { xMm: 200, yMm: 480, gapMm: 0.2 },
        ],
        SIZE,
        0.03,
      )?.sdAt(60, 400) ?? 0;
    for (let x = 20; x < 40; x += 1) expect(Math.abs(Math.log(at(x + 1) / at(x)))).toBeLessThan(0.03);
    expect(at(20)).toBeGreaterThan(0.05);
    expect(at(20)).toBeLessThan(0.8);
  });
});

test('what is said to be left is what the sheets leave as they are cut, small scraps left out', () => {
  const random = seeded(8);
  for (let k = 0; k < 12; k += 1) {
    const [a, b] = [random() * 6, random() * 6];
    const s = gapSurface(
      read((x, y) => 0.3 + 0.25 * Math.sin(a + x / 130) * Math.cos(b + y / 150)),
      SIZE,
      0.01,
    );
    if (!s) throw new Error('no surface');
    const p = packingOf(s, SIZE, 0.1);
    let [lo, hi] = [Infinity, -Infinity];
    // A grid of its own, finer than the one the sheets are cut by, and a count of rings of its own.
    for (let x = 2; x < 400; x += 3)
      for (let y = 2; y < 500; y += 3) {
        const sheets = p.sheets.filter((sheet) => {
          const rings = sheet.polygons.flat().filter((ring) => {
            let inside = false;
            ring.forEach((q, i) => {
              const r = ring[(i + 1) % ring.length] ?? q;
              if (q.y > y !== r.y > y && x < ((r.x - q.x) * (y - q.y)) / (r.y - q.y) + q.x) inside = !inside;
            });
            return inside;
          });
          return rings.length % 2 === 1;
        }).length;
        const left = s.gapAt(x, y) - 0.1 * sheets;
        lo = Math.min(lo, left);
        hi = Math.max(hi, left);
      }
    expect(hi - lo).toBeLessThanOrEqual(p.leftMm + 0.012);
    expect(p.leftMm).toBeLessThanOrEqual(hi - lo + 0.03);
  }
});

describe('packing', () => {
  test('a platen that tilts evenly is stepped in strips of equal width, the lowest the widest', () => {
    const s = gapSurface(
      read((x) => (0.4 * x) / 400),
      SIZE,
      0.01,
    );
    if (!s) throw new Error('no surface');
    const p = packingOf(s, SIZE, 0.1);
    expect(p.sheets).toHaveLength(4);
    // Sheet k lies where the gap is above (k − ½) · 0.1 mm: from x = 50, 150, 250, 350.
    p.sheets.forEach((sheet, k) => {
      const left = Math.min(...sheet.polygons.flat(2).map((v) => v.x));
      expect(left).toBeGreaterThan(50 + 100 * k - 15);
      expect(left).toBeLessThan(50 + 100 * k + 15);
      expect(sheet.areaMm2 / (SIZE.heightMm * (350 - 100 * k))).toBeCloseTo(1, 0);
    });
    expect(p.nowMm).toBeCloseTo(0.4, 1);
    expect(p.leftMm).toBeLessThan(0.12);
  });

  test('a gap that is the same everywhere is the lever’s to close: only what differs is packed', () => {
    const s = gapSurface(
      read((x) => 0.3 + (0.4 * x) / 400),
      SIZE,
      0.01,
    );
    if (!s) throw new Error('no surface');
    const p = packingOf(s, SIZE, 0.1);
    expect(p.sheets).toHaveLength(4);
    expect(p.sheetsAt(5, 250)).toBe(0);
    expect(p.sheetsAt(395, 250)).toBe(4);
  });

  test('a level platen wants none, and thick card fills nothing thinner than half of it', () => {
    const level = gapSurface(
      read(() => 0.2),
      SIZE,
      0.03,
    );
    const tilted = gapSurface(
      read((x) => x / 4000),
      SIZE,
      0.01,
    );
    expect(level && packingOf(level, SIZE, 0.1).sheets).toEqual([]);
    expect(tilted && packingOf(tilted, SIZE, 0.5).sheets).toEqual([]);
  });

  test('the level place is where the gap changes least, turned where that helps; nothing fits a platen smaller than it', () => {
    const s = gapSurface(
      read((x) => (x > 200 ? (x - 200) / 300 : 0)),
      SIZE,
      0.01,
    );
    if (!s) throw new Error('no surface');
    const place = levelPlace(s, SIZE, { widthMm: 380, heightMm: 150 });
    expect(place?.turned).toBe(true);
    expect(place?.xMm).toBeLessThan(60);
    expect(levelPlace(s, SIZE, { widthMm: 600, heightMm: 550 })).toBeNull();
  });
});

test('packing from nine noisy readings leaves no place more than 0.15 mm off level of a warp of 0.6 mm, 19 times in 20', () => {
  const random = seeded(31);
  const normal = () => Math.sqrt(-2 * Math.log(random() || 1e-12)) * Math.cos(2 * Math.PI * random());
  const CARD_MM = 0.1;
  const off: number[] = [];
  for (let k = 0; k < 60; k += 1) {
    const [a, b, c, d, e] = [normal(), normal(), 0.6 * normal(), 0.6 * normal(), 0.6 * normal()];
    const raw = (x: number, y: number) => {
      const [u, v] = [x / 400 - 0.5, y / 500 - 0.5];
      return a * u + b * v + 2 * c * u * v + 2 * d * u * u + 2 * e * v * v;
    };
    let [lo, hi] = [Infinity, -Infinity];
    each((x, y) => {
      lo = Math.min(lo, raw(x, y));
      hi = Math.max(hi, raw(x, y));
    });
    const warp = (x: number, y: number) => ((raw(x, y) - lo) / (hi - lo)) * 0.6;
    const sd = READING_SD_MM.feeler;
    const s = gapSurface(
      read((x, y) => Math.max(0, warp(x, y) + sd * normal())),
      SIZE,
      sd,
    );
    if (!s) throw new Error('no surface');
    const packed = packingOf(s, SIZE, CARD_MM);
    const left: number[] = [];
    each((x, y) => left.push(warp(x, y) - CARD_MM * packed.sheetsAt(x, y)));
    const mean = left.reduce((p, q) => p + q, 0) / left.length;
    off.push(Math.max(...left.map((v) => Math.abs(v - mean))));
  }
  off.sort((p, q) => p - q);
  expect(off[Math.floor(off.length * 0.95)]).toBeLessThan(0.15);
  expect(off.reduce((p, q) => p + q, 0) / off.length).toBeLessThan(0.12);
});
