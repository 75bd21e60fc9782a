import type { Server } from 'node:http';
import { afterEach, expect, test } from '@jest/globals';
import { serve } from './main.ts';

const running: Server[] = [];
async function start(...args: string[]) {
  const started = await serve(args);
  running.push(started.server);
  return started;
}
afterEach(async () => {
  await Promise.all(running.splice(0).map((server) => new Promise((resolve) => server.close(resolve))));
});

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

test('gives no file outside the built application', async () => {
  const { url } = await start('--port', '0');
  for (const path of [
    'package.json',
    '..%2fpackage.json',
    'assets/%2e%2e/%2e%2e/package.json',
    '.git/config',
  ]) {
    const response = await fetch(url + path);
    expect(await response.text()).not.toMatch(/gruff-anchor"|\[core\]/);
  }
});

test('sends a policy that allows no script but its own', async () => {
  const { url } = await start('--port', '0');
  const policy = (await fetch(url)).headers.get('content-security-policy');
  expect(policy).toContain("script-src 'self'");
  expect(policy).not.toMatch(/script-src[^;]*unsafe/);
});
