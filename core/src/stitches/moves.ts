/** The moves of a needle, as they are coded in a path. */
export const Move = {
  /** Up through the cloth at (x, y). */
  up: 1,
  /** Down through the cloth at (x, y). */
  down: 2,
  /** The thread lies on top through (x, y): the curve of a held loop. */
  via: 3,
  /** The thread goes x times round a core of y mm. */
  wrap: 4,
  /** The next run behind only gets to another place; if it is too long, thread is fastened off and begun anew. */
  travel: 5,
  /** The thread goes on to (x, y) below an earlier stitch, on top of the cloth. */
  under: 6,
  /** From here on runs in front lie over padding x mm high. */
  lift: 7,
} as const;

/** Where a stitch writes its path, move by move. */
export interface MoveSink {
  /** A new stitch begins: what one counts as one. */
  stitch(): void;
  up(x: number, y: number): void;
  via(x: number, y: number): void;
  down(x: number, y: number): void;
  wrap(turns: number, coreMm: number): void;
  travel(): void;
  under(x: number, y: number): void;
  lift(heightMm: number): void;
  /** The stitches from here on are worked in this of several shades, or of two threads. */
  shade(index: number): void;
}

/**
 * The path of a needle as flat arrays. Move i is `codes[i]` at `xy[2i], xy[2i + 1]` (mm, y downwards; for a wrap: turns and
 * core; for a lift: its height). Stitch k begins at move `starts[k]`, in shade `shades[k]`. The arrays belong to the path
 * and are never written again.
 *
 * Example: one stitch from (0, 0) to (3, 0) is codes `[1, 2]`, xy `[0, 0, 3, 0]`, starts `[0]`, shades `[0]`.
 */
export interface StitchPath {
  readonly codes: Uint8Array;
  readonly xy: Float32Array;
  readonly starts: Uint32Array;
  readonly shades: Uint8Array;
}

/** No part of a hoop piece takes as many moves as this. */
export const MOST_MOVES = 2 ** 22;

/** A sink that keeps the moves. */
export class MoveRecorder implements MoveSink {
  private codes = new Uint8Array(256);
  private xy = new Float32Array(512);
  private starts = new Uint32Array(128);
  private shades = new Uint8Array(128);
  private shadeNow = 0;
  private moves = 0;
  private stitches = 0;

  stitch(): void {
    if (this.stitches === this.starts.length) {
      const grown = new Uint32Array(this.starts.length * 2);
      grown.set(this.starts);
      this.starts = grown;
      const shades = new Uint8Array(grown.length);
      shades.set(this.shades);
      this.shades = shades;
    }
    this.shades[this.stitches] = this.shadeNow;
    this.starts[this.stitches++] = this.moves;
  }

  up(x: number, y: number): void {
    this.push(Move.up, x, y);
  }

  via(x: number, y: number): void {
    this.push(Move.via, x, y);
  }

  down(x: number, y: number): void {
    this.push(Move.down, x, y);
  }

  wrap(turns: number, coreMm: number): void {
    this.push(Move.wrap, turns, coreMm);
  }

  travel(): void {
    if (this.moves > 0) this.push(Move.travel, 0, 0);
  }

  under(x: number, y: number): void {
    this.push(Move.under, x, y);
  }

  lift(heightMm: number): void {
    this.push(Move.lift, heightMm, 0);
  }

  shade(index: number): void {
    this.shadeNow = index;
  }

  path(): StitchPath {
    return {
      codes: this.codes.slice(0, this.moves),
      xy: this.xy.slice(0, this.moves * 2),
      starts: this.starts.slice(0, this.stitches),
      shades: this.shades.slice(0, this.stitches),
    };
  }

  /**
   * Adds a move by its code.
   * @throws RangeError beyond {@link MOST_MOVES}: what writes them would not come to an end
   */
  push(code: number, x: number, y: number): void {
    const i = this.moves++;
    if (i === this.codes.length) this.grow();
    this.codes[i] = code;
    this.xy[2 * i] = x;
    this.xy[2 * i + 1] = y;
  }

  /** Adds a stitch of another path, in the shade of now. */
  copy({ codes, xy, starts }: StitchPath, stitch: number): void {
    this.stitch();
    const end = starts[stitch + 1] ?? codes.length;
    for (let i = starts[stitch]!; i < end; i++) this.push(codes[i]!, xy[2 * i]!, xy[2 * i + 1]!);
  }

  private grow(): void {
    if (this.moves > MOST_MOVES) throw new RangeError('it would take millions of stitches.');
    const codes = new Uint8Array(this.codes.length * 2);
    codes.set(this.codes);
    this.codes = codes;
    const xy = new Float32Array(this.xy.length * 2);
    xy.set(this.xy);
    this.xy = xy;
  }
}

/**
 * The parts of a path that are worked in each of several shades, each in working order; a lift goes on through all of them.
 * Stitches that go on without coming up belong to the stitch before them.
 */
export function splitByShade({ codes, xy, starts, shades }: StitchPath, count: number): StitchPath[] {
  const recorders = Array.from({ length: count }, () => new MoveRecorder());
  let lift = 0;
  const lifts = new Float64Array(count);
  for (let stitch = 0; stitch < starts.length; stitch++) {
    const shade = Math.min(count - 1, shades[stitch]!);
    const recorder = recorders[shade]!;
    // A travel or lift before a stitch is its own.
    const from = stitch === 0 ? 0 : leadIn(codes, starts[stitch]!);
    const to = stitch + 1 < starts.length ? leadIn(codes, starts[stitch + 1]!) : codes.length;
    for (let i = from; i < to; i++) {
      if (i === starts[stitch]) {
        if (lifts[shade] !== lift) recorder.lift(lift);
        lifts[shade] = lift;
        recorder.stitch();
      }
      if (codes[i] === Move.lift) lift = xy[2 * i]!;
      else recorder.push(codes[i]!, xy[2 * i]!, xy[2 * i + 1]!);
    }
  }
  return recorders.map((recorder) => recorder.path());
}

/** Where what leads into a stitch begins. */
function leadIn(codes: Uint8Array, start: number): number {
  let i = start;
  while (i > 0 && (codes[i - 1] === Move.travel || codes[i - 1] === Move.lift)) i--;
  return i;
}

/** Where the needle comes up for a stitch, mm. */
export function firstPlace({ xy, starts }: StitchPath, stitch: number): readonly [x: number, y: number] {
  const move = starts[stitch]!;
  return [xy[2 * move]!, xy[2 * move + 1]!];
}

/** Where a path goes, `x0, y0, x1, y1, …`, mm: its moves without those that say no place. */
export function placesOnPath({ codes, xy }: StitchPath): Float64Array {
  const places = new Float64Array(xy.length);
  let count = 0;
  codes.forEach((code, i) => {
    if (code === Move.travel || code === Move.wrap || code === Move.lift) return;
    places[count++] = xy[2 * i]!;
    places[count++] = xy[2 * i + 1]!;
  });
  return places.subarray(0, count);
}

/** Moves at which a stitch ends. */
const PLACES: ReadonlySet<number> = new Set([Move.down, Move.via, Move.under]);

/** Where the needle is just before a stitch, or at the end of the path, mm. */
export function lastPlace({ codes, xy, starts }: StitchPath, stitch: number): readonly [x: number, y: number] {
  let move = (starts[stitch] ?? codes.length) - 1;
  while (move > 0 && !PLACES.has(codes[move]!)) move--;
  return [xy[2 * move]!, xy[2 * move + 1]!];
}
