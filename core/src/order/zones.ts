import { placeAt } from '../geometry/index.ts';
import { Memory, stage, valueOf } from '../measure/index.ts';
import { isPainting } from '../piece/index.ts';
import { Move } from '../stitches/index.ts';
import type { PlannedPart, PlannedPass, WorkedThread } from '../work/index.ts';
import { threadWhere } from './threadWhere.ts';

/** Painted by area, one goes on from zone to zone of about this size with the needles of its shades parked, mm; in turn, with each as it is met. */
const ZONE_MM = 20;
const IN_TURN_MM = 12;
/** Fewer stitches of a shade in a zone than this are worked with the zone before or after. */
const LEAST_STITCHES = 4;

/** What of one shade lies in one zone; zones are numbered from 1, from back to front along the fur. */
export interface Zone {
  readonly zone: number;
  readonly thread: WorkedThread;
}

/**
 * The zones of a pass that is painted in several shades or whose needles take turns, shade by shade; null for any other, and where one zone holds all of it. Hair lies
 * like tiles: the tips at the back are worked first, each zone over the ends of those before.
 */
export function zonesOf(
  { part, passes }: PlannedPart,
  layer: number,
  memory = new Memory(),
): readonly (readonly Zone[])[] | null {
  const pass = passes[layer]!;
  return (isPainting(pass) || pass.inTurn) && pass.threads.length > 1
    ? memory.made(ZONES, [part.id], pass, layer)
    : null;
}

export const ZONES = stage<PlannedPass>()('zones', ['path', 'threads', 'inTurn'], divided);

function divided({
  path,
  threads,
  inTurn,
}: Pick<PlannedPass, 'path' | 'threads' | 'inTurn'>): readonly (readonly Zone[])[] | null {
  const sizeMm = inTurn ? IN_TURN_MM : ZONE_MM;
  const [ux, uy] = senseOf(path);
  const tileOf = (x: number, y: number): [band: number, tile: number] => [
    Math.floor((x * ux + y * uy) / sizeMm),
    Math.floor((y * ux - x * uy) / sizeMm),
  ];
  const tiles = new Map<string, [band: number, tile: number]>();
  const named = threads.map(({ path: { xy, starts } }) =>
    Array.from(starts, (move) => {
      const tile = tileOf(...placeAt(xy, move));
      const name = tile.join();
      tiles.set(name, tile);
      return name;
    }),
  );
  if (tiles.size < 2) return null;
  // To and fro across the fur, so that the next zone lies beside the last.
  const order = [...tiles].sort(([, [band, tile]], [, [other, beside]]) =>
    band === other ? (band % 2 === 0 ? tile - beside : beside - tile) : other - band,
  );
  const numbers = new Map(order.map(([name], i) => [name, i + 1]));
  return threads.map((thread, shade) => {
    const zones = Uint16Array.from(named[shade]!, (name) => valueOf(numbers, name));
    joinSmall(zones);
    return [...new Set(zones)]
      .sort((a, b) => a - b)
      .map((zone) => ({ zone, thread: threadWhere(thread, (stitch) => zones[stitch] === zone)! }));
  });
}

/** The way that the stitches of a path go in the mean, as a unit vector. */
function senseOf({ codes, xy, starts }: PlannedPass['path']): [number, number] {
  let [dx, dy] = [0, 0];
  for (const move of starts) {
    if (codes[move] !== Move.up) continue;
    dx += xy[2 * move + 2]! - xy[2 * move]!;
    dy += xy[2 * move + 3]! - xy[2 * move + 1]!;
  }
  const length = Math.hypot(dx, dy);
  return length > 0 ? [dx / length, dy / length] : [0, 1];
}

/** Gives what is too little for a needle to the next zone that has the shade, or else to the one before. */
function joinSmall(zones: Uint16Array): void {
  for (;;) {
    const present = [...new Set(zones)].sort((a, b) => a - b);
    const isSmall = (zone: number): boolean => zones.filter((other) => other === zone).length < LEAST_STITCHES;
    const at = present.findIndex(isSmall);
    if (at < 0 || present.length < 2) return;
    const into = present[at + 1] ?? present[at - 1]!;
    zones.forEach((zone, k) => zone === present[at] && (zones[k] = into));
  }
}
