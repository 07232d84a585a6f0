import type { PlacedShape } from '../drawing/index.ts';
import { labOf } from '../colour/index.ts';
import { colourName, ladderOf, type Level, type PaletteColour, type Part, type PartLevel } from '../piece/index.ts';
import { stitchKind, type StitchId } from '../stitches/index.ts';
import type { Sense } from './drawingSense.ts';
import { TREATMENT } from './thresholds.ts';
import { alone, coveringStrands, layer, type Proposal, type ProposalSettings } from './treatment.ts';
import type { SettledPass } from './settled.ts';

/** What the level of a part is made of: the part, and how it is usually worked. */
export interface LevelledPart {
  readonly part: Part;
  readonly placed: PlacedShape;
  readonly sense: Sense;
  /** The ways to work it, the usual one first; and those of rich work, with padding. */
  readonly offers: readonly Proposal[];
  readonly richly: () => readonly Proposal[];
}

/** What lies smooth from edge to edge, in which a small area is filled in simple work as well. */
const SATINS: ReadonlySet<StitchId> = new Set(['satin', 'satin-padded', 'satin-leaf']);
/** What lies under a filling and is left out in simple work. */
const UNDER: ReadonlySet<SettledPass['role']> = new Set(['padding', 'edge', 'vein']);

/**
 * How much of a part is stitched where the person says nothing of it: in simple work small smooth areas and dots as usual, of others the outline;
 * nothing where a line is worked along the outline already.
 */
export function levelOf({ part, placed, sense, offers }: LevelledPart, level: Level): PartLevel {
  if (part.level !== null) return part.level;
  if (level !== 'simple') return level;
  if (placed.kind === 'spot') return 'usual';
  if (placed.kind === 'line') return 'outline';
  const first = offers[0]?.pass.stitch;
  if (first !== undefined && stitchKind(first).worksOn === 'spot') return 'usual';
  const isNarrow = placed.meanWidthMm <= TREATMENT.simpleSatinMm && placed.areaMm2 <= TREATMENT.simpleSatinMm2;
  if (first !== undefined && SATINS.has(first) && isNarrow) return 'usual';
  return sense.isOutlined ? 'bare' : 'outline';
}

/** The ways to work a part at a level, that of the level first. */
export function atLevel(
  given: LevelledPart,
  level: Level,
  palette: readonly PaletteColour[],
  settings: ProposalSettings,
): readonly Proposal[] {
  const { part, placed, offers, richly } = given;
  const [usual] = offers;
  const own = levelOf(given, level);
  if (!usual || !placed.box || part.scrap || part.printed) return offers;
  if (own === 'bare') return [NOTHING, ...offers];
  const isPlain = level === 'simple' && part.level === null;
  if (placed.kind === 'line') {
    if (own === 'rich') return [inStrands(usual, 2, settings), ...offers];
    return own === 'usual' ? offers : [plainLine(usual, settings), ...offers];
  }
  if (placed.kind === 'spot') return offers;
  if (own === 'outline') return [outlined(settings), ...offers];
  if (own === 'light') {
    return placed.meanWidthMm < TREATMENT.leastLightMm
      ? [outlined(settings), ...offers]
      : [lightly(settings), ...offers];
  }
  if (own === 'rich') return [shaded(given, palette) ?? richly()[0] ?? usual, ...offers];
  return isPlain ? [flat(usual), ...offers] : offers;
}

const NOTHING: Proposal = {
  layers: [],
  pass: layer('stem', 2, ''),
  reason: 'The line along its edge shows it: it needs no stitches of its own.',
};

/** The line of a drawing in its plainest stitch: back where it is straight or turns tightly, else stem. */
function plainLine({ pass }: Proposal, settings: ProposalSettings): Proposal {
  if (stitchKind(pass.stitch).worksOn === 'spot' || pass.stitch === 'running') return alone(pass);
  const stitch = pass.stitch === 'back' || pass.stitch === 'split' ? 'back' : 'stem';
  return alone(
    layer(stitch, coveringStrands(stitch, 2, settings.markMm), 'A simple line: the quickest way to show it.'),
  );
}

/** What is drawn in a usual line with a finer thread, as far as it hides its mark. */
function inStrands(proposal: Proposal, strands: number, { markMm }: ProposalSettings): Proposal {
  const finer = (pass: SettledPass): SettledPass =>
    stitchKind(pass.stitch).worksOn === 'line' && pass.strands > strands
      ? { ...pass, strands: Math.min(pass.strands, coveringStrands(pass.stitch, strands, markMm)) }
      : pass;
  return { ...proposal, layers: proposal.layers.map(finer), pass: finer(proposal.pass) };
}

function outlineOf({ markMm }: ProposalSettings): SettledPass {
  return layer('stem', coveringStrands('stem', 2, markMm), 'Its outline only: the quickest way to show it.', {
    role: 'outline',
  });
}

function outlined(settings: ProposalSettings): Proposal {
  return alone(outlineOf(settings));
}

/** An outline with seeds scattered in it. */
function lightly(settings: ProposalSettings): Proposal {
  const seeds = layer('seed', 2, 'A light scatter inside its outline: some colour for little time.');
  const line = outlineOf(settings);
  return { layers: [seeds, line], pass: seeds, reason: seeds.reason };
}

/** A filling without what a teacher would put under it. */
function flat({ layers, pass, reason }: Proposal): Proposal {
  const plain = (one: SettledPass): SettledPass =>
    one.stitch === 'satin-padded' ? { ...one, stitch: 'satin', params: {} } : one;
  return { layers: layers.filter(({ role }) => !UNDER.has(role)).map(plain), pass: plain(pass), reason };
}

/** Where nothing says which way it lies, what is shaded falls from top to bottom, degrees. */
const UPRIGHT_DEG = 90;

/** Long-and-short from dark to light, where the part is wide enough and its colour has a ladder of shades; null elsewhere. */
function shaded({ part, placed, offers, richly }: LevelledPart, palette: readonly PaletteColour[]): Proposal | null {
  const widthMm = 2 * (placed.widest?.r ?? 0);
  const rungs = ladderOf(palette, part.colour);
  const own = palette.find(({ id }) => id === part.colour);
  const l = own ? labOf(colourName(own).hex).l : 0;
  // Black and white have nothing to shade: an eye stays an eye.
  const isMiddling = l > TREATMENT.shadedLightness.least && l < TREATMENT.shadedLightness.most;
  if (widthMm < TREATMENT.leastRichMm || rungs.length < 2 || !isMiddling) return null;
  const first = offers[0]?.pass;
  // Discs are padded, bands lie across: what is shaded runs from edge to edge.
  if (first && (first.stitch === 'satin-padded' || first.direction === 'across')) return null;
  const soft = [...offers, ...richly()].find(({ pass }) => pass.stitch === 'long-short')?.pass;
  const shades = widthMm < TREATMENT.threeShadesMm ? rungs.slice(0, 2) : rungs;
  const strands = placed.areaMm2 > TREATMENT.shadedInTwoMm2 ? 2 : 1;
  const pass = layer('long-short', strands, 'Shaded from dark to light, one shade into the next.', {
    direction: soft?.direction ?? 'straight',
    angleDeg: soft?.angleDeg ?? UPRIGHT_DEG,
    points: soft?.points ?? [],
    shades,
  });
  return alone(pass);
}
