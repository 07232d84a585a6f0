import { createCanvas } from '@napi-rs/canvas';
import { channelsOf, deltaE, hexOf, labOf } from '@junctura/core/colour';
import {
  CLOTHS,
  clothOf,
  strandChoices,
  THREAD_KINDS,
  threadKind,
  type Cloth,
  type ThreadId,
  type ClothId,
} from '@junctura/core/materials';
import { MoveRecorder } from '@junctura/core/stitches';
import { emptyPiece, plainPass } from '@junctura/core/piece';
import { looseShape } from '@junctura/core/drawing';
import { planPass, USUAL_FACTORS, workSettings } from '@junctura/core/work';
import { beforeAll, describe, expect, it } from 'vitest';
import { withCanvas } from '../testing/canvas.ts';
import type { Brush } from './brush.ts';
import { paintCloth } from './paintCloth.ts';
import { lensOf, paintPicture } from './paintPicture.ts';
import { DAYLIGHT } from './light.ts';
import type { PaintedThread } from './scene.ts';
import { threadLook, type ThreadLook } from './threadLook.ts';

const SIZE = { width: 220, height: 220 };
const VIEW = { centreX: 0, centreY: 0, pxPerMm: 40 };
const HEX = '#8c4a3a';

beforeAll(withCanvas);

/** Stitches side by side over all of the window, along an angle, in one kind of thread. */
function block(kind: ThreadId, strands: number, angleDeg: number, look: ThreadLook, half = 6): PaintedThread {
  const place = looseShape('x', 'line', {
    region: [],
    lines: [{ points: Float64Array.of(0, 0, 9, 0), closed: false }],
    spots: new Float64Array(0),
  });
  const pass = planPass(
    place,
    { ...plainPass('back', kind, strands), angleDeg: 0, reason: '' },
    workSettings(emptyPiece('x', 'x'), 1, USUAL_FACTORS),
  );
  const [cos, sin] = [Math.cos((angleDeg * Math.PI) / 180), Math.sin((angleDeg * Math.PI) / 180)];
  const recorder = new MoveRecorder();
  for (let aside = -half; aside <= half; aside += 0.9 * pass.laidMm) {
    recorder.stitch();
    recorder.up(-half * cos - aside * sin, -half * sin + aside * cos);
    recorder.down(half * cos - aside * sin, half * sin + aside * cos);
  }
  return {
    pass,
    thread: { ...pass.threads[0]!, path: recorder.path() },
    tones: look,
    lengths: null,
    light: DAYLIGHT,
    caster: 'runs',
  };
}

function painted(threads: readonly PaintedThread[], pxPerMm = VIEW.pxPerMm): Uint8ClampedArray {
  const brush = createCanvas(SIZE.width, SIZE.height).getContext('2d');
  const scene = { cloth: CLOTHS[0]!, clothColour: '#ffffff', threads, light: DAYLIGHT, scraps: [], otherwise: null };
  for (const _ of paintPicture(brush as unknown as Brush, scene, { ...VIEW, pxPerMm }, SIZE, 'front'));
  return brush.getImageData(0, 0, SIZE.width, SIZE.height).data as unknown as Uint8ClampedArray;
}

function meanOf(pictures: readonly Uint8ClampedArray[]): string {
  const sums = [0, 0, 0];
  for (const pixels of pictures) pixels.forEach((value, i) => i % 4 < 3 && (sums[i % 4]! += value));
  const count = pictures.length * SIZE.width * SIZE.height * 255;
  return hexOf(...(sums.map((sum) => sum / count) as [number, number, number]));
}

/** How light a row of the window is from left to right, down its middle. */
function profile(pixels: Uint8ClampedArray): number[] {
  return Array.from({ length: SIZE.width }, (_, x) => {
    let sum = 0;
    for (let y = 100; y < 120; y++) for (let c = 0; c < 3; c++) sum += pixels[4 * (y * SIZE.width + x) + c]!;
    return sum / 60;
  });
}

/** How much a profile is like itself a number of pixels on, −1 to 1. */
function likeness(values: readonly number[], shift: number): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  const at = (i: number): number => values[i]! - mean;
  let [both, all] = [0, 0];
  for (let i = 0; i + shift < values.length; i++) both += at(i) * at(i + shift);
  for (let i = 0; i < values.length; i++) all += at(i) ** 2;
  return both / all;
}

