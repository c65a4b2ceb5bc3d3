import { english } from '@/words/english';
import { spanish } from '@/words/spanish';
import { inEnglish } from '@/words/inEnglish';
import { hoursMessage, readHours } from './hours';

const read = (text: string) => {
  const r = readHours(text);
  return r.ok ? r.value : english.text(r.problem.what);
};

test('hours are read as people write them', () => {
  expect(read('9:00–17:00')).toEqual({ fromMin: 540, toMin: 1020 });
  expect(read('9-17')).toEqual({ fromMin: 540, toMin: 1020 });
  expect(read('8.30 to 12:15')).toEqual({ fromMin: 510, toMin: 735 });
  expect([read('closed'), read(''), read('-')]).toEqual([null, null, null]);
});

test('what is no hours is said', () => {
  expect(inEnglish(read('nine to five'))).toMatch(/written 9:00/);
  expect(inEnglish(read('17-9'))).toMatch(/ends before it begins/);
  expect(inEnglish(read('9:00-25:00'))).toMatch(/written/);
});

test('what is shown is read as the same', () => {
  for (const h of [null, { fromMin: 0, toMin: 1440 }, { fromMin: 545, toMin: 1019 }])
    for (const write of [english.text, spanish.text]) expect(read(write(hoursMessage(h)))).toEqual(h);
});
