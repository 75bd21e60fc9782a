import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { type IncomingHttpHeaders, request, type Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, expect, test } from '@jest/globals';
import { serve } from './main.ts';

/** A built application in little: one page, beside a secret that is none of its files. */
const folder = mkdtempSync(join(tmpdir(), 'served-'));
const root = join(folder, 'dist');
const running: Server[] = [];
async function start(...args: string[]) {
  const started = await serve(args, root);
  running.push(started.server);
  return started;
}
afterEach(async () => {
  await Promise.all(running.splice(0).map((server) => new Promise((resolve) => server.close(resolve))));
});

mkdirSync(root);
writeFileSync(join(root, 'index.html'), '<title>built</title>');
writeFileSync(join(folder, 'secret.json'), 'not for you');
writeFileSync(join(root, '.hidden'), 'not for you');
writeFileSync(join(root, 'sw.js'), '// worker');
mkdirSync(join(root, 'assets'));
writeFileSync(join(root, 'assets', 'app-abc123.js'), 'const a = 1;\n'.repeat(400));
afterAll(() => rmSync(folder, { recursive: true }));

test('listens on this machine only', async () => {
  const { url, server } = await start('--port', '0');
  expect(url).toMatch(/^http:\/\/127\.0\.0\.1:\d+\/$/);
  expect(server.address()).toMatchObject({ address: '127.0.0.1' });
});

test('takes another free port when the one asked for is in use', async () => {
  const { url } = await start('--port', '0');
  const port = new URL(url).port;
  const second = await start('--port', port);
  expect(new URL(second.url).port).not.toBe(port);
});

test('with --exact it fails instead', async () => {
  const { url } = await start('--port', '0');
  await expect(serve(['--port', new URL(url).port, '--exact'])).rejects.toMatchObject({ code: 'EADDRINUSE' });
});

test.each(['ninety', '', ' ', '80 ', '1e3', '0x50', '-1', '65536', '4310.0', '+80', '٤٣'])(
  'refuses %p, which is no port',
  async (port) => {
    await expect(serve([`--port=${port}`])).rejects.toThrow(/is no port/);
  },
);

/** A request as somebody who is no browser of ours may make it. */
const ask = (url: string, headers: Record<string, string>, path = '/') =>
  new Promise<{ status: number; body: string; headers: IncomingHttpHeaders }>((resolve, reject) => {
    const { port } = new URL(url);
    request({ host: '127.0.0.1', port, path, headers }, (response) => {
      let body = '';
      response.on('data', (data) => (body += String(data)));
      response.on('end', () =>
        resolve({ status: response.statusCode ?? 0, body, headers: response.headers }),
      );
    })
      .on('error', reject)
      .end();
  });

test('an address that makes no sense is refused without a trace or a path of this machine', async () => {
  const { url } = await start('--port', '0');
  for (const path of ['/%ff', '/job/%', '/%c0%ae', '/assets/%ff', '/missing.js', '/assets/gone.js']) {
    const { status, body } = await ask(url, {}, path);
    expect([path, status >= 400 && status < 500]).toEqual([path, true]);
    expect(body).not.toMatch(/at |node_modules|Error|\/work|\/tmp|\.ts/);
  }
});

test('a page whose address holds a dot opens', async () => {
  const { url } = await start('--port', '0');
  for (const path of ['job/x.y', 'job/x.y/cable/a.b/run', 'hunt/h.1', 'print/hunt/a.json', 'log', 'jobs'])
    expect((await fetch(url + path)).status).toBe(200);
});

test('only this machine’s own names, and only its own pages, are answered', async () => {
  const { url } = await start('--port', '0');
  const { port } = new URL(url);
  const status = async (headers: Record<string, string>) => (await ask(url, headers)).status;
  expect(await status({ host: `localhost:${port}` })).toBe(200);
  expect(await status({ host: `127.0.0.1:${port}`, origin: `http://127.0.0.1:${port}` })).toBe(200);
  expect(await status({ host: `elsewhere.example:${port}` })).toBe(403);
  expect(await status({ host: `127.0.0.1.elsewhere.example` })).toBe(403);
  expect(await status({ host: `127.0.0.1:${port}`, origin: 'http://elsewhere.example' })).toBe(403);
  const cross = { host: `127.0.0.1:${port}`, 'sec-fetch-site': 'cross-site' };
  expect(await status({ ...cross, 'sec-fetch-mode': 'no-cors' })).toBe(403);
  expect(await status({ ...cross, 'sec-fetch-mode': 'navigate' })).toBe(200);
});

test('what is built is packed and kept; what tells of a newer version is asked for each time', async () => {
  const { url } = await start('--port', '0');
  const built = await ask(url, { 'accept-encoding': 'gzip' }, '/assets/app-abc123.js');
  expect(built.headers['content-encoding']).toBe('gzip');
  expect(built.headers['cache-control']).toContain('immutable');
  for (const path of ['/', '/sw.js', '/job/a']) {
    const { headers } = await ask(url, {}, path);
    expect([path, headers['cache-control']]).toEqual([path, 'no-cache']);
  }
});

test('gives the start page for every address inside the application', async () => {
  const { url } = await start('--port', '0');
  for (const path of ['', 'demo', 'job/teasel/cable/th3/gauge']) {
    const response = await fetch(url + path);
    expect(response.status).toBe(200);
    expect(await response.text()).toContain('<title>built</title>');
  }
});

test('gives no file outside the built application, no hidden one, and none that is missing', async () => {
  const { url } = await start('--port', '0');
  for (const path of ['..%2fsecret.json', 'x/%2e%2e/%2e%2e/secret.json', '.hidden', 'missing.js']) {
    const response = await fetch(url + path);
    expect(await response.text()).not.toContain('not for you');
    expect(response.status).toBeGreaterThanOrEqual(400);
  }
});

test('sends a policy that allows no script but its own', async () => {
  const { url } = await start('--port', '0');
  const policy = (await fetch(url)).headers.get('content-security-policy');
  // WebAssembly is what the solver is made of; neither inline script nor evaluated text may run.
  expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval';");
  expect(policy).not.toMatch(/script-src[^;]*'unsafe/);
});
