import { waitFor } from '@testing-library/dom';
import { beforeEach, expect, test } from 'vitest';
import { server } from '@/features/commands/testing';
import { inches } from '@/core/length';
import { gone } from '@/ui/testing/navigation';
import { button, field, seen, show } from '@/ui/testing/screen';
import type { ShelfRow } from '../queries';
import { StockChoicePage } from './stock-choice';

beforeEach(() => {
  server.begin();
  gone.length = 0;
});

const item = (id: number, rest: Partial<ShelfRow> = {}) =>
  ({
    id,
    code: `B-${id}`,
    lot: '',
    widthNm: inches(54),
    onHand: inches(360),
    reserved: inches(36),
    place: 'Rack C',
    isLength: true,
    units: 'in',
    ...rest,
  }) as ShelfRow;
const choice = { pinned: [2], leftOut: [3], isLotMixed: false };
const open = (rest: Partial<Parameters<typeof StockChoicePage>[0]> = {}) =>
  show(
    <StockChoicePage
      batch={{ id: 4, name: 'Spring boats', isFrozen: false }}
      cloth={{ id: 7, name: 'Barge canvas' }}
      items={[item(1), item(2), item(3)]}
      choice={choice}
      why="the oldest that is long enough"
      used={['B-2']}
      {...rest}
    />,
  );
const way = (code: string, words: string) => {
  const group = document.querySelector(`[aria-label="${code} for this lay"]`)!;
  const label = [...group.querySelectorAll('label')].find((one) => seen(one) === words)!;
  return label.querySelector('input')!;
};

test('shows what is free of each, and what was chosen before', () => {
  open();
  expect(seen()).toContain('The lay takes B-2: the oldest that is long enough.');
  // 10 yd without the yard that is reserved.
  expect(seen(document.querySelector('tbody tr') as HTMLElement)).toContain('9 yd');
  expect([way('B-1', 'as it comes').checked, way('B-2', 'use it').checked, way('B-3', 'leave it').checked]).toEqual([
    true,
    true,
    true,
  ]);
});

test('keeps what is chosen now', async () => {
  const { me } = open();
  await me.click(way('B-1', 'use it'));
  await me.click(way('B-2', 'as it comes'));
  await me.click(field('Lots may mix in this lay'));
  await me.click(button('Keep this'));
  await waitFor(() => expect(gone).toEqual(['/batches/4']));
  expect(server.asked[0]).toMatchObject({
    action: 'chooseStock',
    args: [{ batchId: 4, clothId: 7, pinned: [1], leftOut: [3], isLotMixed: true }],
  });
});

test('a refusal is shown, and what was chosen stays', async () => {
  server.refuses({ '': 'The batch was approved meanwhile.' });
  const { me } = open();
  await me.click(way('B-3', 'use it'));
  await me.click(button('Keep this'));
  await waitFor(() => expect(seen()).toContain('The batch was approved meanwhile.'));
  expect(way('B-3', 'use it').checked).toBe(true);
  expect(gone).toEqual([]);
});

test('an approved batch says why nothing can be kept; an empty shelf leads to receiving', () => {
  const { again } = open({ batch: { id: 4, name: 'Spring boats', isFrozen: true } });
  expect(button('Keep this').disabled).toBe(true);
  expect(seen()).toContain('take the approval back before you choose again');
  again(
    <StockChoicePage
      batch={{ id: 4, name: 'Spring boats', isFrozen: false }}
      cloth={{ id: 7, name: 'Barge canvas' }}
      items={[]}
      choice={choice}
      why=""
      used={[]}
    />,
  );
  expect(seen()).toContain('None of it is on the shelf');
  expect(button('Receive some').getAttribute('href')).toBe('/stock/receive?what=cloth+7');
});
