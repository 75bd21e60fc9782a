import { readdirSync, readFileSync } from 'node:fs';

// The specs that a simulated page is enough for, one after the other in one page: what they open is compiled once.
const specs = readdirSync('e2e').filter(
  (file) => file.endsWith('.spec.ts') && readFileSync(`e2e/${file}`, 'utf8').includes("'@page'"),
);
for (const file of specs) await import(`../${file}`);
