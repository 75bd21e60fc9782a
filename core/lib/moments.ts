/**
 * The latest of some moments, ISO 8601 in UTC; empty where there is none, which is before every other.
 *
 * @example latestOf([{ at: '2026-11-27T09:00:00.000Z' }, { at: '2026-11-26T09:00:00.000Z' }]) // the first
 */
export const latestOf = (acts: readonly { readonly at: string }[]): string =>
  acts.reduce((latest, { at: moment }) => (moment > latest ? moment : latest), '');
