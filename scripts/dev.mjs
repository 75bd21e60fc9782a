// npm run dev: serves the application as it is edited, with the stand-ins for instruments behind it.
import { ensurePackages } from './setup.mjs';

await ensurePackages();
await import('./typescript.mjs');
const { serveOrSay } = await import('../server/main.ts');
const { url } = await serveOrSay([]);
process.env.STAND_INS = url.replace(/^http/, 'ws');
const { createServer } = await import('vite');
const vite = await createServer();
await vite.listen();
vite.printUrls();
