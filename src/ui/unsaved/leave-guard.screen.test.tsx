import { fireEvent, screen } from '@testing-library/dom';
import type { MouseEvent } from 'react';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { gone } from '../testing/navigation';
import { press, show } from '../testing/screen';
import { LeaveGuard } from './leave-guard';
import { hasUnsaved, useUnsaved } from './unsaved';

function Form({ isUnsaved }: { isUnsaved: boolean }) {
  useUnsaved(isUnsaved);
  return null;
}
const LINKS = [
  ['the orders', '/orders?page=2', {}],
  ['beside', '/orders/4', { target: '_blank' }],
  ['a file', '/orders/list.csv', { download: '' }],
  ['what an action sends', '/api/lists/orders', {}],
  ['another house', 'https://mill.example/', {}],
  ['further down', '#stock', {}],
] as const;
/** Effect of a link: it is followed unless somebody before it had another mind. */
const follow = (event: MouseEvent, name: string) => {
  if (!event.defaultPrevented) gone.push(`followed ${name}`);
  event.preventDefault();
};
const page = (...unsaved: boolean[]) => (
  <>
    {unsaved.map((one, i) => (
      <Form key={i} isUnsaved={one} />
    ))}
    <LeaveGuard />
    {LINKS.map(([name, href, rest]) => (
      <a key={name} href={href} {...rest} onClick={(event) => follow(event, name)}>
        <b>{name}</b>
      </a>
    ))}
  </>
);
const asks = () => screen.queryByRole('alertdialog') !== null;
const click = (name: string, how: object = {}) => fireEvent.click(screen.getByText(name), how);

beforeEach(() => {
  gone.length = 0;
  window.history.replaceState(null, '', '/workroom');
});

test('a page with nothing unsaved is left at once', () => {
  show(page(false));
  click('the orders');
  expect(gone).toEqual(['followed the orders']);
  expect(asks()).toBe(false);
});

test('one with something unsaved is left only when that is meant', async () => {
  const { me } = show(page(false, true));
  click('the orders');
  expect(gone).toEqual([]);
  await screen.findByRole('alertdialog');
  await press(me, 'Stay here');
  expect(asks()).toBe(false);
  expect(gone).toEqual([]);
  click('the orders');
  await screen.findByRole('alertdialog');
  await press(me, 'Leave it unsaved');
  expect(gone).toEqual(['/orders?page=2']);
});

test('what is saved, or is gone from the page, asks no longer', () => {
  const { again, unmount } = show(page(true, true));
  again(page(true, false));
  expect(hasUnsaved()).toBe(true);
  again(page(false, false));
  expect(hasUnsaved()).toBe(false);
  again(page(true));
  unmount();
  expect(hasUnsaved()).toBe(false);
});

test.each(['beside', 'a file', 'what an action sends', 'another house', 'further down'])(
  '%s: the page stays, so it does not ask',
  (name) => {
    show(page(true));
    click(name);
    expect(gone).toEqual([`followed ${name}`]);
    expect(asks()).toBe(false);
  },
);

test.each([{ ctrlKey: true }, { metaKey: true }, { shiftKey: true }, { button: 1 }])(
  'nor for a link that opens elsewhere: %o',
  (how) => {
    show(page(true));
    click('the orders', how);
    expect(asks()).toBe(false);
  },
);

test('the browser is shown as well, as long as something is unsaved', () => {
  const isAsked = () => {
    const event = new Event('beforeunload', { cancelable: true });
    window.dispatchEvent(event);
    return event.defaultPrevented;
  };
  const { again } = show(page(true));
  expect(isAsked()).toBe(true);
  again(page(false));
  expect(isAsked()).toBe(false);
});

describe('the browser’s own way back', () => {
  /** The browsers' behaviour (the HTML standard’s Navigation interface): each move is an event that may be stopped. */
  const history = Object.assign(new EventTarget(), {
    traverseTo(key: string) {
      gone.push(goes(key) ? `back to ${key}` : `held on the way to ${key}`);
    },
  });
  /** Tells whether a move gets where it leads. */
  const goes = (key: string, how: object = {}) =>
    history.dispatchEvent(
      Object.assign(new Event('navigate', { cancelable: true }), {
        navigationType: 'traverse',
        destination: { key },
        ...how,
      }),
    );
  beforeEach(() => void vi.stubGlobal('navigation', history));
  afterEach(() => void vi.unstubAllGlobals());

  test('asks, and is gone once that is meant', async () => {
    const { me } = show(page(true));
    expect(goes('orders')).toBe(false);
    await screen.findByRole('alertdialog');
    await press(me, 'Stay here');
    expect(gone).toEqual([]);
    expect(goes('orders')).toBe(false);
    await screen.findByRole('alertdialog');
    await press(me, 'Leave it unsaved');
    expect(gone).toEqual(['back to orders']);
    // Meant once; another time it asks again.
    expect(goes('orders')).toBe(false);
  });

  test('is free where nothing is unsaved, where it can’t be stopped, and for what is no way back', () => {
    const { again } = show(page(false));
    expect(goes('orders')).toBe(true);
    again(page(true));
    expect(goes('orders', { navigationType: 'push' })).toBe(true);
    expect(asks()).toBe(false);
    const held = Object.assign(new Event('navigate'), { navigationType: 'traverse', destination: { key: 'orders' } });
    history.dispatchEvent(held);
    expect(asks()).toBe(false);
  });
});
