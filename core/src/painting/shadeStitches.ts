import { deltaE, type Lab } from '../colour/index.ts';
import { neighbourhood, patchesOf, type Neighbourhood } from '../stitches/index.ts';
import { Memory } from '../measure/index.ts';
import { cellAt, colourTable, keyAt, labOfKey, type ColourTable, type Ground } from './ground.ts';

/** What it costs a stitch to be of another shade than all its neighbours, ΔE2000. */
const ALONE = 0.6;
const ROUNDS = 6;
/** Fewer stitches of one shade together than this nobody changes the needle for … */
const LEAST_PATCH = 4;
/** … unless any other shade would be further off by this: a telling light, ΔE2000. */
const TELLING = 14;
/** The picture along a stitch is looked at in steps of this share of a thread. */
const LOOK = 0.75;

/** Palettes are compared with a picture's colours by table: each colour that occurs is compared once with each shade. */
class ShadeTable {
  private readonly rowOf = new Map<number, number>();
  private table = new Float32Array(1024);
  private readonly lab = new Float64Array(3);

  constructor(
    private readonly shades: readonly Lab[],
    private readonly labs: ColourTable,
  ) {}

  /** Adds the differences of a colour from each shade to a row of sums. */
  addTo(sums: Float32Array, from: number, key: number): void {
    const count = this.shades.length;
    let row = this.rowOf.get(key);
    if (row === undefined) {
      row = this.rowOf.size;
      this.rowOf.set(key, row);
      if ((row + 1) * count > this.table.length) {
        const grown = new Float32Array(Math.max(2 * this.table.length, (row + 1) * count));
        grown.set(this.table);
        this.table = grown;
      }
      labOfKey(key, this.lab, this.labs);
      const lab: Lab = { mode: 'lab65', l: this.lab[0]!, a: this.lab[1]!, b: this.lab[2]! };
      for (let k = 0; k < count; k++) this.table[row * count + k] = deltaE(lab, this.shades[k]!);
    }
    for (let k = 0; k < count; k++) sums[from + k]! += this.table[row * count + k]!;
  }
}

/**
 * The shade of each stitch: the one that is least different from the picture along it, with a price for each neighbour of another shade,
 * brought down round by round (iterated conditional modes; Besag 1986). Patches that are too small to be worked are given to a neighbour's
 * shade at the end.
 * @param stitches `x0, y0, x1, y1, …`, mm on the cloth
 * @param laidMm the width of the thread as it lies
 */
export function shadeStitches(
  stitches: Float32Array,
  ground: Ground,
  shades: readonly Lab[],
  laidMm: number,
  labs = colourTable(new Memory()),
): Uint8Array {
  const count = stitches.length / 4;
  const size = shades.length;
  const chosen = new Uint8Array(count);
  if (size < 2) return chosen;
  const costs = costsOf(stitches, ground, new ShadeTable(shades, labs), size, laidMm);
  for (let i = 0; i < count; i++) chosen[i] = leastOf(costs, i * size, size);
  const near = neighbourhood(stitches, 1.5 * laidMm);
  const votes = new Float32Array(size);
  for (let round = 0; round < ROUNDS; round++) {
    let moved = 0;
    for (let i = 0; i < count; i++) {
      const [from, to] = [near.firsts[i]!, near.firsts[i + 1]!];
      if (from === to) continue;
      votes.fill(0);
      for (let k = from; k < to; k++) votes[chosen[near.others[k]!]!]! += 1;
      let [best, least] = [chosen[i]!, Infinity];
      for (let k = 0; k < size; k++) {
        const cost = costs[i * size + k]! + ALONE * (1 - votes[k]! / (to - from));
        if (cost < least) [best, least] = [k, cost];
      }
      if (best !== chosen[i]) moved++;
      chosen[i] = best;
    }
    if (moved === 0) break;
  }
  for (let round = 0; round < ROUNDS && giveUpSmall(chosen, costs, size, near) > 0; round++);
  return chosen;
}

/** The mean difference of each shade from the picture along each stitch. */
function costsOf(
  stitches: Float32Array,
  ground: Ground,
  table: ShadeTable,
  size: number,
  laidMm: number,
): Float32Array {
  const count = stitches.length / 4;
  const costs = new Float32Array(count * size);
  for (let i = 0; i < count; i++) {
    const [x0, y0, x1, y1] = [stitches[4 * i]!, stitches[4 * i + 1]!, stitches[4 * i + 2]!, stitches[4 * i + 3]!];
    const steps = Math.max(1, Math.round(Math.hypot(x1 - x0, y1 - y0) / (LOOK * laidMm)));
    for (let k = 0; k < steps; k++) {
      const share = (k + 0.5) / steps;
      const cell = cellAt(ground, x0 + share * (x1 - x0), y0 + share * (y1 - y0));
      table.addTo(costs, i * size, keyAt(ground.rgb, cell));
    }
    const own = costs.subarray(i * size, (i + 1) * size);
    own.forEach((sum, k) => (own[k] = sum / steps));
  }
  return costs;
}

function leastOf(costs: Float32Array, from: number, size: number): number {
  let best = 0;
  for (let k = 1; k < size; k++) if (costs[from + k]! < costs[from + best]!) best = k;
  return best;
}

/** Gives patches of too few stitches to the shade beside them that suits best; returns how many stitches were given. */
function giveUpSmall(chosen: Uint8Array, costs: Float32Array, size: number, near: Neighbourhood): number {
  let given = 0;
  for (const patch of smallPatches(chosen, near)) {
    const beside = new Set(
      patch.flatMap((i) => [...near.others.subarray(near.firsts[i]!, near.firsts[i + 1]!)].map((k) => chosen[k]!)),
    );
    beside.delete(chosen[patch[0]!]!);
    const costOf = (shade: number): number =>
      patch.reduce((sum, i) => sum + costs[i * size + shade]!, 0) / patch.length;
    const now = costOf(chosen[patch[0]!]!);
    const [best] = [...beside].sort((a, b) => costOf(a) - costOf(b));
    if (best === undefined || costOf(best) - now > TELLING) continue;
    for (const i of patch) chosen[i] = best;
    given += patch.length;
  }
  return given;
}

/** Stitches of one shade that lie together, fewer than are worth a needle. */
export function smallPatches(chosen: Uint8Array, near: Neighbourhood): number[][] {
  return patchesOf(chosen, near).filter(({ length }) => length < LEAST_PATCH);
}
