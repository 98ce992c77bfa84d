import { expect } from 'vitest';
import type { Person } from './person';

/** A desk, a tablet lying and upright, and a phone. */
const SIZES = [
  [1280, 800],
  [1024, 768],
  [768, 1024],
  [390, 844],
] as const;
/** On the smaller ones a list may show less than what is chosen. */
const LEAST_WHOLE = 1024;

/** In the page: what is chosen in a list and wider than the list shows. */
const cutShort = () => {
  const pen = document.createElement('canvas').getContext('2d')!;
  return [...document.querySelectorAll('select')].flatMap((list) => {
    const { font, paddingLeft, paddingRight } = getComputedStyle(list);
    pen.font = font;
    const text = list.selectedOptions[0]?.text ?? '';
    const room = list.clientWidth - parseFloat(paddingLeft) - parseFloat(paddingRight);
    return list.checkVisibility() && pen.measureText(text).width > room + 1 ? [text] : [];
  });
};
/** Nothing sticks out sideways, whatever the window's size; the largest comes last. */
export async function fitsItsWindow(me: Person) {
  for (const [width, height] of [...SIZES].reverse()) {
    await me.page.setViewport({ width, height });
    const over = () =>
      me.page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    await expect.poll(over, { message: `${me.page.url()}, ${width} wide` }).toBeLessThanOrEqual(0);
    if (width >= LEAST_WHOLE) expect(await me.page.evaluate(cutShort), `${width} wide`).toEqual([]);
  }
}
