import { afterEach, expect, test, vi } from 'vitest';
import { gone } from '@/ui/testing/navigation';
import { button, press, seen, settled, show } from '@/ui/testing/screen';
import { CostIsComing } from './cost-is-coming';

afterEach(() => vi.useRealTimers());

test('the page of a cost that is not found yet looks again for a bounded time, then says so and can be asked once more', async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'], shouldAdvanceTime: true });
  gone.length = 0;
  const { me } = show(<CostIsComing orderId={7} lost="Nobody answers." />);
  expect(seen()).toContain('Calculating the cost');
  for (let i = 0; i < 60; i++) {
    await vi.advanceTimersByTimeAsync(700);
    await settled();
  }
  const looks = gone.length;
  expect(looks).toBe(40);
  expect(seen()).toContain('Nobody answers.');
  expect(button('Try again')).toBeTruthy();
  await press(me, 'Try again');
  await vi.advanceTimersByTimeAsync(700);
  await settled();
  expect(seen()).toContain('Calculating the cost');
  expect(gone.length).toBeGreaterThan(looks);
});
