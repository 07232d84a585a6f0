import { workedIn, type PlannedPass, type WorkedThread } from '@junctura/core/work';
import type { Workings } from '@junctura/core/advice';
import { clothOf, type Cloth } from '@junctura/core/materials';
import { Memory } from '@junctura/core/measure';
import { layingsOf, threadOfStep, type Step } from '@junctura/core/order';
import type { Plan } from '@junctura/core/thread';
import type { Region } from '@junctura/core/geometry';
import { type Piece, type Scrap, shownColour } from '@junctura/core/piece';
import type { Brush, Lens } from './brush.ts';
import { casterOf, type Caster } from './caster.ts';
import { DAYLIGHT, type Light } from './light.ts';
import { threadLook, ThreadLooks, type ThreadLook } from './threadLook.ts';

/** A stretch of stitches that one length works, from one by its number to just before another. */
export interface LengthStretch {
  readonly from: number;
  readonly to: number;
  /** Whether the length is begun with it, and whether it is fastened off after it. */
  readonly begins: boolean;
  readonly ends: boolean;
}

/** One thread of a pass to be painted, in its tones. */
export interface PaintedThread {
  readonly pass: PlannedPass;
  readonly thread: WorkedThread;
  readonly tones: ThreadLook;
  /** What each length works of it; null: shown without its tails. */
  readonly lengths: readonly LengthStretch[] | null;
  readonly light: Light;
  readonly caster: Caster;
}

/** A scrap of cloth, or a printed area, to be painted. */
export interface PaintedScrap {
  readonly region: Region;
  /** null: printed on the cloth. */
  readonly scrap: Scrap | null;
  readonly hex: string;
  readonly after: number;
}

/** What a picture shows, from back to front. */
export interface Scene {
  readonly cloth: Cloth;
  readonly clothColour: string;
  readonly light: Light;
  readonly threads: readonly PaintedThread[];
  /** Cloth laid on and cloth that is printed, from back to front, each with the number of threads that are painted before it. */
  readonly scraps: readonly PaintedScrap[];
  /** Paints it some other way than on its cloth, as the finished thing; null: as it is. */
  readonly otherwise: ((brush: Brush, lens: Lens) => Generator<void>) | null;
}

/** The last step that each length works: where it is fastened off. */
function lastStepsOf({ work }: Plan): ReadonlyMap<string, number> {
  const last = new Map<string, number>();
  work.forEach((own, step) => own?.portions.forEach(({ need, load }) => last.set(`${need} ${load}`, step)));
  return last;
}

/** What each length works of a step: where lengths change, and where one is fastened off to go on elsewhere. */
function lengthsOf(
  { work }: Plan,
  step: number,
  { usedMm, breaks }: WorkedThread,
  lastSteps: ReadonlyMap<string, number>,
): LengthStretch[] {
  const own = work[step];
  if (!own || usedMm.length === 0) return [];
  const stretches: LengthStretch[] = [];
  // Only the first length may have been begun before.
  const before = own.portions.length - own.loads;
  let [from, mm] = [0, 0];
  own.portions.forEach(({ need, load, usedMm: ownMm }, i) => {
    mm += ownMm;
    const isLast = i === own.portions.length - 1;
    const beyond = usedMm.findIndex((used) => used > mm + 0.01);
    const to = isLast || beyond < 0 ? usedMm.length : beyond;
    const inner = [from, ...breaks.filter((at) => at > from && at < to), to];
    for (let k = 0; k + 1 < inner.length; k++) {
      const isFirst = k === 0;
      const begins = !isFirst || i >= before || own.rethreadings > 0;
      const ends = k + 2 < inner.length || !isLast || lastSteps.get(`${need} ${load}`) === step;
      // Of a thread that is joined only the last length ends with the stitch.
      if (inner[k]! < inner[k + 1]!) stretches.push({ from: inner[k]!, to: inner[k + 1]!, begins, ends });
    }
    from = to;
  });
  return stretches;
}

const asItIs = (hex: string): string => hex;

/** How a piece is seen: what becomes of each colour, and the light in which it stands. */
export interface SeenBy {
  readonly seen: (hex: string) => string;
  readonly light: Light;
}
const BY_DAY: SeenBy = { seen: asItIs, light: DAYLIGHT };