describe('thread close to', () => {
  it.each(THREAD_KINDS.map(({ id }) => id))(
    'has the mean colour of its shade, light and shade together: %s',
    (kind) => {
      const strands = strandChoices(threadKind(kind))[0]!;
      const turns = [0, 30, 60, 90, 120, 150].map((deg) => painted([block(kind, strands, deg, threadLook(HEX, kind))]));
      expect(deltaE(labOf(meanOf(turns)), labOf(HEX))).toBeLessThan(4);
    },
  );

  it.each([2, 3, 4])(
    'shows its %i strands side by side: it is alike a strand’s width on, and less so half of that',
    (strands) => {
      const thread = block('stranded-cotton', strands, 90, threadLook(HEX, 'stranded-cotton'));
      const values = profile(painted([thread]));
      const strandPx = (thread.pass.laidMm * VIEW.pxPerMm) / strands;
      const near = (shift: number): number =>
        Math.max(...[-1, 0, 1].map((k) => likeness(values, Math.round(shift) + k)));
      expect(near(strandPx)).toBeGreaterThan(likeness(values, Math.round(strandPx / 2)) + 0.3);
    },
  );

  it('of plied thread changes along it as its plies turn, floss hardly does', () => {
    /** How much a row along one thread varies, of its mean. */
    const along = (kind: ThreadId): number => {
      const pixels = painted([block(kind, 1, 0, threadLook(HEX, kind))]);
      const rows = Array.from({ length: 40 }, (_, k) => {
        const y = 90 + k;
        const values = Array.from({ length: 160 }, (_, x) => pixels[4 * (y * SIZE.width + 30 + x)]!);
        const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
        return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length) / mean;
      });
      return rows.sort((a, b) => a - b)[20]!;
    };
    expect(along('pearl-5')).toBeGreaterThan(1.6 * along('stranded-cotton'));
    expect(along('pearl-5')).toBeGreaterThan(1.6 * along('stranded-silk'));
  });

  it('of two shades in one needle shows both, each on about half of it; from afar it is their mixture', () => {
    const both = ['#b04a3c', '#3f7a72'].map((hex) => threadLook(hex, 'stranded-cotton'));
    const look = threadLook('#7a6458', 'stranded-cotton', both);
    const close = painted([block('stranded-cotton', 2, 90, look)]);
    let [red, green] = [0, 0];
    for (let i = 0; i < close.length; i += 4) {
      if (close[i]! > close[i + 1]! + 25) red++;
      if (close[i + 1]! > close[i]! + 10) green++;
    }
    expect(red / (red + green)).toBeGreaterThan(0.35);
    expect(red / (red + green)).toBeLessThan(0.65);
    const far = painted([block('stranded-cotton', 2, 90, look, 30)], 4);
    expect(deltaE(labOf(meanOf([far])), labOf('#7a6458'))).toBeLessThan(9);
  });

  it('shines by its kind: silk more than cotton, cotton more than wool', () => {
    const spread = (kind: ThreadId): number => {
      const lightness = [0, 90].map((deg) => labOf(meanOf([painted([block(kind, 1, deg, threadLook(HEX, kind))])])).l);
      return Math.abs(lightness[0]! - lightness[1]!);
    };
    expect(spread('stranded-silk')).toBeGreaterThan(spread('stranded-cotton'));
    expect(spread('stranded-cotton')).toBeGreaterThan(spread('crewel-wool'));
  });
});

