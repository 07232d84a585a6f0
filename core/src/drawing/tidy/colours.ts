import { deltaE, labOf } from '../../colour/index.ts';
import { polylineLength, regionArea } from '../../geometry/index.ts';
import { regionOfPart, runsOfPart, type Drawn, type TidyStep } from './drawn.ts';

/** How much of a drawing is in each colour, mm² of the drawing. */
function amounts({ parts }: Drawn): ReadonlyMap<string, number> {
  const sums = new Map<string, number>();
  for (const part of parts) {
    const lines = runsOfPart(part).reduce((sum, run) => sum + polylineLength(run), 0);
    const amount = part.kind === 'area' ? regionArea(regionOfPart(part)) : lines * (part.strokeMm ?? 0);
    sums.set(part.colour, (sums.get(part.colour) ?? 0) + amount);
  }
  return sums;
}

/** Makes one colour of those that differ by less than a limit: the one that covers more of the drawing stays. */
export function madeOne(drawn: Drawn, nearerThan: number): TidyStep {
  const used = amounts(drawn);
  const inTurn = drawn.palette.filter(({ id }) => used.has(id)).sort((a, b) => used.get(b.id)! - used.get(a.id)!);
  const kept: { id: string; lab: ReturnType<typeof labOf> }[] = [];
  const into = new Map<string, string>();
  for (const { id, hex } of inTurn) {
    const lab = labOf(hex);
    const like = kept.find((other) => deltaE(other.lab, lab) < nearerThan);
    if (like) into.set(id, like.id);
    else kept.push({ id, lab });
  }
  const found = drawn.parts.filter(({ colour }) => into.has(colour)).map(({ name }) => name);
  return {
    drawn: {
      parts: drawn.parts.map((part) => ({ ...part, colour: into.get(part.colour) ?? part.colour })),
      palette: drawn.palette.filter(({ id }) => !into.has(id)),
    },
    found,
  };
}
