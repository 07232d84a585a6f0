import { createCanvas, type Canvas } from '@napi-rs/canvas';
import { channelsOf, deltaE, hexOf, labOf } from '@junctura/core/colour';
import { Planner } from '@junctura/core/advice';
import { readSvg } from '@junctura/core/drawing';
import { clothOf } from '@junctura/core/materials';
import { seededRandom } from '@junctura/core/measure';
import { measurePath, MoveRecorder, type StitchPath } from '@junctura/core/stitches';
import { USUAL_FACTORS, type PlannedPass } from '@junctura/core/work';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Brush } from './brush.ts';
import { Growth, type Sheet } from './growth.ts';
import { paintFront } from './paintPass.ts';
import { lensOf, paintPicture } from './paintPicture.ts';
import { looseScene } from './scene.ts';
import { DAYLIGHT, LAMPLIGHT, type Light } from './light.ts';
import { withCanvas } from '../testing/canvas.ts';

const CLOTH = '#f4efe4';
const THREAD = '#1f3f7a';
const SIZE = { width: 260, height: 200 };

beforeAll(withCanvas);

/** A stitch on the cloth, mm. */
type Segment = readonly [x0: number, y0: number, x1: number, y1: number];

function pathOf(segments: readonly Segment[]): StitchPath {
  const recorder = new MoveRecorder();
  for (const [x0, y0, x1, y1] of segments) {
    recorder.stitch();
    recorder.up(x0, y0);
    recorder.down(x1, y1);
  }
  return recorder.path();
}

/** A pass in two strands of cotton whose path is given. */
function passOf(path: StitchPath): PlannedPass {
  const read = readSvg(
    '<svg xmlns="http://www.w3.org/2000/svg" width="9mm" viewBox="0 0 9 9"><path d="M1 1H8" stroke="#123"/></svg>',
    'x',
    'x',
  );
  if (!read.ok) throw new Error(read.problem);
  const pass = new Planner().plan(read.value, USUAL_FACTORS).plan.parts[0]!.passes[0]!;
  const measured = measurePath(path, {
    clothMm: 0.3,
    bundleMm: pass.bundleMm,
    slack: 0,
    travelMm: 10,
    pace: { findSeconds: 0, care: 1 },
  });
  return { ...pass, strands: 2, laidMm: 0.5, path, threads: [{ colour: null, path, own: null, ...measured }] };
}

/** @param pxPerMm the scale; the middle of the window is the middle of the cloth */
function painted(segments: readonly Segment[], pxPerMm: number, side: 'front' | 'back' = 'front'): Uint8ClampedArray {
  const canvas: Canvas = createCanvas(SIZE.width, SIZE.height);
  const brush = canvas.getContext('2d');
  const scene = looseScene(clothOf('felt'), CLOTH, [passOf(pathOf(segments))], THREAD);
  const view = { centreX: 0, centreY: 0, pxPerMm };
  for (const _ of paintPicture(brush as unknown as Brush, scene, view, SIZE, side));
  return brush.getImageData(0, 0, SIZE.width, SIZE.height).data as unknown as Uint8ClampedArray;
}

const [clothRed] = channelsOf(CLOTH);
/** Whether a pixel is thread rather than cloth: its red is nearer to the thread's. */
const isThread = (pixels: Uint8ClampedArray, at: number): boolean => pixels[4 * at]! < clothRed! * 0.62;

/** How far a place lies from a stitch, mm. */
function distanceMm(x: number, y: number, [x0, y0, x1, y1]: Segment): number {
  const [ex, ey] = [x1 - x0, y1 - y0];
  const share = Math.min(1, Math.max(0, ((x - x0) * ex + (y - y0) * ey) / (ex * ex + ey * ey)));
  return Math.hypot(x - x0 - share * ex, y - y0 - share * ey);
}

function strewn(seed: number, spreadX: number, spreadY: number): Segment[] {
  const random = seededRandom(seed);
  return Array.from({ length: 14 }, () => {
    const [x, y, angle] = [
      random.between(-spreadX, spreadX),
      random.between(-spreadY, spreadY),
      random.between(0, 6.28),
    ];
    const length = random.between(2, 5);
    return [x, y, x + length * Math.cos(angle), y + length * Math.sin(angle)] as const;
  });
}

