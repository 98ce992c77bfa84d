import { readdirSync } from 'node:fs';
import next from 'eslint-config-next/core-web-vitals';
import tseslint from 'typescript-eslint';

/** The arrows of the house: which top folders of src/ a folder must not import, and why. */
const arrows = {
  core: { forbid: ['db', 'features', 'app', 'ui', 'work', 'cli', 'stand-ins'], why: 'core imports only core' },
  db: { forbid: ['features', 'app', 'ui', 'work', 'cli'], why: 'the database knows only the core' },
  ui: { forbid: ['db', 'features', 'app', 'work', 'cli'], why: 'shared looks know only the core' },
  work: { forbid: ['app', 'ui', 'cli', 'features'], why: 'the queue knows the core, the database and the records' },
  features: { forbid: ['app', 'cli'], why: 'features are composed by app, not the other way round' },
  records: {
    forbid: ['app', 'ui', 'cli', 'features', 'work', 'archive'],
    why: 'records know only the database and the core',
  },
  'set-up': { forbid: ['app', 'ui', 'cli'], why: 'set-up makes a workroom by commands, without screens' },
  archive: { forbid: ['app', 'ui', 'cli', 'features', 'work'], why: 'the archive knows the tables alone' },
  cli: { forbid: ['db', 'features', 'app', 'ui'], why: 'the command line needs only the core and the pool' },
  bench: { forbid: ['db', 'features', 'app', 'ui', 'cli'], why: 'the bench makes jobs for the core' },
};

const arrowRules = Object.entries(arrows).map(([folder, { forbid, why }]) => ({
  files: [`src/${folder}/**/*.{ts,tsx}`],
  ignores: ['**/*.test.ts', '**/*.test.tsx'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: forbid.flatMap((name) => [`@/${name}`, `@/${name}/**`, `../${name}/**`, `../../${name}/**`]),
            message: why,
          },
          ...(folder === 'core'
            ? [
                {
                  group: ['react', 'react-dom', 'next', 'next/**', 'node:*', 'drizzle-orm', 'pg', '@chakra-ui/**'],
                  message: why,
                },
              ]
            : []),
        ],
      },
    ],
  },
}));

const featureNames = readdirSync('src/features').filter((name) => name !== 'commands');

/** A feature may use another feature's queries, rules and types, never its components or actions. */
const featureRules = featureNames.map((feature) => ({
  files: [`src/features/${feature}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { group: ['@/app', '@/app/**', '@/cli/**'], message: arrows.features.why },
          {
            group: featureNames
              .filter((name) => name !== feature)
              .flatMap((name) => [`@/features/${name}/components/**`, `@/features/${name}/actions`]),
            message: 'features do not import each other’s insides',
          },
        ],
      },
    ],
  },
}));

/** Files that run inside a command's transaction. */
const COMMAND_FILES = [
  'commands',
  'approval',
  'entries',
  'ledger',
  'lock',
  'reopen',
  'catalogue',
  'load-cut',
  'load-orders',
  'save-lines',
  'settings',
].map((name) => `src/features/*/${name}.ts`);

const config = [
  { ignores: ['.next/**', '.local/**', 'dist/**', 'node_modules/**', 'next-env.d.ts', 'src/db/migrations/**'] },
  ...next,
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      // The formatter breaks every line.
      'no-warning-comments': ['error', { terms: ['prettier-ignore'], location: 'anywhere' }],
      'no-eval': 'error',
      'no-implied-eval': 'error',
      'no-new-func': 'error',
    },
  },
  // A longer function says why beside it: `eslint-disable-next-line max-lines-per-function -- reason`.
  {
    files: ['src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ['src/**/*.tsx'],
    ignores: ['**/*.test.tsx'],
    rules: { 'max-lines-per-function': ['error', { max: 120, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ['src/**/*.tsx'],
    ignores: ['src/ui/link.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "ImportDeclaration[source.value='next/link']",
          message: 'Link of @/ui/link, which fetches nothing ahead',
        },
      ],
    },
  },
  ...arrowRules,
  ...featureRules,
  {
    files: COMMAND_FILES,
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: '@/db',
              importNames: ['database', 'connect'],
              message: 'a command reads through its own transaction',
            },
          ],
          patterns: [
            {
              group: ['**/queries', '**/sheet-queries'],
              allowTypeImports: true,
              message: 'queries ask the database by themselves: pass the transaction to a loader',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'setTimeout', 'performance'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random' },
        { object: 'Date', property: 'now' },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'the core has no clock' },
      ],
    },
  },
];

export default config;
