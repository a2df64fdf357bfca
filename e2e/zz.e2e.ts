import { test } from '@playwright/test';
test('zz', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  page.on('pageerror', (e) => console.log('ERR', e.message));
  page.on('console', (m) => m.type() === 'error' && console.log('CON', m.text()));
  await page.goto('/demo/quarry-row');
  await page.waitForURL(/strip/);
  await page.waitForTimeout(1500);
  const base = page.url().replace(/\/strip$/, '');
  for (const s of ['strip', 'layout', 'controller', 'work', 'trial', 'fault', 'built']) {
    await page.goto(`${base}/${s}`);
    await page.waitForTimeout(1500);
    await page.screenshot({ path: `/tmp/m-${s}.png`, fullPage: true });
  }
  await page.setViewportSize({ width: 390, height: 844 });
  for (const s of ['strip', 'controller', 'work']) {
    await page.goto(`${base}/${s}`);
    await page.waitForTimeout(1200);
    await page.screenshot({ path: `/tmp/p-${s}.png` });
  }
});