/** Steps as they are painted, by their number: each its thread, or the portion of it that lies in one position of the hoop. */
function stepPainter(
  piece: Piece,
  plan: Plan,
  looks: ThreadLooks,
  light: Light,
  memory: Memory,
): (step: number) => PaintedThread {
  const lastSteps = lastStepsOf(plan);
  return (step) => {
    const own = plan.order[step]!;
    const planned = plan.parts[own.depth]!;
    const thread = threadOfStep(planned, own, piece.hoop, piece.positions, memory)!;
    const pass = workedIn(planned.passes[own.layer]!, thread);
    return {
      pass,
      thread,
      tones: looks.of(own.colour, pass.thread),
      lengths: lengthsOf(plan, step, thread, lastSteps),
      light,
      caster: casterOf(planned, planned.passes[own.layer]!, own),
    };
  };
}

/**
 * @param only paint just these parts; null for all
 * @param onlyColour paint just what is worked in this colour; null for all
 * @param by how it is seen: by day, by a lamp …
 * @param memory keeps threads that are cut up for positions of the hoop, so that they are the same in the next scene
 */
export function sceneOf(
  piece: Piece,
  { plan }: Workings,
  only: ReadonlySet<string> | null = null,
  onlyColour: string | null = null,
  { seen, light }: SeenBy = BY_DAY,
  memory = new Memory(),
): Scene {
  const looks = new ThreadLooks(piece, seen);
  const { order } = plan;
  const shown = order
    .map((_, step) => step)
    .filter((step) => {
      const { part, colour } = order[step]!;
      return (only === null || only.has(part)) && (onlyColour === null || colour === onlyColour);
    })
    // From back to front, whatever is worked first.
    .sort((one, other) => {
      const [a, b] = [order[one]!, order[other]!];
      return a.depth - b.depth || a.layer - b.layer || a.shade - b.shade || a.position - b.position;
    });
  return {
    cloth: clothOf(piece.cloth.kind),
    clothColour: seen(piece.cloth.colour),
    light,
    threads: shown.map(stepPainter(piece, plan, looks, light, memory)),
    scraps: scrapsOf(piece, plan, seen, (depth) => shown.filter((step) => order[step]!.depth < depth).length),
    otherwise: null,
  };
}

/** What a picture of the piece shows as it is worked: its threads are steps, in the order in which they are worked. */
export function growingScene(piece: Piece, { plan }: Workings, steps: readonly Step[], memory = new Memory()): Scene {
  const looks = new ThreadLooks(piece, asItIs);
  const painted = stepPainter(piece, plan, looks, DAYLIGHT, memory);
  const numbers = new Map(plan.order.map(({ key }, i) => [key, i]));
  return {
    cloth: clothOf(piece.cloth.kind),
    clothColour: piece.cloth.colour,
    light: DAYLIGHT,
    threads: steps.map(({ key }) => painted(numbers.get(key)!)),
    scraps: scrapsOf(piece, plan, asItIs, laidAt(steps, plan)),
    otherwise: null,
  };
}

/** How many steps are worked before the scrap of a part is laid, by its place from back to front; print is there from the first. */
function laidAt(steps: readonly Step[], { parts }: Plan): (depth: number) => number {
  const places = new Map(layingsOf(steps, parts).map(({ depth, at }) => [depth, at]));
  return (depth) => places.get(depth) ?? 0;
}

/** Cloth on the cloth, as it is seen. @param after how many threads lie below what has a place from back to front */
function scrapsOf(
  piece: Piece,
  { parts }: Plan,
  seen: (hex: string) => string,
  after: (depth: number) => number,
): PaintedScrap[] {
  const scraps = parts.flatMap(({ part, placed }, depth): PaintedScrap[] => {
    if ((!part.scrap && !part.printed) || placed.shape.region.length === 0) return [];
    const hex = seen(part.scrap?.hex ?? shownColour(piece, part.colour).hex);
    return [{ region: placed.shape.region, scrap: part.scrap, hex, after: after(depth) }];
  });
  return scraps.sort((a, b) => a.after - b.after);
}

/** A picture of passes that belong to no piece, all in one colour. */
export function looseScene(cloth: Cloth, clothColour: string, passes: readonly PlannedPass[], hex: string): Scene {
  return { cloth, clothColour, light: DAYLIGHT, threads: looseThreads(passes, hex), scraps: [], otherwise: null };
}

/** Passes that belong to no part, in one colour. */
export function looseThreads(passes: readonly PlannedPass[], hex: string): PaintedThread[] {
  const looks = new Map<string, ThreadLook>();
  return passes.flatMap((own) =>
    own.threads.map((thread) => {
      const pass = workedIn(own, thread);
      const tones = looks.get(pass.thread) ?? threadLook(hex, pass.thread);
      looks.set(pass.thread, tones);
      return { pass, thread, tones, lengths: null, light: DAYLIGHT, caster: 'runs' };
    }),
  );
}