// At these scales thread of 0.5 mm is a plain stroke, an edged one with its sheen, and strand by strand.
describe.each([3, 8, 30])('thread at %i pixels to the millimetre', (pxPerMm) => {
  const [spreadX, spreadY] = [SIZE.width / 2 / pxPerMm, SIZE.height / 2 / pxPerMm];

  it.each([1, 2, 3])('covers what capsules round its stitches do, no more and hardly less (seed %i)', (seed) => {
    const segments = strewn(seed, spreadX * 0.7, spreadY * 0.7);
    const pixels = painted(segments, pxPerMm);
    let [both, onlyPainted, onlyCapsule] = [0, 0, 0];
    for (let y = 0; y < SIZE.height; y++) {
      for (let x = 0; x < SIZE.width; x++) {
        const [mmX, mmY] = [(x + 0.5 - SIZE.width / 2) / pxPerMm, (y + 0.5 - SIZE.height / 2) / pxPerMm];
        const nearest = Math.min(...segments.map((segment) => distanceMm(mmX, mmY, segment)));
        const isCapsule = nearest < 0.25;
        const isPainted = isThread(pixels, y * SIZE.width + x);
        if (isCapsule && isPainted) both++;
        else if (isPainted) onlyPainted++;
        else if (isCapsule) onlyCapsule++;
        // Beyond a pixel's blur and the shade that thread throws there is none.
        if (isPainted) expect(nearest).toBeLessThan(0.25 + 1.5 / pxPerMm + 0.04);
      }
    }
    expect(both).toBeGreaterThan(100);
    expect(onlyPainted / both).toBeLessThan(0.16);
    expect(onlyCapsule / both).toBeLessThan(0.22);
  });

  it('has the mean colour of its shade, light and shade together', () => {
    const sums = [0, 0, 0];
    let count = 0;
    // Thread is brighter across the light than along it: in all directions together it has its own colour.
    for (let turn = 0; turn < 6; turn++) {
      const [cos, sin] = [Math.cos((turn * Math.PI) / 6), Math.sin((turn * Math.PI) / 6)];
      const rows = Array.from({ length: 41 }, (_, k): Segment => {
        const [half, aside] = [spreadX, (k - 20) * 0.45];
        return [
          -half * cos - aside * sin,
          -half * sin + aside * cos,
          half * cos - aside * sin,
          half * sin + aside * cos,
        ];
      });
      const pixels = painted(rows, pxPerMm);
      for (let y = SIZE.height / 2 - 18; y < SIZE.height / 2 + 18; y++) {
        for (let x = SIZE.width / 2 - 18; x < SIZE.width / 2 + 18; x++) {
          for (let c = 0; c < 3; c++) sums[c]! += pixels[4 * (y * SIZE.width + x) + c]!;
          count++;
        }
      }
    }
    const [r, g, b] = sums.map((sum) => sum / count / 255) as [number, number, number];
    expect(deltaE(labOf(hexOf(r, g, b)), labOf(THREAD))).toBeLessThan(4);
  });

  it('runs along the middle of each stitch, edge to edge of the window', () => {
    const pixels = painted([[-spreadX * 2, 0, spreadX * 2, 0]], pxPerMm);
    for (let x = 4; x < SIZE.width - 4; x += 3) {
      const column = Array.from({ length: SIZE.height }, (_, y) => y).filter((y) =>
        isThread(pixels, y * SIZE.width + x),
      );
      const middle = column.reduce((sum, y) => sum + y + 0.5, 0) / column.length;
      expect(Math.abs(middle - SIZE.height / 2)).toBeLessThan(0.1 * pxPerMm + 0.8);
    }
  });
});

describe('the back', () => {
  it('shows the ways between stitches, mirrored, and none of the stitches', () => {
    const pixels = painted(
      [
        [2, 3, 8, 3],
        [8, -3, 2, -3],
      ],
      8,
      'back',
    );
    const at = (x: number, y: number): boolean =>
      isThread(pixels, Math.round(SIZE.height / 2 + y * 8) * SIZE.width + Math.round(SIZE.width / 2 + x * 8));
    // Down at 8, 3 and up again at 8, −3: seen from behind it lies to the left.
    expect(at(-8, 0)).toBe(true);
    expect(at(8, 0)).toBe(false);
    expect(at(-5, 3)).toBe(false);
  });
});

describe('a picture that grows', () => {
  const threads = [1, 2, 3, 4, 5].map(
    (seed) => looseScene(clothOf('felt'), CLOTH, [passOf(pathOf(strewn(seed, 20, 14)))], THREAD).threads[0]!,
  );
  const scene = { cloth: clothOf('felt'), clothColour: CLOTH, threads, light: DAYLIGHT, scraps: [], otherwise: null };
  const view = { centreX: 0, centreY: 0, pxPerMm: 5 };
  const sheet = (): Sheet => {
    const image = createCanvas(SIZE.width, SIZE.height);
    return { ...SIZE, image: image as never, brush: image.getContext('2d') as unknown as Brush };
  };
  const pixelsOf = (own: Sheet): Buffer => (own.image as unknown as Canvas).data();
  const grownTo = (growth: Growth, place: number): Buffer => {
    for (const _ of growth.towards(() => place));
    return Buffer.from(pixelsOf(growth.sheet));
  };

  it('shows at every place what is painted at once, whichever way one comes there', () => {
    const growth = new Growth(scene, view, sheet);
    for (const place of [3, 1, 4, 5, 0, 2, 2.5, 1.25, 1]) {
      const whole = Math.floor(place);
      const stitches = Math.floor((place - whole) * 14);
      const once = sheet();
      for (const _ of paintPicture(once.brush, { ...scene, threads: threads.slice(0, whole) }, view, SIZE, 'front'));
      if (stitches > 0)
        for (const _ of paintFront(once.brush, threads[whole]!, lensOf(view, SIZE, false), { from: 0, to: stitches }));
      expect(Buffer.compare(grownTo(growth, place), pixelsOf(once)), `place ${place}`).toBe(0);
    }
  });
});

