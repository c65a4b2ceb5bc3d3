import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import { readFileSync } from 'node:fs';
import { crc32 as zlibCrc } from 'node:zlib';
import fc from 'fast-check';
import { demoShop } from '../demo/demoShop';
import type { Job } from '../job/job';
import { plan } from '../plan/plan';
import { readFile } from './file';
import { fileText, JOB_FILE, makeJobFile, makeShopFile, readJobFile, readShopFile } from './jobFile';
import { jsonSchemas } from './jsonSchema';
import { logCsv } from './logCsv';
import { inspectPicture } from './picture';
import { crc32, liftPixels } from './png';
import { patternSvg } from './svg';
import { paintPng, quartersJpeg, RED } from './testPicture';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const JOB = jobs.find((j) => j.id === 'star-party-tumblers') as Job;
const PICTURE = {
  id: 'p1',
  mime: 'image/png' as const,
  base64: Buffer.from(paintPng(4, 3, () => RED)).toString('base64'),
};
const TEXT = fileText(makeJobFile(JOB, shop, [PICTURE]));

const refusal = (text: string): string => {
  const r = readJobFile(text);
  return r.ok
    ? ''
    : `${english.text(r.problem.where)}: ${english.text(r.problem.what)} ${english.text(r.problem.wayOut)}`;
};
const altered = (change: (file: Record<string, unknown>) => void): string => {
  const file = JSON.parse(TEXT) as Record<string, unknown>;
  change(file);
  return JSON.stringify(file);
};

describe('job file', () => {
  test('read back, it is the same job and plans the same', () => {
    const r = readJobFile(TEXT);
    if (!r.ok) throw new Error(english.text(r.problem.what));
    expect(r.value.job).toEqual(JOB);
    expect(plan(r.value.job, r.value.shop)).toEqual(plan(JOB, shop));
    expect(fileText(r.value)).toBe(TEXT);
  });

  test('cut short anywhere, it is refused in words', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: TEXT.length - 3 }), (at) => {
        expect(refusal(TEXT.slice(0, at))).toMatch(/cut short|not JSON/);
      }),
      { numRuns: 60 },
    );
  });

  test('from a newer version: says so and what to do', () => {
    expect(inEnglish(refusal(altered((f) => (f.version = 16))))).toMatch(
      /version 16.*reads up to 15.*Update/,
    );
    expect(refusal(altered((f) => delete f.version))).toMatch(/does not say its version/);
    expect(refusal(altered((f) => (f.format = 'other')))).toMatch(/not a job file/);
    expect(refusal('[1,2]')).toMatch(/not a job file/);
  });

  test('a wrong field is named by its place', () => {
    expect(inEnglish(refusal(altered((f) => ((f.job as Record<string, unknown>).pieces = -3))))).toMatch(
      /job › pieces: At least one piece/,
    );
    expect(refusal(altered((f) => ((f.job as Record<string, unknown>).surprise = 1)))).toMatch(/surprise/);
    expect(
      refusal(altered((f) => ((f.pictures as { base64: string }[])[0] = { ...PICTURE, base64: 'a b' }))),
    ).toMatch(/picture inside is damaged/);
  });

  test('a name with a script in it is only a name', () => {
    const name = '<script>alert(1)</script>';
    const r = readJobFile(altered((f) => ((f.job as Record<string, unknown>).name = name)));
    expect(r.ok && r.value.job.name).toBe(name);
    const { pattern } = plan(JOB, shop).wrap;
    if (!pattern) throw new Error('no pattern');
    const svg = patternSvg(pattern, name);
    expect(svg).not.toContain('<script');
    expect(svg).toContain('&lt;script&gt;');
  });

  test('a field named __proto__ pollutes nothing', () => {
    readJobFile(TEXT.replace('{', '{"__proto__": {"polluted": true},'));
    expect(({} as Record<string, unknown>).polluted).toBeUndefined();
  });

  test('megabytes of picture are checked without a stumble', () => {
    const big = 'QUJD'.repeat(2_000_000);
    expect(readJobFile(altered((f) => (f.pictures = [{ ...PICTURE, base64: big }]))).ok).toBe(true);
  });

  test('older versions climb one step at a time', () => {
    const kind = {
      ...JOB_FILE,
      version: 3,
      upgrades: [
        (f: Record<string, unknown>) => ({ ...f, steps: '1' }),
        (f: Record<string, unknown>) => ({ ...f, steps: `${String(f.steps)}2` }),
      ],
      schema: JOB_FILE.schema,
    };
    const seen: unknown[] = [];
    const spy = {
      ...kind,
      schema: {
        safeParse: (v: unknown) => (seen.push(v), { success: true, data: v }),
      } as unknown as typeof kind.schema,
    };
    expect(readFile(TEXT.replace('"version": 15', '"version": 1'), spy).ok).toBe(true);
    expect(seen[0]).toMatchObject({ version: 3, steps: '12' });
  });
});

describe('shop file', () => {
  test('a job that stands in it twice is refused by name; twice the same is one', () => {
    const twice = (second: Job) => readShopFile(fileText(makeShopFile([JOB, second], shop, [])));
    const r = twice({ ...JOB, pieces: 99 });
    expect(inEnglish(r.ok ? '' : english.text(r.problem.what))).toContain(`the job “${JOB.name}” twice`);
    expect(twice(JOB).ok).toBe(true);
    const blank = shop.blanks[0];
    if (!blank) throw new Error('none');
    const things = makeShopFile([], { ...shop, blanks: [blank, { ...blank, name: 'Other' }] }, []);
    const b = readShopFile(fileText(things));
    expect(inEnglish(b.ok ? '' : english.text(b.problem.what))).toContain('the blank “Other” twice');
  });

  test('whole shop there and back', () => {
    const text = fileText(makeShopFile(jobs, shop, [PICTURE]));
    const r = readShopFile(text);
    expect(r.ok && r.value.jobs).toEqual(jobs);
    expect(r.ok && r.value.shop).toEqual(shop);
    expect(readJobFile(text).ok).toBe(false);
  });
});

