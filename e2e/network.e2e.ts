/** What the network does to an application that was opened before: nothing. */
import { createServer, request, type Server } from 'node:http';
import { expect, test, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { cell, expectSaved, open, openDemo } from './helpers';

/** How the gateway in front of the server behaves; `newer`: as if a newer version had been put there. */
type Manner = 'passes' | 'fails' | 'hangs' | 'asks to sign in' | 'newer';

interface Gateway {
  manner: Manner;
  readonly address: string;
  readonly server: Server;
}

/** A gateway before the server under test, whose manner can be changed. */
async function gateway(upstream: string): Promise<Gateway> {
  const server = createServer((from, to) => {
    if (gate.manner === 'hangs') return;
    if (gate.manner === 'fails')
      return void to.writeHead(502, { 'content-type': 'text/html' }).end('Bad gateway');
    if (gate.manner === 'asks to sign in')
      return void to.writeHead(200, { 'content-type': 'text/html' }).end('<h1>Sign in to this network</h1>');
    const rewrites = gate.manner === 'newer' && from.url === '/service-worker.js';
    const headers = { ...from.headers, 'accept-encoding': 'identity' };
    request(new URL(from.url ?? '/', upstream), { method: from.method, headers }, (answer) => {
      if (!rewrites) {
        to.writeHead(answer.statusCode ?? 500, answer.headers);
        return void answer.pipe(to);
      }
      const parts: Buffer[] = [];
      answer.on('data', (part: Buffer) => parts.push(part));
      answer.on('end', () => {
        const text = Buffer.concat(parts).toString().replaceAll('ulterum-', 'ulterum-newer-');
        to.writeHead(200, { 'content-type': 'text/javascript' }).end(text);
      });
    }).end();
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const at = server.address();
  const port = typeof at === 'object' && at ? at.port : 0;
  const gate: Gateway = { manner: 'passes', address: `http://127.0.0.1:${port}`, server };
  return gate;
}

/** The demo behind a gateway, once everything is put by and the worker answers. */
async function installed(browser: Browser, upstream: string): Promise<{ gate: Gateway; page: Page }> {
  const gate = await gateway(upstream);
  gates.push(gate);
  const context = await browser.newContext({ baseURL: gate.address, serviceWorkers: 'allow' });
  contexts.push(context);
  const page = await context.newPage();
  await openDemo(page);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  return { gate, page };
}

test.use({ serviceWorkers: 'allow' });
const gates: Gateway[] = [];
const contexts: BrowserContext[] = [];
test.afterEach(async () => {
  for (const context of contexts.splice(0)) await context.close();
  for (const gate of gates.splice(0)) {
    gate.server.closeAllConnections();
    gate.server.close();
  }
});

test(
  'a gateway that fails, hangs or asks to sign in is no network: the application opens',
  { tag: '@wide' },
  async ({ browser, baseURL }) => {
    const { gate, page } = await installed(browser, baseURL ?? '');
    for (const manner of ['fails', 'hangs', 'asks to sign in'] as const) {
      gate.manner = manner;
      await open(page, '/job/job-schoolhouse/th-classroom/sheet');
      await expect(cell(page, 1, 'colour'), manner).toBeVisible();
      await open(page, '/job/job-schoolhouse/th-classroom/survey');
      await expect(page.getByRole('heading', { level: 1 }), manner).toBeVisible();
    }
  }
);

test(
  'a newer version leaves the open page whole, says that it is ready, and waits for the last page',
  { tag: '@wide' },
  async ({ browser, baseURL }) => {
    const { gate, page } = await installed(browser, baseURL ?? '');
    const other = await page.context().newPage();
    await open(other, '/');
    const caches = () => page.evaluate(() => window.caches.keys());
    const before = await caches();
    gate.manner = 'newer';
    await page.evaluate(() =>
      navigator.serviceWorker.getRegistration().then((found) => found?.update().then(() => undefined))
    );
    const notice = page.getByRole('status').filter({ hasText: 'A new version of Ulterum is ready' });
    await expect(notice).toBeVisible();
    await notice.getByRole('button', { name: 'Update now' }).click();
    await expect(notice).toContainText('Close the other pages');
    expect(await caches()).toEqual(expect.arrayContaining(before));
    await cell(page, 5, 'colour').focus();
    await page.keyboard.type('vt');
    await expectSaved(page);
    await other.close();
    // The browser tells the worker of the closed page in its own time.
    await expect(async () => {
      if (await notice.isVisible()) await notice.getByRole('button', { name: 'Update now' }).click();
      await expect(notice).toHaveCount(0, { timeout: 2000 });
    }).toPass();
    await expect(cell(page, 1, 'colour')).toBeVisible();
    await expect.poll(caches).not.toEqual(expect.arrayContaining(before));
  }
);