describe('cloth', () => {
  const shown = (cloth: Cloth, pxPerMm: number): Uint8ClampedArray => {
    const brush = createCanvas(SIZE.width, SIZE.height).getContext('2d');
    paintCloth(brush as unknown as Brush, cloth, cloth.usualHex, lensOf({ ...VIEW, pxPerMm }, SIZE, false));
    return brush.getImageData(0, 0, SIZE.width, SIZE.height).data as unknown as Uint8ClampedArray;
  };

  it.each(CLOTHS.map((cloth) => [cloth.name, cloth] as const))(
    'has its own colour from near and from afar: %s',
    (_, cloth) => {
      for (const pxPerMm of [3, 9, 30]) {
        expect(deltaE(labOf(meanOf([shown(cloth, pxPerMm)])), labOf(cloth.usualHex))).toBeLessThan(6);
      }
    },
  );

  it('is told by its weave: lines of twill slant, ribs of jersey run down, plain weave does neither, felt has no threads', () => {
    const [plain, twill, knit, felt] = ['canvas', 'denim', 'jersey', 'felt'].map((id) =>
      CLOTHS.find((cloth) => cloth.id === id)!,
    );
    const threadPx = 16;
    const pixelsOf = (cloth: Cloth): Uint8ClampedArray => shown(cloth, (threadPx * (cloth.threadsPerCm || 14)) / 10);
    /** How like the picture is to itself, moved by a number of threads across and down. */
    const alike = (pixels: Uint8ClampedArray, across: number, down: number): number => {
      const light = (x: number, y: number): number => pixels[4 * (y * SIZE.width + x)]!;
      const pairs: [number, number][] = [];
      for (let y = 0; y < 180 - down; y += 2)
        for (let x = 40; x < 180; x += 2) pairs.push([light(x, y), light(x + across, y + down)]);
      const mean = (k: 0 | 1): number => pairs.reduce((sum, pair) => sum + pair[k], 0) / pairs.length;
      const [a, b] = [mean(0), mean(1)];
      const over = (of: (pair: [number, number]) => number): number => pairs.reduce((sum, pair) => sum + of(pair), 0);
      return (
        over(([p, q]) => (p - a) * (q - b)) / Math.sqrt(over(([p]) => (p - a) ** 2) * over(([, q]) => (q - b) ** 2))
      );
    };
    const t = threadPx;
    // A thread on and a thread down plain weave is as it was; one on it is the other way round.
    expect(alike(pixelsOf(plain!), t, t)).toBeGreaterThan(alike(pixelsOf(plain!), t, 0) + 0.15);
    // Twill goes on along one diagonal, not along the other.
    const twilled = pixelsOf(twill!);
    expect(alike(twilled, -t, t)).toBeGreaterThan(alike(twilled, t, t) + 0.15);
    // Two threads across a rib comes again; half of that it is the other leg.
    expect(alike(pixelsOf(knit!), 2 * t, 0)).toBeGreaterThan(0.6);
    expect(Math.abs(alike(pixelsOf(felt!), t, 0))).toBeLessThan(0.3);
  });

  it('keeps to its colours where it is dark or pale, and never leaves white holes', () => {
    for (const hex of ['#101014', '#fdfdfb']) {
      const denim = CLOTHS.find(({ id }) => id === 'denim')!;
      const pixels = shown({ ...denim, usualHex: hex }, 20);
      const [red] = channelsOf(hex);
      for (let i = 0; i < pixels.length; i += 4) expect(Math.abs(pixels[i]! - red)).toBeLessThan(90);
    }
  });
});

describe('cloth seen as a whole', () => {
  const [SIDE, PATCH] = [640, 20];
  const hex = '#d8cfbc';

  /** How light each patch of the picture is, in its green. */
  function patches(id: ClothId, pxPerMm: number): number[] {
    const canvas = createCanvas(SIDE, SIDE);
    const lens = lensOf({ centreX: 0, centreY: 0, pxPerMm }, { width: SIDE, height: SIDE }, false);
    paintCloth(canvas.getContext('2d') as unknown as Brush, clothOf(id), hex, lens);
    const { data } = canvas.getContext('2d').getImageData(0, 0, SIDE, SIDE);
    const across = SIDE / PATCH;
    const sums = new Float64Array(across * across);
    for (let i = 0; i < SIDE * SIDE; i++) {
      sums[Math.floor(i / SIDE / PATCH) * across + Math.floor((i % SIDE) / PATCH)]! += data[4 * i + 1]!;
    }
    return [...sums].map((sum) => sum / PATCH ** 2);
  }
  const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;

  it.each(CLOTHS.map(({ id }) => id))(
    'has its colour near and far, and shows no pattern that is not there: %s',
    (id) => {
      for (const pxPerMm of [2, 3.3, 5, 6.67, 10, 14]) {
        const light = patches(id, pxPerMm);
        const usual = mean(light);
        expect(Math.abs(usual - channelsOf(hex)[1]!)).toBeLessThan(1);
        // What the eye sees as stripes or patches begins at about two steps of 255. Close up threads are uneven, as they are.
        const spread = Math.sqrt(mean(light.map((value) => (value - usual) ** 2)));
        if (pxPerMm < 7) expect(spread).toBeLessThan(1.6);
      }
    },
  );
});
