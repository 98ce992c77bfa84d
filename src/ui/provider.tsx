'use client';

import { ChakraProvider } from '@chakra-ui/react';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { useServerInsertedHTML } from 'next/navigation';
import { ThemeProvider } from 'next-themes';
import dynamic from 'next/dynamic';
import { quietLazyPart } from './parts/lazy-part';
import { useState, type ReactNode } from 'react';
import { system } from './theme';
import { LeaveGuard } from './unsaved/leave-guard';

const Toasts = dynamic(
  quietLazyPart(() => import('./toasts').then((file) => file.default)),
  { ssr: false },
);

/** The theme without its global styles: these are the style sheet that the build writes (theme-css.ts). */
const themeOfPage = { ...system, _global: [], _config: { ...system._config, disableLayers: true } };

/** Styles that are written while the server renders go into the page's head, so that the browser finds the same. */
function StyleRegistry({ children }: { children: ReactNode }) {
  const [{ cache, flush }] = useState(() => {
    const made = createCache({ key: 'jb' });
    made.compat = true;
    const insert = made.insert;
    let inserted: string[] = [];
    made.insert = (...args) => {
      const [, serialized] = args;
      if (made.inserted[serialized.name] === undefined) inserted.push(serialized.name);
      return insert(...args);
    };
    return {
      cache: made,
      flush: () => {
        const names = inserted;
        inserted = [];
        return names;
      },
    };
  });
  useServerInsertedHTML(() => {
    const names = flush();
    if (names.length === 0) return null;
    const styles = names.map((name) => cache.inserted[name]).join('');
    return <style data-emotion={`${cache.key} ${names.join(' ')}`} dangerouslySetInnerHTML={{ __html: styles }} />;
  });
  return <CacheProvider value={cache}>{children}</CacheProvider>;
}

export function Provider({ nonce, children }: { nonce: string | undefined; children: ReactNode }) {
  return (
    <StyleRegistry>
      <ChakraProvider value={themeOfPage}>
        <ThemeProvider attribute="class" disableTransitionOnChange {...(nonce && { nonce })}>
          {children}
          <Toasts />
          <LeaveGuard />
        </ThemeProvider>
      </ChakraProvider>
    </StyleRegistry>
  );
}
