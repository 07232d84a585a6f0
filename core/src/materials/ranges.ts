import { labOf, nearestColours, type Lab, type Match } from '../colour/index.ts';
import thrumwick from './data/thrumwick.json' with { type: 'json' };

/** One shade of a range of thread. */
export interface Shade {
  /** The letters of its family and its lightness: `sl-34`. */
  readonly code: string;
  readonly name: string;
  readonly hex: string;
  readonly lab: Lab;
}

export interface ThreadRange {
  readonly id: string;
  readonly name: string;
  readonly thread: string;
  readonly shades: readonly Shade[];
}

/** The invented range that ships with Junctura: even steps of hue, chroma and lightness. */
export const THRUMWICK: ThreadRange = {
  id: 'thrumwick',
  name: 'Thrumwick',
  thread: 'stranded-cotton',
  shades: thrumwick.map(([code, name, hex]) => ({ code: code!, name: name!, hex: hex!, lab: labOf(hex!) })),
};

const byCode = new Map(THRUMWICK.shades.map((shade) => [shade.code, shade]));

/** The shade of a code, or undefined where the range has none. */
export function shadeOf(code: string): Shade | undefined {
  return byCode.get(code);
}

/** The shades nearest to a colour, nearest first. */
export function nearestShades(hex: string, count: number): Match<Shade>[] {
  return nearestColours(labOf(hex), THRUMWICK.shades, count);
}

const nearestByHex = new Map<string, Match<Shade>>();

/** The one nearest shade; asked for at every plan, so what was found is kept. */
export function nearestShade(hex: string): Match<Shade> {
  const known = nearestByHex.get(hex) ?? nearestShades(hex, 1)[0]!;
  nearestByHex.set(hex, known);
  return known;
}
