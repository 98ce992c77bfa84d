import createCache from '@emotion/cache';
import { serializeStyles } from '@emotion/serialize';
import { system } from './theme';

/**
 * The styles that are the same on every page, written once by the build: the order of the cascade layers, the reset, and
 * the tokens of the theme as CSS variables. Emotion would write their 65 KB into each page again.
 */
export function themeCss(): string {
  const cache = createCache({ key: 'jb' });
  cache.compat = true;
  return [system.layers.atRule, ...system._global]
    .map((styles) => {
      const serialized = serializeStyles([styles], cache.registered);
      cache.insert('', serialized, cache.sheet, true);
      return String(cache.inserted[serialized.name] ?? '');
    })
    .join('\n');
}
