import { english } from '@/words/english';
import { NOZZLE_CHECK_DAYS, PRINT_CHECKS, PRINT_FAULTS, stoodDays } from './printCheck';

const DAY_MS = 24 * 60 * 60 * 1000;

test('every fault of a print is looked for once, and each says how it is seen and what to do', () => {
  expect(PRINT_CHECKS.map((c) => c.id)).toEqual([...PRINT_FAULTS]);
  const texts = PRINT_CHECKS.flatMap((c) => [c.label, c.seen, c.fix].map((m) => english.text(m)));
  expect(new Set(texts).size).toBe(3 * PRINT_FAULTS.length);
  expect(PRINT_CHECKS.filter((c) => !c.again).map((c) => c.id)).toEqual(['wet']);
});

test('a nozzle check after whole days of standing, and only where it is known', () => {
  const last = 1_790_000_000_000;
  expect(stoodDays(last, last + NOZZLE_CHECK_DAYS * DAY_MS)).toBe(NOZZLE_CHECK_DAYS);
  expect(stoodDays(last, last + NOZZLE_CHECK_DAYS * DAY_MS - 1)).toBeNull();
  expect(stoodDays(last, last + 8.9 * DAY_MS)).toBe(8);
  expect(stoodDays(null, last)).toBeNull();
});
