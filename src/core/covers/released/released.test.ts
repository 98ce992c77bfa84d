import { describe, expect, test } from 'vitest';
import { kindBook, KINDS, unknownKind } from '../index';
import { RELEASED } from './index';

const book = kindBook(RELEASED);

describe('the released versions of the built-in kinds', () => {
  test.each(KINDS.map((kind) => [kind.id, kind] as const))(
    'hold %s as it is now, and all versions before',
    (id, kind) => {
      const versions = RELEASED.filter((one) => one.id === id).map(({ version }) => version);
      expect(versions).toEqual(Array.from({ length: kind.version }, (_, i) => i + 1));
      const now = RELEASED.find((one) => one.id === id && one.version === kind.version);
      expect(now, 'changed without a new version: raise it and run "npm run release-kinds"').toEqual(
        JSON.parse(JSON.stringify(kind)),
      );
    },
  );

  test('are found by their version alone; another never stands in for one', () => {
    expect(book.find('zip-cushion', 2)!.version).toBe(2);
    expect(book.find('zip-cushion')).toBe(KINDS.find(({ id }) => id === 'zip-cushion'));
    expect(book.find('zip-cushion', 99)).toBeUndefined();
    expect(kindBook().find('zip-cushion', 1)).toBeUndefined();
    expect(unknownKind(book, 'zip-cushion', 99).message).toBe(
      '“Cushion with a zip in the bottom seam” is not known here in version 99: the order comes from a later version of this application. Update it, or take the line out and write it again.',
    );
    expect(unknownKind(book, 'hammock', 1).message).toBe('“hammock” is not a cover kind.');
  });
});
