import { chromium } from '@playwright/test';
const base = 'http://127.0.0.1:4571';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await b.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(base + '/larder/kitchen', { waitUntil: 'networkidle' });
if (process.argv[2] === 'set') {
  for (const [l, u] of [['Temperatures in', '°F'], ['Weights in', 'oz'], ['Volumes in', 'fl oz'], ['Lengths in', 'in'], ['Times of day by', '12 h'], ['Prices in', 'USD']] as const) {
    const anew = page.waitForEvent('load');
    await page.getByLabel(l).click();
    await page.getByRole('option').filter({ has: page.locator(`[data-value="${u}"]`) }).or(page.locator(`[role=option][data-value="${u}"]`)).first().click().catch(async () => { console.log('opts', await page.getByRole('option').allInnerTexts()); });
    await anew.catch(() => console.log('no load', l));
    await page.waitForLoadState('networkidle');
  }
}
for (const spec of process.argv.slice(3)) {
  const [name, path, w] = spec.split('=') as [string, string, string?];
  await page.setViewportSize(w === 'm' ? { width: 390, height: 844 } : { width: 1280, height: 800 });
  await page.goto(base + path, { waitUntil: 'networkidle' });
  await page.waitForTimeout(500);
  if (name === 'units') { await page.getByLabel('Prices in').scrollIntoViewIfNeeded(); }
  await page.screenshot({ path: `/tmp/us1/${name}.png` });
}
await b.close();
