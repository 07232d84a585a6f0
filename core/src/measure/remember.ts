/**
 * Remembers an answer that was found for a list of objects that never change. Asked for the same list again it answers at once;
 * a list is known by its first object, and only the last answer for that is kept.
 */
export class Remembered<Item extends object, Answer> {
  private readonly kept = new WeakMap<Item, { items: readonly Item[]; key: string; answer: Answer }>();

  /** @param key whatever else the answer depends on */
  get(items: readonly Item[], key: string, find: () => Answer): Answer {
    const [first] = items;
    if (!first) return find();
    const before = this.kept.get(first);
    const isSame =
      before?.key === key && before.items.length === items.length && before.items.every((item, i) => item === items[i]);
    if (isSame) return before.answer;
    const answer = find();
    this.kept.set(first, { items: [...items], key, answer });
    return answer;
  }
}

/** Remembers an answer about two objects that never change: it is found once for each pair, in the order in which they are given. */
export class RememberedPair<Item extends object, Answer> {
  private readonly kept = new WeakMap<Item, WeakMap<Item, { readonly answer: Answer }>>();

  get(a: Item, b: Item, find: (a: Item, b: Item) => Answer): Answer {
    const known = this.kept.get(a) ?? new WeakMap<Item, { readonly answer: Answer }>();
    this.kept.set(a, known);
    const entry = known.get(b) ?? { answer: find(a, b) };
    known.set(b, entry);
    return entry.answer;
  }
}

/** Remembers what a function found for an object that never changes. */
export function remembered<T extends object, Answer>(find: (object: T) => Answer): (object: T) => Answer {
  const found = new WeakMap<T, { readonly answer: Answer }>();
  return (object) => {
    const known = found.get(object) ?? { answer: find(object) };
    found.set(object, known);
    return known.answer;
  };
}
