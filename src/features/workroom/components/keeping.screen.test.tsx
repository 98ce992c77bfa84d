import { waitFor } from '@testing-library/dom';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { server } from '@/features/commands/testing';
import { gone } from '@/ui/testing/navigation';
import { button, field, press, seen, show } from '@/ui/testing/screen';
import { ArchivePanel } from './archive-panel';
import { BackupPanel } from './backup-panel';
import { OwnKinds } from './own-kinds';

// Files out of the workroom and into it: backups, the archive, kinds.

beforeEach(() => {
  server.begin();
  gone.length = 0;
});
const give = (me: ReturnType<typeof show>['me'], label: string, file: File) =>
  me.upload(document.querySelector<HTMLInputElement>(`input[aria-label="${label}"]`)!, file);

describe('the backup', () => {
  test('says when the last was made, or that there is none', () => {
    const { again } = show(<BackupPanel last={null} canTake={false} />);
    expect(seen()).toContain('No backup has been made yet.');
    expect(seen()).not.toContain('Take the newest along');
    again(<BackupPanel last={{ at: '5 January 08:00', size: '3 MB' }} canTake />);
    expect(seen()).toContain('Last made 5 January 08:00, 3 MB.');
    expect(button('Take the newest along').getAttribute('href')).toBe('/api/backup');
  });

  test('is made now; one that failed is said', async () => {
    const { me } = show(<BackupPanel last={null} canTake={false} />);
    await press(me, 'Back up now');
    await waitFor(() => expect(gone).toEqual(['again']));
    server.refuses({ '': 'The disk is full.' });
    await press(me, 'Back up now');
    await waitFor(() => expect(seen()).toContain('The disk is full.'));
  });
});

describe('kinds from files', () => {
  const kind = { id: 3, name: 'Galley cushion', about: 'For the bench.', version: 2, isWithdrawn: true, uses: 1 };

  test('one that is taken in is opened; one that is not is said with its name', async () => {
    server.gives({ id: 9 });
    const { me } = show(<OwnKinds kinds={[]} />);
    await give(me, 'File of a kind', new File(['{"name":"x"}'], 'galley.json', { type: 'application/json' }));
    await waitFor(() => expect(gone).toEqual(['/workroom/kinds/9']));
    expect(server.asked[0]!.args).toEqual(['{"name":"x"}', '']);
    server.refuses({ 'pieces.0.across': 'There is no “bredth”.' });
    await give(me, 'File of a kind', new File(['{}'], 'galley.json', { type: 'application/json' }));
    await waitFor(() =>
      expect(seen()).toContain('“galley.json” was not taken in. pieces.0.across: There is no “bredth”.'),
    );
  });

  test('one that is too large is not sent', async () => {
    const { me } = show(<OwnKinds kinds={[]} />);
    const large = new File(['{}'], 'large.json', { type: 'application/json' });
    Object.defineProperty(large, 'size', { value: 1_000_001 });
    await give(me, 'File of a kind', large);
    await waitFor(() => expect(seen()).toContain('“large.json” is too large to be a kind of cover.'));
    expect(server.asked).toEqual([]);
  });

  test('are listed with their versions and uses; a new one starts from nothing or from a built-in one', async () => {
    const { me } = show(<OwnKinds kinds={[kind as never]} />);
    expect(seen()).toContain('withdrawn');
    expect(seen()).toMatch(/version 2 ?1 line/);
    expect(button('Build a kind').getAttribute('href')).toBe('/workroom/kinds/new');
    await me.selectOptions(field('Start from'), 'Bolster');
    expect(button('Build a kind').getAttribute('href')).toBe('/workroom/kinds/new?from=bolster');
  });
});

describe('the archive', () => {
  test.each<[string, () => Promise<Response>, string]>([
    [
      'is refused in its own sentence',
      async () => Response.json({ ok: false, faults: [{ message: 'The workroom is not empty.' }] }),
      'The workroom is not empty.',
    ],
    [
      'is lost on the way',
      () => Promise.reject(new TypeError('Failed to fetch')),
      'did not answer; the workroom is as it was.',
    ],
  ])('that %s leaves everything as it was', async (_, answer, words) => {
    vi.stubGlobal('fetch', answer);
    const { me } = show(<ArchivePanel />);
    await give(me, 'An archive to read in', new File(['zip'], 'workroom.zip', { type: 'application/zip' }));
    await me.click(field('in place of all that is here'));
    await press(me, 'Read it in');
    await waitFor(() => expect(seen()).toContain(words));
    expect(gone).toEqual([]);
  });

  test('that is read in leads to its orders', async () => {
    vi.stubGlobal('fetch', async () => Response.json({ ok: true }));
    const { me } = show(<ArchivePanel />);
    await give(me, 'An archive to read in', new File(['zip'], 'workroom.zip', { type: 'application/zip' }));
    await me.click(field('in place of all that is here'));
    await press(me, 'Read it in');
    await waitFor(() => expect(gone).toEqual(['/orders', 'again']));
  });
});
