import { describe, expect, it } from 'vitest';
import { channelsOf, deltaE, labOf, type Lab } from '../colour/index.ts';
import type { PictureBelow, Raster } from '../drawing/index.ts';
import { distanceToLines, type Polyline, type Region } from '../geometry/index.ts';
import { laidWidthMm, RANGES, threadKind } from '../materials/index.ts';
import { neighbourhood, workStitch, type StitchPath } from '../stitches/index.ts';
import { circle } from '../testing/shapes.ts';
import { segmentsOf } from './judge.ts';
import { smallPatches } from './shadeStitches.ts';
import {
  coarsePainting,
  coloursPainted,
  findRidges,
  groundBelow,
  growShades,
  judgePainting,
  judgePicture,
  shadePatches,
  paintingOf,
  shadeStitches,
} from './index.ts';

const LAID = laidWidthMm(threadKind('stranded-cotton'), 1);
const PX_PER_MM = 6;

type Rgb = readonly [number, number, number];

/** A square picture about the middle of the cloth, by the length of its side in mm; each pixel by where it lies in mm. */
function pictureOf(sizeMm: number, colourAt: (x: number, y: number) => Rgb, pxPerMm = PX_PER_MM): PictureBelow {
  const size = Math.round(sizeMm * pxPerMm);
  const rgba = new Uint8ClampedArray(4 * size * size);
  for (let i = 0; i < size * size; i++) {
    const [x, y] = [((i % size) + 0.5) / pxPerMm - sizeMm / 2, (Math.floor(i / size) + 0.5) / pxPerMm - sizeMm / 2];
    rgba.set([...colourAt(x, y), 255], 4 * i);
  }
  const picture: Raster = { width: size, height: size, rgba };
  return { picture, toPicture: [pxPerMm, 0, 0, pxPerMm, size / 2, size / 2] };
}
const grey = (value: number): Rgb => [value, value, value];
const wave = (phase: number): Rgb => grey(128 + 90 * Math.sin(phase));
const disc = (r: number): Region => [circle(r)];

/** The mean turn between a field and the true lie, degrees, over a disc, where the picture is sure. */
function errorDeg(
  below: PictureBelow,
  lieAt: (x: number, y: number) => number,
  strokes: Polyline[] = [],
  r = 12,
): number {
  const { field } = paintingOf(disc(r + 4), below, strokes, [], LAID)!;
  let [sum, count] = [0, 0];
  for (let y = -r; y <= r; y += 0.7) {
    for (let x = -r; x <= r; x += 0.7) {
      if (Math.hypot(x, y) > r || field.coherenceAt(x, y) < 0.4) continue;
      const apart = Math.abs(field.angleAt(x, y) - lieAt(x, y)) % Math.PI;
      sum += (Math.min(apart, Math.PI - apart) * 180) / Math.PI;
      count++;
    }
  }
  expect(count).toBeGreaterThan(300);
  return sum / count;
}

