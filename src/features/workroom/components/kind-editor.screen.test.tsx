import { waitFor } from '@testing-library/dom';
import { beforeEach, describe, expect, test } from 'vitest';
import { kindById, TAPES, type CoverKind } from '@/core/covers';
import { server } from '@/features/commands/testing';
import { gone } from '@/ui/testing/navigation';
import { button, errorOf, field, press, seen, show, type } from '@/ui/testing/screen';
import { EMPTY_KIND } from '../form';
import { KindEditor } from './kind-editor';

// A kind of the workroom's own, from nothing to its next version.

beforeEach(() => {
  server.begin();
  gone.length = 0;
});

const open = (initial: CoverKind = EMPTY_KIND, edited: Parameters<typeof KindEditor>[0]['edited'] = null) =>
  show(<KindEditor edited={edited} initial={initial} units="in" />);
const own = { ...kindById('bolster')!, id: 'own-1', name: 'Lifebelt bolster' };
const EDITED = { id: 1, version: 2, isWithdrawn: false, uses: 3 };
const sent = () => server.asked.at(-1)!.args as [CoverKind, { id: number; version: number } | null];

describe('a new kind', () => {
  test('is not saved without a name, and says so only then; with one it is saved as it stands, and leads to its own page', async () => {
    server.gives({ id: 7, version: 1 });
    const { me } = open();
    await type(me, field('In a sentence'), 'Two faces, laced.');
    expect(errorOf(field('Name'))).toBeUndefined();
    await press(me, 'Save kind');
    await waitFor(() => expect(errorOf(field('Name'))).toBe('Give the kind a name.'));
    expect(server.asked).toEqual([]);
    await type(me, field('Name'), 'Fender jacket');
    await press(me, 'Save kind');
    await waitFor(() => expect(gone).toEqual(['/workroom/kinds/7']));
    const [kind, edited] = sent();
    expect(edited).toBeNull();
    expect(kind).toMatchObject({ name: 'Fender jacket', about: 'Two faces, laced.' });
  });

  test('faults are counted, and what was written stays; a sum that is wrong is shown so at its cell, each time why, until it is right', async () => {
    const { me } = open();
    await press(me, 'Add a sum');
    await type(me, field('Sums, 1, Name'), 'loop');
    const cell = () => field('Sums, 1, Is');
    await type(me, cell(), 'strap');
    // The name is not written yet either.
    await press(me, 'Save kind');
    await waitFor(() => expect(seen()).toMatch(/2 things are to be put right first; the first: /));
    expect(cell().value).toBe('strap');
    expect(server.asked).toEqual([]);
    for (const [formula, message] of [
      ['strap + inch(2)', '“strap” is not a measure, an option or a result of this kind.'],
      ['height / (2 - 2)', 'The formula divides by zero.'],
      ['loop + inch(1)', 'This goes in a circle: “loop” needs “loop”.'],
    ] as const) {
      await type(me, cell(), formula);
      await waitFor(() => expect(errorOf(cell())).toBe(message));
    }
    await type(me, cell(), 'height / 2');
    await waitFor(() => expect(errorOf(cell())).toBeUndefined());
  });

  test('a piece that would come to nothing on the sample is shown, with what it comes to', async () => {
    const { me } = open();
    await press(me, 'Add a piece');
    await type(me, field('Pieces, 2, Piece'), 'strap');
    await type(me, field('Pieces, 2, Along'), 'height');
    await type(me, field('Pieces, 2, Across'), 'inch(2) - width');
    await waitFor(() => expect(errorOf(field('Pieces, 2, Across'))).toMatch(/On the sample this comes to -14 in/));
  });
});

