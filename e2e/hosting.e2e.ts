/** Two built servers behind Debian's nginx with TLS, as `docs/hosting.md` has it: what the server says comes through unchanged. */
import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { createServer, type RequestListener } from 'node:http';
import { connect, type AddressInfo, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type APIRequestContext } from '@playwright/test';
import { launchArguments } from '../scripts/browser.mjs';
import { freePort, startServer } from '../scripts/serve.mjs';

interface Proxy {
  readonly secure: string;
  readonly plain: string;
  /** The file of its log of who answered. */
  readonly access: string;
  end(): void;
}

interface Hosted extends Proxy {
  /** The servers behind it, by their addresses. */
  readonly servers: { readonly origin: string; readonly server: ChildProcess }[];
  /** Addresses of the servers that answered, in order. */
  answeredBy(): string[];
}

let hosted: Hosted;

/** The shipped site with the ports, the certificate and the servers of this test. */
function siteFor(ports: { plain: number; secure: number; upstream: number[] }, folder: string): string {
  const [first, second] = ports.upstream;
  return readFileSync('docs/nginx-site.conf', 'utf8')
    .replace('127.0.0.1:3000', `127.0.0.1:${first}`)
    .replace('127.0.0.1:3001', `127.0.0.1:${second}`)
    .replace('listen 80;', `listen 127.0.0.1:${ports.plain};`)
    .replace('listen 443 ssl', `listen 127.0.0.1:${ports.secure} ssl`)
    .replace('/etc/ssl/ulterum/full-chain.pem', join(folder, 'certificate.pem'))
    .replace('/etc/ssl/ulterum/key.pem', join(folder, 'key.pem'));
}

/** What Debian's `nginx.conf` has round a site, in a folder of its own. */
function around(site: string, folder: string): string {
  const temporary = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map(
    (kind) => `${kind}_temp_path ${join(folder, kind)};`
  );
  // Started by root it would work as somebody who may not read the folder.
  const user = process.getuid?.() === 0 ? 'user root;' : '';
  return `${user} daemon off; worker_processes 1; pid ${join(folder, 'pid')}; error_log ${join(folder, 'error')};
events { worker_connections 256; }
http {
  default_type application/octet-stream;
  ${temporary.join(' ')}
  log_format upstream '$upstream_addr';
  access_log ${join(folder, 'access')} upstream;
  ${site}
}
`;
}

function selfSigned(folder: string): void {
  const to = ['-keyout', join(folder, 'key.pem'), '-out', join(folder, 'certificate.pem')];
  const names = ['-subj', '/CN=localhost', '-addext', 'subjectAltName=DNS:localhost,IP:127.0.0.1'];
  execFileSync('openssl', ['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', ...to, ...names], {
    stdio: 'ignore'
  });
}

async function listens(port: number): Promise<void> {
  for (let tries = 0; tries < 100; tries += 1) {
    const open = await new Promise<boolean>((done) => {
      const socket = connect(port, '127.0.0.1', () => done(true));
      socket.on('error', () => done(false));
      socket.on('connect', () => socket.end());
    });
    if (open) return;
    await new Promise((next) => setTimeout(next, 50));
  }
  throw new Error(`Nobody listens on ${port}`);
}

/** The shipped site in front of whatever listens on these two ports. */
async function proxyOf(upstream: number[]): Promise<Proxy> {
  const folder = mkdtempSync(join(tmpdir(), 'ulterum-nginx-'));
  selfSigned(folder);
  const ports = { plain: await freePort(0), secure: await freePort(0), upstream };
  const config = join(folder, 'nginx.conf');
  writeFileSync(config, around(siteFor(ports, folder), folder));
  const nginx = spawn('nginx', ['-c', config, '-e', join(folder, 'error')], { stdio: 'ignore' });
  await listens(ports.secure);
  return {
    secure: `https://localhost:${ports.secure}`,
    plain: `http://localhost:${ports.plain}`,
    access: join(folder, 'access'),
    end: () => {
      nginx.kill();
      rmSync(folder, { recursive: true, force: true });
    }
  };
}

test.beforeAll(async () => {
  const servers = [await startServer(await freePort(0)), await startServer(await freePort(0))];
  const proxy = await proxyOf(servers.map(({ origin }) => Number(new URL(origin).port)));
  hosted = {
    ...proxy,
    servers,
    // Where one was too busy and the next was asked, both stand in the line: the last of them answered.
    answeredBy: () =>
      readFileSync(proxy.access, 'utf8')
        .trim()
        .split('\n')
        .map((line) => line.split(', ').at(-1)!),
    end: () => {
      proxy.end();
      for (const { server } of servers) server.kill();
    }
  };
});
test.afterAll(() => hosted.end());

test.use({ ignoreHTTPSErrors: true });
test.describe.configure({ mode: 'serial' });

/** Headers that must not change on the way; `date` and the like do. */
const OURS = [
  'content-security-policy',
  'x-content-type-options',
  'referrer-policy',
  'permissions-policy',
  'cross-origin-opener-policy',
  'cache-control',
  'content-type'
];

