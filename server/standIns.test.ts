import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import WebSocket, { type ClientOptions } from 'ws';
import { readStandIn } from '../core/instrument/standIn/protocol.ts';
import { serve } from './main.ts';

const root = mkdtempSync(join(tmpdir(), 'stand-ins-'));
mkdirSync(join(root, 'dist'));
writeFileSync(join(root, 'dist', 'index.html'), '');
let server: Server;
let at: string;
beforeAll(async () => {
  const started = await serve(['--port', '0', '--speed', '20'], join(root, 'dist'));
  server = started.server;
  at = started.url.replace('http', 'ws');
});
afterAll(async () => {
  await new Promise((resolve) => server.close(resolve));
  rmSync(root, { recursive: true });
});

/** Opens an instrument, says some lines, and answers with what came back until it has `count` lines or is shut. */
async function talk(
  path: string,
  say: string[],
  count: number,
  options: ClientOptions = {},
): Promise<string[]> {
  const socket = new WebSocket(`${at}${path}`, options);
  const heard: string[] = [];
  return new Promise((resolve) => {
    socket.on('open', () => say.forEach((line) => socket.send(line)));
    socket.on('message', (data) => {
      heard.push(...(data as Buffer).toString().trim().split('\n'));
      if (heard.length >= count) socket.close();
    });
    socket.on('error', ({ message }) => heard.push(`error ${message}`));
    socket.on('close', () => resolve(heard));
  });
}

describe('the stand-ins', () => {
  test('say who they are over the line', async () => {
    const [line = ''] = await talk('instruments/milliohm', ['identify'], 1);
    expect(readStandIn(line, 'milliohm')).toMatchObject({ kind: 'identity', identity: { simulated: true } });
  });
  test('print a label over the line', async () => {
    const lines = ['label 60 25', 'text 2 8 6 strong TH-3', 'print'];
    expect(await talk('instruments/printer', lines, 1)).toEqual(['ok printed 1']);
  });
  test('stream in step with their own clock', async () => {
    const lines = await talk('instruments/scale', ['stream 1000'], 6);
    const said = lines.slice(1).map((line) => readStandIn(line, 'scale'));
    expect(said.every(({ kind }) => kind === 'over')).toBe(true);
    const moments = said.flatMap((one) => (one.kind === 'over' ? [one.atS] : []));
    // A second of its clock lies between two of them, less the step in which it looks at the time.
    for (let i = 1; i < moments.length; i += 1)
      expect((moments[i] ?? 0) - (moments[i - 1] ?? 0)).toBeGreaterThan(0.4);
  });
  test('that were held up say what they would have said meanwhile', async () => {
    const talking = talk('instruments/scale', ['stream 1000'], 14);
    const until = performance.now() + 700;
    const heldUp = setInterval(() => {
      while (performance.now() < until);
      clearInterval(heldUp);
    }, 200);
    const moments = (await talking).flatMap((line) => {
      const said = readStandIn(line, 'scale');
      return said.kind === 'over' ? [said.atS] : [];
    });
    expect(moments.length).toBeGreaterThan(12);
    for (let i = 1; i < moments.length; i += 1)
      expect((moments[i] ?? 0) - (moments[i - 1] ?? 0)).toBeLessThan(1.1);
  });
  test('hang up when they drop out', async () => {
    const lines = await talk('instruments/calliper', ['trouble drops out', 'measure'], 99);
    expect(lines).toEqual(['ok trouble']);
  });
  test('let in no page from elsewhere, no other instrument, and nothing endless', async () => {
    expect(await talk('instruments/scale', [], 1, { origin: 'http://elsewhere.example' })).toEqual([
      expect.stringContaining('403'),
    ]);
    expect(await talk('instruments/kettle', [], 1)).toEqual([expect.stringContaining('403')]);
    expect(await talk('instruments/constructor', [], 1)).toEqual([expect.stringContaining('403')]);
    expect(await talk('instruments/scale', ['x'.repeat(30_000)], 1)).toEqual([]);
  });
  test('refuse a speed that is none', async () => {
    await expect(serve(['--port', '0', '--speed', '0'], root)).rejects.toThrow(RangeError);
  });
});
