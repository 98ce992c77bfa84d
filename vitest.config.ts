import { defineConfig } from 'vitest/config';

const nothing = new URL('./tests/support/nothing.ts', import.meta.url).pathname;
const alias = { '@': new URL('./src', import.meta.url).pathname };
/** Makes server actions what a page has of them, a way to ask the server: here the one that a test answers for (`src/features/commands/testing.ts`). */
const actionsOfPage = {
  name: 'actions-of-page',
  enforce: 'pre' as const,
  transform(code: string, id: string) {
    if (!/\/features\/\w+\/actions\.ts$/.test(id)) return;
    const names = [...code.matchAll(/^export async function (\w+)/gm)].map(([, name]) => name);
    const exported = names.map((name) => `export const ${name} = server.action('${name}');`);
    return `import { server } from '@/features/commands/testing';\n${exported.join('\n')}`;
  },
};
const shared = { environment: 'node', pool: 'forks' } as const;

/** Tests that kill processes and watch the clock: a run of their own (`scripts/test.mjs`). */
const RESILIENCE = ['tests/browser/resilience.test.ts'];

export default defineConfig({
  test: {
    projects: [
      {
        oxc: { jsx: { development: false } },
        resolve: { alias },
        test: {
          ...shared,
          name: 'unit',
          env: { NODE_ENV: 'production' },
          // They keep nothing in modules, so what is loaded once serves all files of a process.
          isolate: false,
          testTimeout: 60_000,
          include: ['src/**/*.test.ts', 'src/**/*.test.tsx'],
          exclude: ['src/**/*.screen.test.tsx'],
        },
      },
      {
        plugins: [actionsOfPage],
        // The application as people get it.
        oxc: { jsx: { development: false } },
        resolve: {
          alias: { ...alias, 'next/navigation': new URL('./src/ui/testing/navigation.ts', import.meta.url).pathname },
        },
        test: {
          ...shared,
          name: 'screens',
          env: { NODE_ENV: 'production' },
          environment: 'happy-dom',
          // There is no other page to go to.
          environmentOptions: {
            happyDOM: {
              settings: { navigation: { disableMainFrameNavigation: true, disableChildPageNavigation: true } },
            },
          },
          include: ['src/**/*.screen.test.tsx'],
          setupFiles: 'src/ui/testing/dom.ts',
          // Loading what every screen is made of takes longer than a file's tests.
          isolate: false,
          testTimeout: 60_000,
        },
      },
      {
        resolve: {
          alias: {
            ...alias,
            'server-only': nothing,
            'next/cache': nothing,
            'next/headers': nothing,
            'next/navigation': nothing,
          },
        },
        test: {
          ...shared,
          name: 'db',
          include: ['tests/db/**/*.test.ts'],
          // A database server for each (`tests/support/own-database.ts`).
          isolate: false,
          setupFiles: 'tests/support/own-database.ts',
          // Beside others, a search has one core.
          env: { JOLLY_BOLT_CORES: '1' },
          testTimeout: 120_000,
          hookTimeout: 120_000,
        },
      },
      {
        resolve: { alias },
        test: {
          ...shared,
          name: 'browser',
          isolate: false,
          include: ['tests/browser/**/*.test.ts'],
          // Each file has a workroom of its own, and mostly waits for it.
          exclude: RESILIENCE,
          globalSetup: 'tests/support/first-start.mjs',
          env: { JOLLY_BOLT_CORES: '1' },
          testTimeout: 900_000,
          hookTimeout: 400_000,
        },
      },
      {
        resolve: { alias },
        test: {
          ...shared,
          name: 'resilience',
          include: RESILIENCE,
          env: { JOLLY_BOLT_CORES: '1' },
          globalSetup: 'tests/support/first-start.mjs',
          testTimeout: 900_000,
          hookTimeout: 400_000,
        },
      },
      {
        resolve: { alias },
        test: {
          ...shared,
          name: 'commands',
          isolate: false,
          include: ['tests/commands/**/*.test.ts'],
          testTimeout: 300_000,
          hookTimeout: 300_000,
        },
      },
    ],
  },
});
