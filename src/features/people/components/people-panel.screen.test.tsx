import { waitFor } from '@testing-library/dom';
import { beforeEach, describe, expect, test } from 'vitest';
import { server } from '@/features/commands/testing';
import { gone } from '@/ui/testing/navigation';
import { button, errorOf, field, press, seen, show, type } from '@/ui/testing/screen';
import { PeoplePanel } from './people-panel';

beforeEach(() => {
  server.begin();
  gone.length = 0;
});
const asked = () => server.asked.map(({ action }) => action);

describe('who is here', () => {
  const people = [
    { id: 1, name: 'Ada Weir', initials: 'AW', colour: 0 },
    { id: 2, name: 'Ben Lock', initials: 'BL', colour: 1 },
  ];
  const open = (here: number | null) =>
    show(<PeoplePanel people={people} here={people.find(({ id }) => id === here) ?? null} />);

  test('is chosen from the list, and taken back by a second press', async () => {
    const { me, unmount } = open(null);
    await me.click(document.querySelectorAll('button[aria-pressed]')[1]!);
    await waitFor(() => expect(gone).toEqual(['again']));
    unmount();
    const second = open(2);
    await second.me.click(document.querySelector('button[aria-pressed=true]')!);
    await waitFor(() => expect(asked()).toEqual(['choosePerson', 'choosePerson']));
  });

  test('the first who is written down is here at once; a further one is not', async () => {
    server.gives({ id: 3 });
    const { me, unmount } = open(null);
    await type(me, field('Name of somebody who works here'), 'Cass Sluice');
    await press(me, 'Add to the list');
    await waitFor(() => expect(asked()).toEqual(['addPerson', 'choosePerson']));
    await waitFor(() => expect(field('Name of somebody who works here').value).toBe(''));
    unmount();
    const second = open(1);
    await type(second.me, field('Name of somebody who works here'), 'Dot');
    await press(second.me, 'Add to the list');
    await waitFor(() => expect(asked()).toEqual(['addPerson', 'choosePerson', 'addPerson']));
  });

  test('a name that is none is shown at the field, and stays there', async () => {
    server.refuses({ name: 'Write a name of at most 60 letters.' });
    const { me } = open(null);
    await type(me, field('Name of somebody who works here'), 'x'.repeat(61));
    await press(me, 'Add to the list');
    await waitFor(() => expect(errorOf(field('Name of somebody who works here'))).toContain('at most 60 letters'));
    expect(field('Name of somebody who works here').value).toHaveLength(61);
  });

  test('where the server does not answer that is said', async () => {
    server.answer = new TypeError('Failed to fetch');
    const { me } = open(null);
    await me.click(button('Take Ada Weir off the list'));
    await waitFor(() => expect(seen()).toContain('The workroom’s computer did not answer.'));
  });
});
