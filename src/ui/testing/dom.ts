import { cleanup, configure } from '@testing-library/react';
import { afterEach, vi } from 'vitest';
import { seen } from './screen';

// Set up before each file of component tests. Nothing here is laid out: every size is 0.

configure({
  asyncUtilTimeout: 10_000,
  // What could be read instead of what was looked for; the whole markup is hundreds of lines.
  getElementError: (message) => new Error(`${message?.split('\n')[0]} There was: ${seen().slice(0, 1500)}`),
});

afterEach(() => {
  cleanup();
  // Files of a process share the page.
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});
