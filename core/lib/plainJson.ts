/**
 * What JSON cannot write is a word in it, never null: an infinite packing of a die inside the lug's wall.
 *
 * @example JSON.stringify({ kappa: Infinity }, plainJson) // '{"kappa":"Infinity"}'
 */
export const plainJson = (_key: string, value: unknown): unknown =>
  typeof value === 'number' && !Number.isFinite(value) ? String(value) : value;
