import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
const PORT = '4199';
const env = { ...process.env, SOFT_PEAK_PORT: PORT, SOFT_PEAK_DATA: join(mkdtempSync(join(tmpdir(), 'sp-empty-')), 'kitchen.db') };
const server = spawn('node', ['scripts/serve.mjs'], { env, stdio: 'ignore', detached: true });
const base = `http://127.0.0.1:${PORT}`;
for (let i = 0; i < 200; i++) { if (await fetch(base + '/api/health').then((r) => r.ok, () => false)) break; await new Promise((r) => setTimeout(r, 200)); }
const b = await chromium.launch({ executablePath: '/usr/bin/chromium' });
try {
  for (const [w, h] of [[1280, 800], [390, 844]] as const) {
    const page = await b.newPage({ viewport: { width: w, height: h } });
    for (const [name, path] of [['today', '/'], ['measures', '/begin'], ['cold', '/begin?step=cold'], ['mixers', '/begin?step=mixers'], ['vessels', '/begin?step=vessels'], ['rules', '/begin?step=rules'], ['sheet', '/begin?step=sheet']] as const) {
      await page.goto(base + path); await page.waitForTimeout(900);
      if (name === 'vessels') { await page.getByLabel('Across', { exact: true }).fill('9 1/2 in'); await page.waitForTimeout(200); }
      await page.screenshot({ path: `/tmp/keep/shot-${name}-${w}.png` });
    }
    await page.close();
  }
} finally { await b.close(); process.kill(-server.pid!); }
process.exit(0);
