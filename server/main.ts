import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import express from 'express';
import helmet from 'helmet';
import { readFaults, serveStandIns } from './standIns.ts';

const DEFAULT_PORT = 4310;
const MOST_SPEED = 100;
const SEED = 20261125;
/** Longer than any address of a page. */
const LONGEST_URL = 2000;
const HOST = '127.0.0.1';
const FAULTS = new URL('../demo/hidden-faults.json', import.meta.url);
const BUILT = fileURLToPath(new URL('../dist', import.meta.url));

/**
 * The built application, and its start page for every address inside it.
 *
 * @param root the folder it was built into
 */
export function application(root: string): express.Express {
  const app = express();
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          mediaSrc: ["'self'", 'blob:'],
          styleSrc: ["'self'", "'unsafe-inline'"],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'none'"],
          frameAncestors: ["'none'"],
        },
      },
      // Served on this machine only, without TLS: there is nothing to be strict about.
      strictTransportSecurity: false,
    }),
  );
  // The page asks for files and sends none: whatever carries a body, or does anything else, is turned away.
  app.use((request, response, next) => {
    const isAsking = request.method === 'GET' || request.method === 'HEAD';
    if (isAsking && request.url.length <= LONGEST_URL) next();
    else response.status(isAsking ? 414 : 405).end();
  });
  app.use(
    express.static(root, {
      index: 'index.html',
      dotfiles: 'ignore',
      redirect: false,
      setHeaders: (response, path) => {
        // What tells of a newer version is asked for each time.
        if (/(?:sw\.js|index\.html|\.webmanifest)$/.test(path)) response.set('Cache-Control', 'no-cache');
      },
    }),
  );
  // Only page addresses fall back to the application: a missing file stays missing.
  app.get('/{*page}', (request, response, next) => {
    if (/\.\w+$/.test(request.path)) next();
    else response.sendFile('index.html', { root });
  });
  return app;
}

function listen(app: express.Express, port: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, HOST, (error?: Error) => (error ? reject(error) : resolve(server)));
  });
}

/**
 * Starts the server on this machine only: the application, and the stand-ins for instruments.
 *
 * @param args `--port N` (another free port is taken when it is in use), `--exact` to fail instead, `--speed N` to let
 *   the clock of the stand-ins run N times as fast
 * @param root the folder the application was built into
 */
export async function serve(args: string[], root = BUILT): Promise<{ url: string; server: Server }> {
  const { values } = parseArgs({
    args,
    options: { port: { type: 'string' }, exact: { type: 'boolean' }, speed: { type: 'string' } },
  });
  const port = Number(values.port ?? DEFAULT_PORT);
  if (!Number.isInteger(port) || port < 0 || port > 65535) throw new RangeError(`not a port: ${values.port}`);
  const speed = Number(values.speed ?? 1);
  if (!(speed > 0 && speed <= MOST_SPEED)) throw new RangeError(`not a speed: ${values.speed}`);
  const app = application(root);
  const server = await listen(app, port).catch((error: NodeJS.ErrnoException) => {
    if (error.code !== 'EADDRINUSE' || values.exact) throw error;
    return listen(app, 0);
  });
  serveStandIns(server, { faults: readFaults(FAULTS), speed, seed: SEED });
  const { port: taken } = server.address() as AddressInfo;
  return { url: `http://${HOST}:${taken}/`, server };
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const { url } = await serve(process.argv.slice(2));
  console.log(`Serving on ${url}`);
}
