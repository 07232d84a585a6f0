import { deltaE, labOf } from '../colour/index.ts';
import { least } from 'd3-array';

/** A colour with how much of it there is to see. */
export interface WeighedColour {
  readonly id: string;
  readonly hex: string;
  readonly weight: number;
}

/**
 * Which colour each of some is worked in so that there are no more than some number: of the two that are missed least, the one that there is less
 * of gives way, again and again (Ward, J. Am. Stat. Assoc. 58, 1963, with differences of colour for distances).
 */
export function fewerColours(colours: readonly WeighedColour[], most: number): ReadonlyMap<string, string> {
  const kept = colours.map((colour) => ({ ...colour, lab: labOf(colour.hex) }));
  const worked = new Map(colours.map(({ id }) => [id, id]));
  while (kept.length > most) {
    const pairs = kept.flatMap((a, i) =>
      kept.slice(0, i).map((b) => ({
        a,
        b,
        cost: (deltaE(a.lab, b.lab) ** 2 * (a.weight * b.weight)) / (a.weight + b.weight || 1),
      })),
    );
    const pair = least(pairs, ({ cost }) => cost)!;
    const [less, more] = pair.a.weight < pair.b.weight ? [pair.a, pair.b] : [pair.b, pair.a];
    for (const [id, into] of worked) if (into === less.id) worked.set(id, more.id);
    more.weight += less.weight;
    kept.splice(kept.indexOf(less), 1);
  }
  return worked;
}
