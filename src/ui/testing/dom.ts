import { configure } from '@testing-library/dom';
import { afterEach, vi } from 'vitest';
import { draws, seen, settled, takeAllOff } from './screen';

// Set up before each file of component tests. Nothing here is laid out: every size is 0.

configure({
  asyncUtilTimeout: 10_000,
  eventWrapper: draws,
  asyncWrapper: async (act) => {
    const given = await act();
    await settled();
    return given;
  },
  // Readable text in place of what was looked for; the whole markup is hundreds of lines.
  getElementError: (message) => new Error(`${message?.split('\n')[0]} There was: ${seen().slice(0, 1500)}`),
});

afterEach(() => {
  takeAllOff();
  // Files of a process share the page.
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});
