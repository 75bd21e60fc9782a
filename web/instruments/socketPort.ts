import { lineSplitter } from '../../core/instrument/lines.ts';
import { type LinePort, portEvents } from './port.ts';

/**
 * A line over a WebSocket.
 *
 * @throws Error where nothing answers there
 */
export async function openSocket(url: string): Promise<LinePort> {
  const socket = new WebSocket(url);
  const events = portEvents();
  const take = lineSplitter();
  socket.addEventListener('message', ({ data }) => {
    if (typeof data === 'string') take(data).forEach(events.line);
  });
  await new Promise<void>((resolve, reject) => {
    socket.addEventListener('open', () => resolve(), { once: true });
    socket.addEventListener('close', () => reject(new Error('nothing answers')), { once: true });
  });
  socket.addEventListener('close', events.shut);
  return {
    say: (line) => {
      if (socket.readyState === WebSocket.OPEN) socket.send(line);
    },
    onLine: events.onLine,
    onShut: events.onShut,
    shut: () => {
      socket.close();
      events.shut();
    },
  };
}
