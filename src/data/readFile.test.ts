import { verbatim } from '@/core/message/message';
import { inEnglish } from '@/words/inEnglish';
import { readBytes, readText } from './readFile';

/** A file that says its size and counts how often it was read. */
function fileOf(size: number, gone = false) {
  const seen = { reads: 0 };
  const read = <T>(value: T) => {
    seen.reads += 1;
    return gone ? Promise.reject(new Error('NotFoundError')) : Promise.resolve(value);
  };
  const file = {
    name: 'shop.json',
    size,
    text: () => read('{}'),
    arrayBuffer: () => read(new ArrayBuffer(2)),
  };
  return { file: file as unknown as File, seen };
}

test('a file larger than may be is refused unread, with its size and the way out', async () => {
  for (const read of [readText, readBytes]) {
    const { file, seen } = fileOf(6_400_000);
    expect(inEnglish(await read(file, 5_000_000, verbatim('Split it.')))).toEqual({
      ok: false,
      problem: {
        what: 'The file is 6 MB; at most 5 MB can be opened here.',
        where: 'shop.json',
        wayOut: 'Split it.',
      },
    });
    expect(seen.reads).toBe(0);
  }
});

test('a file of just the most is read; one that was moved is said', async () => {
  expect(await readText(fileOf(5_000_000).file, 5_000_000, verbatim(''))).toEqual({ ok: true, value: '{}' });
  expect(await readBytes(fileOf(3).file, 5_000_000, verbatim(''))).toEqual({
    ok: true,
    value: new Uint8Array(2),
  });
  for (const read of [readText, readBytes])
    expect(inEnglish(await read(fileOf(3, true).file, 5_000_000, verbatim('')))).toMatchObject({
      ok: false,
      problem: { where: 'shop.json', wayOut: expect.stringContaining('moved') },
    });
});
