import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import { signedArea } from '../geometry/ring';
import fc from 'fast-check';
import { outlineRing } from '../shapes/flat';
import { naturalWidthMm, outlineAt, readSvgOutline, type SvgOutline } from './svgOutline';

const svg = (inside: string, head = 'width="80mm" height="60mm" viewBox="0 0 80 60"') =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" ${head}>${inside}</svg>`;
const RECT = '<rect x="0" y="0" width="80" height="60"/>';

function must(text: string): SvgOutline {
  const r = readSvgOutline(text);
  if (!r.ok) throw new Error(`${english.text(r.problem.what)} ${english.text(r.problem.wayOut)}`);
  return r.value;
}
function refused(text: string): string {
  const r = readSvgOutline(text);
  if (r.ok) throw new Error('was read');
  expect(english.text(r.problem.wayOut).length).toBeGreaterThan(10);
  return english.text(r.problem.what);
}

describe('outlines that are there', () => {
  test('a rectangle in millimetres is itself', () => {
    const o = must(svg(RECT));
    expect(naturalWidthMm(o)).toBeCloseTo(80, 9);
    const at = outlineAt(o, 80);
    expect(at.ok && at.value.outline).toMatchObject({ form: 'drawn', widthMm: 80, heightMm: 60 });
  });
  test.each([
    ['circle', '<circle cx="40" cy="30" r="25"/>', Math.PI * 625],
    ['ellipse', '<ellipse cx="40" cy="30" rx="30" ry="20"/>', Math.PI * 600],
    ['rounded', '<rect width="80" height="60" rx="10"/>', 4800 - (4 - Math.PI) * 100],
    ['polygon', '<polygon points="0,0 80,0 40,60"/>', 2400],
    ['path of curves', '<path d="M0 30 C0 -10 80 -10 80 30 C80 70 0 70 0 30 Z"/>', 4320],
  ])('%s keeps its area', (_, shape, area) => {
    const o = must(svg(shape));
    expect(Math.abs(signedArea(o.outer) / area - 1)).toBeLessThan(_ === 'path of curves' ? 0.12 : 0.002);
  });
  test('nested transforms are carried out, outermost last', () => {
    const o = must(
      svg(
        '<g transform="translate(10 5)"><g transform="rotate(90)"><rect width="20" height="30" transform="scale(2)"/></g></g>',
        '',
      ),
    );
    // 40 × 60, turned a quarter, moved.
    expect(signedArea(o.outer)).toBeCloseTo(2400, 3);
    const xs = o.outer.map((p) => p.x);
    expect(Math.min(...xs)).toBeCloseTo(10 - 60, 6);
  });
  test('shapes inside are holes; the same shape twice is one', () => {
    const o = must(svg(`${RECT}${RECT}<circle cx="40" cy="10" r="2"/><circle cx="10" cy="10" r="3"/>`));
    expect(o.holes).toHaveLength(2);
    const at = outlineAt(o, 160);
    expect(at.ok && at.value.holes.every((h) => h.form === 'drawn')).toBe(true);
  });
  test('without a unit the width is asked for, and everything follows it', () => {
    const o = must(svg('<polygon points="0,0 500,0 250,400"/>', 'viewBox="0 0 500 400"'));
    expect(o.mmPerUnit).toBeNull();
    expect(naturalWidthMm(o)).toBeNull();
    const at = outlineAt(o, 75);
    if (!at.ok) throw new Error('refused');
    expect(at.value.outline.heightMm).toBeCloseTo(60, 9);
    expect(signedArea(outlineRing(at.value.outline))).toBeCloseTo((75 * 60) / 2, 3);
  });
  test('inches, points and centimetres', () => {
    const width = (w: string) =>
      naturalWidthMm(must(svg('<rect width="100" height="50"/>', `width="${w}" viewBox="0 0 100 50"`)));
    expect(width('2in')).toBeCloseTo(50.8, 9);
    expect(width('144pt')).toBeCloseTo(50.8, 9);
    expect(width('5cm')).toBeCloseTo(50, 9);
    expect(width('200px')).toBeNull();
    expect(width('100%')).toBeNull();
  });
  test('ten thousand points become a few, none moved more than is said', () => {
    const n = 10_000;
    const points = Array.from({ length: n }, (_, i) => {
      const a = (2 * Math.PI * i) / n;
      return `${(40 + 38 * Math.cos(a)).toFixed(5)},${(30 + 28 * Math.sin(a)).toFixed(5)}`;
    }).join(' ');
    const o = must(svg(`<polygon points="${points}"/>`));
    expect(o.cornersBefore).toBeGreaterThanOrEqual(n);
    expect(o.outer.length).toBeLessThan(400);
    expect(o.toleranceUnits).toBeLessThanOrEqual(0.02 + 1e-9);
    expect(Math.abs(signedArea(o.outer) / (Math.PI * 38 * 28) - 1)).toBeLessThan(0.002);
  });
});

