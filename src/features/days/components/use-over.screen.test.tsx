import { expect, test } from 'vitest';
import type { RunLock } from '@/core/schedule';
import { press, show } from '@/ui/testing/screen';
import type { DaysView, RunWords } from '../load-days';
import { useOver } from './use-over';

// A run held over a day: what is asked about it.

const TODAY = 1440;
const run = (id: string, rest: Partial<RunWords> = {}): RunWords => ({
  id,
  does: 'sew',
  orderId: 1,
  orderNo: 201,
  mark: 1,
  what: '2 × Cushion',
  href: '/sewing',
  isLocked: false,
  covers: 2,
  waits: null,
  ...rest,
});
const view = {
  runs: [run('free'), run('waits', { waits: { at: 3 * TODAY, why: 'Zip 20 is on its way' } })],
  orders: [],
} as unknown as DaysView;

function Over({ onAsk }: { onAsk: (lock: RunLock) => void }) {
  const { hold } = useOver(
    async (lock) => {
      onAsk(lock);
      return null;
    },
    view,
    TODAY,
  );
  const over = (id: string, day: number) => (
    <button onClick={() => hold({ run: id, personId: 1, day: day * TODAY })}>{`${id} on ${day}`}</button>
  );
  return [1, 2, 5].flatMap((day) => [
    <span key={`free ${day}`}>{over('free', day)}</span>,
    <span key={`waits ${day}`}>{over('waits', day)}</span>,
  ]);
}

test('is never tried sooner than its cloth and notions are there', async () => {
  const asked: (number | null)[] = [];
  const { me } = show(<Over onAsk={({ notBefore }) => void asked.push(notBefore)} />);
  for (const name of ['free on 1', 'free on 2', 'waits on 1', 'waits on 2', 'waits on 5']) await press(me, name);
  expect(asked).toEqual([null, 2 * TODAY, 3 * TODAY, 3 * TODAY, 5 * TODAY]);
});
