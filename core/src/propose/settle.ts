import type { Settled, SettledPass } from './settled.ts';
import type { Neighbours } from './neighbours.ts';
import { attempt, Memory, type Faults } from '../measure/index.ts';
import { turnedFromNeighbours } from './neighbours.ts';
import { stitchKind } from '../stitches/index.ts';
import { SATIN_DIRECTION } from './direction.ts';
import { mirroredAngle, mirrorImages, type Mirrored } from './mirrored.ts';
import { senseOf, shownByOthers, type Sense } from './drawingSense.ts';
import { drawnStroke, paramsAsDrawn } from './drawnStroke.ts';
import { likeTouched, touchedLines } from './touchingLines.ts';
import { inTexture, type SuggestedArea } from './texture.ts';
import { asProposed, PROPOSALS } from './proposals.ts';
import { proposalSettings, type Proposal, type ProposalSettings } from './treatment.ts';
import { middleFound, type MiddleOf, type PlacedShape } from '../drawing/index.ts';
import { colourName, type PaletteColour, type Pass, type Part, type PlanInput } from '../piece/index.ts';
import { fewerColours } from './fewerColours.ts';
import { atLevel } from './levels.ts';
import * as say from './words.ts';

const CHOSEN = 'Your choice.';

/** @param offered asked only where something is left open: proposals take time to find */
function settledPasses(
  part: Part,
  placed: PlacedShape,
  offered: () => readonly Proposal[],
  satinDeg: () => number,
): readonly SettledPass[] {
  if (part.passes === null) return offered()[0]?.layers ?? [];
  return part.passes.map((pass) => {
    // One stitch on a line is as long as the line, and lies as it lies, until she says otherwise.
    const stroke = pass.role === 'filling' && stitchKind(pass.stitch).worksOn === 'spot' ? drawnStroke(placed) : null;
    return {
      ...pass,
      params: stroke ? { ...paramsAsDrawn(pass.stitch, stroke), ...pass.params } : pass.params,
      angleDeg: pass.angleDeg ?? stroke?.angleDeg ?? usualAngle(pass, offered, satinDeg),
      reason: CHOSEN,
    };
  });
}

/** Which is the largest area of the colour of each part; null for what is no area. */
function leadersOfColours(parts: readonly Part[], shapes: readonly PlacedShape[]): (i: number) => number | null {
  const largest = new Map<string, number>();
  parts.forEach(({ kind, colour, shown, printed, scrap }, i) => {
    if (kind !== 'area' || !shown || printed || scrap) return;
    const best = largest.get(colour);
    if (best === undefined || shapes[i]!.areaMm2 > shapes[best]!.areaMm2) largest.set(colour, i);
  });
  return (i) => (parts[i]!.kind === 'area' ? (largest.get(parts[i]!.colour) ?? null) : null);
}

/** The direction of a pass that was given none: as proposed for its stitch, else as satin lies, else level. */
function usualAngle(pass: Pass, offered: () => readonly Proposal[], satinDeg: () => number): number {
  if (!stitchKind(pass.stitch).hasDirection) return 0;
  const proposed = offered().find(
    ({ pass: offer }) => offer.stitch === pass.stitch && offer.direction === pass.direction,
  );
  return proposed?.pass.angleDeg ?? satinDeg();
}

/** Settles what is left open in the passes of parts, and remembers what it proposed: a part is advised on again only when it is touched. */
export class Proposer {
  constructor(private readonly memory = new Memory()) {}

  /**
   * The passes of all parts of a piece, in their order from back to front.
   * @param shapes one for each part
   * @param faults what goes wrong with a part is added: for that, nothing is proposed
   */
  settle(
    piece: PlanInput,
    shapes: readonly PlacedShape[],
    neighbours: Neighbours,
    faults: Faults = new Map(),
    middleOf: MiddleOf = middleFound,
  ): (readonly SettledPass[])[] {
    const settings = proposalSettings(piece);
    const { parts } = piece.drawing;
    const senses = senseOf(parts, shapes, piece.placement.scale, neighbours, middleOf, this.memory);
    const settled: Settled[] = [];
    const leaders = new Map<string, readonly SettledPass[]>();
    const mirrored = mirrorImages(parts, shapes, this.memory);
    const leaderOf = leadersOfColours(parts, shapes);
    const shown = piece.level === 'simple' ? shownByOthers(parts, shapes, this.memory) : null;
    const touched = touchedLines(parts, shapes, piece.placement.scale, this.memory);
    parts.forEach((part, i) => {
      const placed = shapes[i]!;
      const alone = (j: number): SuggestedArea => {
        const offers = this.advise(parts[j]!, shapes[j]!, senses[j]!, settings, middleOf);
        const satin = () => this.memory.made(SATIN_DIRECTION, [parts[j]!.id], shapes[j]!);
        return { part: parts[j]!, placed: shapes[j]!, offers, satin };
      };
      const usualFor = (j: number): readonly Proposal[] => {
        const line = touched[j]!;
        if (line !== null) return likeTouched(alone(j).offers, alone(line).offers[0], shapes[j]!, parts[line]!);
        const leader = leaderOf(j);
        return leader === null || leader === j ? alone(j).offers : inTexture(alone(j), alone(leader), settings);
      };
      const offeredFor = (j: number): readonly Proposal[] => {
        const [one, placed, sense] = [parts[j]!, shapes[j]!, senses[j]!];
        const richly = (): readonly Proposal[] =>
          this.advise(one, placed, sense, { ...settings, layers: 'rich' }, middleOf, 'rich');
        const isOutlined = sense.isOutlined || (shown?.has(j) ?? false);
        const given = { part: one, placed, sense: { ...sense, isOutlined }, offers: usualFor(j), richly };
        return atLevel(given, piece.level, piece.palette, settings);
      };
      const offered = (): readonly Proposal[] => offeredFor(i);
      const settle = (): readonly SettledPass[] => {
        if (!placed.box || part.marking !== null) return [];
        const own = settledPasses(
          part,
          placed,
          offered,
          () => this.memory.made(SATIN_DIRECTION, [part.id], placed).angleDeg,
        );
        if (part.passes !== null) return own;
        const image = mirrored[i];
        const inGroup = asItsGroup(part, own, offered, leaders);
        // The image of what is proposed for the other, whatever was chosen for it since: a choice changes no other part.
        const passes = image
          ? asItsImage(inGroup, offeredFor(image.of)[0]?.layers ?? [], parts[image.of]!, image)
          : inGroup;
        const alike = neighbours.alikeBefore(i).map((j) => settled[j]!);
        return turnedFromNeighbours({ part, placed, passes }, alike);
      };
      settled.push({ part, placed, passes: attempt(faults, part.id, settle, () => []) });
    });
    return piece.level === 'simple' ? inFewColours(piece.palette, settled) : settled.map(({ passes }) => passes);
  }

