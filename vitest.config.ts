import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    include: ['src/**/*.test.{ts,tsx}'],
    environment: 'node',
    setupFiles: ['src/testing/seed.ts'],
    // A command that is started, or a law over many cases, takes as long as a busy machine lets it; what hangs still fails.
    testTimeout: 30_000,
    expect: { poll: { timeout: 30_000 } },
  },
});
