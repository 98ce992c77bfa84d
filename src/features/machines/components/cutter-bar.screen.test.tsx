import { waitFor } from '@testing-library/dom';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { server } from '@/features/commands/testing';
import { button, press, seen, show } from '@/ui/testing/screen';
import type { CutterView } from '../queries';
import { CutterBar } from './cutter-bar';

/** Reports of the cutter to the page. */
let view: CutterView | null;
let looks: number;
beforeEach(() => {
  server.begin();
  view = null;
  looks = 0;
  vi.stubGlobal('fetch', async () => (looks++, Response.json(view)));
});
afterEach(() => vi.useRealTimers());

const at = (state: string, rest: Partial<CutterView> = {}) =>
  ({ state, progress: 0.5, isOld: false, silence: '', faults: [], ...rest }) as CutterView;
const open = (canSend = true) => show(<CutterBar batchId={4} clothId={7} canSend={canSend} />);

test('only an approved lay is sent', async () => {
  open(false);
  expect(seen()).toContain('Approve the lays, then send them to it.');
  expect(button('Send it to the cutter').disabled).toBe(true);
});

test('a lay that is sent is watched until it is cut, and no longer', async () => {
  vi.useFakeTimers({ shouldAdvanceTime: true, toFake: ['setInterval', 'clearInterval'] });
  const { me } = open();
  await waitFor(() => expect(looks).toBe(1));
  expect(seen()).toContain('This lay was not sent to it.');
  view = at('cutting');
  await press(me, 'Send it to the cutter');
  await waitFor(() => expect(seen()).toContain('The cutter is cutting it.'));
  expect(server.asked).toMatchObject([{ action: 'cutOnCutter' }]);
  view = at('done', { progress: 1 });
  await vi.advanceTimersByTimeAsync(2_000);
  await waitFor(() => expect(seen()).toContain('The cutter has cut it.'));
  await waitFor(() => expect(button('Send it again').disabled).toBe(false));
  const asked = looks;
  await vi.advanceTimersByTimeAsync(20_000);
  expect(looks).toBeLessThanOrEqual(asked + 1);
});

test('can be stopped while it is cut', async () => {
  view = at('cutting');
  const { me } = open();
  await waitFor(() => expect(seen()).toContain('The cutter is cutting it.'));
  await waitFor(() => expect(looks).toBe(2));
  view = at('stopped');
  await press(me, 'Stop');
  await waitFor(() => expect(seen()).toContain('It was stopped at the cutter.'));
  expect(server.asked).toMatchObject([{ action: 'stopOnCutter' }]);
});

test('its silence, its faults and a lay that was changed since are said', async () => {
  view = at('failed', {
    isOld: true,
    silence: 'The cutter does not answer.',
    faults: ['The blade broke at half of the lay.'],
  });
  open();
  await waitFor(() =>
    expect(seen()).toContain(
      'The cutter broke off. The lay was changed since. The cutter does not answer. The blade broke at half of the lay.',
    ),
  );
});

test('a refusal is said, and the lay can be sent again', async () => {
  server.refuses({ '': 'The lay is 5200 mm long, and the bed 3000 mm.' });
  const { me } = open();
  await press(me, 'Send it to the cutter');
  await waitFor(() => expect(seen()).toContain('The lay is 5200 mm long, and the bed 3000 mm.'));
  server.begin();
  await press(me, 'Send it to the cutter');
  await waitFor(() => expect(seen()).not.toContain('The lay is 5200 mm long'));
});
