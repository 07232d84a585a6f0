import { boxOf, placeAt, placeWithin, type Box, type PlaceWithin } from '../geometry/index.ts';
import { Memory } from '../measure/index.ts';
import { NEEDLE_NAMES, type Needle, type ThreadId } from '../materials/index.ts';
import type { PassRole, PlanInput } from '../piece/index.ts';
import { firstPlace, lastPlace, stitchKind, type Called, type StitchId } from '../stitches/index.ts';
import {
  isInJourneys,
  isRaised,
  workedIn,
  type PlannedPart,
  type PlannedPass,
  type WorkedThread,
} from '../work/index.ts';
import { holdingOf } from './positions/units.ts';
import { portionsOf } from './portions.ts';
import { stepKey, type WorkStep } from './workOrder.ts';
import { zonesOf } from './zones.ts';

/** A step with what decides its place in the order. */
export interface Step extends WorkStep {
  readonly key: string;
  readonly role: PassRole;
  readonly stitch: StitchId;
  /** The number of its part, from back to front. */
  readonly depth: number;
  readonly colour: string;
  readonly thread: ThreadId;
  readonly strands: number;
  readonly needle: Needle;
  /** Time of the stitches alone, s, and thread on the piece, mm. */
  readonly seconds: number;
  readonly threadMm: number;
  readonly stitches: number;
  /** Where it begins and where it ends, mm. */
  readonly from: readonly [x: number, y: number];
  readonly to: readonly [x: number, y: number];
  /** What is worked alike and best together: its group, else its part. */
  readonly motif: string;
  /** What a needle is threaded with, and which needle it is. */
  readonly setUp: string;
  readonly isRaised: boolean;
  /** Which of the two journeys of its stitch it is, where that is worked in two threads; null: all of it. */
  readonly journey: 0 | 1 | null;
  /** Where in its part its zone lies; null: it is all of the part, or what of it lies in a position of the hoop. */
  readonly zonePlace: PlaceWithin | null;
}

/** What a step works, as it is called: a stitch, or one journey of it. */
export function stitchOfStep({ stitch, journey }: Pick<Step, 'stitch' | 'journey'>): Called {
  const kind = stitchKind(stitch);
  return (journey === null ? null : kind.journeys?.[journey]) ?? kind;
}

/** All steps of a piece in the order of its drawing, from back to front; layers without a stitch take none. */
export function stepsOf(
  { hoop, positions, worker }: PlanInput,
  parts: readonly PlannedPart[],
  memory = new Memory(),
): Step[] {
  const steps: Step[] = [];
  parts.forEach((planned, depth) => {
    const { part, placed, passes } = planned;
    const held = hoop && positions.length > 1 ? holdingOf(placed, hoop, positions, memory) : null;
    const isPortion = held !== null && !held.isWhole && held.positions.length > 1;
    passes.forEach((pass, layer) => {
      const zones = !isPortion && (pass.inTurn || worker.byArea > ZONED_FROM) ? zonesOf(planned, layer, memory) : null;
      pass.threads.forEach((thread, shade) => {
        if (thread.path.starts.length === 0) return;
        const whole = { position: held?.positions[0] ?? 0, zone: 0, thread };
        const pieces = isPortion
          ? portionsOf(planned, { layer, shade }, hoop!, positions, memory)
          : (zones?.[shade] ?? [whole]);
        for (const piece of pieces) {
          const { position, zone, thread: own } = { ...whole, ...piece };
          steps.push(stepOf(planned, depth, { part: part.id, layer, shade, position, isPortion, zone }, own));
        }
      });
    });
  });
  return steps;
}

/** Worked by area rather than by colour, what is painted is worked zone by zone. */
const ZONED_FROM = 0.5;

function stepOf(planned: PlannedPart, depth: number, step: WorkStep, thread: WorkedThread): Step {
  const { part, passes } = planned;
  const { layer, shade } = step;
  const colour = thread.colour ?? part.colour;
  const pass = passes[layer]!;
  const { thread: kind, strands } = workedIn(pass, thread);
  const needle = needleOfStep(pass, { shade });
  const { path, quantities } = thread;
  return {
    ...step,
    key: stepKey(step),
    role: pass.role,
    stitch: pass.stitch,
    depth,
    colour,
    thread: kind,
    strands,
    needle,
    seconds: quantities.seconds,
    threadMm: quantities.threadMm,
    stitches: quantities.stitches,
    from: firstPlace(path, 0),
    to: lastPlace(path, path.starts.length),
    motif: part.group ?? part.id,
    setUp: `${colour} ${kind} ${strands} ${needleName(needle)} ${isTying(pass, step)}`,
    isRaised: isRaised(planned),
    journey: isInJourneys(pass) ? (shade === 0 ? 0 : 1) : null,
    zonePlace: step.zone > 0 && planned.placed.box ? placeOfZone(planned.placed.box, path) : null,
  };
}

/** Where in its part the stitches of a zone lie, by their middle. */
function placeOfZone(part: Box, { starts, xy }: WorkedThread['path']): PlaceWithin {
  const zone = boxOf([Float64Array.from([...starts].flatMap((move) => placeAt(xy, move)))]) ?? part;
  return placeWithin(part, (zone.minX + zone.maxX) / 2, (zone.minY + zone.maxY) / 2);
}

/** A thread of another thickness is worked with a needle of its own. */
export function needleOfStep(pass: PlannedPass, { shade }: Pick<WorkStep, 'shade'>): Needle {
  return pass.threads[shade]?.own?.needle ?? pass.needle;
}

/** Whether a step ties a thread that was laid: with a needle of its own, as that thread waits on the front. */
export function isTying({ stitch }: Pick<PlannedPass, 'stitch'>, { shade }: Pick<WorkStep, 'shade'>): boolean {
  return shade > 0 && stitchKind(stitch).laysThread;
}

export function needleName({ family, size }: Needle): string {
  return `${NEEDLE_NAMES[family]} ${size}`;
}
