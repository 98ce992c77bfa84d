import { expect, test } from 'vitest';
import { kindBook, KINDS } from './index';
import { RELEASED } from './released';
import { usualOf } from './kind';

test('every length that a kind starts with is a round metric one in a metric order; lines of earlier versions keep theirs', () => {
  const book = kindBook(RELEASED);
  let compared = 0;
  for (const kind of KINDS)
    for (const option of kind.options) {
      if ((option.type !== 'length' && option.type !== 'hem') || option.default === undefined) continue;
      for (const formula of usualOf(option, 'mm'))
        expect(formula, `${kind.id} ${option.id}`).toMatch(/^[cm]m\([\d.]+\)$/);
      const before = book.find(kind.id, kind.version - 1)!.options.find(({ id }) => id === option.id)!;
      if (usualOf(before, 'mm').join() !== usualOf(option, 'mm').join()) compared++;
      expect(
        usualOf(
          book.find(kind.id, 1)!.options.find(({ id }) => id === option.id)!,
          'mm',
        ),
      ).toEqual(usualOf(option, 'in'));
    }
  expect(compared).toBeGreaterThan(12);
});
