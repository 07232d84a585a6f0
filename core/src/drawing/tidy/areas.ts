import { deltaE } from '../../colour/index.ts';
import {
  boxesMeet,
  equalCircleMm,
  isInside,
  islandsOf,
  regionArea,
  ringArea,
  type Region,
} from '../../geometry/index.ts';
import { freeId, type Part } from '../../piece/index.ts';
import { WIDEST_SPOT_MM } from '../shapeCutter.ts';
import {
  boxOfPart,
  colourOfPart,
  pathOfRegion,
  regionOfPart,
  without,
  type Drawn,
  type TidyContext,
  type TidyStep,
} from './drawn.ts';
import { TIDY } from './thresholds.ts';

/** Islands in one path: parts of their own, each judged by its own shape. */
export function islands(drawn: Drawn): TidyStep {
  const taken = new Set(drawn.parts.map(({ id }) => id));
  const found: string[] = [];
  const parts = drawn.parts.flatMap((part): Part[] => {
    const each = part.kind === 'area' && part.passes === null ? islandsOf(regionOfPart(part)) : [];
    if (each.length < 2 || each.length > TIDY.mostIslands) return [part];
    found.push(part.name);
    return each.map((island, i) => {
      const id = i === 0 ? part.id : freeId(`${part.id}-${i + 1}`, taken);
      taken.add(id);
      return { ...part, id, name: `${part.name}, ${i + 1}`, path: pathOfRegion(island), fillRule: 'evenodd' };
    });
  });
  return { drawn: { ...drawn, parts }, found };
}

/** An area in the colour of the cloth is left to the cloth: it still hides what lies behind it, and takes no stitches. */
export function leftToCloth(drawn: Drawn, { cloth, scale }: TidyContext): TidyStep {
  const found: string[] = [];
  const parts = drawn.parts.map((part): Part => {
    if (part.kind !== 'area' || part.passes !== null || part.marking !== null || part.printed || part.scrap)
      return part;
    if (deltaE(colourOfPart(drawn, part), cloth) > TIDY.clothColour) return part;
    // A glint in an eye is worked on top: it hides nothing, and would be lost.
    if (equalCircleMm(regionArea(regionOfPart(part)) * scale ** 2) <= WIDEST_SPOT_MM) return part;
    found.push(part.name);
    return { ...part, passes: [] };
  });
  return { drawn: { ...drawn, parts }, found };
}

/** Specks: a knot where it stands alone, is one of a pair, or dark in a light area; else dropped. */
export function specks(drawn: Drawn, { scale }: TidyContext): TidyStep {
  const areas = drawn.parts.flatMap((part, depth) => {
    const region = regionOfPart(part);
    const box = region.length > 0 ? boxOfPart(part) : null;
    return box ? [{ part, depth, region, box, acrossMm: equalCircleMm(regionArea(region)) * scale }] : [];
  });
  const small = areas.filter(({ acrossMm }) => acrossMm < TIDY.speckMm);
  if (small.length === 0) return { drawn, found: [] };
  const boxes = drawn.parts.map((part) => ({ part, box: boxOfPart(part) }));
  const [dropped, dots] = [new Set<string>(), new Map<string, Part>()];
  for (const { part, depth, region, box, acrossMm } of small) {
    const [x, y] = middleOf(region);
    const isAlone = boxes.every(
      (other) => other.part === part || !other.box || !boxesMeet(other.box, box, TIDY.isolatedMm / scale),
    );
    const twins = small.filter((other) => other.part.colour === part.colour && isLikeSize(other.acrossMm, acrossMm));
    const below = areas.filter((other) => other.depth < depth && isInside(other.region, x, y)).at(-1);
    const [own, ground] = [colourOfPart(drawn, part), below && colourOfPart(drawn, below.part)];
    const isDarkInLight = ground !== undefined && ground.l - own.l >= TIDY.darkInLight;
    if (isAlone || twins.length === 2 || isDarkInLight) {
      const round = (value: number): number => Math.round(value * 1000) / 1000;
      const path = `M${round(x)} ${round(y)}h0`;
      dots.set(part.id, {
        ...part,
        kind: 'spot',
        path,
        strokeMm: round(acrossMm / scale),
        opaque: false,
        passes: null,
      });
    } else dropped.add(part.id);
  }
  const left = without(drawn, dropped);
  return {
    drawn: { ...left, parts: left.parts.map((part) => dots.get(part.id) ?? part) },
    found: small.map(({ part }) => part.name),
  };
}

const isLikeSize = (a: number, b: number): boolean => Math.min(a, b) > 0.6 * Math.max(a, b);

/** The middle of the largest ring's corners. */
function middleOf(region: Region): [x: number, y: number] {
  const ring = region.reduce((best, one) => (Math.abs(ringArea(one)) > Math.abs(ringArea(best)) ? one : best));
  let [sumX, sumY] = [0, 0];
  for (let i = 0; i < ring.length; i += 2) {
    sumX += ring[i]!;
    sumY += ring[i + 1]!;
  }
  return [(2 * sumX) / ring.length, (2 * sumY) / ring.length];
}
