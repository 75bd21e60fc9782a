import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { WebSocket as Socket } from 'ws';
import { readFaults, serveStandIns } from '../../server/standIns.ts';

// The stand-ins answer a simulated page as they answer a browser: over a socket of this machine, and a minute of theirs is gone in less than a second.
const server = createServer();
serveStandIns(server, { faults: readFaults('demo/hidden-faults.json'), speed: 100, seed: 20261125 });
await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
server.unref();
const { port } = server.address() as AddressInfo;

globalThis.WebSocket = class extends Socket {
  constructor(address: string | URL) {
    super(String(address).replace(location.host, `127.0.0.1:${port}`));
  }
} as unknown as typeof WebSocket;