describe('what a picture that grows keeps', () => {
  it.each([
    [300, 300],
    [1170, 1200],
    [3840, 2160],
  ])('is at most eight states, in a hundred megabytes (%i by %i)', (width, height) => {
    const threads = Array.from(
      { length: 40 },
      (_, seed) => looseScene(clothOf('felt'), CLOTH, [passOf(pathOf(strewn(seed, 20, 14)))], THREAD).threads[0]!,
    );
    const scene = {
      cloth: clothOf('felt'),
      clothColour: CLOTH,
      threads,
      light: DAYLIGHT,
      scraps: [],
      otherwise: null,
    };
    let sheets = 0;
    const growth = new Growth(scene, { centreX: 0, centreY: 0, pxPerMm: 2 }, () => {
      sheets++;
      // What is reckoned with is the size that it says, not what is painted on.
      const image = createCanvas(8, 8);
      return { width, height, image: image as never, brush: image.getContext('2d') as unknown as Brush };
    });
    for (const _ of growth.towards(() => threads.length));
    const kept = sheets - 2;
    expect(kept).toBeLessThanOrEqual(8);
    expect(kept * width * height * 4).toBeLessThanOrEqual(100e6);
    expect(kept).toBeGreaterThan(1);
  });
});

describe('the shade that thread throws', () => {
  const pxPerMm = 8;
  const thread = looseScene(clothOf('felt'), CLOTH, [passOf(pathOf([[0, -8, 0, 8]]))], THREAD).threads[0]!;

  /** How far to the left and to the right of an upright thread the cloth is darker than at the edge of the picture, px. */
  function shaded(light: Light, liftMm = 0): [left: number, right: number] {
    const canvas = createCanvas(SIZE.width, SIZE.height);
    const pass = { ...thread.pass, liftMm };
    const scene = {
      cloth: { ...clothOf('lawn'), threadsPerCm: Infinity },
      clothColour: CLOTH,
      scraps: [],
      otherwise: null,
    };
    const threads = [{ ...thread, pass, light }];
    const brush = canvas.getContext('2d') as unknown as Brush;
    for (const _ of paintPicture(
      brush,
      { ...scene, light: { ...light, falloff: null }, threads },
      { centreX: 0, centreY: 0, pxPerMm },
      SIZE,
      'front',
    ));
    const row = canvas.getContext('2d').getImageData(0, SIZE.height / 2, SIZE.width, 1).data;
    const dark = Array.from({ length: SIZE.width }, (_, x) => row[4 * x]!).map((red) => red < row[0]! - 12);
    return [SIZE.width / 2 - dark.indexOf(true), dark.lastIndexOf(true) + 1 - SIZE.width / 2];
  }

  it('falls away from the light, further by a lamp and from what lies over padding', () => {
    const half = (0.5 / 2) * pxPerMm;
    const [left, right] = shaded(DAYLIGHT);
    expect(left).toBeLessThan(half + 1.5);
    expect(right).toBeGreaterThan(left);
    expect(shaded(LAMPLIGHT)[1]).toBeGreaterThan(right + 1);
    expect(shaded(DAYLIGHT, 0.8)[1]).toBeGreaterThan(right + 2);
    expect(shaded(LAMPLIGHT)[0]).toBe(left);
  });

  it('is of light that grows weaker from the lamp on, and warmer', () => {
    const canvas = createCanvas(SIZE.width, SIZE.height);
    const scene = { ...looseScene(clothOf('felt'), '#ffffff', [], THREAD), light: LAMPLIGHT };
    const brush = canvas.getContext('2d') as unknown as Brush;
    for (const _ of paintPicture(brush, scene, { centreX: 0, centreY: 0, pxPerMm: 0.8 }, SIZE, 'front'));
    const at = (x: number, y: number): number[] => [...canvas.getContext('2d').getImageData(x, y, 1, 1).data];
    const [near, far] = [at(40, 20), at(SIZE.width - 4, SIZE.height - 4)];
    expect(near[0]).toBeGreaterThan(far[0]! + 30);
    expect(far[0]! - far[2]!).toBeGreaterThan(near[0]! - near[2]! + 15);
  });
});
