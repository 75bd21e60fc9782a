/** An object as it comes out of a file: its fields are not known yet. */
export type Fields = Readonly<Record<string, unknown>>;

/** Whether something out of a file has fields: no list, nothing plain, not nothing. */
export const isFields = (data: unknown): data is Fields =>
  typeof data === 'object' && data !== null && !Array.isArray(data);
