import { WebSocket as Socket } from 'ws';
import { serve } from '../../server/main.ts';

// The stand-ins answer a simulated page as they answer a browser: over a socket of this machine, and a minute of theirs is
// gone in less than a second.
const { url, server } = await serve(['--port', '0', '--speed', '100']);
server.unref();

globalThis.WebSocket = class extends Socket {
  constructor(address: string | URL) {
    super(String(address).replace(location.host, new URL(url).host));
  }
} as unknown as typeof WebSocket;
