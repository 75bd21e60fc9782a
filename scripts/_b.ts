import { benchStart } from './bench/start.ts';
await benchStart();
