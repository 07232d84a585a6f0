import { canWork, rolesOn, withNewPass, type SettledPass } from '../propose/index.ts';
import { describe, expect, it } from 'vitest';
import { looseShape, type PlacedShape } from '../drawing/index.ts';
import { distanceToOutline, isInside, type Region } from '../geometry/index.ts';
import { emptyPiece, plainPass, type Pass, type PassRole, newPart } from '../piece/index.ts';
import { Move, STITCHES } from '../stitches/index.ts';
import { blob, circle, wander } from '../testing/shapes.ts';
import { PassWorker, USUAL_FACTORS, workSettings, type PlannedPass } from './index.ts';

const NO_SPOTS = new Float64Array(0);
const SETTINGS = workSettings(emptyPiece('x', 'x'), 1, USUAL_FACTORS);
const area = (region: Region) => looseShape('part', 'area', { region, lines: [], spots: NO_SPOTS });
const layer = (role: PassRole, stitch: Pass['stitch'], strands = 2, more: Partial<SettledPass> = {}): SettledPass => ({
  ...plainPass(stitch, 'stranded-cotton', strands),
  role,
  angleDeg: 0,
  reason: '',
  ...more,
});
const work = (region: Region, ...passes: SettledPass[]): readonly PlannedPass[] => workOn(area(region), passes);
/** The passes of one shape, worked. */
function workOn(placed: PlacedShape, passes: readonly SettledPass[], settings = SETTINGS): readonly PlannedPass[] {
  const part = newPart({ id: placed.partId, name: '', kind: placed.kind, path: 'M0 0', colour: 'c1' });
  return new PassWorker().workAll([part], [placed], [passes], { settings })[0]!.passes;
}
/** How far inside the outline the ends of stitches come at the least, mm; negative outside. */
function leastInside(region: Region, { path }: PlannedPass): number {
  let least = Infinity;
  path.codes.forEach((code, i) => {
    if (code !== Move.up && code !== Move.down) return;
    const [x, y] = [path.xy[2 * i]!, path.xy[2 * i + 1]!];
    least = Math.min(least, distanceToOutline(region, x, y) * (isInside(region, x, y) ? 1 : -1));
  });
  return least;
}

describe('layers of a part', () => {
  it.each([1, 2, 3, 4, 5, 6])('each layer of padding lies half a stitch inside the last (seed %i)', (seed) => {
    const region = blob(seed);
    const layers = work(
      region,
      layer('padding', 'satin'),
      layer('padding', 'satin', 2, { angleDeg: 90 }),
      layer('filling', 'satin'),
    );
    const [first, second, filling] = layers.map((pass) => leastInside(region, pass));
    const laid = layers[0]!.laidMm;
    expect(first!).toBeGreaterThan(laid - 0.1);
    expect(second! - first!).toBeGreaterThan(laid / 2 - 0.1);
    expect(Math.abs(filling!)).toBeLessThan(laid / 2);
  });

  it('lift what is worked over them, and that takes thread; what lies beside stays down', () => {
    const region = [circle(5)];
    const [flat] = work(region, layer('filling', 'satin'));
    const padded = work(
      region,
      layer('padding', 'satin'),
      layer('padding', 'satin', 2, { angleDeg: 90 }),
      layer('filling', 'satin'),
      layer('outline', 'stem', 1),
      layer('vein', 'split', 1),
    );
    const [one, two, filling, outline, vein] = padded;
    expect([one!.liftMm, outline!.liftMm, flat!.liftMm]).toEqual([0, 0, 0]);
    expect(two!.liftMm).toBeGreaterThan(0.1);
    expect(filling!.liftMm).toBeGreaterThan(two!.liftMm);
    expect(vein!.liftMm).toBeGreaterThan(filling!.liftMm);
    expect(filling!.quantities.threadMm).toBeGreaterThan(flat!.quantities.threadMm);
    expect(filling!.quantities.stitches).toBe(flat!.quantities.stitches);
  });

  it('edges lie inside the outline, outlines on it, veins along the middle, accents where they were put', () => {
    const region = [circle(6)];
    const points: [number, number][] = [
      [1, 2],
      [-3, 0],
    ];
    const [edge, outline, accent] = work(
      region,
      layer('edge', 'split', 1),
      layer('outline', 'back'),
      layer('accent', 'straight', 1, { points }),
    );
    expect(leastInside(region, edge!)).toBeGreaterThan(0.1);
    expect(Math.abs(leastInside(region, outline!))).toBeLessThan(0.05);
    expect(outline!.quantities.frontMm / (2 * Math.PI * 6)).toBeCloseTo(1, 1);
    expect(accent!.quantities.stitches).toBe(2);
  });

  it('are added where they are usually worked', () => {
    const placed = area([circle(6)]);
    let passes: Pass[] = [plainPass('satin', 'stranded-cotton')];
    for (const role of ['accent', 'outline', 'padding', 'vein', 'edge'] as const) {
      passes = withNewPass(passes, role, placed);
    }
    expect(passes.map(({ role }) => role)).toEqual(['padding', 'edge', 'filling', 'outline', 'vein', 'accent']);
    for (const pass of passes) expect(canWork(pass.stitch, placed, pass.role)).toBe(true);
  });

  it('every stitch that a layer can be worked in gives a path on it', () => {
    const line = looseShape('line', 'line', { region: [], lines: [wander(3)], spots: NO_SPOTS });
    for (const placed of [area(blob(2)), line]) {
      for (const role of rolesOn(placed.kind)) {
        for (const { id } of STITCHES.filter((kind) => canWork(kind.id, placed, role))) {
          const [planned] = workOn(placed, [layer(role, id, 2, { points: [[0, 0]] })]);
          expect(planned!.quantities.stitches, `${id} as ${role}`).toBeGreaterThan(0);
          expect(Number.isFinite(planned!.quantities.threadMm)).toBe(true);
        }
      }
    }
  });

  it('a part in several shades is threaded once for each, and loses nothing by it', () => {
    const [planned] = work([circle(12)], layer('filling', 'long-short', 1, { shades: ['a', 'b', 'c'] }));
    expect(planned!.threads.map(({ colour }) => colour)).toEqual(['a', 'b', 'c']);
    const stitches = planned!.threads.reduce((sum, { quantities }) => sum + quantities.stitches, 0);
    expect(stitches).toBe(planned!.quantities.stitches);
    for (const { quantities } of planned!.threads)
      expect(quantities.frontMm).toBeGreaterThan(planned!.quantities.frontMm * 0.1);
  });

  it('a wider hand takes fewer rows, longer stitches make fewer', () => {
    const region = [circle(8)];
    const withHand = (width: number, stitch: number, id: Pass['stitch']): number =>
      workOn(area(region), [layer(id === 'back' ? 'outline' : 'filling', id)], {
        ...SETTINGS,
        own: { ...USUAL_FACTORS, width, stitch },
      })[0]!.quantities.stitches;
    expect(withHand(1.25, 1, 'satin') / withHand(1, 1, 'satin')).toBeCloseTo(0.8, 1);
    expect(withHand(1, 1.25, 'back') / withHand(1, 1, 'back')).toBeCloseTo(0.8, 1);
  });
});
