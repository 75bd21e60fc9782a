/** Puts a value at the end of the list under a key, which it begins if there is none. */
export function addTo<Key, Value>(lists: Map<Key, Value[]>, key: Key, value: Value): void {
  const known = lists.get(key);
  if (known) known.push(value);
  else lists.set(key, [value]);
}

/** The one in the middle of some figures, of an even number the upper of the two; 0 of none. @example medianOf([3, 1, 2]) // 2 */
export const medianOf = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