describe('one that is there', () => {
  test('has nothing to save until something changes, and goes on from the version that was read', async () => {
    server.gives({ id: 1, version: 3 });
    const { me } = open(own, EDITED);
    expect(seen()).toContain('Version 2, 3 order lines; a save makes the next version, orders keep theirs');
    expect(button('Saved').disabled).toBe(true);
    await type(me, field('In a sentence'), 'Round, with a drawstring.');
    await press(me, 'Save kind');
    await waitFor(() => expect(seen()).toContain('Version 3,'));
    expect(sent()[1]).toEqual({ id: 1, version: 2 });
    expect(button('Saved').disabled).toBe(true);
    await type(me, field('In a sentence'), 'Round, laced.');
    await press(me, 'Save kind');
    await waitFor(() => expect(sent()[1]).toEqual({ id: 1, version: 3 }));
  });

  test('what the server refuses is shown, and what was written is still there', async () => {
    server.refuses({ name: 'Another kind has this name already.' });
    const { me } = open(own, EDITED);
    await type(me, field('Name'), 'Bolster');
    await press(me, 'Save kind');
    await waitFor(() => expect(errorOf(field('Name'))).toBe('Another kind has this name already.'));
    expect(field('Name').value).toBe('Bolster');
    await type(me, field('Name'), 'Bolster of ours');
    expect(errorOf(field('Name'))).toBeUndefined();
  });

  test('rows are moved up and taken out; measured on another thing, it loses the places of the tape that this has not', async () => {
    server.gives({ id: 1, version: 3 });
    const { me } = open(own, EDITED);
    const steps = own.steps.map((step) => step.do);
    expect(steps.length).toBeGreaterThan(1);
    const shown = () =>
      own.steps.map((_, i) => document.querySelector<HTMLTextAreaElement>(`[aria-label^="Steps, ${i + 1}, "]`)?.value);
    await press(me, 'Move steps 2 up');
    expect(shown().slice(0, 2)).toEqual([steps[1], steps[0]]);
    await press(me, 'Take out steps 1');
    expect(shown()).toEqual([steps[0], ...steps.slice(2), undefined]);
    expect(own.measures.some(({ tape }) => tape)).toBe(true);
    await me.selectOptions(field('What is measured'), 'a book');
    await press(me, 'Save kind');
    await waitFor(() => expect(server.asked).toHaveLength(1));
    const [kind] = sent();
    expect(kind.object).toBe('book');
    expect(kind.measures.map(({ id }) => id)).toEqual(own.measures.map(({ id }) => id));
    const places: readonly string[] = TAPES.book;
    const kept = own.measures.map(({ tape }) => (tape && places.includes(tape) ? tape : undefined));
    expect(kind.measures.map(({ tape }) => tape)).toEqual(kept);
    expect(kept).not.toEqual(own.measures.map(({ tape }) => tape));
  });

  test('goes out as a file of the open format; is withdrawn, and offered again', async () => {
    const { me, again } = open(own, EDITED);
    const link = document.querySelector<HTMLAnchorElement>('a[download]')!;
    expect(link.download).toBe('Lifebelt bolster.json');
    const text = decodeURIComponent(link.href.slice(link.href.indexOf(',') + 1));
    expect(JSON.parse(text)).toMatchObject({ format: 'jolly-bolt/cover-kind', kind: { name: 'Lifebelt bolster' } });
    await press(me, 'Withdraw');
    await waitFor(() => expect(server.asked.at(-1)).toMatchObject({ action: 'withdrawKind', args: [1, true] }));
    again(<KindEditor edited={{ ...EDITED, isWithdrawn: true }} initial={own} units="in" />);
    await press(me, 'Offer again');
    await waitFor(() => expect(server.asked.at(-1)).toMatchObject({ action: 'withdrawKind', args: [1, false] }));
  });
});

describe('tried out beside', () => {
  test('the cover of everyday sizes is there with its pieces, and of those that are typed', async () => {
    const { me } = open(own, EDITED);
    await waitFor(() => expect(seen()).toContain('Tried out'));
    const measure = own.measures[0]!;
    await waitFor(() => field(measure.label));
    expect(seen()).not.toContain('31');
    await type(me, field(measure.label), '31');
    await waitFor(() => expect(seen()).toContain('31'));
  });
});
