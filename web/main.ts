import * as z from 'zod/mini';
import { markLanguage, readingKept, speakAs } from './words.ts';

// Zod would otherwise probe for `eval` as its schemas are made, which the page's policy forbids: so first this, and the
// reader's language, then everything that makes a schema or says something.
z.config({ jitless: true });
await speakAs(readingKept(), navigator.languages);
markLanguage();
void import('./start.ts');
