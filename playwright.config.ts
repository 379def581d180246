import { defineConfig } from '@playwright/test';

const PORT = 4391;

export default defineConfig({
  testDir: 'e2e',
  timeout: 45_000,
  expect: { timeout: 8_000 },
  workers: 1,
  forbidOnly: true,
  reporter: [['list']],
  outputDir: 'test-results',
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    trace: 'retain-on-failure',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
    },
  },
  webServer: { command: `node e2e/fresh-kitchen.mjs ${PORT}`, url: `http://127.0.0.1:${PORT}/api/due`, reuseExistingServer: false, stdout: 'ignore', stderr: 'pipe' },
});
