import { endOf } from './endOf.ts';
import type { ShadeRef, ThreadId, MarkId } from '../materials/index.ts';
import type { StitchId } from '../stitches/index.ts';
import type { Scrap } from './scrap.ts';
import { stitchKind } from '../stitches/index.ts';
import { colourInShade, inShade, type WorkedIn } from './paletteCommands.ts';
import { editOf, type Edit, type EditPath } from './edits.ts';
import {
  MOST_COLOURWAYS,
  MOST_GUIDES,
  MOST_PASSES,
  MOST_POINTS,
  MOST_POSITIONS,
  MOST_SHADES,
  type Colourway,
  type Marking,
  type PaletteColour,
  type Part,
  type Pass,
  keptPlaces,
  type HoopPlace,
  type Piece,
  type Placement,
} from './schema.ts';
import * as say from './words.ts';

/** What a person can do to a piece. Each gives an edit, or null where nothing would change. */

/** Gives a piece another name; an empty one keeps the old. */
export function renamePiece(piece: Piece, name: string): Edit | null {
  if (name.trim() === '') return null;
  return editOf(piece, 'Rename the piece', [[['name'], name]], 'name');
}

/** What a piece is for decides what is advised; what it ends as stays as it is. */
export function setUse(piece: Piece, use: Piece['use']): Edit | null {
  if (use === piece.use) return null;
  return editOf(piece, 'Change what it is for', [
    [['use'], use],
    [['finish', 'end'], endOf(piece)],
  ]);
}

export function setCloth(piece: Piece, cloth: Partial<Piece['cloth']>): Edit | null {
  return editOf(piece, 'Change the cloth', [[['cloth'], { ...piece.cloth, ...cloth }]], 'cloth');
}

export function setWorker(piece: Piece, worker: Partial<Piece['worker']>): Edit | null {
  return editOf(piece, 'Change how you work', [[['worker'], { ...piece.worker, ...worker }]], 'worker');
}

/** Changes what the piece ends as, or how it is finished. */
export function setFinish(piece: Piece, finish: Partial<Piece['finish']>): Edit | null {
  const changes = Object.entries(finish).map(([key, value]) => [['finish', key], value] as const);
  return editOf(piece, 'Change how it is finished', changes, `finish ${Object.keys(finish).sort().join(' ')}`);
}

/** Chooses what lies behind the cloth; null: as cloth and stitches ask for. */
export function setStabiliser(piece: Piece, stabiliser: Piece['stabiliser']): Edit | null {
  return editOf(piece, 'Change what lies behind the cloth', [[['stabiliser'], stabiliser]]);
}

export function setMark(piece: Piece, mark: MarkId): Edit | null {
  return editOf(piece, 'Change the transfer method', [[['mark'], mark]]);
}

/** Hoop and placement together, as choosing a hoop or a size changes both. */
export function setHoop(
  piece: Piece,
  hoop: Piece['hoop'],
  placement: Placement,
  label = 'Change the hoop',
): Edit | null {
  return editOf(
    piece,
    label,
    [
      [['hoop'], hoop],
      [['placement'], placement],
    ],
    'hoop',
  );
}

export function setHidden(piece: Piece, hidden: Piece['drawing']['hidden']): Edit | null {
  const label = hidden === 'cut' ? 'Cut away hidden areas' : 'Keep hidden areas';
  return editOf(piece, label, [[['drawing', 'hidden'], hidden]]);
}

export function setShade(
  piece: Piece,
  colourId: string,
  shade: ShadeRef | null,
  second: ShadeRef | null = null,
): Edit | null {
  return setShades(piece, new Map([[colourId, { shade, second }]]), 'Choose a shade');
}