describe('the lie of what a picture shows', () => {
  it.each([0, 17, 45, 73, 90, 121, 164])('is along the lines of a grating at %i°', (deg) => {
    const angle = (deg * Math.PI) / 180;
    // Lines run at the angle, anticlockwise as seen; lightness changes across them.
    const below = pictureOf(40, (x, y) => wave(3 * (x * Math.sin(angle) + y * Math.cos(angle))));
    expect(errorDeg(below, () => angle)).toBeLessThan(2);
  });

  it('goes round in rings, outwards in rays, and turns with a spiral', () => {
    const rings = pictureOf(40, (x, y) => wave(3 * Math.hypot(x, y)));
    expect(errorDeg(rings, (x, y) => Math.atan2(-y, x) + Math.PI / 2)).toBeLessThan(5);
    const rays = pictureOf(40, (x, y) => wave(24 * Math.atan2(y, x)));
    expect(errorDeg(rays, (x, y) => Math.atan2(-y, x))).toBeLessThan(5);
    const whorl = pictureOf(40, (x, y) => wave(18 * Math.atan2(y, x) + 2 * Math.hypot(x, y)));
    // Along a line of one phase 18 θ + 2 r the radius changes by −9 for each radian, θ with y down.
    const lie = (x: number, y: number): number => {
      const [r, theta] = [Math.hypot(x, y), Math.atan2(y, x)];
      return -(theta + Math.atan2(r, -9));
    };
    expect(errorDeg(whorl, lie)).toBeLessThan(5);
  });

  it('follows a stroke near it, and the picture far from it', () => {
    const below = pictureOf(60, (x) => wave(3 * x));
    const stroke: Polyline = { points: Float64Array.of(-12, -18, 12, -18), closed: false };
    const { field } = paintingOf(disc(28), below, [stroke], [], LAID)!;
    expect(Math.abs(Math.sin(field.angleAt(0, -18)))).toBeLessThan(0.05);
    expect(Math.abs(Math.cos(field.angleAt(0, 18)))).toBeLessThan(0.05);
  });

  it('hangs down where a picture is of one colour', () => {
    const { field } = paintingOf(
      disc(10),
      pictureOf(30, () => grey(120)),
      [],
      [],
      LAID,
    )!;
    expect(Math.abs(Math.cos(field.angleAt(3, 2)))).toBeLessThan(1e-6);
  });
});

describe('a first look at a painting', () => {
  const shades = ['#202020', '#707070', '#d0d0d0'].map((hex) => labOf(hex));
  // Dark on the left, pale on the right, in lines that run down.
  const below = pictureOf(60, (x) => grey(x < 0 ? 40 + 20 * Math.sin(3 * x) : 200 + 20 * Math.sin(3 * x)));
  const coarseOf = (
    region: Region,
    lines: Polyline[] = [],
  ): { ends: number[][]; shades: Uint8Array; widthMm: number } => {
    const { strokes, ...rest } = coarsePainting(region, below, lines, shades, LAID)!;
    return {
      ...rest,
      ends: Array.from({ length: strokes.length / 4 }, (_, i) => [...strokes.subarray(4 * i, 4 * i + 4)]),
    };
  };

  it('covers the part and stays within it, each stroke in the shade below it and along the lie', () => {
    const { ends, shades: chosen, widthMm } = coarseOf(disc(20));
    ends.forEach(([x0, y0, x1, y1], i) => {
      expect(Math.hypot(x0!, y0!)).toBeLessThan(20 + LAID);
      expect(Math.hypot(x1!, y1!)).toBeLessThan(20 + LAID);
      const middle = (x0! + x1!) / 2;
      if (Math.abs(middle) > 1) expect(chosen[i]).toBe(middle < 0 ? 0 : 2);
      if (Math.abs(middle) > 4) expect(Math.abs(x1! - x0!)).toBeLessThan(0.2 * Math.abs(y1! - y0!));
    });
    let bare = 0;
    for (let y = -18; y <= 18; y += 1.5) {
      for (let x = -18; x <= 18; x += 1.5) {
        const isCovered = ends.some(
          ([x0, y0, x1, y1]) =>
            distanceToLines([{ points: Float64Array.of(x0!, y0!, x1!, y1!), closed: false }], x, y) < widthMm / 2,
        );
        if (Math.hypot(x, y) < 18 && !isCovered) bare++;
      }
    }
    expect(bare).toBeLessThan(6);
  });

  it('is bent by a stroke near it as the stitches will be', () => {
    const stroke: Polyline = { points: Float64Array.of(-12, 0, 12, 0), closed: false };
    const { field } = paintingOf(disc(20), below, [stroke], shades, LAID)!;
    for (const [x0, y0, x1, y1] of coarseOf(disc(20), [stroke]).ends) {
      const apart = Math.atan2(y0! - y1!, x1! - x0!) - field.angleAt((x0! + x1!) / 2, (y0! + y1!) / 2);
      expect(Math.abs(Math.sin(apart))).toBeLessThan(0.25);
    }
  });

  it('is nothing without a shade or an outline', () => {
    expect(coarsePainting(disc(20), below, [], [], LAID)).toBeNull();
    expect(coarsePainting([], below, [], shades, LAID)).toBeNull();
  });
});

