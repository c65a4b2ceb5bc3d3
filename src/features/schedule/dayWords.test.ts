import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import { demoShop } from '@/core/demo/demoShop';
import { dayPlan } from '@/core/day/dayPlan';
import { barPath, closedIn, dayRange, firstDay, groupsOf, rowsOf, wholeRange } from './chart';
import { delays, pieceCount, shortName, whenAt } from './dayWords';

const at = (d: number, h: number, m = 0) => new Date(2026, 10, d, h, m).getTime();
const NOW = at(27, 9);
const { shop, jobs } = demoShop(new Date(NOW));
const planned = (nowMs = NOW, list = jobs) =>
  dayPlan({ jobs: list, shop, proven: {}, nowMs, spoilage: {}, sheets: {}, plays: 5 });
const day = planned();

test('a moment is written as shortly as it can be', () => {
  const whenText = (ms: number) => english.quantity(whenAt(ms, NOW));
  expect(whenText(at(27, 16, 20))).toBe('16:20');
  expect(whenText(at(30, 10, 10))).toBe('Mon 10:10');
  expect(whenText(at(27 + 10, 8))).toBe('Mon 7 Dec 08:00');
  expect(whenText(Infinity)).toBe('never');
});

test('a day runs from opening to closing; one before it is open does not begin at night', () => {
  const hours = (r: { fromS: number; toS: number }, nowMs = NOW) =>
    [r.fromS, r.toS].map((s) => new Date(nowMs + s * 1000).getHours());
  expect(hours(dayRange(day, 0))).toEqual([9, 17]);
  const night = at(27, 3);
  expect(hours(dayRange(planned(night, jobs.slice(0, 2)), 0), night)).toEqual([9, 17]);
  // On a Saturday the first day anything is done on is Monday.
  expect(firstDay(planned(at(28, 9), jobs.slice(0, 2)))).toBe(2);
  expect(firstDay(day)).toBe(0);
});

test('the break is closed, and the whole range holds every bar', () => {
  const range = dayRange(day, 0);
  expect(closedIn(day, range).map((c) => [c.fromS, c.toS])).toContainEqual([3 * 3600, 3.5 * 3600]);
  const whole = wholeRange(day);
  for (const b of day.lines.flatMap((l) => l.bars)) expect(b.toS).toBeLessThanOrEqual(whole.toS);
});

test('every resource has its row, and circuits with presses theirs', () => {
  const rows = rowsOf(day, {
    printers: ['Desk printer'],
    people: ['Io'],
    circuits: ['Circuit 1', 'Circuit 2'],
  });
  const labels = rows.map((r) => r.label);
  expect(inEnglish(labels)).toEqual(
    expect.arrayContaining([
      'Desk printer',
      'Person Io',
      'Person 2',
      'Mug press',
      'Cooling',
      'Circuit 1',
      'Circuit 2',
    ]),
  );
});

test('neighbouring loads of a job are one group with all its pieces', () => {
  const bar = (work: number, fromS: number) => ({
    work,
    kind: 'press' as const,
    count: 2,
    fromS,
    toS: fromS + 10,
  });
  expect(groupsOf([bar(0, 0), bar(0, 20), bar(1, 40), bar(0, 60)])).toEqual([
    { work: 0, fromS: 0, toS: 30, pieces: 4 },
    { work: 1, fromS: 40, toS: 50, pieces: 2 },
    { work: 0, fromS: 60, toS: 70, pieces: 2 },
  ]);
});

test('a bar leans at its right and never past its left', () => {
  expect(barPath(10, 0, 30, 20)).toBe('M10 0H36L40 20H10Z');
  expect(barPath(10, 0, 3, 20)).toBe('M10 0H12L13 20H10Z');
});

test('what a change delays is reported by job, most first, and by nothing under two minutes', () => {
  const later = {
    ...day,
    jobs: day.jobs.map((j, i) => ({ ...j, endS: j.endS + (i === 0 ? 300 : i === 1 ? -3600 : 30) })),
  };
  expect(delays(day, later)).toEqual([
    { name: day.jobs[1]?.name, byS: -3600 },
    { name: day.jobs[0]?.name, byS: 300 },
  ]);
  // The clock alone is no delay.
  expect(
    delays(day, { ...day, nowMs: NOW + 600_000, jobs: day.jobs.map((j) => ({ ...j, endS: j.endS - 600 })) }),
  ).toEqual([]);
});

test('short names and counts', () => {
  expect(shortName('Constellation mugs')).toBe('mugs');
  expect(pieceCount(day)).toBe(145);
});
