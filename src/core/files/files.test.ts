import { describe, expect, test } from 'vitest';
import { inches, millimetres } from '../length';
import { cutListToJson, parseJson, parseLayJob, parseOrder, takeOffOrder } from './index';

const order = (lines: unknown, rest: object = {}) =>
  JSON.stringify({ format: 'jolly-bolt/order', version: 1, units: 'in', order: { no: 'T-1' }, lines, ...rest });
const good = {
  id: '1',
  kind: 'envelope-cushion',
  qty: 2,
  measures: { width: '20', height: '1 yd 6' },
  options: { hem: [0.25, '1/4'], overlap: '4 in' },
  cloth: { face: 'Reed' },
};

const messageOf = (text: string) => {
  const read = parseOrder(text);
  if (!read.ok) return read.faults[0]!.message;
  const list = takeOffOrder(read.value);
  return list.ok ? '' : list.faults[0]!.message;
};

describe('orders', () => {
  test('reads numbers in the document’s units and lengths as people write them', () => {
    const read = parseOrder(order([good, { ...good, id: '2', measures: { width: '42 cm', height: 16.5 } }]));
    if (!read.ok) throw new Error(read.faults[0]!.message);
    expect(read.value.lines[0]).toMatchObject({
      measures: { width: inches(20), height: inches(42) },
      options: { hem: [inches(0.25), inches(0.25)], overlap: inches(4) },
    });
    expect(read.value.lines[1]!.measures).toEqual({ width: millimetres(420), height: inches(16.5) });
  });

  test('a cut list in millimetres', () => {
    const read = parseOrder(
      order([{ ...good, measures: { width: 400, height: '40 cm' }, options: { seam: 10, hem: 30, overlap: 100 } }], {
        units: 'mm',
      }),
    );
    if (!read.ok) throw new Error(read.faults[0]!.message);
    const list = takeOffOrder(read.value);
    if (!list.ok) throw new Error(list.faults[0]!.message);
    const json = cutListToJson(list.value, 'mm');
    expect(json.pieces.map((piece) => [piece.qty, ...('size' in piece ? piece.size : [])])).toEqual([
      [2, 420, 420],
      [4, 420, 290],
    ]);
    expect(json).toMatchObject({ format: 'jolly-bolt/cut-list', version: 1, units: 'mm' });
  });

  test.each([
    ['not JSON', '{', 'not JSON'],
    ['another format', order([good], { format: 'x' }), 'format: "x"'],
    ['another version', order([good], { version: 2 }), 'version: 2'],
    ['unknown units', order([good], { units: 'ft' }), 'units: "ft"'],
    ['no lines', order([]), 'lines: []'],
    ['an unknown kind', order([{ ...good, kind: 'hat' }]), 'line 1: kind: "hat"'],
    ['a quantity of 0', order([{ ...good, qty: 0 }]), 'line 1: qty: 0'],
    [
      'a length that is none',
      order([{ ...good, measures: { width: 'wide', height: 3 } }]),
      'line 1: measures.width: “wide” is not a length',
    ],
    ['a negative number', order([{ ...good, measures: { width: -4, height: 3 } }]), 'line 1: measures.width: -4'],
    ['a measure left out', order([{ ...good, measures: { width: 4 } }]), 'line 1: measures.height: Height is needed.'],
    ['a zero', order([{ ...good, measures: { width: 0, height: 3 } }]), 'line 1: measures.width (0)'],
    ['an unknown measure', order([{ ...good, measures: { width: 4, height: 3, depth: 2 } }]), 'depth'],
    ['an unknown option', order([{ ...good, options: { sparkle: 1 } }]), 'line 1: options.sparkle'],
    ['an unknown fit', order([{ ...good, fit: 'loose' }]), 'line 1: fit: "loose"'],
    ['an unknown role', order([{ ...good, cloth: { hat: 'x' } }]), 'line 1: cloth: "hat"'],
    ['a line twice', order([good, good]), 'lines[1].id'],
    ['a null', order([null]), 'lines[0]: null'],
    ['a boolean length', order([{ ...good, measures: { width: true, height: 3 } }]), 'line 1: measures.width: true'],
  ])('refuses %s in one line', (_, text, expected) => {
    expect(messageOf(text)).toContain(expected);
    expect(messageOf(text)).not.toContain('\n');
  });
});

describe('JSON from outside', () => {
  test('too large, too deep', () => {
    const code = (text: string) => {
      const result = parseJson(text);
      return result.ok ? 'ok' : result.faults[0]!.code;
    };
    expect(code(`"${'x'.repeat(10_000_001)}"`)).toBe('json-large');
    expect(code('['.repeat(100_000) + ']'.repeat(100_000))).toBe('json-deep');
    expect(code('["[[[[\\"[[["]')).toBe('ok');
  });

  test('a lay job that is no job', () => {
    for (const text of [
      'null',
      '[]',
      '"x"',
      '{}',
      '{"format":"jolly-bolt/lay-job","version":1,"units":"in","cloth":null}',
    ]) {
      expect(parseLayJob(text).ok).toBe(false);
    }
  });
});