describe('a leaf of 25 mm in five shades', () => {
  // An ellipse whose colour turns from foot to tip, darker along its vein; ribs run outwards from the vein.
  const region: Region = [circle(12.5).map((value, i) => (i % 2 ? 0.45 * value : value))];
  const below = pictureOf(
    30,
    (x, y) => {
      const share = (x + 12.5) / 25;
      const rib = 18 * Math.sin(4 * (x - 1.2 * Math.abs(y)));
      const vein = Math.abs(y) < 0.5 ? -45 : 0;
      return [60 + 130 * share + rib + vein, 110 + 60 * share + rib + vein, 50 + rib + vein];
    },
    12,
  );
  it('shows its turning colour in stitches of a few millimetres, in patches, with no cloth showing', () => {
    const cotton = RANGES.filter(({ thread }) => thread === 'stranded-cotton').flatMap((range) => [...range.shades]);
    const chosen = growShades(coloursPainted(region, below, LAID), cotton, 5).shades;
    expect(chosen).toHaveLength(5);
    const path = work(
      region,
      below,
      chosen.map(({ lab }) => lab),
    );
    const ground = groundBelow(region, below, LAID)!;
    const report = judgePainting(region, ground, {
      path,
      shades: chosen.map(({ hex }) => channelsOf(hex)),
      laidMm: LAID,
      cloth: [255, 255, 255],
    });
    expect(report.deltaE.mean).toBeLessThan(1.35 * report.floor.mean + 1);
    expect(report.bareShare).toBeLessThan(0.02);
    expect(report.lonelyShare).toBeLessThan(0.05);
    // Yellower towards the tip, as the picture is.
    const yellowness = (isIn: (x: number) => boolean): number => {
      const own = segmentsOf(path);
      const values = [...path.shades].flatMap((shade, i) =>
        isIn((own[4 * i]! + own[4 * i + 2]!) / 2) ? [chosen[shade]!.lab.b] : [],
      );
      return values.reduce((sum, value) => sum + value, 0) / values.length;
    };
    expect(yellowness((x) => x > 7.5)).toBeGreaterThan(yellowness((x) => x < -7.5) + 15);
  });
});

function work(region: Region, below: PictureBelow, shades: readonly Lab[], seed = 1): StitchPath {
  const { field, guide } = paintingOf(region, below, [], shades, LAID)!;
  const context = {
    laidMm: LAID,
    bundleMm: LAID,
    coreMm: 0.6,
    angleRad: 0,
    seed,
    heightMm: 0.2,
    field,
    picture: guide,
  };
  return workStitch('needle-painting', { region, lines: [], spots: new Float64Array(0) }, {}, context);
}

const [BLACK, MID, WHITE, RED] = ['#202020', '#808080', '#e8e8e8', '#b03030'].map(labOf) as [Lab, Lab, Lab, Lab];

