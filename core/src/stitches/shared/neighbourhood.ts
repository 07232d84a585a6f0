/** Which stitches lie beside which: those of stitch i are `others[firsts[i]] … others[firsts[i + 1] − 1]`. */
export interface Neighbourhood {
  readonly firsts: Int32Array;
  readonly others: Int32Array;
}

/** Stitches are walked in steps of this share of the reach. */
const STEP = 0.5;

/**
 * Finds what lies beside what: two stitches are neighbours where they pass through the same or touching cells of a grid.
 * @param stitches `x0, y0, x1, y1, …`, mm
 * @param reachMm how far apart neighbours may be, about
 */
export function neighbourhood(stitches: Float32Array, reachMm: number): Neighbourhood {
  const count = stitches.length / 4;
  const cellMm = reachMm / 1.5;
  const cells = new Map<number, number[]>();
  const ways: number[][] = [];
  const WIDTH = 1 << 16;
  for (let i = 0; i < count; i++) {
    const [x0, y0, x1, y1] = [stitches[4 * i]!, stitches[4 * i + 1]!, stitches[4 * i + 2]!, stitches[4 * i + 3]!];
    const steps = Math.max(1, Math.ceil(Math.hypot(x1 - x0, y1 - y0) / (cellMm * STEP)));
    const way: number[] = [];
    for (let k = 0; k <= steps; k++) {
      const column = Math.floor((x0 + ((x1 - x0) * k) / steps) / cellMm) + WIDTH / 2;
      const row = Math.floor((y0 + ((y1 - y0) * k) / steps) / cellMm) + WIDTH / 2;
      const cell = row * WIDTH + column;
      if (way.at(-1) === cell) continue;
      way.push(cell);
      const there = cells.get(cell);
      if (there) there.push(i);
      else cells.set(cell, [i]);
    }
    ways.push(way);
  }
  const firsts = new Int32Array(count + 1);
  const others: number[] = [];
  const seenBy = new Int32Array(count).fill(-1);
  for (let i = 0; i < count; i++) {
    seenBy[i] = i;
    for (const cell of ways[i]!) {
      for (let dr = -1; dr <= 1; dr++) {
        for (let dc = -1; dc <= 1; dc++) {
          for (const other of cells.get(cell + dr * WIDTH + dc) ?? []) {
            if (seenBy[other] === i) continue;
            seenBy[other] = i;
            others.push(other);
          }
        }
      }
    }
    firsts[i + 1] = others.length;
  }
  return { firsts, others: Int32Array.from(others) };
}

/** The stitches of one shade that lie side by side, patch by patch, each in the order of its stitches. */
export function patchesOf(shades: Uint8Array, { firsts, others }: Neighbourhood): number[][] {
  const seen = new Uint8Array(shades.length);
  const patches: number[][] = [];
  for (let i = 0; i < shades.length; i++) {
    if (seen[i]) continue;
    const patch = [i];
    seen[i] = 1;
    // A patch grows while it is walked.
    for (const next of patch) {
      for (let k = firsts[next]!; k < firsts[next + 1]!; k++) {
        const other = others[k]!;
        if (seen[other] || shades[other] !== shades[i]) continue;
        seen[other] = 1;
        patch.push(other);
      }
    }
    patches.push(patch.sort((a, b) => a - b));
  }
  return patches;
}
