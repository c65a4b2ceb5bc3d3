import { verbatim } from '@/core/message/message';
import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import { pictureLayer, type PictureRef } from '@/core/job/art';
import type { Job } from '@/core/job/job';
import { demoShop } from '@/core/demo/demoShop';
import { plan } from '@/core/plan/plan';
import { withPages } from '@/core/plan/sheet/pages';
import { fail, ok } from '@/core/basics/result';
import { fileName } from '../shell/fileName';
import {
  cutListFile,
  packageFile,
  patternFile,
  pdfFile,
  piecePngFile,
  sheetPngFile,
  sheetSvgFile,
  usedIn,
  type Machines,
} from './exporter';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const TUMBLERS = jobs.find((j) => j.id === 'star-party-tumblers') as Job;
const OWN: PictureRef = {
  id: 'own',
  name: 'dome.jpg',
  mime: 'image/jpeg',
  widthPx: 4000,
  heightPx: 3000,
  orientation: 1,
  drawn: null,
};
const JOB: Job = {
  ...TUMBLERS,
  art: { ...TUMBLERS.art, layers: [pictureLayer('p', OWN), pictureLayer('q', OWN), ...TUMBLERS.art.layers] },
};
const of = (job: Job = JOB) => ({ job, plan: plan(job, shop) });
const bytes = (n: number) => Uint8Array.of(n);

/** Machines that answer at once, and what they were asked for. */
function machines(over: Partial<Machines> = {}) {
  const asked: { what: string; request: unknown }[] = [];
  const answer =
    <T>(what: string, value: T) =>
    (request: unknown) => {
      asked.push({ what, request });
      return Promise.resolve(ok(value));
    };
  const made: Machines = {
    write: english.text,
    pdf: answer('pdf', bytes(1)),
    png: answer('png', bytes(2)),
    svg: answer('svg', '<svg/>'),
    zip: answer('zip', bytes(4)),
    bytesOf: (refs) => Promise.resolve(ok(refs.map((ref) => ({ ref, bytes: bytes(9) })))),
    originalBytes: () => Promise.resolve(bytes(7)),
    ...over,
  };
  return { made, asked };
}

test('a file name is letters, digits and dashes, whatever the job is called', () => {
  expect(fileName('Star party: crew & tumblers!')).toBe('star-party-crew-tumblers');
  expect(fileName('  ')).toBe('job');
  expect(fileName('Größe 2')).toBe('gr-e-2');
});

test('all sheets, or one by itself, with the pictures those sheets draw and no others', async () => {
  const { made, asked } = machines();
  const { job, plan: p } = of();
  expect(inEnglish(await pdfFile({ job, plan: p }, made))).toMatchObject({
    ok: true,
    value: { name: 'star-party-crew-tumblers.pdf' },
  });
  expect(await pdfFile({ job, plan: p }, made, 0)).toMatchObject({
    value: { name: 'star-party-crew-tumblers-sheet-1.pdf', mime: 'application/pdf' },
  });
  const { sheet: whole } = withPages(p, english.text);
  const [all, first] = asked.map((a) => a.request as { pages: unknown[]; sources: object });
  expect(all?.pages).toHaveLength(whole.pages.length);
  expect(first?.pages).toHaveLength(1);
  expect(usedIn([], whole.sources)).toEqual({});
  expect(usedIn(whole.pages, { ...whole.sources, other: 1 })).toEqual(whole.sources);
});

test('a sheet that is not there is said, and nothing is asked of the worker', async () => {
  const { made, asked } = machines();
  for (const task of [sheetPngFile, sheetSvgFile])
    expect(inEnglish(await task(of(), made, 99))).toMatchObject({
      ok: false,
      problem: { what: 'There is no such sheet.' },
    });
  expect(asked).toEqual([]);
  expect(inEnglish(await sheetSvgFile(of(), made, 0))).toMatchObject({ value: { mime: 'image/svg+xml' } });
});

test('a picture that is missing stops each of them, named', async () => {
  const gone = machines({
    bytesOf: () =>
      Promise.resolve(fail(verbatim('It is not here.'), 'dome.jpg', verbatim('Import it again.'))),
  });
  const tasks = [
    pdfFile(of(), gone.made),
    piecePngFile(of(), gone.made),
    sheetPngFile(of(), gone.made, 0),
    packageFile(of(), gone.made, '2026-11-26'),
  ];
  for (const r of await Promise.all(tasks))
    expect(inEnglish(r)).toMatchObject({ ok: false, problem: { where: 'dome.jpg' } });
  expect(gone.asked).toEqual([]);
});

test('without a size there is no piece and no pattern', async () => {
  const bare = of({ ...JOB, blankId: null });
  expect(inEnglish(await piecePngFile(bare, machines().made))).toMatchObject({
    problem: { what: 'The wrap has no size yet.' },
  });
  expect(patternFile(bare)).toBeNull();
  expect(cutListFile(bare).bytes).toHaveLength(0);
});

test('the ZIP holds each thing once, the manifest first, and says what each is and how long', async () => {
  const { made, asked } = machines();
  const r = await packageFile(of(), made, '2026-11-26');
  expect(r).toMatchObject({
    ok: true,
    value: { name: 'star-party-crew-tumblers.zip', mime: 'application/zip' },
  });
  const files = asked.at(-1)?.request as { name: string; bytes: Uint8Array }[];
  expect(files.map((f) => f.name)).toEqual([
    'manifest.json',
    'star-party-crew-tumblers.pdf',
    'star-party-crew-tumblers-piece.png',
    'cut-list.csv',
    'star-party-crew-tumblers-pattern.svg',
    'pictures/dome.jpg',
  ]);
  const manifest = JSON.parse(new TextDecoder().decode(files[0]?.bytes)) as {
    madeOn: string;
    files: { name: string; bytes: number }[];
  };
  expect(manifest.madeOn).toBe('2026-11-26');
  expect(manifest.files).toEqual(
    files.slice(1).map((f) => expect.objectContaining({ name: f.name, bytes: f.bytes.length }) as unknown),
  );
});

test('what the worker cannot do stops the package there', async () => {
  const { made, asked } = machines({
    png: () => Promise.resolve(fail(verbatim('Out of memory.'), 'PNG', verbatim('Try again.'))),
  });
  expect(inEnglish(await packageFile(of(), made, '2026-11-26'))).toMatchObject({
    problem: { what: 'Out of memory.' },
  });
  expect(asked.map((a) => a.what)).toEqual(['pdf']);
});
