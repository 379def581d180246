import next from 'eslint-config-next/core-web-vitals';
import { readFileSync } from 'node:fs';
import typescript from 'eslint-config-next/typescript';

/** The rooms of the core in their order, each with those that it may import. */
const rooms = JSON.parse(readFileSync(new URL('src/core/rooms.json', import.meta.url), 'utf8'));

const OUTWARD = [
  {
    group: [
      'react',
      'react-*',
      'next',
      'next/*',
      'node:*',
      'fs',
      'path',
      'better-sqlite3',
      'drizzle-orm',
      'drizzle-orm/*',
      'server-only',
      'comlink',
      'chart.js',
    ],
    message: 'The core imports nothing outward.',
  },
  {
    group: ['**/data/**', '**/ui/**', '**/app/**', '**/workers/**', '**/aside/**', '@/data/*', '@/ui/*', '@/app/*'],
    message: 'The core imports nothing outward.',
  },
];

const config = [
  { ignores: ['.next/**', 'node_modules/**', 'next-env.d.ts', 'test-results/**', 'playwright-report/**', 'public/alone.js'] },
  ...next,
  ...typescript,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-explicit-any': 'error',
    },
  },
  {
    // What stations share knows neither the data file nor any one station.
    files: ['src/ui/**/*.{ts,tsx}', 'src/workers/**/*.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns: [{ group: ['**/data/**', '**/app/**', '**/aside/**'], message: 'Shared pieces import the core only.' }] }],
    },
  },
  {
    // The core is the textbook: nothing of the interface, the server or the machine comes in.
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: OUTWARD,
        },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'fetch', 'process'],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Time is passed in.' },
        { object: 'Math', property: 'random', message: 'Randomness is passed in.' },
      ],
    },
  },
  ...rooms.map(({ room, imports }) => {
    const closed = rooms.map((r) => r.room).filter((r) => r !== room && !imports.includes(r));
    return {
      files: [`src/core/${room}/**/*.ts`],
      ignores: ['src/core/**/*.test.ts'],
      rules: {
        'no-restricted-imports': [
          'error',
          {
            patterns: [
              ...OUTWARD,
              { group: closed.flatMap((r) => [`../${r}/*`, `../../${r}/*`]), message: `core/${room} does not stand on that room: see src/core/rooms.json.` },
            ],
          },
        ],
      },
    };
  }),
];

export default config;
