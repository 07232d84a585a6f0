import { NEEDLE_NAMES, type Needle } from '../materials/index.ts';
import type { PassRole, PlanInput } from '../piece/index.ts';
import { firstPlace, lastPlace, type StitchId, type StitchPath } from '../stitches/index.ts';
import { isRaised, workedIn, type PlannedPart, type PlannedPass } from '../work/index.ts';
import { holdingOf } from './positions/units.ts';
import { portionsOf } from './portions.ts';
import { stepKey, type WorkStep } from './workOrder.ts';

/** A step with what decides its place in the order. */
export interface Step extends WorkStep {
  readonly key: string;
  readonly role: PassRole;
  readonly stitch: StitchId;
  /** The number of its part, from back to front. */
  readonly depth: number;
  readonly colour: string;
  readonly thread: string;
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
}

/** All steps of a piece in the order of its drawing, from back to front; layers without a stitch take none. */
export function stepsOf({ hoop, positions }: PlanInput, parts: readonly PlannedPart[]): Step[] {
  return parts.flatMap((planned, depth) => {
    const { part, placed, passes } = planned;
    const isWorked = passes.some(({ quantities }) => quantities.stitches > 0);
    const held = isWorked && hoop && positions.length > 1 ? holdingOf(placed, hoop, positions) : null;
    const isPortion = held !== null && !held.isWhole && held.positions.length > 1;
    const raised = isRaised(planned);
    return passes.flatMap((pass, layer) =>
      pass.threads.flatMap((thread, shade) => {
        const portions =
          isPortion && hoop ? portionsOf(thread, hoop, positions) : [{ position: held?.positions[0] ?? 0, thread }];
        const inThread = workedIn(pass, thread);
        const needle = needleOfStep(pass, { shade });
        const colour = thread.colour ?? part.colour;
        return portions.flatMap(({ position, thread: { path, quantities } }): Step[] => {
          if (path.starts.length === 0) return [];
          const step: WorkStep = { part: part.id, layer, shade, position, isPortion };
          return [
            {
              ...step,
              key: stepKey(step),
              role: pass.role,
              stitch: pass.stitch,
              depth,
              colour,
              thread: inThread.thread,
              strands: inThread.strands,
              needle,
              seconds: quantities.seconds,
              threadMm: quantities.threadMm,
              stitches: quantities.stitches,
              ...placesOf(path),
              motif: part.group ?? part.id,
              setUp: `${colour} ${inThread.thread} ${inThread.strands} ${needleName(needle)}`,
              isRaised: raised,
            },
          ];
        });
      }),
    );
  });
}

/** A second thread is worked with the needle that comes after the first. */
export function needleOfStep(pass: PlannedPass, { shade }: Pick<WorkStep, 'shade'>): Needle {
  return (pass.second && shade > 0 ? pass.needles[shade] : undefined) ?? pass.needle;
}

export function needleName({ family, size }: Needle): string {
  return `${NEEDLE_NAMES[family]} ${size}`;
}

function placesOf(path: StitchPath): Pick<Step, 'from' | 'to'> {
  return { from: firstPlace(path, 0), to: lastPlace(path, path.starts.length) };
}
