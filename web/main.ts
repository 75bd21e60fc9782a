import * as z from 'zod';

// Zod would otherwise probe for `eval` as its schemas are made, which the page's policy forbids: so first this, then
// everything that makes a schema.
z.config({ jitless: true });
void import('./start.ts');