/** Shades for several colours at once. A colour that gets another shade no longer has its lot. */
export function setShades(piece: Piece, shades: ReadonlyMap<string, WorkedIn>, label = 'Choose shades'): Edit | null {
  const changes = piece.palette.flatMap((colour, i): (readonly [EditPath, unknown])[] => {
    const chosen = shades.get(colour.id);
    return chosen ? [[['palette', i], inShade(colour, chosen)]] : [];
  });
  return editOf(piece, label, changes);
}

/** What else is known of a colour: what it does in the piece, the lot that its thread is from. */
export function setColour(
  piece: Piece,
  colourId: string,
  change: Partial<Pick<PaletteColour, 'role' | 'lot'>>,
): Edit | null {
  const i = piece.palette.findIndex((colour) => colour.id === colourId);
  if (i < 0) return null;
  return editOf(
    piece,
    'Describe a colour',
    [[['palette', i], { ...piece.palette[i]!, ...change }]],
    `colour-${colourId}`,
  );
}

/** Keeps the shades and the cloth as they are now, to go back to or to compare. */
export function keepColourway(piece: Piece, id: string, name: string): Edit | null {
  if (piece.colourways.length >= MOST_COLOURWAYS) return null;
  const shades = piece.palette.map(({ id: colour, shade, second }) => ({ colour, shade, second }));
  const kept: Colourway = { id, name, cloth: piece.cloth.colour, shades };
  return editOf(piece, say.keepColourway(name), [[['colourways'], [...piece.colourways, kept]]]);
}

/** A piece in the shades and on the cloth of a colourway; what the colourway does not name stays. */
export function inColourway(piece: Piece, { cloth, shades }: Colourway): Piece {
  const byColour = new Map(shades.map(({ colour, ...worked }) => [colour, worked]));
  return {
    ...piece,
    cloth: { ...piece.cloth, colour: cloth },
    palette: piece.palette.map((colour) => ({ ...colour, ...byColour.get(colour.id) })),
  };
}

export function takeColourway(piece: Piece, id: string): Edit | null {
  const kept = piece.colourways.find((colourway) => colourway.id === id);
  if (!kept) return null;
  const { cloth, palette } = inColourway(piece, kept);
  return editOf(piece, say.useColourway(kept.name), [
    [['cloth'], cloth],
    [['palette'], palette],
  ]);
}

export function dropColourway(piece: Piece, id: string): Edit | null {
  const left = piece.colourways.filter((colourway) => colourway.id !== id);
  return editOf(piece, 'Remove a colourway', [[['colourways'], left]]);
}

/** Gives a part another name; an empty one keeps the old. */
export function renamePart(piece: Piece, partId: string, given: string): Edit | null {
  const name = given.trim();
  if (name === '') return null;
  return editParts(piece, 'Rename a part', [partId], { name }, `name-${partId}`);
}

export function setPartColour(piece: Piece, partIds: readonly string[], colour: string): Edit | null {
  return editParts(piece, 'Change the colour', partIds, { colour });
}

/** Works parts in a shade of their own: in the colour that already has it, or in a new one. */
export function workInShade(piece: Piece, partIds: readonly string[], shade: ShadeRef): Edit | null {
  const palette = [...piece.palette];
  const id = colourInShade(palette, shade);
  if (palette.length === piece.palette.length) return setPartColour(piece, partIds, id);
  const parts = piece.drawing.parts.map((part) => (partIds.includes(part.id) ? { ...part, colour: id } : part));
  return editOf(piece, say.useShade(shade.name), [
    [['palette'], palette],
    [['drawing', 'parts'], parts],
  ]);
}

/** Gives parts the passes of a person's choice, or (null) the proposal again. */
export function setPasses(
  piece: Piece,
  passesOf: ReadonlyMap<string, Pass[] | null>,
  label: string,
  mergeKey: string | null = null,
): Edit | null {
  const changes = piece.drawing.parts.flatMap((part, i): (readonly [EditPath, unknown])[] => {
    const passes = passesOf.get(part.id);
    return passes === undefined ? [] : [[['drawing', 'parts', i, 'passes'], withinLimits(passes)]];
  });
  return editOf(piece, label, changes, mergeKey);
}