test(
  'pages and answers keep their headers, and what is not over TLS is sent there',
  { tag: '@wide' },
  async ({ request }) => {
    const [direct] = hosted.servers;
    for (const path of ['/', '/api/catalogue', '/healthz', '/service-worker.js', '/schema/job.v2.json']) {
      const [here, there] = [
        await request.get(hosted.secure + path),
        await request.get(direct!.origin + path)
      ];
      expect(here.status(), path).toBe(200);
      // The word that lets a page's own scripts run is another each time.
      const of = (headers: Record<string, string>) =>
        OURS.map((name) => [name, headers[name]?.replace(/'nonce-[^']+'/, 'nonce')]);
      expect(of(here.headers()), path).toEqual(of(there.headers()));
    }
    const sent = await request.get(`${hosted.plain}/healthz?a=b`, { maxRedirects: 0 });
    expect(sent.status()).toBe(301);
    expect(sent.headers()['location']).toMatch(/^https:.*\/healthz\?a=b$/);
  }
);

async function refusedBody(request: APIRequestContext, bytes: number) {
  const answer = await request.post(`${hosted.secure}/api/plan`, {
    data: Buffer.alloc(bytes, ' '),
    headers: { 'content-type': 'application/json' }
  });
  return { status: answer.status(), headers: answer.headers(), body: await answer.json() };
}

test('limits are the same, in the same words', { tag: '@wide' }, async ({ request }) => {
  for (const bytes of [2_050_000, 2_150_000, 6_000_000]) {
    const { status, headers, body } = await refusedBody(request, bytes);
    expect(status).toBe(413);
    expect(body).toMatchObject({ faults: [{ path: 'the body', expected: 'at most 2 MB' }] });
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['content-security-policy']).toContain("default-src 'none'");
  }
});

test(
  'files come as they were compressed, answers are compressed on the way',
  { tag: '@wide' },
  async ({ request }) => {
    const page = await (await request.get(hosted.secure)).text();
    const script = /\/_app\/immutable\/[^"]+\.js/.exec(page)?.[0];
    const asked = { headers: { 'accept-encoding': 'br, gzip' } };
    const file = await request.get(`${hosted.secure}${script}`, asked);
    expect(file.headers()['content-encoding']).toBe('br');
    expect(file.headers()['cache-control']).toContain('immutable');
    const catalogue = await request.get(`${hosted.secure}/api/catalogue`, asked);
    expect(catalogue.headers()['content-encoding']).toBe('gzip');
    expect((await catalogue.json()).devices.length).toBeGreaterThan(5);
  }
);

test(
  'the page puts itself by for use without a network, and may use the camera',
  { tag: '@wide' },
  async ({ playwright }) => {
    const browser = await playwright.chromium.launch({
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      // Of a certificate that nobody signed a browser takes no service worker.
      args: [...launchArguments, '--ignore-certificate-errors']
    });
    const context = await browser.newContext({
      baseURL: hosted.secure,
      ignoreHTTPSErrors: true,
      serviceWorkers: 'allow'
    });
    const page = await context.newPage();
    await page.goto('/');
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    expect(await page.evaluate(() => [isSecureContext, 'mediaDevices' in navigator])).toEqual([true, true]);
    await context.setOffline(true);
    await page.goto('/demo');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await browser.close();
  }
);

test(
  'requests are spread over both servers, and one that goes takes nothing along',
  { tag: '@wide' },
  async ({ request }) => {
    const job = JSON.parse(await readFile('demo/classroom.json', 'utf8')) as object;
    const plan = async () => {
      const answer = await request.post(`${hosted.secure}/api/plan`, { data: job });
      expect(answer.status()).toBe(200);
      return (await answer.json()) as unknown;
    };
    const before = hosted.answeredBy().length;
    const [first, ...others] = await Promise.all(Array.from({ length: 8 }, plan));
    for (const other of others) expect(other).toEqual(first);
    expect(new Set(hosted.answeredBy().slice(before)).size).toBe(2);
    hosted.servers[0]!.server.kill('SIGKILL');
    expect(await plan()).toEqual(first);
    expect(await plan()).toEqual(first);
  }
);

/** Stand-ins for the two servers, which answer what a test has them say. */
async function standIns(answer: RequestListener) {
  const servers = [createServer(answer), createServer(answer)];
  await Promise.all(servers.map((server) => once(server.listen(0, '127.0.0.1'), 'listening')));
  const proxy = await proxyOf(servers.map((server) => (server.address() as AddressInfo).port));
  return {
    ...proxy,
    servers,
    end: () => {
      proxy.end();
      for (const server of servers) server.close().closeAllConnections();
    }
  };
}

test(
  'both servers may be full: what they say comes through, and they are asked again at once',
  { tag: '@wide' },
  async ({ request }) => {
    let full = true;
    const site = await standIns((_, response) =>
      response.writeHead(full ? 503 : 200, full ? { 'retry-after': '7' } : {}).end()
    );
    try {
      for (let asked = 0; asked < 3; asked += 1) {
        const answer = await request.get(`${site.secure}/healthz`);
        expect(answer.status()).toBe(503);
        expect(answer.headers()['retry-after']).toBe('7');
      }
      full = false;
      expect((await request.get(`${site.secure}/healthz`)).status()).toBe(200);
    } finally {
      site.end();
    }
  }
);

test(
  'a connection that rests is closed by nginx, so that nothing is sent on one that a server is just closing',
  { tag: '@wide' },
  async ({ request }) => {
    const site = await standIns((_, response) => response.end());
    try {
      const closed = Promise.race(
        site.servers.map(async (server) => {
          const [socket] = (await once(server, 'connection')) as [Socket];
          // Who is hung up on hears so; who hangs up does not.
          return Promise.race([
            once(socket, 'end').then(() => 'by nginx'),
            once(socket, 'close').then(() => 'by the server')
          ]);
        })
      );
      expect((await request.get(`${site.secure}/healthz`)).status()).toBe(200);
      expect(await closed).toBe('by nginx');
    } finally {
      site.end();
    }
  }
);
