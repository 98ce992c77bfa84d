import { waitFor } from '@testing-library/dom';
import { beforeEach, expect, test } from 'vitest';
import { server } from '@/features/commands/testing';
import { button, errorOf, field, press, seen, show, type } from '@/ui/testing/screen';
import { hasUnsaved } from '@/ui/unsaved/unsaved';
import { MachinesPanel } from './machines-panel';

beforeEach(() => server.begin());
const open = () => show(<MachinesPanel initial={{ cutter: '', printer: '', tape: '', supplier: '' }} />);

test('what was only looked at holds nothing that would be lost; what is typed does', async () => {
  const { me } = open();
  expect(hasUnsaved()).toBe(false);
  await type(me, field('Cutter'), 'http://127.0.0.1:9');
  await waitFor(() => expect(hasUnsaved()).toBe(true));
});

test('an address that is none is shown at its field while it is typed; a good one is saved', async () => {
  const { me } = open();
  expect(button('Saved').disabled).toBe(true);
  await type(me, field('Label printer'), 'http://127.0.0.1:4102');
  expect(errorOf(field('Label printer'))).toBe('The label printer’s address is like 127.0.0.1:4102, without http.');
  expect(button('Save').disabled).toBe(true);
  await type(me, field('Label printer'), '127.0.0.1:4102');
  await press(me, 'Save');
  await waitFor(() => expect(button('Saved').disabled).toBe(true));
  expect(server.asked[0]!.args).toEqual([{ cutter: '', printer: '127.0.0.1:4102', tape: '', supplier: '' }]);
});

test('what could not be saved since nobody answered goes with the next press', async () => {
  server.answer = new TypeError('Failed to fetch');
  const { me } = open();
  await type(me, field('Cutter'), 'http://127.0.0.1:4101');
  await press(me, 'Save');
  await waitFor(() => expect(seen()).toContain('did not answer. What you typed is still here; try again.'));
  server.begin();
  await press(me, 'Save');
  await waitFor(() => expect(button('Saved').disabled).toBe(true));
  expect(seen()).not.toContain('did not answer');
});

test('what the server finds is shown at its field', async () => {
  server.refuses({ supplier: 'That address leads back here.' });
  const { me } = open();
  await type(me, field('Supplier’s list'), 'http://127.0.0.1:4105/prices');
  await press(me, 'Save');
  await waitFor(() => expect(errorOf(field('Supplier’s list'))).toBe('That address leads back here.'));
});
