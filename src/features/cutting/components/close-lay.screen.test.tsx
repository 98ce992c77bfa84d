import { waitFor } from '@testing-library/dom';
import { beforeEach, describe, expect, test } from 'vitest';
import { server } from '@/features/commands/testing';
import { inches } from '@/core/length';
import { gone } from '@/ui/testing/navigation';
import { button, errorOf, field, press, seen, show, type } from '@/ui/testing/screen';
import { hasUnsaved } from '@/ui/unsaved/unsaved';
import type { CuttingView } from '../queries';
import { CloseLay } from './close-lay';
import { ClosedLay } from './closed-lay';

beforeEach(() => {
  server.begin();
  server.gives({ isBatchCut: false });
  gone.length = 0;
});

const choices = [
  { id: 21, code: 'B-21', lot: 'K 4', leftNm: inches(360) },
  { id: 22, code: 'B-22', lot: '', leftNm: inches(90) },
];
const remnant = { code: 'B-21', proposed: 0, isKept: true, across: '20', along: '31 1/2', place: '', hasShape: true };
const view = (rest: Partial<CuttingView> = {}): CuttingView => ({
  batch: { id: 4, name: 'Spring boats', status: 'approved', version: 6 },
  clothId: 7,
  clothName: 'Barge canvas',
  units: 'in',
  usedNm: inches(130),
  areSheets: false,
  lengths: [
    { code: 'B-21', itemId: 21, usedNm: inches(90), choices },
    { code: 'roll', itemId: null, usedNm: inches(40), choices },
  ],
  remnants: [remnant],
  parts: [{ id: '31 front', label: '31 front, 19 × 17 1/2', length: '17 1/2' }],
  found: [],
  cutAt: null,
  outcome: null,
  events: [],
  ...rest,
});
const sent = () => server.asked[0]!.args[0] as Record<string, never>;

describe('closing a lay', () => {
  test('as planned takes what was planned, with the version of the batch that was read', async () => {
    const { me } = show(<CloseLay view={view()} />);
    expect(seen()).toContain('Nothing: all was cut as planned.');
    expect(seen()).toContain('2 yd 18 in, planned on B-21');
    expect(seen()).toContain('1 yd 4 in, planned on new cloth');
    await me.click(button('Cut as planned'));
    await waitFor(() => expect(gone).toEqual(['again']));
    const { hasShape: _, ...kept } = remnant;
    expect(sent()).toEqual({
      batchId: 4,
      clothId: 7,
      version: 6,
      from: [
        { code: 'B-21', itemId: 21 },
        { code: 'roll', itemId: null },
      ],
      events: [],
      remnants: [kept],
    });
  });

  test('what was really cut from, what went otherwise and a remnant of one’s own go with it', async () => {
    const { me } = show(<CloseLay view={view()} />);
    await me.selectOptions(field('1 yd 4 in, planned on new cloth'), '22');
    await me.click(button('Report a problem'));
    // Whose piece it was is asked only where it is about a piece.
    expect([...document.querySelectorAll('label')].some((label) => seen(label) === 'Piece')).toBe(false);
    await me.selectOptions(field('What'), 'A piece was cut again');
    await me.selectOptions(field('On'), 'roll');
    await type(me, field('Extra length used'), '24');
    await me.selectOptions(field('Piece'), '31 front, 19 × 17 1/2');
    await type(me, field('Why'), 'slipped');
    await me.click(field('Keep remnant 1'));
    await me.click(button('Another remnant'));
    await type(me, field('Across', 1), '12');
    await type(me, field('Along', 1), '14');
    await type(me, field('Place', 1), 'Bin 3');
    await me.click(button('Close with what happened'));
    await waitFor(() => expect(server.asked).toHaveLength(1));
    expect(sent()).toMatchObject({
      from: [{ itemId: 21 }, { itemId: 22 }],
      events: [{ sort: 'recut', code: 'roll', length: '24', part: '31 front', why: 'slipped' }],
      remnants: [{ isKept: false }, { proposed: null, isKept: true, across: '12', along: '14', place: 'Bin 3' }],
    });
  });

  test('what was noted at the cutting table stands there, and can be taken out', async () => {
    const found = [
      { sort: 'flaw found' as const, code: 'B-21', length: '', part: '', why: 'oil' },
      { sort: 'end crooked' as const, code: 'B-21', length: '2', part: '', why: '' },
    ];
    const { me } = show(<CloseLay view={view({ found })} />);
    expect([field('Why').value, field('Extra length used', 1).value]).toEqual(['oil', '2']);
    await me.click(button('Take this out'));
    expect(field('Extra length used').value).toBe('2');
    await me.click(button('Close with what happened'));
    await waitFor(() => expect(server.asked).toHaveLength(1));
    expect(sent()).toMatchObject({ events: [{ sort: 'end crooked', length: '2' }] });
  });

  test('faults are shown at what they are about; typing takes them away', async () => {
    server.refuses({ 'remnants.0.along': 'A length is more than zero.', from: 'B-21 has no longer so much.' });
    const { me } = show(<CloseLay view={view()} />);
    await me.click(button('Cut as planned'));
    await waitFor(() => expect(errorOf(field('Along'))).toBe('A length is more than zero.'));
    expect(seen()).toContain('B-21 has no longer so much.');
    await type(me, field('Along'), '30');
    expect(errorOf(field('Along'))).toBeUndefined();
    expect(seen()).not.toContain('B-21 has no longer so much.');
  });

  test('the last cloth leads on to the batch', async () => {
    server.gives({ isBatchCut: true });
    const { me } = show(<CloseLay view={view({ remnants: [] })} />);
    expect(seen()).toContain('Nothing that is left is as large as the workroom keeps.');
    await me.click(button('Cut as planned'));
    await waitFor(() => expect(gone).toEqual(['/batches/4']));
  });

  test('sheets are taken from the oldest, so nothing is chosen', () => {
    show(<CloseLay view={view({ areSheets: true })} />);
    expect(seen()).toContain('2 sheets, taken from the oldest on the shelf.');
    expect(seen()).not.toContain('planned on');
  });
});

