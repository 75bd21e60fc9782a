// npm run demo [-- --port N]: installs what is missing, builds, and serves the application with its demo jobs.
import { ensurePackages, must } from './setup.mjs';

await ensurePackages();
must('npx', ['--no-install', 'vite', 'build', '--logLevel', 'warn']);
await import('./typescript.mjs');
const { serveOrSay } = await import('../server/main.ts');
const { url } = await serveOrSay(process.argv.slice(2));
console.log(`\nGruff Anchor is ready, with its demo jobs:\n\n  ${url}demo\n\nCtrl C ends it.`);
