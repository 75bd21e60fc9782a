// Node reads TypeScript, and says where something went wrong in the lines that were written:
// node --import ./scripts/typescript.mjs FILE.ts
import { register } from 'node:module';

register('./typescriptHooks.mjs', import.meta.url);
process.setSourceMapsEnabled(true);
