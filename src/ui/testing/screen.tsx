import { setImmediate as turn } from 'node:timers/promises';
import { ChakraProvider } from '@chakra-ui/react';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { waitFor } from '@testing-library/dom';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { flushSync } from 'react-dom';
import { createRoot, type Root } from 'react-dom/client';
import { system } from '../theme';

// For tests in a simulated page (`*.screen.test.tsx`): a component as a person uses it. What they press and type goes through Testing Library, which
// finds things by their names, as they are read out. React is the one that people get: it takes half the time of the one for developers.

/** Styles are not worked out, and go nowhere: the simulated page would read each anew, which takes most of a test's time, and shows nothing. */
const nowhere = createCache({ key: 'test' });
nowhere.sheet.insert = () => undefined;
const NO_STYLES = {};
const unstyled = { ...system, css: () => NO_STYLES };

/** The visible elements, with where they stand. */
const shown = new Map<Root, HTMLElement>();

/** Does something that changes what is shown, and draws it at once. */
export function draws<T>(change: () => T): T {
  const given = flushSync(change);
  // Changes by its effects.
  flushSync(() => undefined);
  return given;
}

/** Later drawing comes in turns of 5 ms each; most of what a test waits for takes one or two. */
const TURNS = 50;

/** Waits until what is under way has been drawn, also where a test holds the page's timers in its hand. */
export async function settled() {
  for (let turns = 0; turns < TURNS; turns++) await turn();
  draws(() => undefined);
}

/** Takes a component off the page. */
function takeOff(root: Root) {
  draws(() => root.unmount());
  shown.get(root)?.remove();
  shown.delete(root);
}
export const takeAllOff = () => [...shown.keys()].forEach(takeOff);

/** Shows an element within the theme. The person who uses it does not wait between two keys. */
export function show(element: ReactElement) {
  const place = document.body.appendChild(document.createElement('div'));
  const root = createRoot(place);
  shown.set(root, place);
  const again = (inner: ReactElement) =>
    draws(() =>
      root.render(
        <CacheProvider value={nowhere}>
          <ChakraProvider value={unstyled}>{inner}</ChakraProvider>
        </CacheProvider>,
      ),
    );
  again(element);
  return { me: userEvent.setup({ delay: null }), again, unmount: () => takeOff(root) };
}

/** Result of a hook, of a component that uses nothing else. */
export function showHook<T>(hook: () => T) {
  const result = {} as { current: T };
  const User = () => {
    result.current = hook();
    return null;
  };
  return { result, unmount: show(<User />).unmount };
}

/** Readable text of the page, with single spaces. */
export const seen = (within: HTMLElement = document.body): string =>
  (within.textContent ?? '').replace(/[\s\u00a0\u202f]+/g, ' ').trim();

/** The error of a field; nothing where it does not say so to screen readers. */
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