describe('what cannot be an outline, and what is hostile', () => {
  test.each([
    ['open', '<path d="M0 0 L80 0 L80 60"/>', /open/],
    ['crossing itself', '<polygon points="0,0 80,60 80,0 0,60"/>', /crosses itself near 40\.0, 30\.0/],
    ['a second shape outside', `${RECT}<circle cx="200" cy="200" r="10"/>`, /outside/],
    ['a hole through the edge', `${RECT}<circle cx="80" cy="30" r="10"/>`, /outside|edge/],
    ['nothing drawn', '<g/>', /no outline|no closed/],
    ['a path that is no path', '<path d="M 0 0 q hello"/>', /cannot be read|no outline|no closed/],
    ['no size at all', '<rect width="0" height="0"/>', /no outline|no closed/],
  ])('%s', (_, inside, says) => expect(refused(svg(inside))).toMatch(says));

  test('scripts, pictures and links are left out and named; nothing is fetched', () => {
    const o = must(
      svg(
        `<script>throw 1</script><image href="file:///x.png" width="900" height="900"/><use href="#a"/><foreignObject><p/></foreignObject><style>*{}</style>${RECT}`,
      ),
    );
    expect(inEnglish(o.ignored)).toEqual(
      expect.arrayContaining(['a script', 'a picture', 'a linked copy', 'foreign content']),
    );
    expect(naturalWidthMm(o)).toBeCloseTo(80, 9);
  });
  test('entity bombs and other document types are refused before they are read', () => {
    const bomb = `<!DOCTYPE svg [<!ENTITY a "x"><!ENTITY b "&a;&a;&a;">]>${svg(RECT).replace('<?xml version="1.0"?>', '')}`;
    expect(refused(bomb)).toMatch(/document type/);
    expect(refused(svg('<rect width="&b;" height="3"/>'))).toMatch(/not well-formed/);
    expect(refused('<html><body/></html>')).toMatch(/not an SVG/);
    expect(refused('PNG')).toMatch(/well-formed/);
    expect(refused(svg(' '.repeat(4_100_000)))).toMatch(/larger than 4 MB/);
  });
  test('what is defined but not drawn is not an outline', () => {
    expect(refused(svg(`<defs>${RECT}</defs>`))).toMatch(/no outline|no closed/);
    expect(refused(svg('<rect width="80" height="60" style="display:none"/>'))).toMatch(
      /no outline|no closed/,
    );
  });
  test('too small or too large to be a blank', () => {
    expect(outlineAt(must(svg(RECT)), 3).ok).toBe(false);
    expect(outlineAt(must(svg(RECT)), 2000).ok).toBe(false);
  });
  test('any text at all gets an answer', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ maxLength: 200 }),
          fc.string({ maxLength: 80 }).map((d) => svg(`<path d="${d.replace(/[<&"]/g, '')}"/>`)),
        ),
        (text) => {
          return typeof readSvgOutline(text).ok === 'boolean';
        },
      ),
      { numRuns: 1500 },
    );
  });
});
