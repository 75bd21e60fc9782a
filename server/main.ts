import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { sep } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import compression from 'compression';
import express, { type ErrorRequestHandler } from 'express';
import helmet from 'helmet';
import { isOwnHost, isOwnOrigin } from './ours.ts';
import { readFaults, serveStandIns } from './standIns.ts';

const DEFAULT_PORT = 4310;
const MOST_SPEED = 100;
const SEED = 20261125;
/** Longer than any address of a page. */
const LONGEST_URL = 2000;
const HOST = '127.0.0.1';
/** Addresses of pages, whatever is in them; files lie elsewhere. */
const PAGES = /^\/(?:$|(?:begin|demo|jobs|job|hunt|log|keeping|print)(?:\/|$)|[^/.]+$)/;
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
  // A page from elsewhere that found its way here by a name of its own is none of ours.
  app.use((request, response, next) => {
    if (isOwnHost(request.headers.host) && isOwnOrigin(request.headers)) next();
    else response.status(403).type('text').send('Not from here.');
  });
  // The page asks for files and sends none: whatever carries a body, or does anything else, is turned away.
  app.use((request, response, next) => {
    const isAsking = request.method === 'GET' || request.method === 'HEAD';
    if (isAsking && request.url.length <= LONGEST_URL) next();
    else response.status(isAsking ? 414 : 405).end();
  });
  app.use(compression());
  app.use(
    express.static(root, {
      index: 'index.html',
      dotfiles: 'ignore',
      redirect: false,
      setHeaders: (response, path) => {
        // A built file carries its contents in its name and never changes; all else is asked for each time.
        const isHashed = path.startsWith(`${root}${sep}assets${sep}`);
        response.set('Cache-Control', isHashed ? 'public, max-age=31536000, immutable' : 'no-cache');
      },
    }),
  );
  // Only page addresses fall back to the application: a missing file stays missing.
  app.get('/{*page}', (request, response, next) => {
    if (!PAGES.test(request.path)) return next();
    response.set('Cache-Control', 'no-cache');
    response.sendFile('index.html', { root });
  });
  app.use((_request, response) => void response.status(404).type('text').send('Not found.'));
  // What cannot be made sense of is refused in a word: no trace, no path of this machine.
  const refuse: ErrorRequestHandler = (error: { status?: unknown }, _request, response, next) => {
    // An answer that was begun can only be broken off.
    if (response.headersSent) return next(error);
    const status = typeof error.status === 'number' && error.status >= 400 ? error.status : 500;
    response
      .status(status)
      .type('text')
      .send(status < 500 ? 'Not understood.' : 'It failed here.');
  };
  app.use(refuse);
  return app;
}

function listen(app: express.Express, port: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, HOST, (error?: Error) => (error ? reject(error) : resolve(server)));
  });
}

const LOOKS_EVERY_MS = 1000;
/** Stops serving once another process is gone: one that was killed cannot say so. */
function endWith(pid: number, server: Server): void {
  const isThere = () => {
    try {
      return process.kill(pid, 0);
    } catch {
      return false;
    }
  };
  const looking = setInterval(() => {
    if (isThere()) return;
    clearInterval(looking);
    server.closeAllConnections();
    server.close();
  }, LOOKS_EVERY_MS);
  server.on('close', () => clearInterval(looking));
}

/**
 * Starts the server on this machine only: the application, and the stand-ins for instruments.
 *
 * @param args `--port N` (another free port is taken when it is in use), `--exact` to fail instead, `--speed N` to let
 *   the clock of the stand-ins run N times as fast, `--while PID` to end with that process, however it ended
 * @param root the folder the application was built into
 */
export async function serve(args: string[], root = BUILT): Promise<{ url: string; server: Server }> {
  const { values } = parseArgs({
    args,
    options: {
      port: { type: 'string' },
      exact: { type: 'boolean' },
      speed: { type: 'string' },
      while: { type: 'string' },
    },
  });
  const asked = values.port ?? String(DEFAULT_PORT);
  const port = Number(asked);
  if (!/^\d{1,5}$/.test(asked) || port > 65535)
    throw new RangeError(`“${asked}” is no port: give a whole number from 0 to 65535.`);
  const speed = Number(values.speed ?? 1);
  if (!(speed > 0 && speed <= MOST_SPEED))
    throw new RangeError(`“${values.speed}” is no speed: give a number up to ${MOST_SPEED}.`);
  const app = application(root);
  const server = await listen(app, port).catch((error: NodeJS.ErrnoException) => {
    if (error.code !== 'EADDRINUSE' || values.exact) throw error;
    return listen(app, 0);
  });
  if (values.while !== undefined) endWith(Number(values.while), server);
  serveStandIns(server, { faults: readFaults(FAULTS), speed, seed: SEED });
  const { port: taken } = server.address() as AddressInfo;
  return { url: `http://${HOST}:${taken}/`, server };
}

/** As {@link serve}; what it refuses is said in a sentence, and ends the program. */
export async function serveOrSay(args: string[]): ReturnType<typeof serve> {
  try {
    return await serve(args);
  } catch (error) {
    console.error(error instanceof Error ? error.message : error);
    process.exit(2);
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const { url } = await serveOrSay(process.argv.slice(2));
  console.log(`Serving on ${url}`);
}
