import { labOf } from '../colour/index.ts';
import { regionPerimeter } from '../geometry/index.ts';
import { clothOf, markOf, MARKS, tracingThrough, type Mark } from '../materials/index.ts';
import { Memory, plural } from '../measure/index.ts';
import type { PlanInput, Scrap } from '../piece/index.ts';
import type { Plan } from '../thread/index.ts';
import { topmostBelow, wholeRegion } from '../work/index.ts';
import { showsOn } from './ways.ts';
import * as say from './words.ts';

/** How a scrap is cut, marked, laid and held, before it is worked down. */
export interface LaidOn {
  /** One movement a sentence, in the order in which it is done. */
  readonly steps: readonly string[];
  readonly caution: string | null;
  readonly seconds: number;
}

/** Pins or tacks that hold a scrap stand so far apart, mm. A craft figure. */
const HELD_EVERY_MM = 25;
const LEAST_HELD = 3;
const SECONDS = { cutAndPress: 240, mark: 120, eachHeld: 8, glue: 90 } as const;

/**
 * How the scrap of a part is laid.
 * @param depth its place from back to front
 * @throws RangeError where that part is no scrap
 */
export function layScrap(piece: PlanInput, plan: Plan, depth: number): LaidOn {
  const { part, placed } = plan.parts[depth]!;
  const { scrap } = part;
  if (!scrap) throw new RangeError(`part ${part.id} is no scrap`);
  const region = wholeRegion(part, placed, new Memory());
  const upon = plan.parts.flatMap((other, i) =>
    other.passes.length > 0 && topmostBelow([{ depth, region }], other.placed, i) !== null ? [other.part.name] : [],
  );
  const count = Math.max(LEAST_HELD, Math.round(regionPerimeter(region) / HELD_EVERY_MM));
  const cloth = clothOf(scrap.cloth);
  return {
    steps: [
      say.cutScrap(cloth.inSentence, scrap.edge === 'turned'),
      ...(upon.length > 0 ? [say.markScrap(markOnScrap(scrap, markOf(piece.mark)).inSentence, upon)] : []),
      say.layScrap(cloth.weave === 'felt'),
      scrap.held === 'glue' ? say.HOLD_BY_GLUE : say.holdBy(scrap.held, HELD[scrap.held](count)),
    ],
    caution: scrap.held === 'glue' ? say.GLUE_CAUTION : scrap.held === 'pins' ? say.PINS_CAUTION : null,
    seconds:
      SECONDS.cutAndPress +
      (upon.length > 0 ? SECONDS.mark : 0) +
      (scrap.held === 'glue' ? SECONDS.glue : count * SECONDS.eachHeld),
  };
}

const HELD = {
  pins: (count: number) => plural(count, 'pin'),
  tacks: (count: number) => plural(count, 'tack'),
} as const;

/** What is drawn on a scrap: the mark of the piece where it shows on this cloth and comes out of it, else the first that does. */
export function markOnScrap({ cloth, hex }: Pick<Scrap, 'cloth' | 'hex'>, chosen: Mark): Mark {
  const kind = clothOf(cloth);
  const comesOut = ({ comesOutBy }: Mark): boolean => {
    if (comesOutBy === 'cold-water' || comesOutBy === 'warm-water' || comesOutBy === 'washing')
      return kind.wash !== 'no';
    return comesOutBy !== 'heat' || kind.iron !== 'no';
  };
  const isUsable = (mark: Mark): boolean =>
    !mark.isLaidOn && mark.id !== 'printed' && showsOn(mark, kind, hex) && comesOut(mark);
  if (isUsable(chosen)) return chosen;
  // What can't be traced is copied by eye: then any mark that is seen will do.
  const isDark = tracingThrough(kind, labOf(hex).l) === 'no';
  return (
    MARKS.find(isUsable) ??
    MARKS.find((mark) => !mark.isLaidOn && mark.id !== 'printed' && mark.onDark === isDark) ??
    chosen
  );
}
