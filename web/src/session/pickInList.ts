import { useSelection } from './selection.ts';

/** What lies between two places of a list, both included; where one of them is not in it, the other alone. */
export function stretchOf(ids: readonly string[], one: string, other: string): string[] {
  const places = [ids.indexOf(one), ids.indexOf(other)].filter((place) => place >= 0);
  return places.length === 0 ? [] : ids.slice(Math.min(...places), Math.max(...places) + 1);
}

/**
 * Picks parts in a list as lists do everywhere: one by a press, a stretch with Shift, one more or less with Ctrl, all with Ctrl A.
 * @param ids the parts as they stand in the list, from top to bottom
 */
export function usePickInList(ids: () => readonly string[]) {
  const selection = useSelection();
  /** Where a stretch begins. */
  let begun: string | null = null;

  function pick(id: string, { shiftKey, ctrlKey, metaKey }: MouseEvent): void {
    const isAdding = ctrlKey || metaKey || selection.picksSeveral;
    selection.isListing = shiftKey || isAdding;
    if (shiftKey) {
      return selection.pick(stretchOf(ids(), begun ?? selection.picked[0] ?? id, id));
    }
    begun = id;
    if (!isAdding) return selection.pick([id]);
    selection.toggle(id);
  }

  function pickAll(): void {
    selection.isListing = true;
    selection.pick([...ids()]);
  }

  return { pick, pickAll };
}
