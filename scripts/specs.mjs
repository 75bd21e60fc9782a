import { readdirSync, readFileSync } from 'node:fs';

/** Files of the specs that have one with this tag among them. */
export const specsWith = (tag) =>
  readdirSync('e2e')
    .filter((file) => file.endsWith('.spec.ts'))
    .map((file) => `e2e/${file}`)
    .filter((file) => readFileSync(file, 'utf8').includes(`'${tag}'`));
