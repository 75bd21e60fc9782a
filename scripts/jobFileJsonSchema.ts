import * as z from 'zod';
import { jobFileSchema } from '../core/model/job.ts';

/** The JSON Schema of the job file as it is kept in docs/. */
export function jobFileJsonSchema(): string {
  const schema = z.toJSONSchema(jobFileSchema, { target: 'draft-2020-12' });
  return `${JSON.stringify({ title: 'Gruff Anchor job file, version 1', ...schema }, null, 1)}\n`;
}
