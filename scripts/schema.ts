// npm run schema: writes the JSON Schema of the job file from its Zod schema.
import { writeFileSync } from 'node:fs';
import { jobFileJsonSchema } from './jobFileJsonSchema.ts';

writeFileSync('docs/job-file.schema.json', jobFileJsonSchema());