test('the schemas in docs are those the application reads with', () => {
  for (const [name, schema] of Object.entries(jsonSchemas())) {
    expect(JSON.parse(readFileSync(`docs/${name}.schema.json`, 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(schema)),
    );
  }
});

describe('PNG', () => {
  test('the checksum is zlib’s', () => {
    fc.assert(fc.property(fc.uint8Array({ maxLength: 300 }), (b) => expect(crc32(b)).toBe(zlibCrc(b))));
    expect(crc32(new TextEncoder().encode('123456789'))).toBe(0xcbf43926);
  });
  test('pixels are lifted only where a PDF can hold them', () => {
    expect(liftPixels(paintPng(4, 4, () => RED))).not.toBeNull();
    expect(liftPixels(paintPng(4, 4, () => RED, true))).toBeNull();
    expect(liftPixels(new Uint8Array(5))).toBeNull();
  });
});

describe('pictures at the border', () => {
  const what = (bytes: Uint8Array, name = 'art.png') => {
    const r = inspectPicture(bytes, name);
    return r.ok
      ? r.value
      : `${english.text(r.problem.where)}: ${english.text(r.problem.what)} ${english.text(r.problem.wayOut)}`;
  };
  const latin = (s: string) => Uint8Array.from(s, (c) => c.charCodeAt(0));

  test('PNG and JPEG are known by their bytes, whatever the name', () => {
    expect(
      what(
        paintPng(7, 5, () => RED),
        'x.txt',
      ),
    ).toEqual({ mime: 'image/png', widthPx: 7, heightPx: 5 });
    expect(what(quartersJpeg())).toEqual({ mime: 'image/jpeg', widthPx: 64, heightPx: 48 });
    expect(what(quartersJpeg(6))).toEqual({ mime: 'image/jpeg', widthPx: 64, heightPx: 48 });
  });
  test('cut short', () => {
    const png = paintPng(50, 50, () => RED);
    expect(inEnglish(what(png.subarray(0, png.length - 20)))).toMatch(/cut short/);
    expect(what(quartersJpeg().subarray(0, 300))).toMatch(/damaged or cut short/);
  });
  test('empty, foreign and hostile', () => {
    expect(inEnglish(what(new Uint8Array(0)))).toMatch(/empty/);
    expect(what(latin('<svg onload="alert(1)">'))).toMatch(/SVG drawing is damaged/);
    expect(what(latin('%PDF-1.7 ...'))).toMatch(/a PDF/);
    expect(what(latin('GIF89a....'))).toMatch(/a GIF/);
    expect(what(latin('hello there, not a picture'))).toMatch(/not a picture known here/);
  });
  test('over 100 megapixels', () => {
    const bytes = paintPng(2, 2, () => RED);
    new DataView(bytes.buffer).setUint32(16, 20000);
    new DataView(bytes.buffer).setUint32(20, 20000);
    expect(inEnglish(what(bytes))).toMatch(/20000 × 20000, 400 megapixels.*up to 100/);
  });
  test('CMYK is refused in words', () => {
    const bytes = quartersJpeg();
    const sof = bytes.findIndex((b, i) => b === 0xff && bytes[i + 1] === 0xc0);
    bytes[sof + 9] = 4;
    expect(inEnglish(what(bytes))).toMatch(/CMYK.*RGB/);
  });
  test('any bytes at all get an answer', () => {
    fc.assert(
      fc.property(
        fc.uint8Array({ maxLength: 200 }),
        fc.constantFrom([], [0xff, 0xd8, 0xff], [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
        (b, head) => {
          expect(typeof inspectPicture(Uint8Array.from([...head, ...b]), 'x').ok).toBe('boolean');
        },
      ),
    );
  });
});

test('the pattern in SVG: one unit to the millimetre, zones where the plan has them', () => {
  const { pattern } = plan(JOB, shop).wrap;
  if (!pattern) throw new Error('no pattern');
  const svg = patternSvg(pattern, 'x');
  const span = (id: string, axis: 0 | 1) => {
    const d = new RegExp(`id="${id}" d="([^"]+)"`).exec(svg)?.[1] ?? '';
    const at = [...d.matchAll(/[ML] ([-\d.]+) ([-\d.]+)/g)].map((m) => Number(m[axis + 1]));
    return Math.max(...at) - Math.min(...at);
  };
  expect(span('trim', 0)).toBeCloseTo(pattern.trim.width, 3);
  expect(span('bleed', 1)).toBeCloseTo(pattern.bleed.height, 3);
  expect(svg).toMatch(/width="([\d.]+)mm" height="([\d.]+)mm" viewBox="-3 -3 \1 \2"/);
});

test('the log as CSV: a header, a row each, formulas defused', () => {
  const [entry] = shop.log;
  if (!entry) throw new Error('no log');
  const csv = logCsv([{ ...entry, note: '=HYPERLINK("x")', jobName: 'a, "b"' }]);
  const lines = csv.split('\r\n');
  expect(lines[0]).toContain('temperature °C');
  expect(csv).toContain(`"'=HYPERLINK(""x"")"`);
  expect(csv).toContain('"a, ""b"""');
});
