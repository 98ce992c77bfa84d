// Settings of @stryker-mutator/core: mutations of one folder of the core (MUTATED), each tried against that folder's own tests.
const folder = process.env.MUTATED ?? '{length,cost,stock,cutlist}';

const config = {
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'tests/long/vitest.config.ts', related: false },
  mutate: [`src/core/${folder}/**/*.ts`, '!src/core/**/*.test.ts', '!src/core/**/index.ts'],
  ignorePatterns: ['.next', '.local', 'dist', 'docs'],
  ignoreStatic: true,
  concurrency: 2,
  timeoutMS: 20_000,
  reporters: ['clear-text', 'json'],
  clearTextReporter: { allowColor: false, reportTests: false, reportMutants: false },
  jsonReporter: { fileName: `.local/mutation-${process.env.MUTATED ?? 'all'}.json` },
  tempDirName: '.local/mutation',
  cleanTempDir: 'always',
  thresholds: { high: 90, low: 80, break: 80 },
};

export default config;