/** Layers and highlights beyond what a part can have are left out. */
function withinLimits(passes: Pass[] | null): Pass[] | null {
  return passes?.slice(0, MOST_PASSES).map((pass) => ({ ...pass, points: pass.points.slice(-MOST_POINTS) })) ?? null;
}

/** Lets a part differ from its group, or follow it again. */
export function setDiffers(piece: Piece, partIds: readonly string[], differs: boolean): Edit | null {
  return editParts(piece, differs ? 'Take it out of its group' : 'Put it back in its group', partIds, { differs });
}

/** Strokes along which the stitches of parts lie; of more than a part can have, the newest. */
export function setGuides(
  piece: Piece,
  partIds: readonly string[],
  guides: Part['guides'],
  label: string,
): Edit | null {
  return editParts(piece, label, partIds, { guides: guides.slice(-MOST_GUIDES) });
}

/** The middle line of a part, or (null) as it is found. */
export function setVein(piece: Piece, partIds: readonly string[], vein: Part['vein']): Edit | null {
  return editParts(
    piece,
    vein === null ? 'Use the suggested vein' : 'Move the vein',
    partIds,
    { vein },
    vein && 'vein',
  );
}

/** The lines between the shades of a part. */
export function setBorders(
  piece: Piece,
  partIds: readonly string[],
  borders: Part['borders'],
  label: string,
): Edit | null {
  return editParts(piece, label, partIds, { borders: borders.slice(-(MOST_SHADES - 1)) });
}

/** Makes one group of parts, or (null) takes them out of theirs. */
export function setGroup(piece: Piece, partIds: readonly string[], group: string | null): Edit | null {
  return editParts(piece, group === null ? 'Ungroup' : 'Group them', partIds, { group });
}

/** Fills parts with thread (null), with a scrap of cloth, or takes them as printed on the cloth. What was chosen of their layers goes, as it was for something else. */
export function setFilledWith(piece: Piece, partIds: readonly string[], filled: Scrap | 'print' | null): Edit | null {
  const label =
    filled === null ? 'Fill it with thread' : filled === 'print' ? 'Leave as printed' : 'Lay on a scrap of cloth';
  const scrap = filled === 'print' ? null : filled;
  return editParts(piece, label, partIds, { scrap, printed: filled === 'print', passes: null });
}

const MARKED: Readonly<Record<Marking, string>> = {
  guide: 'Mark it only',
  cut: 'Mark as a cutting line',
  sew: 'Mark as a sewing line',
  fold: 'Mark as a folding line',
};

/** Takes lines as marked and not stitched, or (null) stitches them again. What was chosen of their layers goes. */
export function setMarking(piece: Piece, partIds: readonly string[], marking: Marking | null): Edit | null {
  const label = marking === null ? 'Stitch it' : MARKED[marking];
  return editParts(piece, label, partIds, { marking, passes: null });
}

/** Leaves parts out of the piece for now, or takes them in again. */
/** What matters most in a part that is painted from the picture. */
export function setPainting(piece: Piece, partId: string, painting: Part['painting'], label: string): Edit | null {
  return editParts(piece, label, [partId], { painting });
}

export function setShown(piece: Piece, partIds: readonly string[], shown: boolean): Edit | null {
  return editParts(piece, shown ? 'Show it again' : 'Leave it out', partIds, { shown });
}

/** Keeps parts from being picked in the hoop, cut, moved and removed; or frees them. */
export function setLocked(piece: Piece, partIds: readonly string[], locked: boolean): Edit | null {
  return editParts(piece, locked ? 'Lock it' : 'Unlock it', partIds, { locked });
}

/** Where the hoop is set, in working order. */
export function setPositions(
  piece: Piece,
  positions: readonly HoopPlace[],
  label = 'Move a hoop position',
): Edit | null {
  return editOf(piece, label, [[['positions'], keptPlaces(positions).slice(0, MOST_POSITIONS)]], 'positions');
}

