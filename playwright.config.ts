import { defineConfig } from '@playwright/test';
import { storyPort } from './e2e/ports';

const PORT = storyPort(0);

export default defineConfig({
  testDir: 'e2e',
  // Every wait inside a story has its own bound; this one is for a story that hangs, not for a machine that is slow.
  timeout: 180_000,
  expect: { timeout: 8_000 },
  workers: 1,
  forbidOnly: true,
  // A story that needs its second run is named as such in the report: a fault to look for, not one to stop a landing.
  retries: 1,
  reporter: [['list']],
  outputDir: 'test-results',
  use: {
    // A story has the server's own pages; the one about the time without it allows the worker that keeps them.
    serviceWorkers: 'block',
    baseURL: `http://127.0.0.1:${PORT}`,
    actionTimeout: 30_000,
    navigationTimeout: 60_000,
    viewport: { width: 1280, height: 800 },
    // Tracing every story would cost half the machine; a story that failed once runs again and is traced then.
    trace: 'on-first-retry',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: `node e2e/fresh-kitchen.mjs ${PORT}`,
    url: `http://127.0.0.1:${PORT}/api/due`,
    reuseExistingServer: false,
    stdout: 'ignore',
    stderr: 'pipe',
  },
});
