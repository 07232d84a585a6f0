/**
 * The value of a key that a map is known to hold.
 * @throws RangeError where it does not: a mistake of the program, never of what comes from outside
 */
export function valueOf<Key, Value>(map: ReadonlyMap<Key, Value>, key: Key): Value {
  const value = map.get(key);
  if (value === undefined && !map.has(key)) throw new RangeError(`valueOf: nothing is known as '${String(key)}'`);
  return value as Value;
}

/** Looks the entries of a fixed list up by their ids. Example: `lookUp([{ id: 'felt', gsm: 180 }])('felt').gsm` is 180. */
export function lookUp<Entry extends { readonly id: string }>(entries: readonly Entry[]): (id: Entry['id']) => Entry {
  const byId = new Map(entries.map((entry) => [entry.id, entry]));
  return (id) => valueOf(byId, id);
}
