import { verbatim } from '@/core/message/message';
import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import fc from 'fast-check';
import Papa from 'papaparse';
import { fromBase64, toBase64 } from './base64';
import { csvText, isFormula, plainCell } from './csv';
import { isSvg, svgFacts } from './svgSize';

describe('base64', () => {
  test('is what the platform’s own encoder makes, and back', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 400 }), (bytes) => {
        const text = toBase64(bytes);
        return text === Buffer.from(bytes).toString('base64') && Buffer.from(fromBase64(text)).equals(bytes);
      }),
    );
  });
  test('megabytes do not overflow a call', () => {
    const bytes = Uint8Array.from({ length: 1_500_000 }, (_, i) => (i * 31) & 255);
    expect(toBase64(bytes)).toBe(Buffer.from(bytes).toString('base64'));
  });
});

describe('a CSV cell', () => {
  const back = (cells: readonly string[]) =>
    (Papa.parse<string[]>(csvText([cells]), { delimiter: ',' }).data[0] ?? []).map((c) => c);

  test('read by another reader it is the text it was, whatever is in it', () => {
    const plain = fc
      .string({ minLength: 1, maxLength: 30 })
      .filter((s) => !isFormula(s) && !/^[\s']|\r|\u2028/.test(s));
    fc.assert(
      fc.property(fc.array(plain, { minLength: 1, maxLength: 5 }), (cells) =>
        back(cells).every((c, i) => c === cells[i]),
      ),
    );
  });

  test.each(['=1+1', '+SUM(A1)', '@cmd', '-A1', '\t=1', '=HYPERLINK("x")', '-1+cmd|x', '-2*A1', '- a dash'])(
    '%s is never run',
    (cell) => {
      const [read] = back([cell]);
      expect(read?.startsWith("'")).toBe(true);
      expect(read?.slice(1)).toBe(cell);
    },
  );

  test.each([' =1+1', '\n=1+1', '  @cmd', ' \t+1'])(
    '%j is never run, spaces and line breaks before it or not',
    (cell) => {
      expect(isFormula(cell)).toBe(true);
      expect(back([cell])[0]).toBe(`'${cell}`);
    },
  );

  test('any text comes back as it was', () => {
    const cell = fc.oneof(
      fc.string({ maxLength: 20 }),
      fc
        .array(fc.constantFrom("'", '=', '-', '+', '@', ' ', '\t', '\n', 'a', '5'), { maxLength: 6 })
        .map((c) => c.join('')),
    );
    fc.assert(
      fc.property(
        cell.filter((s) => !s.includes('\r')),
        (text) =>
          expect(
            plainCell(
              (Papa.parse<string[]>(csvText([[text, 'end']]), { delimiter: ',', newline: '\r\n' }).data[0] ??
                [])[0],
            ),
          ).toBe(text),
      ),
      { numRuns: 2000 },
    );
  });

  test.each(['-5', '-5,2', '-.5', '-12.75', 'a=b', '5+5'])('%s is no formula', (cell) => {
    expect(isFormula(cell)).toBe(false);
    expect(back([cell])).toEqual([cell]);
  });
});

describe('the size of a drawing', () => {
  const facts = (svg: string) => svgFacts(new TextEncoder().encode(svg), verbatim('Drawing'));
  const size = (svg: string) => {
    const r = facts(svg);
    return r.ok ? [r.value.widthPx, r.value.heightPx] : english.text(r.problem.what);
  };

  test.each([
    ['<svg width="200mm" height="100mm"/>', [4800, 2400]],
    ['<svg width="2in" height="96px"/>', [4800, 2400]],
    ['<svg width="72pt" height="6pc"/>', [4800, 4800]],
    ['<svg viewBox="0 0 30 60"/>', [2400, 4800]],
    // One side in real units: the other follows from the shape of the box, not from its numbers.
    ['<svg width="200mm" viewBox="0 0 20 10"/>', [4800, 2400]],
    ['<svg height="1in" viewBox="0 0 2000 1000"/>', [4800, 2400]],
    ['<svg viewBox="10, 20, 400, 100"/>', [4800, 1200]],
    ['<svg width="100%" height="100%" viewBox="0 0 4 3"/>', [4800, 3600]],
    ['<?xml version="1.0"?><!-- made by hand --><svg width="1e2" height="50"/>', [4800, 2400]],
  ])('%s', (svg, expected) => expect(size(svg)).toEqual(expected));

  test.each([
    ['<svg/>', /does not say its size/],
    ['<svg width="0" height="10"/>', /does not say its size/],
    ['<svg width="1000" height="1"/>', /does not say its size/],
    ['<svg viewBox="0 0 a b"/>', /does not say its size/],
    ['<svg width="10" height="10"><g>', /damaged or cut short/],
    ['<svg width="10" height="10"', /damaged or cut short/],
    ['', /damaged or cut short/],
  ])('%s is refused in words', (svg, words) => expect(inEnglish(size(svg))).toMatch(words));

  const groups = (deep: number) =>
    `<svg width="1" height="1">${'<g>'.repeat(deep)}<path/>${'</g>'.repeat(deep)}</svg>`;
  test('50,000 groups within groups are refused in words; 200 are drawn', () => {
    expect(inEnglish(size(groups(50_000)))).toMatch(/nested too deep/);
    expect(size(groups(200))).toEqual([4800, 4800]);
  });

  test('parts that draw parts: counted as often as they are drawn, and a circle of them once', () => {
    // Each level draws the one before it ten times over: 10⁸ circles from a few lines.
    const level = (n: number) => `<g id="l${n}">${`<use href="#l${n - 1}"/>`.repeat(10)}</g>`;
    const bomb = (levels: number) =>
      `<svg width="1" height="1"><circle id="l0"/>${Array.from({ length: levels }, (_, i) => level(i + 1)).join('')}</svg>`;
    expect(inEnglish(size(bomb(8)))).toMatch(/too many parts/);
    expect(size(bomb(3))).toEqual([4800, 4800]);
    expect(inEnglish(size(`<svg width="1" height="1">${'<circle/>'.repeat(200_001)}</svg>`))).toMatch(
      /too many parts/,
    );
    expect(
      size(
        '<svg width="1" height="1"><g id="a"><use href="#b"/></g><g id="b"><use xlink:href="#a"/></g></svg>',
      ),
    ).toEqual([4800, 4800]);
  });

  test('known by its beginning, not by its name', () => {
    const is = (s: string) => isSvg(new TextEncoder().encode(s));
    expect(is('\uFEFF<?xml version="1.0"?>\n<svg width="1"/>')).toBe(true);
    expect(is('<!DOCTYPE svg><svg/>')).toBe(true);
    expect(is('<html><svg/></html>')).toBe(false);
    expect(is('svg')).toBe(false);
  });
});
