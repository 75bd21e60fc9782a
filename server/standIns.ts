import { readFileSync } from 'node:fs';
import type { IncomingMessage, Server } from 'node:http';
import type { Duplex } from 'node:stream';
import { type WebSocket, WebSocketServer } from 'ws';
import * as z from 'zod/mini';
import { INSTRUMENT_KINDS, type InstrumentKind } from '../core/model/tables/instruments.ts';
import { lineSplitter } from '../core/instrument/lines.ts';
import { type HiddenFault, hiddenFaultSchema } from '../core/instrument/standIn/specimen.ts';
import { printerStandIn } from '../core/instrument/standIn/printer.ts';
import { type Answer, type StandIn, standIn } from '../core/instrument/standIn/standIn.ts';
import { isOwnHost, isOwnOrigin } from './ours.ts';
import { seeded } from '../core/lib/random.ts';

const PATH = /^\/instruments\/([a-z]+)$/;
const LARGEST_MESSAGE = 20_000;
const MOST_AT_ONCE = 24;
const TICK_MS = 25;

/** What is wrong with the demo's cables and no file of theirs says. */
export function readFaults(file: string | URL): HiddenFault[] {
  return z.array(hiddenFaultSchema).parse(JSON.parse(readFileSync(file, 'utf8')));
}

/** How the stand-ins are run. */
export interface StandInSettings {
  readonly faults: readonly HiddenFault[];
  /** Their clock runs so many times as fast as the wall's. */
  readonly speed: number;
  readonly seed: number;
}

/** The kind that an upgrade asks for; null where it asks for none, or a page from elsewhere asks. */
function kindAsked({ url, headers }: IncomingMessage): InstrumentKind | 'printer' | null {
  if (!isOwnHost(headers.host) || !isOwnOrigin(headers)) return null;
  const [, name] = PATH.exec(url ?? '') ?? [];
  return name === 'printer' ? name : (INSTRUMENT_KINDS.find((kind) => kind === name) ?? null);
}

/** Puts the stand-ins behind a server's WebSocket addresses, `/instruments/KIND`. Only its own pages are let in. */
export function serveStandIns(server: Server, { faults, speed, seed }: StandInSettings): void {
  const sockets = new WebSocketServer({ noServer: true, maxPayload: LARGEST_MESSAGE });
  let opened = 0;
  server.on('upgrade', (request: IncomingMessage, socket: Duplex, head: Buffer) => {
    const kind = kindAsked(request);
    if (!kind || sockets.clients.size >= MOST_AT_ONCE) {
      socket.end('HTTP/1.1 403 Forbidden\r\nConnection: close\r\n\r\n');
      return;
    }
    opened += 1;
    const own = kind === 'printer' ? printerStandIn() : standIn(kind, seeded(seed + opened), faults);
    sockets.handleUpgrade(request, socket, head, (peer) => run(peer, own, speed));
  });
  server.on('close', () => {
    for (const peer of sockets.clients) peer.terminate();
  });
}

function run(peer: WebSocket, device: StandIn, speed: number): void {
  const began = performance.now();
  const nowS = () => ((performance.now() - began) / 1000) * speed;
  const take = lineSplitter();
  const answer = ({ lines, hangsUp }: Answer) => {
    for (const line of lines) peer.send(`${line}\n`);
    if (hangsUp) peer.terminate();
  };
  // Where this process was held up, or the clock runs fast, it says all the same what it would have said meanwhile.
  let toldS = 0;
  const tell = () => {
    for (const untilS = nowS(); toldS < untilS; toldS += TICK_MS / 1000) answer(device.tick(toldS));
  };
  const timer = setInterval(tell, TICK_MS);
  peer.on('message', (data, isBinary) => {
    if (isBinary) return peer.close(1003);
    tell();
    for (const line of take(`${(data as Buffer).toString('utf8')}\n`)) answer(device.hear(line, toldS));
  });
  peer.on('error', () => peer.terminate());
  peer.on('close', () => clearInterval(timer));
}
