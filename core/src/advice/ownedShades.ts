import { deltaE, labOf } from '../colour/index.ts';
import { refOf, type Shade } from '../materials/index.ts';
import type { PaletteColour, WorkedIn } from '../piece/index.ts';

/** To be told from another colour, a colour may be worked in a thread that is further off by this, and no more (ΔE2000). */
const FURTHER = 12;
/** Colours that were drawn nearer than this may come to one thread (ΔE2000). */
const ALIKE = 6;

/** A colour with the owned shade that it is worked in, and how far that is from what was drawn, ΔE2000. */
export interface OwnedShade extends WorkedIn {
  readonly difference: number;
}

/**
 * The shades of threads that are there for the colours of a palette: each the nearest, but two colours that were drawn apart are given one thread only
 * where no other is nearly as near. The colour that has a near thread chooses first.
 * @param owned shades, one or more
 */
export function shadesOwned(
  palette: readonly Pick<PaletteColour, 'id' | 'hex'>[],
  owned: readonly Shade[],
): ReadonlyMap<string, OwnedShade> {
  const wishes = palette.map((colour) => {
    const lab = labOf(colour.hex);
    const near = owned
      .map((shade) => ({ shade, difference: deltaE(lab, shade.lab) }))
      .sort((a, b) => a.difference - b.difference);
    return { colour, lab, near };
  });
  const chosen = new Map<string, OwnedShade>();
  const taken: { shade: Shade; lab: ReturnType<typeof labOf> }[] = [];
  const inTurn = [...wishes].sort((a, b) => (a.near[0]?.difference ?? 0) - (b.near[0]?.difference ?? 0));
  for (const { colour, lab, near } of inTurn) {
    const [nearest] = near;
    if (!nearest) continue;
    const isFree = ({ shade }: { shade: Shade }): boolean =>
      taken.every((other) => other.shade !== shade || deltaE(other.lab, lab) < ALIKE);
    const free = near.find((one) => one.difference <= nearest.difference + FURTHER && isFree(one)) ?? nearest;
    taken.push({ shade: free.shade, lab });
    chosen.set(colour.id, { shade: refOf(free.shade), second: null, difference: free.difference });
  }
  return chosen;
}
