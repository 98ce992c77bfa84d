import { waitFor } from '@testing-library/dom';
import { beforeEach, describe, expect, test } from 'vitest';
import { server } from '@/features/commands/testing';
import { gone } from '@/ui/testing/navigation';
import { press, seen, show } from '@/ui/testing/screen';
import { DevicesPanel } from './devices-panel';

beforeEach(() => {
  server.begin();
  gone.length = 0;
});

describe('devices', () => {
  const device = { id: 5, name: 'tablet at the long table', pairedAt: '2027-01-05T08:00:00Z', seenAt: null };

  test('a code is shown in fours, with where to type it, until it is hidden', async () => {
    server.gives({ code: '12345678' });
    const { me } = show(<DevicesPanel devices={[]} tries={[]} addresses={['http://workroom.lan:3000']} />);
    await press(me, 'Pair a device');
    await waitFor(() => expect(document.querySelector('[data-pairing-code]')?.textContent).toBe('1234 5678'));
    expect(seen()).toContain('Open http://workroom.lan:3000 on the device');
    await press(me, 'Hide it');
    expect(document.querySelector('[data-pairing-code]')).toBeNull();
  });

  test('who has been trying codes is shown, with how often and from where', () => {
    const tries = [{ address: '192.168.1.9', wrong: 14 }];
    show(<DevicesPanel devices={[]} tries={tries} addresses={['http://workroom.lan:3000']} />);
    expect(seen()).toContain('14 from 192.168.1.9');
    expect(seen()).toContain('your own code still works');
  });

  test('without an address on the network nothing can be paired, and the way there is said', () => {
    show(<DevicesPanel devices={[]} tries={[]} addresses={[]} />);
    expect(seen()).toContain('npm start -- --host workroom.lan');
    expect(seen()).not.toContain('Pair a device');
  });

  test('one that is paired is revoked; a refusal is said', async () => {
    const { me } = show(<DevicesPanel devices={[device]} tries={[]} addresses={['http://workroom.lan:3000']} />);
    expect(seen()).toContain('not seen yet');
    await press(me, 'Revoke');
    await waitFor(() => expect(gone).toEqual(['again']));
    expect(server.asked).toMatchObject([{ action: 'revokeDevice', args: [5] }]);
    server.refuses({ '': 'This is done at the desk.' });
    await press(me, 'Revoke');
    await waitFor(() => expect(seen()).toContain('This is done at the desk.'));
  });
});