export function setUnderlay(piece: Piece, underlay: Piece['drawing']['underlay'], label: string): Edit | null {
  return editOf(piece, label, [[['drawing', 'underlay'], underlay]], 'underlay');
}

export function removeParts(piece: Piece, partIds: readonly string[]): Edit | null {
  const parts = piece.drawing.parts.filter((part) => part.locked || !partIds.includes(part.id));
  const label = say.removeParts(partIds.length);
  return editOf(piece, label, [[['drawing', 'parts'], parts]]);
}

/** Moves a part one place towards the front or the back. */
export function movePart(piece: Piece, partId: string, towards: 'front' | 'back'): Edit | null {
  const parts = [...piece.drawing.parts];
  const from = parts.findIndex((part) => part.id === partId);
  const to = from + (towards === 'front' ? 1 : -1);
  if (from < 0 || to < 0 || to >= parts.length) return null;
  [parts[from], parts[to]] = [parts[to]!, parts[from]!];
  return editOf(piece, towards === 'front' ? 'Bring forward' : 'Send back', [[['drawing', 'parts'], parts]]);
}

/** Puts a part at a place in the order from back to front. */
export function placePart(piece: Piece, partId: string, index: number): Edit | null {
  const moved = piece.drawing.parts.find((part) => part.id === partId);
  if (!moved) return null;
  const others = piece.drawing.parts.filter((part) => part !== moved);
  const at = Math.min(others.length, Math.max(0, index));
  return editOf(piece, 'Reorder', [
    [
      ['drawing', 'parts'],
      [...others.slice(0, at), moved, ...others.slice(at)],
    ],
  ]);
}

/** Accepts findings in one edit, with one word why. */
export function acceptFindings(piece: Piece, accepted: Piece['accepted']): Edit | null {
  const label = accepted.length === 1 ? say.leaveChecks(1) : say.leaveChecks(accepted.length);
  return editOf(piece, label, [[['accepted'], [...piece.accepted, ...accepted]]]);
}

/** Draws lines in another width, mm on the drawing. */
export function setStrokeWidth(piece: Piece, partIds: readonly string[], strokeMm: number): Edit | null {
  const lines = piece.drawing.parts.filter(({ id, kind }) => kind === 'line' && partIds.includes(id));
  return editParts(
    piece,
    'Change the drawn width',
    lines.map(({ id }) => id),
    { strokeMm: Math.min(1000, Math.max(0, strokeMm)) },
  );
}

function editParts(
  piece: Piece,
  label: string,
  partIds: readonly string[],
  change: Partial<Part>,
  mergeKey: string | null = null,
): Edit | null {
  const changes = piece.drawing.parts.flatMap((part, i): (readonly [EditPath, unknown])[] =>
    partIds.includes(part.id)
      ? Object.entries(change).map(([key, value]) => [['drawing', 'parts', i, key], value] as const)
      : [],
  );
  return editOf(piece, label, changes, mergeKey);
}

/** The parts that a choice is made for: the part, or its whole group. */
export function groupMembers(piece: Piece, part: Part): Part[] {
  if (part.group === null || part.differs) return [part];
  return piece.drawing.parts.filter(
    (other) => other.group === part.group && other.kind === part.kind && !other.differs,
  );
}

/** A pass of a stitch with nothing set but its thread. */
export function plainPass(stitch: StitchId, thread: ThreadId, strands = stitchKind(stitch).usualStrands): Pass {
  return {
    role: 'filling',
    stitch,
    params: {},
    angleDeg: null,
    direction: 'straight',
    insetMm: 0,
    points: [],
    colour: null,
    shades: [],
    shadeStrands: [],
    firstRowStrands: null,
    inTurn: false,
    thread,
    strands,
    second: null,
  };
}
