import { expect, test } from './kitchen';

test('no script runs that is not the page’s own: each that stands in it has the page’s mark, and one put in does nothing', async ({ page }) => {
  const refused: string[] = [];
  page.on('console', (m) => m.text().includes('Content Security Policy') && refused.push(m.text()));
  for (const path of ['/', '/sheet/prune-mousse/bench', '/larder', '/log', '/paste', '/practise']) {
    const answer = await page.goto(path);
    const mark = /'nonce-([^']+)'/.exec(answer!.headers()['content-security-policy']!)![1]!;
    const text = await answer!.text();
    const scripts = [...text.matchAll(/<script\b([^>]*)>/g)].map((m) => m[1]!);
    expect(scripts.length, path).toBeGreaterThan(3);
    for (const attributes of scripts) expect(attributes, path).toContain(`nonce="${mark}"`);
  }
  // The page is alive, and nothing of its own was refused.
  expect(refused).toEqual([]);
  const ran = await page.evaluate(() => {
    const script = document.createElement('script');
    script.textContent = 'window.putIn = true';
    document.body.append(script);
    const image = document.createElement('img');
    image.setAttribute('onerror', 'window.putIn = true');
    image.src = 'data:,';
    document.body.append(image);
    return new Promise((done) => setTimeout(() => done('putIn' in window), 300));
  });
  expect(ran).toBe(false);
  expect(refused.length).toBeGreaterThan(0);
});
