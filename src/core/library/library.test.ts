import { english } from '@/words/english';
import { boundsOf } from '../geometry/plane';
import { demoShop } from '../demo/demoShop';
import { newJob } from '../job/job';
import { patternSvg } from '../formats/svg';
import { readSvgOutline } from '../formats/svgOutline';
import { plan } from '../plan/plan';
import { boundsOfContour, contourArea, contourLength } from '../geometry/contour';
import { ringLength, type Ring, signedArea } from '../geometry/ring';
import { blankSchema, FAMILIES, MATERIALS, type FlatOutline } from '../shop/blank';
import { mainFace } from '../wrap/pattern';
import { LIBRARY } from './library';

const { shop } = demoShop(new Date('2026-11-24T12:00:00Z'));

test('at least sixty blanks over all families and materials, each valid and each named once', () => {
  expect(LIBRARY.length).toBeGreaterThanOrEqual(60);
  expect(new Set(LIBRARY.map((b) => b.id)).size).toBe(LIBRARY.length);
  expect(new Set(LIBRARY.map((b) => b.name)).size).toBe(LIBRARY.length);
  for (const f of FAMILIES) expect(LIBRARY.some((b) => b.family === f)).toBe(true);
  for (const m of MATERIALS) expect(LIBRARY.some((b) => b.material === m)).toBe(true);
});

/** A second reading of the exported file: its trim taken out by id and measured by the outline reader. */
function remeasured(svg: string): Ring {
  const trim = /<path id="trim" d="([^"]+)"/.exec(svg)?.[1] ?? '';
  const read = readSvgOutline(
    `<svg xmlns="http://www.w3.org/2000/svg" width="10mm" viewBox="0 0 10 10"><path d="${trim}"/></svg>`,
  );
  if (!read.ok) throw new Error(english.text(read.problem.what));
  return read.value.outer;
}

/** Areas anyone knows by heart, mm²; null for outlines without one. */
function flatArea(o: FlatOutline): number | null {
  switch (o.form) {
    case 'rectangle':
      return o.widthMm * o.heightMm - (4 - Math.PI) * o.cornerMm ** 2;
    case 'oval':
      return (Math.PI / 4) * o.widthMm * o.heightMm;
    default:
      return null;
  }
}

describe.each(LIBRARY.map((b) => [b.id, b] as const))('%s', (_, blank) => {
  const p = plan({ ...newJob('any', 'any'), blankId: blank.id }, shop);

  test('is what its schema says, and goes from Blank through Wrap with nothing in the way', () => {
    expect(blankSchema.parse(blank)).toEqual(blank);
    expect(p.wrap.pattern).not.toBeNull();
    const stops = [p.blank, p.measure, p.wrap].flatMap((s) =>
      s.findings.filter((f) => f.level === 'blocker'),
    );
    expect(stops).toEqual([]);
    expect(p.measure.places.length).toBeGreaterThanOrEqual(2);
  });

  test('its pattern, saved as SVG and measured again, is the one that was calculated', () => {
    const { pattern } = p.wrap;
    if (!pattern) throw new Error('no pattern');
    const { trim } = mainFace(pattern);
    const again = remeasured(patternSvg(pattern, blank.name));
    expect(Math.abs(Math.abs(signedArea(again)) / Math.abs(contourArea(trim)) - 1)).toBeLessThan(0.002);
    expect(ringLength(again) / contourLength(trim)).toBeCloseTo(1, 3);
    const [a, b] = [boundsOf(again), boundsOfContour(trim)];
    expect(Math.abs(a.width - b.width)).toBeLessThan(0.05);
    expect(Math.abs(a.height - b.height)).toBeLessThan(0.05);
  });

  test('is as large as schoolbook geometry makes it', () => {
    const { pattern } = p.wrap;
    if (!pattern) throw new Error('no pattern');
    const area = Math.abs(contourArea(mainFace(pattern).trim));
    const { shape } = blank;
    if (shape.kind === 'flat') {
      const { widthMm: w, heightMm: h } = shape.outline;
      const known = flatArea(shape.outline);
      if (known !== null) expect(Math.abs(area / known - 1)).toBeLessThan(2e-3);
      else expect(area / (w * h)).toBeGreaterThan(0.3);
      expect(area).toBeLessThanOrEqual(w * h + 1e-6);
      return;
    }
    const [top, foot] = [shape.sections[0], shape.sections.at(-1)];
    if (!top || !foot) throw new Error('no wall');
    const widest = Math.max(...shape.sections.map((s) => s.diameterMm));
    if (shape.sections.length > 2) {
      expect(area).toBeLessThan(Math.PI * (widest + 1) * shape.heightMm * 1.15);
      expect(area).toBeGreaterThan(Math.PI * widest * 8);
      return;
    }
    // A frustum's side is its mean circumference times its slant; the paper leaves 1.5 mm free at rim and foot and lies 0.1 mm outside the wall.
    const slant = Math.hypot(foot.fromRimMm - top.fromRimMm, (top.diameterMm - foot.diameterMm) / 2) - 3;
    const mean = (Math.PI * (top.diameterMm + foot.diameterMm)) / 2 - (shape.handle?.widthMm ?? 0);
    // Seam methods add at most 8 mm at the ends and take at most 10, and a handle's margins 6 more.
    const atEnds = area / slant - mean;
    expect(atEnds).toBeGreaterThan(-17);
    expect(atEnds).toBeLessThan(9);
  });
});
