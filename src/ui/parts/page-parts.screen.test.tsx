import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { PageAnswers } from './page-answers';
import { PAGE_PARTS, scriptOf } from './page-parts';
import { show } from '../testing/screen';

// The script that stands in a page as text and asks again for the scripts and styles that the network lost, before anything else of it is there.

const PART = '/_next/static/chunks/a.js';
/** Elements that the script puts into the head, in place of what the network lost. */
const asked = () =>
  [...document.head.querySelectorAll('script, link')].map((one) => one.getAttribute('src') ?? one.getAttribute('href'));
const notice = () => document.querySelector('.page-parts')?.firstChild?.textContent ?? null;
/** A part of the page that the browser could not load. */
function loses(part: HTMLElement) {
  document.body.append(part);
  part.dispatchEvent(new Event('error'));
  part.remove();
}
function scriptFrom(address: string, nonce = '') {
  const script = document.createElement('script');
  script.setAttribute('src', address);
  script.nonce = nonce;
  return script;
}
/** Elements put into this page are not loaded, and not lost either. */
const { settings } = (window as unknown as { happyDOM: { settings: { handleDisabledFileLoadingAsSuccess: boolean } } })
  .happyDOM;
settings.handleDisabledFileLoadingAsSuccess = true;
const given: [string, EventListenerOrEventListenerObject, unknown][] = [];

beforeEach(() => {
  vi.useFakeTimers();
  const add = window.addEventListener.bind(window);
  vi.spyOn(globalThis, 'addEventListener').mockImplementation(((
    name: string,
    listener: EventListener,
    options?: boolean,
  ) => {
    given.push([name, listener, options]);
    add(name, listener, options);
  }) as typeof addEventListener);
  // As the page has it: text that can read nothing around it.
  // eslint-disable-next-line no-new-func
  new Function(scriptOf(PAGE_PARTS))();
});
afterEach(() => {
  for (const [name, listener, options] of given.splice(0))
    window.removeEventListener(name, listener, options as boolean);
  document.head.replaceChildren();
  document.querySelector('.page-parts')?.remove();
  vi.restoreAllMocks();
  vi.useRealTimers();
});

test('a script that was lost is asked for again, with the page’s nonce, later each time, and no more often than that', () => {
  PAGE_PARTS.waits.forEach((wait, i) => {
    loses(scriptFrom(PART, 'f00d'));
    expect(notice()).toBe(i < PAGE_PARTS.quiet ? null : PAGE_PARTS.words);
    vi.advanceTimersByTime(wait - 1);
    expect(asked()).toHaveLength(i);
    vi.advanceTimersByTime(1);
    expect(asked()).toHaveLength(i + 1);
  });
  expect(new Set(asked())).toEqual(new Set([PART]));
  expect(document.head.querySelector('script')!.nonce).toBe('f00d');
  loses(scriptFrom(PART));
  vi.advanceTimersByTime(60_000);
  expect(asked()).toHaveLength(PAGE_PARTS.waits.length);
  expect(document.querySelectorAll('.page-parts')).toHaveLength(1);
});

test('a style sheet too; a picture, and what is not the application’s own, are left alone', () => {
  const style = document.createElement('link');
  style.setAttribute('rel', 'stylesheet');
  style.setAttribute('href', '/_next/static/chunks/a.css');
  loses(style);
  loses(document.createElement('img'));
  loses(scriptFrom('https://elsewhere.example/b.js'));
  vi.advanceTimersByTime(PAGE_PARTS.waits[0]!);
  expect(asked()).toEqual(['/_next/static/chunks/a.css']);
});

test('a page that answers nothing says so in time, and no more once it does', () => {
  vi.advanceTimersByTime(PAGE_PARTS.patience - 1);
  expect(notice()).toBeNull();
  vi.advanceTimersByTime(1);
  expect(notice()).toBe(PAGE_PARTS.words);
  expect(document.querySelector('.page-parts button')!.textContent).toBe('Open it again');
  show(<PageAnswers />);
  expect(notice()).toBeNull();
});

test('a page that answers says nothing', () => {
  show(<PageAnswers />);
  vi.advanceTimersByTime(10 * PAGE_PARTS.patience);
  expect(notice()).toBeNull();
});
