/** Puts a value at the end of the list under a key, which it begins if there is none. */
export function addTo<Key, Value>(lists: Map<Key, Value[]>, key: Key, value: Value): void {
  const known = lists.get(key);
  if (known) known.push(value);
  else lists.set(key, [value]);
}
