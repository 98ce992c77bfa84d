import { expect, test } from 'vitest';
import { readTape } from './device-tape';

test('what a tape says is read, and nothing else', () => {
  expect(readTape('{"sort":"measure","value":"23 1/2","unit":"in","battery":80}')).toEqual({
    word: { sort: 'measure', text: '23 1/2 in' },
    battery: 80,
  });
  expect(readTape('{"sort":"hello","name":"t","battery":5}')).toEqual({ word: null, battery: 5 });
  expect(readTape('{"sort":"fault","what":"battery low"}')).toEqual({
    word: { sort: 'fault', what: 'battery low' },
    battery: null,
  });
  const nonsense = [
    '',
    'hello',
    'null',
    '7',
    '{"sort":"measure","value":"<b>","unit":"in"}',
    '{"sort":"measure","value":"2","unit":"ell"}',
    '{"sort":"fault","what":"on fire"}',
    `{"sort":"hello","x":"${'y'.repeat(2_000)}"}`,
    new Uint8Array(3),
  ];
  for (const one of nonsense) expect(readTape(one)).toBeNull();
});
