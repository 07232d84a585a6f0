import { useSelection } from './selection.ts';

/**
 * Picks parts in a list as lists do everywhere: one by a press, a stretch with Shift, one more or less with Ctrl, all with Ctrl A.
 * @param ids the parts as they stand in the list, from top to bottom
 */
export function usePickInList(ids: () => readonly string[]) {
  const selection = useSelection();
  /** Where a stretch begins. */
  let begun: string | null = null;

  function pick(id: string, { shiftKey, ctrlKey, metaKey }: MouseEvent): void {
    const { picked } = selection;
    const isAdding = ctrlKey || metaKey;
    selection.isListing = shiftKey || isAdding;
    if (shiftKey) {
      const all = ids();
      const [from, to] = [all.indexOf(begun ?? picked[0] ?? id), all.indexOf(id)].sort((a, b) => a - b);
      return selection.pick(all.slice(Math.max(0, from!), to! + 1));
    }
    begun = id;
    if (!isAdding) return selection.pick([id]);
    selection.pick(picked.includes(id) ? picked.filter((other) => other !== id) : [...picked, id]);
  }

  function pickAll(): void {
    selection.isListing = true;
    selection.pick([...ids()]);
  }

  return { pick, pickAll };
}
