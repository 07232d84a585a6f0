import type { Settled, SettledPass } from './settled.ts';
import type { Neighbours } from './neighbours.ts';
import { turnedFromNeighbours } from './neighbours.ts';
import { stitchKind } from '../stitches/index.ts';
import { type Proposal, satinDirection, proposalSettings, type ProposalSettings, propose } from './proposals.ts';
import type { PlacedShape } from '../drawing/index.ts';
import type { Pass, Part, PlanInput } from '../piece/index.ts';

const CHOSEN = 'Your choice.';

/** @param offered asked only where something is left open: proposals take time to find */
function settledPasses(part: Part, placed: PlacedShape, offered: () => readonly Proposal[]): SettledPass[] {
  if (part.passes === null) {
    return offered()
      .slice(0, 1)
      .map(({ pass, reason }) => ({ ...pass, reason }));
  }
  return part.passes.map((pass) => ({
    ...pass,
    angleDeg: pass.angleDeg ?? usualAngle(pass, placed, offered),
    reason: CHOSEN,
  }));
}

/** The direction of a pass that was given none: as proposed for its stitch, else as satin lies, else level. */
function usualAngle(pass: Pass, placed: PlacedShape, offered: () => readonly Proposal[]): number {
  if (!stitchKind(pass.stitch).hasDirection) return 0;
  const proposed = offered().find((proposal) => proposal.pass.stitch === pass.stitch);
  return proposed?.pass.angleDeg ?? satinDirection(placed).angleDeg;
}

/** Settles what is left open in the passes of parts, and remembers what it proposed: a part is advised on again only when it is touched. */
export class Proposer {
  private advised = new Map<string, { placed: PlacedShape; key: string; proposals: Proposal[] }>();
  private next: typeof this.advised = new Map();

  /**
   * The passes of all parts of a piece, in their order from back to front.
   * @param shapes one for each part
   */
  settle(piece: PlanInput, shapes: readonly PlacedShape[], neighbours: Neighbours): (readonly SettledPass[])[] {
    const settings = proposalSettings(piece);
    this.next = new Map();
    const settled: Settled[] = [];
    piece.drawing.parts.forEach((part, i) => {
      const placed = shapes[i]!;
      const offered = (): readonly Proposal[] => this.advise(part, placed, settings);
      let passes: readonly SettledPass[] = placed.box ? settledPasses(part, placed, offered) : [];
      if (part.passes === null) {
        const alike = neighbours.alikeBefore(i).map((j) => settled[j]!);
        passes = turnedFromNeighbours({ part, placed, passes }, alike);
      }
      settled.push({ part, placed, passes });
    });
    this.advised = this.next;
    return settled.map(({ passes }) => passes);
  }

  private advise(part: Part, placed: PlacedShape, settings: ProposalSettings): readonly Proposal[] {
    const key = JSON.stringify([settings, part.strokeMm, part.dashed]);
    const before = this.advised.get(part.id);
    const isSame = before?.placed === placed && before.key === key;
    const entry = isSame ? before : { placed, key, proposals: placed.box ? propose(part, placed, settings) : [] };
    this.next.set(part.id, entry);
    return entry.proposals;
  }
}
