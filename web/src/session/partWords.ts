import type { PlacedShape } from '@junctura/core/drawing';
import type { PassRole } from '@junctura/core/piece';
import { formatFine, formatLength, plural, type UnitSystem } from '@junctura/core/measure';

/** The size of a part in words: an area by its area and widest place, a line by its length. */
export function partSize(placed: PlacedShape, units: UnitSystem): string {
  if (!placed.box) return 'wholly hidden';
  if (placed.kind === 'area') {
    const area =
      placed.areaMm2 >= 1000
        ? `${(placed.areaMm2 / 100).toFixed(1)} cm²`
        : `${placed.areaMm2.toFixed(placed.areaMm2 < 10 ? 1 : 0)} mm²`;
    return `${area}, ${formatFine((placed.widest?.r ?? 0) * 2)} at its widest`;
  }
  if (placed.kind === 'line') return `${formatLength(placed.lengthMm, units)} long`;
  const count = placed.shape.spots.length / 2;
  return count === 1 ? 'one spot' : `${count} spots`;
}

/** Several parts in words: by the name that they share but for its number (“6 petals”), else as parts; one by its own name. */
export function partsInWords(names: readonly string[]): string {
  if (names.length === 1) return names[0]!;
  const stems = new Set(names.map((name) => name.replace(/[\s,]*\d+$/, '').toLowerCase()));
  const [stem] = stems;
  return stems.size === 1 && stem ? plural(names.length, stem) : plural(names.length, 'part');
}

export const KIND_WORDS = { area: 'Area', line: 'Line', spot: 'Spot' } as const;

type Kind = PlacedShape['kind'];

/** The layers of a part: what each is called on the card, and in the list of what can be added. */
export const ROLE_WORDS: Readonly<Record<PassRole, { readonly name: (kind: Kind) => string; readonly add: string }>> = {
  padding: { name: () => 'Padding', add: 'Padding underneath' },
  edge: { name: () => 'Firm edge', add: 'Firm edge, under the filling' },
  filling: { name: (kind) => ({ area: 'Filling', line: 'Line', spot: 'Spot' })[kind], add: 'Filling' },
  outline: { name: () => 'Outline', add: 'Outline, over the edge' },
  vein: { name: () => 'Vein', add: 'Vein along the middle' },
  accent: { name: () => 'Highlights', add: 'Single highlights' },
};
