import next from 'eslint-config-next/core-web-vitals';
import typescript from 'eslint-config-next/typescript';

const config = [
  { ignores: ['.next/**', 'node_modules/**', 'next-env.d.ts', 'test-results/**', 'playwright-report/**'] },
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
    rules: { 'no-restricted-imports': ['error', { patterns: [{ group: ['**/data/**', '**/app/**'], message: 'Shared pieces import the core only.' }] }] },
  },
  {
    // The core is the textbook: nothing of the interface, the server or the machine comes in.
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: ['react', 'react-*', 'next', 'next/*', 'node:*', 'fs', 'path', 'better-sqlite3', 'drizzle-orm', 'drizzle-orm/*', 'server-only', 'comlink', 'chart.js'], message: 'The core imports nothing outward.' },
            { group: ['**/data/**', '**/ui/**', '**/app/**', '**/workers/**', '@/data/*', '@/ui/*', '@/app/*'], message: 'The core imports nothing outward.' },
          ],
        },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'fetch', 'process'],
      'no-restricted-properties': ['error', { object: 'Date', property: 'now', message: 'Time is passed in.' }, { object: 'Math', property: 'random', message: 'Randomness is passed in.' }],
    },
  },
];

export default config;
