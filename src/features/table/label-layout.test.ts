import { describe, expect, test } from 'vitest';
import { HEAD, LABEL_PAD_MM, layOutLabel, LINE_HEIGHT } from './label-layout';
import { LABEL_SIZES } from './label-sizes';
import type { PieceLabel } from './labels';

const label: PieceLabel = {
  part: '',
  code: '7-12',
  orderNo: 214,
  mark: 3,
  customer: 'Overhead Wire Tram Museum',
  cover: 'Boxed cushion with a zip panel',
  piece: 'zip panel, half 2',
  size: '78 3/4 × 3 1/8 in',
  cloth: 'Saloon moquette',
  isMatched: true,
  marks: ['3 end of the opening', '4 end of the opening', '5 middle of the front'],
  next: 'Press the seam allowance of both halves, and baste the zip between them by hand in a thread of another colour.',
};
const textOf = (rows: readonly string[]) => rows.join(' ');

describe('a label', () => {
  test.each(LABEL_SIZES)('$name: every line is there whole or not at all, and all of them have room', (size) => {
    const { lines, pt } = layOutLabel(label, size);
    const whole = [
      'zip panel, half 2 ◇',
      label.size,
      `Mark: ${label.marks.join(', ')}`,
      'Mark: 3, 4, 5; see the sheet',
      label.cover,
      label.cloth,
      label.customer,
      label.next,
    ];
    for (const { rows } of lines) expect(whole).toContain(textOf(rows));
    const high = (HEAD * pt + lines.reduce((sum, line) => sum + line.rows.length * line.pt, 0)) * LINE_HEIGHT;
    expect((high * 25.4) / 72).toBeLessThanOrEqual(size.height - 2 * LABEL_PAD_MM + 1e-9);
    expect(lines.map(({ what }) => what).slice(0, 3)).toEqual(['piece', 'size', 'marks']);
  });

  test('what matters least goes first, and the piece and its size stay on the smallest', () => {
    const large = layOutLabel(label, { width: 200, height: 100 }).lines.map(({ what }) => what);
    expect(large).toEqual(['piece', 'size', 'marks', 'cover', 'cloth', 'customer', 'next']);
    const small = layOutLabel(label, { width: 60, height: 30 }).lines;
    expect(small.map(({ what }) => what)).not.toContain('next');
    expect(small.slice(0, 2).map(({ what }) => what)).toEqual(['piece', 'size']);
  });
});
