import { ChakraProvider } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { system } from '../theme';

// For tests: a component as the server sends it.

/** The markup of an element, within the theme. */
export const markup = (element: ReactElement): string =>
  renderToStaticMarkup(<ChakraProvider value={system}>{element}</ChakraProvider>).replace(
    /<style[^>]*>.*?<\/style>/gs,
    '',
  );

/** Its readable text, with single spaces. */
export const textOf = (element: ReactElement): string =>
  markup(element)
    .replace(/<[^>]*>/g, ' ')
    .replaceAll('&amp;', '&')
    .replaceAll('&#x27;', '’')
    .replace(/[\s\u00a0\u202f]+/g, ' ')
    .trim();

/** The values of an attribute, in the order in which they stand. */
export const attributes = (html: string, name: string): string[] =>
  [...html.matchAll(new RegExp(`[\\s]${name}="([^"]*)"`, 'g'))].map(([, value]) => value!);

/** The numbers of a drawing: of its paths, places, sizes and transforms. A value that is no number is in it as NaN. */
export function numbersOf(html: string): number[] {
  const names = [
    'd',
    'x',
    'y',
    'x1',
    'x2',
    'y1',
    'y2',
    'cx',
    'cy',
    'r',
    'rx',
    'ry',
    'width',
    'height',
    'points',
    'transform',
    'patternTransform',
    'viewBox',
  ];
  return names
    .flatMap((name) => attributes(html, name))
    .flatMap(
      (value) => value.replace(/%|px/g, '').match(/NaN|Infinity|undefined|null|-?\d*\.?\d+(?:e[-+]?\d+)?/g) ?? [],
    )
    .map(Number);
}

/** The contrast of a colour (#rrggbb) with white, by its relative luminance (WCAG 2.2). */
export function contrastWithWhite(colour: string): number {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const part = parseInt(colour.slice(i, i + 2), 16) / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 1.05 / (0.2126 * r + 0.7152 * g + 0.0722 * b + 0.05);
}
