import { waitFor } from '@testing-library/dom';
import { beforeEach, expect, test } from 'vitest';
import { USUAL_PLACES, type Place } from '@/core/making';
import { server } from '@/features/commands/testing';
import { button, errorOf, field, press, seen, show, type } from '@/ui/testing/screen';
import { PlacesPanel } from './places-panel';

beforeEach(() => server.begin());
const open = () =>
  show(<PlacesPanel initial={USUAL_PLACES.map((place) => ({ ...place, states: [...place.states] }))} />);
const sent = () => (server.asked.at(-1)!.args[0] as Place[]).map(({ name, states }) => [name, states]);

test('a place is named anew, added and moved, and what stands there is chosen', async () => {
  const { me } = open();
  expect(button('Saved').disabled).toBe(true);
  await type(me, field('Place 2'), 'Two machines');
  await me.click(field('checked'));
  await press(me, 'Add a place');
  await type(me, field('Place 5'), 'Loft');
  await press(me, 'Loft earlier');
  await press(me, 'Save places');
  expect(sent()).toEqual([
    ['Long table', ['to cut', 'cut', 'checked']],
    ['Two machines', ['in sewing', 'to mend']],
    ['Bench', ['to check', 'checked']],
    ['Loft', ['in sewing']],
    ['Door shelf', ['packed', 'handed over']],
  ]);
  await waitFor(() => expect(button('Saved').disabled).toBe(true));
});

test('what the server refuses is shown where it belongs, and nothing is lost', async () => {
  const { me } = open();
  await type(me, field('Place 2'), 'bench');
  server.refuses({
    'places.1.name': 'Another place has this name already.',
    places: 'No place takes covers that are “cut”.',
  });
  await press(me, 'Save places');
  await waitFor(() => expect(errorOf(field('Place 2'))).toBe('Another place has this name already.'));
  expect(seen()).toContain('No place takes covers');
  expect(field('Place 2').value).toBe('bench');
});