describe('the shades of stitches', () => {
  it('cost no more than the best of all choices would, but for a hundredth: ten stitches in three shades', () => {
    for (let seed = 1; seed <= 4; seed++) {
      // A row of upright stitches over bands of grey that change with the seed.
      const below = pictureOf(20, (x) => grey(120 + 100 * Math.sin(0.9 * seed + (0.4 + 0.1 * seed) * x)));
      const stitches = Float32Array.from(
        { length: 40 },
        (_, k) => [(k >> 2) * 0.8 * LAID - 1.5, -2, (k >> 2) * 0.8 * LAID - 1.5, 2][k % 4]!,
      );
      const ground = groundBelow(disc(8), below, LAID)!;
      const shades = [BLACK, MID, WHITE];
      const near = neighbourhood(stitches, 1.5 * LAID);
      const costs = Array.from({ length: 10 }, (_, i) => shades.map((shade) => meanApart(ground, stitches, i, shade)));
      const energy = (chosen: Uint8Array): number => {
        let sum = 0;
        for (let i = 0; i < 10; i++) {
          const around = near.others.subarray(near.firsts[i]!, near.firsts[i + 1]!);
          const others = around.filter((k) => chosen[k] !== chosen[i]).length / around.length;
          sum += costs[i]![chosen[i]!]! + 0.6 * others;
        }
        return sum;
      };
      let least = Infinity;
      const tried = new Uint8Array(10);
      for (let code = 0; code < 3 ** 10; code++) {
        for (let i = 0, rest = code; i < 10; i++, rest = Math.floor(rest / 3)) tried[i] = rest % 3;
        const sum = energy(tried);
        if (sum < least && smallPatches(tried, near).length === 0) least = sum;
      }
      expect(energy(shadeStitches(stitches, ground, shades, LAID))).toBeLessThanOrEqual(least * 1.01);
    }
  });

  /** The mean difference of a shade from the picture along a stitch, looked at closely. */
  function meanApart(
    ground: NonNullable<ReturnType<typeof groundBelow>>,
    stitches: Float32Array,
    i: number,
    shade: Lab,
  ): number {
    let sum = 0;
    const steps = 40;
    for (let k = 0; k < steps; k++) {
      const share = (k + 0.5) / steps;
      const x = stitches[4 * i]! + share * (stitches[4 * i + 2]! - stitches[4 * i]!);
      const y = stitches[4 * i + 1]! + share * (stitches[4 * i + 3]! - stitches[4 * i + 1]!);
      const at =
        3 *
        (Math.round((y - ground.y0) / ground.stepMm) * ground.columns + Math.round((x - ground.x0) / ground.stepMm));
      const hex = `#${[0, 1, 2].map((c) => ground.rgb[at + c]!.toString(16).padStart(2, '0')).join('')}`;
      sum += deltaE(labOf(hex), shade);
    }
    return sum / steps;
  }

  it('give nobody a needle for three stitches, unless they are a telling light', () => {
    const speck = (light: number) =>
      pictureOf(30, (x, y) => (Math.abs(x) < 0.35 && Math.abs(y) < 2 ? grey(light) : grey(32)));
    const faint = work(disc(10), speck(90), [BLACK, MID, WHITE]);
    expect([...faint.shades].some((shade) => shade !== 0)).toBe(false);
    const bright = work(disc(10), speck(232), [BLACK, MID, WHITE]);
    expect([...bright.shades].some((shade) => shade === 2)).toBe(true);
  });
});

