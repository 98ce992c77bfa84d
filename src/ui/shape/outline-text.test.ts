import { describe, expect, test } from 'vitest';
import { inches } from '@/core/length';
import { mapOutline, offsetsIn, readOffsets, readOutline, writeOffsets } from './outline-text';

describe('corners', () => {
  test('an outline has three corners at least, each of two lengths', () => {
    for (const text of ['', '0,0', '0,0;1,1'])
      expect(readOutline(text, 'in')).toMatchObject({
        ok: false,
        faults: [{ field: 'outline', message: 'An outline has 3 to 500 corners, one a line.' }],
      });
    expect(readOutline('0,0;1,1,1;2,2', 'in')).toMatchObject({ ok: false });
    expect(readOutline(Array.from({ length: 501 }, (_, i) => `${i},${i}`).join('\n'), 'in')).toMatchObject({
      ok: false,
    });
  });
});

describe('offsets', () => {
  const written = 'offsets, smooth\n0: 9, 10 1/2\n24: 11, 12 corner\n48: 8, 8';

  test('are kept as one text and read back', () => {
    const offsets = offsetsIn(written)!;
    expect(offsets).toEqual({
      isSmooth: true,
      rows: [
        { at: '0', left: '9', right: '10 1/2', isCorner: false },
        { at: '24', left: '11', right: '12', isCorner: true },
        { at: '48', left: '8', right: '8', isCorner: false },
      ],
    });
    expect(writeOffsets(offsets)).toBe(written);
    expect(offsetsIn('0, 0\n3, 0\n3, 3')).toBeNull();
    expect(offsetsIn('Offsets, straight; 0: 1, 1; 9: 1, 1')).toMatchObject({ isSmooth: false, rows: [{}, {}] });
    // While “8 1/2” is typed, its space is kept.
    const typing = { isSmooth: true, rows: [{ at: '0', left: '8 ', right: '9 ', isCorner: true }] };
    expect(offsetsIn(writeOffsets(typing))).toEqual(typing);
  });

  test('make the outline of the order', () => {
    const read = readOutline(written.replace('smooth', 'straight'), 'in');
    expect(read).toMatchObject({ ok: true });
    expect(read.ok && read.value.map(([x, y]) => [x / inches(1), y / inches(1)])).toEqual([
      [21.5, 0],
      [23, 24],
      [19, 48],
      [3, 48],
      [0, 24],
      [2, 0],
    ]);
  });

  test('a station that is not written yet is shown by its number', () => {
    expect(readOffsets(offsetsIn('offsets, smooth\n0: 9, 9\n24: 11,')!, 'in')).toMatchObject({
      ok: false,
      faults: [{ field: 'outline', message: expect.stringMatching(/^Station 2 needs three lengths/) }],
    });
  });

  test('are written anew in other units, corner and curve kept', () => {
    expect(mapOutline(written, (length) => `${length} in`)).toBe(
      'offsets, smooth\n0 in: 9 in, 10 1/2 in\n24 in: 11 in, 12 in corner\n48 in: 8 in, 8 in',
    );
    expect(mapOutline('0, 0; 3, 0\n3, 3', (length) => `${length} in`)).toBe('0 in, 0 in; 3 in, 0 in\n3 in, 3 in');
  });
});
