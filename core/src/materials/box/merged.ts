import { dequal } from 'dequal';
import { boxSchema, type ThreadBox } from './schema.ts';

interface Named {
  readonly id: string;
}

/**
 * Two boxes that were made of the same one, put together: what either added is there, what one removed and the other left alone is gone, and of what
 * both changed `mine` stands. Where that would be more than a box holds, it is `mine`.
 * @param base what both were made of
 */
export function mergedBoxes(base: ThreadBox, theirs: ThreadBox, mine: ThreadBox): ThreadBox {
  const both = {
    ...mine,
    entries: merged(base.entries, theirs.entries, mine.entries),
    cards: merged(base.cards, theirs.cards, mine.cards),
    basket: merged(base.basket, theirs.basket, mine.basket),
  };
  return boxSchema.safeParse(both).success ? both : mine;
}

function merged<T extends Named>(base: readonly T[], theirs: readonly T[], mine: readonly T[]): T[] {
  const [was, other, own] = [base, theirs, mine].map((list) => new Map(list.map((thing) => [thing.id, thing])));
  const isAsBefore = (thing: T): boolean => dequal(was!.get(thing.id), thing);
  return [
    ...mine.flatMap((thing): T[] => {
      const there = other!.get(thing.id);
      if (!isAsBefore(thing)) return [thing];
      return there ? [there] : [];
    }),
    ...theirs.filter((thing) => !own!.has(thing.id) && !isAsBefore(thing)),
  ];
}