describe('needle painting', () => {
  const fur = pictureOf(60, (x, y) => {
    const [angle, r] = [Math.atan2(y, x), Math.hypot(x, y)];
    const hair = 40 * Math.sin(40 * angle + 3 * Math.sin(r));
    const light = 130 + hair + 60 * Math.sin(r / 5);
    return [light, light * 0.8, light * 0.6];
  });

  it('leaves no cloth bare, lays no stitch longer or shorter than it may, and is the same every time', () => {
    const region = disc(22);
    const path = work(region, fur, [BLACK, MID, WHITE, RED]);
    const again = work(region, fur, [BLACK, MID, WHITE, RED]);
    expect(again.xy).toEqual(path.xy);
    expect(again.shades).toEqual(path.shades);
    const ground = groundBelow(region, fur, LAID)!;
    const shades: Rgb[] = [
      [32, 32, 32],
      [128, 128, 128],
      [232, 232, 232],
      [176, 48, 48],
    ];
    const judged = judgePainting(region, ground, { path, shades, laidMm: LAID, cloth: [0, 255, 0] });
    expect(judged.bareShare).toBeLessThan(0.005);
    expect(judged.lonelyShare).toBeLessThanOrEqual(0.05);
    const segments = segmentsOf(path);
    const lengths = Array.from({ length: segments.length / 4 }, (_, i) =>
      Math.hypot(segments[4 * i + 2]! - segments[4 * i]!, segments[4 * i + 3]! - segments[4 * i + 1]!),
    );
    expect(Math.max(...lengths)).toBeLessThan(9.5);
    const short = lengths.filter((length) => length < 1.4).length / lengths.length;
    expect(short).toBeLessThan(0.06);
  });

  it('comes to the picture itself where its shades are the picture’s, and the floor is nothing', () => {
    const halves = pictureOf(60, (x) => (x < 0 ? grey(32) : grey(232)));
    const region = disc(20);
    const path = work(region, halves, [BLACK, WHITE]);
    const ground = groundBelow(region, halves, LAID)!;
    const judged = judgePainting(region, ground, {
      path,
      shades: [grey(32), grey(232)],
      laidMm: LAID,
      cloth: grey(128),
    });
    expect(judged.floor.mean).toBeLessThan(0.3);
    expect(judged.deltaE.mean).toBeLessThan(1.2);
    expect(judged.shades).toBe(2);
  });

  it.each([
    ['of one colour', pictureOf(30, () => [90, 120, 60])],
    ['of five pixels', pictureOf(30, (x, y) => grey(128 + 60 * Math.sign(x * y)), 5 / 30)],
    ['that lies beside the part', { ...pictureOf(10, wave), toPicture: [6, 0, 0, 6, 900, 900] } as PictureBelow],
    ['that is transparent', transparent()],
  ])('works from a picture %s', (_name, below) => {
    const path = work(disc(9), below, [BLACK, WHITE]);
    expect(path.starts.length).toBeGreaterThan(50);
    expect(path.xy.every(Number.isFinite)).toBe(true);
  });

  function transparent(): PictureBelow {
    const below = pictureOf(30, wave);
    for (let i = 3; i < below.picture.rgba.length; i += 4) below.picture.rgba[i] = 0;
    return below;
  }

  it('takes shades that lessen the error each time, pinned ones first, owned ones before those to be bought', () => {
    const colours = coloursPainted(disc(22), fur, LAID);
    const shades = Array.from({ length: 40 }, (_, i) => ({
      lab: labOf(`#${(4 + 6 * i).toString(16).padStart(2, '0').repeat(3)}`),
    }));
    const grown = growShades(colours, shades, 12, { pinned: [shades[39]!] });
    expect(grown.shades[0]).toBe(shades[39]);
    grown.errors.slice(1).forEach((error, i) => expect(error).toBeLessThanOrEqual(grown.errors[i]!));
    // Of two that are all but alike the owned one is taken.
    const twins = [...shades, ...shades.map(({ lab }) => ({ lab: { ...lab, l: lab.l + 0.05 } }))];
    const owned = new Set(twins.slice(40));
    const chosen = growShades(colours, twins, 6, { isOwned: (shade) => owned.has(shade) }).shades;
    expect(chosen.every((shade) => owned.has(shade))).toBe(true);
  });

  it('weighs what is marked: a small eye gets a shade of its own early', () => {
    const eyed = pictureOf(60, (x, y) => (Math.hypot(x - 5, y) < 0.8 ? [40, 160, 60] : grey(120 + 3 * x)));
    const shades = ['#289c3c', ...Array.from({ length: 20 }, (_, i) => `#${(50 + 8 * i).toString(16).repeat(3)}`)].map(
      (hex) => ({ lab: labOf(hex) }),
    );
    const rank = (eyes: [number, number, number][]): number =>
      growShades(coloursPainted(disc(22), eyed, LAID, eyes), shades, 20).shades.indexOf(shades[0]!);
    expect(rank([[5, 0, 1.5]])).toBeLessThan(rank([]) === -1 ? 20 : rank([]));
  });
});

