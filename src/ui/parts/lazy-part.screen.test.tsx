import { waitFor } from '@testing-library/dom';
import dynamic from 'next/dynamic';
import { afterEach, expect, test, vi } from 'vitest';
import { lazyPart, quietLazyPart } from './lazy-part';
import { button, field, press, seen, settled, show, type } from '../testing/screen';

// Parts of a page that are loaded later, while the server comes and goes.

const Part = ({ name }: { name: string }) => <p>Here is {name}.</p>;
/** A loader that fails so many times. */
const failing = (times: number) => {
  let left = times;
  return () => (left-- > 0 ? Promise.reject(new Error('Failed to load chunk')) : Promise.resolve(Part));
};
afterEach(() => void vi.useRealTimers());

test('a part that comes is shown', async () => {
  const Later = dynamic(lazyPart(failing(0)), { ssr: false });
  show(<Later name="the chart" />);
  await waitFor(() => expect(seen()).toBe('Here is the chart.'));
});

test('one that does not come says so in its place, what was typed around it stays, and it comes when it is asked for again', async () => {
  const Later = dynamic(lazyPart(failing(2)), { ssr: false });
  const { me } = show(
    <>
      <input aria-label="Customer" />
      <Later name="the chart" />
    </>,
  );
  await waitFor(() => expect(seen()).toContain('This part of the page did not come'));
  await type(me, field('Customer'), 'Mill Race Players');
  await press(me, 'Ask for it again');
  await waitFor(() => expect(button('Ask for it again').disabled).toBe(false));
  expect(seen()).toContain('This part of the page did not come');
  await press(me, 'Ask for it again');
  await waitFor(() => expect(seen()).toBe('Here is the chart.'));
  expect(field('Customer').value).toBe('Mill Race Players');
});

test('one that nobody waits for shows nothing, and is asked for again by itself', async () => {
  vi.useFakeTimers();
  const Later = dynamic(quietLazyPart(failing(3)), { ssr: false });
  show(<Later name="a message" />);
  const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms).then(settled);
  await pass(100);
  for (let i = 0; i < 2; i++) {
    await pass(5_000);
    expect(seen()).toBe('');
  }
  await pass(5_000);
  expect(seen()).toBe('Here is a message.');
});
