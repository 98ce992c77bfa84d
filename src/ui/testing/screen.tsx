import { ChakraProvider } from '@chakra-ui/react';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { render, waitFor } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { system } from '../theme';

// For tests in a simulated page (`*.screen.test.tsx`): a component as a person uses it. What they press and type goes through Testing Library, which
// finds things by their names, as they are read out.

/** Styles are worked out and go nowhere: the simulated page would read each anew, which takes most of a test's time, and shows nothing. */
const nowhere = createCache({ key: 'test' });
nowhere.sheet.insert = () => undefined;

/** Shows an element within the theme. The person who uses it does not wait between two keys. */
export function show(element: ReactElement) {
  const within = (inner: ReactElement) => (
    <CacheProvider value={nowhere}>
      <ChakraProvider value={system}>{inner}</ChakraProvider>
    </CacheProvider>
  );
  const { rerender, unmount } = render(within(element));
  return { me: userEvent.setup({ delay: null }), again: (next: ReactElement) => rerender(within(next)), unmount };
}

/** What can be read on the page, with single spaces. */
export const seen = (within: HTMLElement = document.body): string =>
  (within.textContent ?? '').replace(/[\s\u00a0\u202f]+/g, ' ').trim();

/** What a field says is wrong with it; nothing where it does not say so to those who hear the page. */
export const errorOf = (field: HTMLElement): string | undefined => {
  const text = field
    .closest('[data-scope=field][data-part=root]')
    ?.querySelector('[data-part=error-text]')?.textContent;
  return field.getAttribute('aria-invalid') === 'true' ? (text ?? undefined) : undefined;
};

/** The field or list whose label begins so, the nth of them. */
export const field = <T extends HTMLElement = HTMLInputElement>(label: string, nth = 0): T => {
  const labels = [...document.querySelectorAll('label')].filter((one) => seen(one).startsWith(label));
  const found = labels[nth]?.control ?? document.querySelectorAll(`[aria-label="${label}"]`)[nth];
  if (!found) throw new Error(`There is no field ${label} (${nth}); there was: ${seen().slice(0, 1500)}`);
  return found as T;
};

/** The button or link of that name, at once: the accessible tree of a large form is slow to search. */
export const button = (name: string, nth = 0): HTMLButtonElement => {
  const named = (one: Element) => (one.getAttribute('aria-label') ?? seen(one as HTMLElement)) === name;
  const found = [...document.querySelectorAll<HTMLButtonElement>('button, a[href]')].filter(named)[nth];
  if (!found) throw new Error(`There is no button ${name}; there was: ${seen().slice(0, 1500)}`);
  return found;
};

/** Presses a button as soon as it can be pressed: while something is being saved it can't. */
export async function press(me: UserEvent, name: string) {
  await waitFor(() => {
    if (button(name).disabled) throw new Error(`${name} cannot be pressed`);
  });
  await me.click(button(name));
}

/** Puts a text into a field in place of what is there. */
export async function type(me: UserEvent, one: HTMLElement, text: string) {
  await me.clear(one);
  if (text === '') return;
  await me.click(one);
  await me.paste(text);
}