describe('whether a picture will do', () => {
  const shades = ['#000000', '#444444', '#888888', '#cccccc', '#ffffff', '#aa8866'].map((hex) => ({ lab: labOf(hex) }));
  const faultsOf = (below: PictureBelow, r = 12): string[] =>
    judgePicture(disc(r), below, LAID, coloursPainted(disc(r), below, LAID), shades)!.faults.map(({ id }) => id);
  const sharp = (x: number, y: number): Rgb => grey(Math.sin(2 * x) * Math.sin(2 * y) > 0 ? 210 : 60);

  it('finds nothing wrong with a sharp one of middling light', () => {
    expect(faultsOf(pictureOf(40, sharp))).toEqual([]);
  });

  it.each([
    ['coarse', pictureOf(40, sharp, 1.5)],
    ['blurred', pictureOf(40, (x) => grey(128 + 100 * Math.sin(x / 4)))],
    ['dark', pictureOf(40, (x) => (x < 5 ? grey(6) : grey(180)))],
    ['bright', pictureOf(40, (x) => (x < 5 ? grey(254) : grey(80)))],
    ['out-of-reach', pictureOf(40, (x, y) => (sharp(x, y)[0] > 100 ? [20, 220, 40] : grey(60)))],
    ['beside', { ...pictureOf(40, sharp), toPicture: [6, 0, 0, 6, 20, 120] } as PictureBelow],
    ['plain', pictureOf(40, () => grey(140))],
    ['cast', pictureOf(40, (x, y) => (sharp(x, y)[0] > 100 ? [255, 214, 160] : [120, 90, 50]))],
  ])('says when it is %s', (id, below) => {
    expect(faultsOf(below)).toContain(id);
  });
});

describe('what lies on top', () => {
  const upTo = (y: number, half: number): boolean => Math.abs(y) < half;

  it('is found where it is thinner than three threads and stands out, along all of its length', () => {
    const below = pictureOf(40, (x, y) => (upTo(y - 2, 0.25) && Math.abs(x) < 9 ? grey(240) : grey(110)), 8);
    const [whisker, ...others] = findRidges(groundBelow(disc(14), below, LAID)!, disc(14), LAID);
    expect(others).toEqual([]);
    expect(whisker!.kind).toBe('light');
    expect(whisker!.lengthMm).toBeGreaterThan(16.5);
    expect(whisker!.lengthMm).toBeLessThan(19.5);
    for (let i = 1; i < whisker!.points.length; i += 2) expect(Math.abs(whisker!.points[i]! - 2)).toBeLessThan(0.3);
  });

  it('is neither what is broader, nor an edge, nor faint', () => {
    const found = (half: number, light: number): number => {
      const below = pictureOf(40, (_x, y) => (upTo(y, half) ? grey(light) : grey(110)), 8);
      return findRidges(groundBelow(disc(14), below, LAID)!, disc(14), LAID).length;
    };
    expect([found(1.2, 240), found(0.25, 130), found(0.25, 240), found(0.25, 20)].map((n) => n > 0)).toEqual([
      false,
      false,
      true,
      true,
    ]);
    const edge = pictureOf(40, (_x, y) => (y < 0 ? grey(30) : grey(230)), 8);
    expect(findRidges(groundBelow(disc(14), edge, LAID)!, disc(14), LAID)).toEqual([]);
  });
});

describe('the patches of a painting', () => {
  it('have the borders of the picture, share the area between them, and hold their numbers', () => {
    const bands = pictureOf(50, (x) => grey(x < -6 ? 32 : x < 6 ? 128 : 232));
    const region = disc(18);
    const patches = shadePatches(region, work(region, bands, [BLACK, MID, WHITE]), LAID);
    expect(patches.map(({ shade }) => shade).sort()).toEqual([0, 1, 2]);
    const whole = Math.PI * 18 ** 2;
    expect(patches.reduce((sum, { areaMm2 }) => sum + areaMm2, 0) / whole).toBeCloseTo(1, 1);
    // A band of 12 mm through the middle: 2 (6 √(18² − 6²) + 18² asin(6 / 18)).
    const middle = 2 * (6 * Math.sqrt(18 ** 2 - 36) + 18 ** 2 * Math.asin(1 / 3));
    expect(patches.find(({ shade }) => shade === 1)!.areaMm2 / middle).toBeCloseTo(1, 1);
    for (const { x, shade, outline } of patches) {
      expect([x < -6, Math.abs(x) < 6, x > 6].indexOf(true)).toBe(shade);
      expect(outline.length).toBeGreaterThan(0);
    }
  });
});
