import { waitFor } from '@testing-library/dom';
import { beforeEach, expect, test } from 'vitest';
import { USUAL_ROOM, type RoomHours } from '@/core/schedule';
import { server } from '@/features/commands/testing';
import { button, field, press, seen, show } from '@/ui/testing/screen';
import { HoursPanel } from './hours-panel';

beforeEach(() => server.begin());

const open = () => show(<HoursPanel initial={USUAL_ROOM} people={[{ id: 4, name: 'Ada' }]} />);
const saved = () => (server.asked.at(-1)!.args as [RoomHours])[0];

test('what somebody does and when is saved as it was ticked', async () => {
  server.gives(null);
  const { me } = open();
  expect(button('Saved').disabled).toBe(true);
  await me.click(field('Cutting'));
  await me.click(field('Sat'));
  await press(me, 'Save hours');
  await waitFor(() => expect(server.asked).toHaveLength(1));
  const [ada] = saved().people;
  expect(ada!.does).toEqual(['sew', 'check']);
  expect(ada!.week.map((day) => day !== null)).toEqual([true, true, true, true, true, true, false]);
});

test('days off are added and taken away again', async () => {
  server.gives(null);
  const { me } = open();
  await press(me, 'Days off');
  await press(me, 'Days off');
  await me.click(button('Take days off 1 away'));
  await press(me, 'Save hours');
  await waitFor(() => expect(saved().off).toEqual([{ personId: null, from: '', to: '', why: '' }]));
});

test('a refusal is said, and nothing that was ticked is lost', async () => {
  server.refuses({ 'off.0.from': 'Choose the day.' });
  const { me } = open();
  await me.click(field('Cutting'));
  await press(me, 'Save hours');
  await waitFor(() => expect(seen()).toContain('Choose the day.'));
  expect((field('Cutting') as HTMLInputElement).checked).toBe(false);
});