  private advise(
    part: Part,
    placed: PlacedShape,
    sense: Sense,
    settings: ProposalSettings,
    middleOf: MiddleOf,
    which = '',
  ): readonly Proposal[] {
    if (!placed.box) return [];
    return this.memory.made(PROPOSALS, [part.id], asProposed(part, placed, sense, settings, middleOf), which);
  }
}

/** The most colours of simple work. */
const SIMPLE_COLOURS = 5;

/** The suggested layers worked in fewer colours: those that will hardly be missed are left out. */
function inFewColours(palette: readonly PaletteColour[], settled: readonly Settled[]): (readonly SettledPass[])[] {
  const seen = new Map<string, number>();
  for (const { part, placed, passes } of settled) {
    if (passes.length === 0) continue;
    const areaMm2 = placed.kind === 'area' ? placed.areaMm2 : Math.max(1, placed.lengthMm);
    seen.set(part.colour, (seen.get(part.colour) ?? 0) + areaMm2);
  }
  const colours = palette.flatMap((colour) => {
    const weight = seen.get(colour.id);
    return weight === undefined ? [] : [{ id: colour.id, hex: colourName(colour).hex, weight }];
  });
  if (colours.length <= SIMPLE_COLOURS) return settled.map(({ passes }) => passes);
  const worked = fewerColours(colours, SIMPLE_COLOURS);
  return settled.map(({ part, passes }) => {
    const colour = worked.get(part.colour);
    if (part.passes !== null || colour === undefined || colour === part.colour) return passes;
    return passes.map((pass) => ({ ...pass, colour: pass.colour ?? colour }));
  });
}

/**
 * A part's passes in the treatment of the first of its group, so that what is alike is worked alike: its own way of that treatment
 * where it has one (its direction turns with it), else the other's as it is.
 */
function asItsGroup(
  part: Part,
  own: readonly SettledPass[],
  offered: () => readonly Proposal[],
  leaders: Map<string, readonly SettledPass[]>,
): readonly SettledPass[] {
  if (part.group === null || part.differs || own.length === 0) return own;
  const key = `${part.group} ${part.kind}`;
  const leader = leaders.get(key);
  if (!leader) leaders.set(key, own);
  if (!leader || isTreatedAs(own, leader)) return own;
  return offered().find(({ layers }) => isTreatedAs(layers, leader))?.layers ?? leader;
}

/** The passes of a part laid as the mirror image of those of another, where both are worked in the same way. */
function asItsImage(
  passes: readonly SettledPass[],
  others: readonly SettledPass[],
  { name }: Part,
  { axis }: Mirrored,
): readonly SettledPass[] {
  if (!isTreatedAs(passes, others)) return passes;
  return passes.map((pass, i) => {
    // What follows its shape is its image as it is.
    if (pass.direction !== 'straight') return pass;
    const angleDeg = mirroredAngle(others[i]!.angleDeg, axis);
    if (!stitchKind(pass.stitch).hasDirection || Math.abs(angleDeg - pass.angleDeg) < SAME_DEG) return pass;
    const reason = say.mirrorImage(pass.reason, angleDeg, name);
    return { ...pass, angleDeg, reason };
  });
}

/** Directions this near to each other are one, degrees. */
const SAME_DEG = 0.5;

function isTreatedAs(passes: readonly SettledPass[], others: readonly SettledPass[]): boolean {
  const same = (a: SettledPass, b: SettledPass | undefined): boolean =>
    a.stitch === b?.stitch && a.strands === b.strands && a.direction === b.direction && a.role === b.role;
  return passes.length === others.length && passes.every((pass, i) => same(pass, others[i]));
}
