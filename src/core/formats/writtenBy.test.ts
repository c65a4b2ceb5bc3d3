import { demoShop } from '../demo/demoShop';
import { WRITTEN_BY } from '../basics/version';
import { blanksJson, readBlanksJson } from './blanksFile';
import { fileText, makeJobFile, makeShopFile, readJobFile, readShopFile } from './jobFile';
import { logJson, readLogJson } from './logFile';
import { chunksOf, joinBytes, makeChunk, PNG_SIGNATURE, softwareChunk } from './png';

const { shop, jobs } = demoShop(new Date('2026-12-01T09:00:00Z'));
const [job] = jobs;
if (!job) throw new Error('no job');

test('every file says which version of the application wrote it', () => {
  const files = [
    readJobFile(fileText(makeJobFile(job, shop, []))),
    readShopFile(fileText(makeShopFile(jobs, shop, []))),
    readBlanksJson(blanksJson(shop.blanks)),
    readLogJson(logJson('Dry Fork Bench', shop.log, [])),
  ];
  expect(files.map((f) => f.ok && f.value.writtenBy)).toEqual(files.map(() => WRITTEN_BY));
});

test('a file of the version before says nothing of what wrote it, and opens', () => {
  const { writtenBy: _, ...rest } = makeJobFile(job, shop, []);
  const before = { ...rest, version: 11 };
  expect(readJobFile(JSON.stringify(before))).toMatchObject({ ok: true, value: { writtenBy: null } });
  const blanks = JSON.parse(blanksJson(shop.blanks)) as Record<string, unknown>;
  const older = Object.fromEntries(
    Object.entries({ ...blanks, version: 3 }).filter(([key]) => key !== 'writtenBy'),
  );
  expect(readBlanksJson(JSON.stringify(older))).toMatchObject({ ok: true, value: { writtenBy: null } });
});

test('a PNG says it in a chunk of text', () => {
  const png = joinBytes([
    Uint8Array.from(PNG_SIGNATURE),
    softwareChunk(),
    makeChunk('IEND', new Uint8Array(0)),
  ]);
  const [text] = [...chunksOf(png)];
  expect([text?.type, text && new TextDecoder().decode(text.data)]).toEqual([
    'tEXt',
    `Software\0${WRITTEN_BY}`,
  ]);
});