describe('a closed lay', () => {
  const split = { pieces: inches(70), remnant: inches(8), offcut: inches(6), selvage: inches(6), pattern: 0, flaw: 0 };
  const outcome = {
    isAsPlanned: false,
    items: [{ code: 'B-21', itemId: 21, usedNm: inches(90), split, moreNm: inches(3) }],
  };

  test('says where the cloth went: parts that add up to what was used, and what went beyond', () => {
    show(<ClosedLay view={view({ outcome })} />);
    const rows = [...document.querySelectorAll('tbody tr')].map((one) =>
      [...one.children].map((cell) => seen(cell as HTMLElement)),
    );
    expect(rows).toEqual([
      ['Pieces and strips', '1 yd 34 in'],
      ['Remnants kept', '8 in'],
      ['Offcuts', '6 in'],
      ['Selvages', '6 in'],
      ['Used as planned', '2 yd 18 in'],
      ['Beyond the plan', '3 in'],
    ]);
  });

  test('only the lengths of which more went than planned are marked', () => {
    const asPlanned = { ...outcome.items[0]!, code: 'R-4', itemId: 4, moreNm: 0 };
    show(<ClosedLay view={view({ outcome: { ...outcome, items: [asPlanned, ...outcome.items] } })} />);
    expect([...document.querySelectorAll('td.late')].map((cell) => seen(cell as HTMLElement))).toEqual(['3 in']);
  });

  test('a piece that must be cut again is booked with its cloth and its reason', async () => {
    const { me } = show(<ClosedLay view={view({ outcome })} />);
    await me.click(button('A piece must be cut again'));
    expect(hasUnsaved()).toBe(false);
    await me.selectOptions(field('Piece'), '31 front, 19 × 17 1/2');
    await me.selectOptions(field('From'), 'B-22, 2 yd 18 in left');
    await type(me, field('Length'), '20');
    await type(me, field('Why'), 'scorched');
    expect(hasUnsaved()).toBe(true);
    server.refuses({ length: 'B-22 has only 9 in.' });
    await me.click(button('Book the recut'));
    await waitFor(() => expect(errorOf(field('Length'))).toBe('B-22 has only 9 in.'));
    server.gives({});
    await press(me, 'Book the recut');
    await waitFor(() => expect(gone).toEqual(['again']));
    expect(server.asked[1]!.args).toEqual([
      { batchId: 4, clothId: 7, part: '31 front', itemId: 22, length: '20', why: 'scorched' },
    ]);
    expect(seen()).not.toContain('Book the recut');
    expect(hasUnsaved()).toBe(false);
  });
});
