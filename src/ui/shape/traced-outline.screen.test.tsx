import { waitFor } from '@testing-library/dom';
import { useState } from 'react';
import { expect, test, vi } from 'vitest';
import { field, press, seen, show, type } from '../testing/screen';
import { TracedOutline } from './traced-outline';

vi.mock('./drawing-file', () => ({ DrawingFile: () => null }));
vi.mock('./form-photo', () => ({ FormPhoto: () => null }));

let kept = '';
function Form({ first, error }: { first: string; error?: string }) {
  const [value, setValue] = useState(first);
  const keep = (text: string) => {
    kept = text;
    setValue(text);
  };
  return (
    <TracedOutline title="Traced" value={value} units="in" error={error} help="A seam goes round it." onChange={keep} />
  );
}
const SEAT = '0, 0\n16, 0\n14, 15\n2, 15';
const cell = (station: number, column: string) => field(`Station ${station}, ${column}`);
const OFFSETS = 'offsets, straight\n0: 9, 9\n8: 10, 10\n16: 8, 8';

test('is drawn as it is written, with the sizes that the tape should find', async () => {
  const { me } = show(<Form first={SEAT} />);
  expect(document.querySelector('svg[role=img]')?.getAttribute('aria-label')).toBe('The outline, 4 corners');
  expect(seen()).toMatch(/Across ?16 in/);
  expect(seen()).toMatch(/Along ?15 in/);
  await type(me, field('Corners of the form'), '0, 0\n16, 0\n0, 15\n16, 15');
  expect(seen()).toContain('It crosses or touches itself.');
  await type(me, field('Corners of the form'), '0, 0\nsixteen');
  expect(seen()).toContain('It is drawn here.');
});

test('what is wrong with it is shown at its field', () => {
  show(<Form first={SEAT} error="A form has at least three corners." />);
  expect(seen()).toContain('A form has at least three corners.');
  expect(seen()).not.toContain('One corner a line');
});

test('the way that is turned away from keeps what was written in it', async () => {
  const { me } = show(<Form first={OFFSETS} />);
  expect(cell(2, 'to the left').value).toBe('10');
  /** Turns to a way, and waits until its first field stands there. */
  const turnTo = async (way: string, first: string) => {
    await me.click([...document.querySelectorAll('label')].find((one) => seen(one) === way)!);
    await waitFor(() => field(first));
  };
  await turnTo('Corner by corner', 'Corners of the form');
  expect(kept).toBe('');
  await type(me, field('Corners of the form'), SEAT);
  await turnTo('Offsets from a centre line', 'Station 1, along the line');
  expect(kept).toBe(OFFSETS);
  await turnTo('Corner by corner', 'Corners of the form');
  expect(kept).toBe(SEAT);
});

test('stations are written cell by cell, added and taken away; two of them stay', async () => {
  const { me } = show(<Form first={OFFSETS} />);
  await type(me, cell(3, 'to the right'), '8 1/2');
  expect(kept).toContain('16: 8, 8 1/2');
  expect(seen()).toMatch(/Across ?20 in/);
  await press(me, 'Add a station');
  await type(me, cell(4, 'along the line'), '20');
  expect(kept.split('\n')).toHaveLength(5);
  await press(me, 'Take away station 4');
  await press(me, 'Take away station 1');
  expect(kept.split('\n')).toHaveLength(3);
  expect(document.querySelector<HTMLButtonElement>('[aria-label="Take away station 1"]')!.disabled).toBe(true);
});

test('a cell that is no length is marked; what parts lengths in the text that is kept cannot come into a cell', async () => {
  const { me } = show(<Form first={OFFSETS} />);
  await type(me, cell(1, 'to the left'), 'nine');
  expect(cell(1, 'to the left').getAttribute('aria-invalid')).toBe('true');
  await type(me, cell(1, 'to the left'), '9,5');
  expect(cell(1, 'to the left').value).toBe('9.5');
});

test('Enter goes on to the next row and makes one where there is none; corners are asked for only on a curve', async () => {
  const { me } = show(<Form first={OFFSETS} />);
  expect(cell(1, 'corner').disabled).toBe(true);
  await me.selectOptions(field('Between stations'), 'smooth, as a batten bends');
  expect(cell(1, 'corner').disabled).toBe(false);
  await me.click(cell(2, 'corner'));
  expect(kept.split('\n')[2]).toMatch(/corner/);
  await me.click(cell(3, 'along the line'));
  await me.keyboard('{Enter}');
  expect(cell(4, 'along the line').value).toBe('');
});
