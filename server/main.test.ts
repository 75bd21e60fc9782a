import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
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

test('refuses what is no port', async () => {
  await expect(serve(['--port', 'ninety'])).rejects.toThrow(RangeError);
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
