import { defineConfig } from 'vitest/config';

/** The unit tests that are asked whether they notice a changed line: those of the core and of what calls it. */
export default defineConfig({
  resolve: { alias: { '@': new URL('../../src', import.meta.url).pathname } },
  test: {
    root: new URL('../..', import.meta.url).pathname,
    environment: 'node',
    env: { NODE_ENV: 'production' },
    include: [`src/core/${process.env.MUTATED ?? '{length,cost,stock,cutlist}'}/**/*.test.ts`],
    testTimeout: 60_000,
  },
});
