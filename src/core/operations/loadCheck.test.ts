import { english } from '@/words/english';
import { LIBRARY } from '../library/library';
import { operation, type OperationKind } from '../shop/operation';
import { loadCheck } from './loadCheck';

const seen = (id: string, kinds: readonly OperationKind[] = []): string => {
  const blank = LIBRARY.find((b) => b.id === id);
  if (!blank) throw new Error(id);
  const operations = kinds.map((kind) =>
    operation({ id: kind, stage: 'prepare', kind, resource: 'hands', plannedS: 1 }),
  );
  return loadCheck(blank, operations)
    .map((m) => english.text(m))
    .join('|');
};

test('only what this blank and its steps can get wrong is looked at', () => {
  expect(seen('straight-steel-590', ['tape-seam', 'tape-rims'])).toMatch(
    /^Right way up.*\|Text reads.*\|Seam closed.*\|.*both rims\|Nothing loose/,
  );
  expect(seen('mug-325', ['tape-ends'])).toMatch(/clear of the handle.*\|Text.*\|Both ends flat.*\|Nothing/);
  expect(seen('mug-325', ['tape-ends'])).not.toMatch(/Seam|rims/);
  expect(seen('ornament-ceramic-disc')).toMatch(/^Text.*\|Holes covered.*\|Nothing/);
  expect(seen('pen-aluminium', ['lap-ends'])).toMatch(/^Text.*\|Seam closed/);
});
