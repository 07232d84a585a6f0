import { shadeOf } from '../materials/index.ts';
import type { StitchId } from '../stitches/index.ts';
import { stitchKind } from '../stitches/index.ts';
import { editOf, type Edit, type EditPath } from './edits.ts';
import {
  MOST_GUIDES,
  MOST_LAYERS,
  MOST_POINTS,
  MOST_POSITIONS,
  MOST_SHADES,
  type Part,
  type Pass,
  type Piece,
  type Placement,
} from './schema.ts';

/** What a person can do to a piece. Each gives an edit, or null where nothing would change. */

export function renamePiece(piece: Piece, name: string): Edit | null {
  return editOf(piece, 'Rename the piece', [[['name'], name]], 'name');
}

export function setUse(piece: Piece, use: Piece['use']): Edit | null {
  return editOf(piece, 'Change what it is for', [[['use'], use]]);
}

export function setCloth(piece: Piece, cloth: Partial<Piece['cloth']>): Edit | null {
  return editOf(piece, 'Change the cloth', [[['cloth'], { ...piece.cloth, ...cloth }]], 'cloth');
}

export function setWorker(piece: Piece, worker: Partial<Piece['worker']>): Edit | null {
  return editOf(piece, 'Change how you work', [[['worker'], { ...piece.worker, ...worker }]], 'worker');
}

export function setMark(piece: Piece, mark: string): Edit | null {
  return editOf(piece, 'Change the way of marking', [[['mark'], mark]]);
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
  const label = hidden === 'cut' ? 'Cut hidden portions away' : 'Keep hidden portions';
  return editOf(piece, label, [[['drawing', 'hidden'], hidden]]);
}

export function setShade(piece: Piece, colourId: string, shade: string | null): Edit | null {
  const i = piece.palette.findIndex((colour) => colour.id === colourId);
  return i < 0 ? null : editOf(piece, 'Choose a shade', [[['palette', i, 'shade'], shade]]);
}

/** Shades for several colours at once. */
export function setShades(piece: Piece, shades: ReadonlyMap<string, string>): Edit | null {
  const changes = piece.palette.flatMap((colour, i): (readonly [EditPath, unknown])[] => {
    const shade = shades.get(colour.id);
    return shade === undefined ? [] : [[['palette', i, 'shade'], shade]];
  });
  return editOf(piece, 'Choose shades', changes);
}

export function renamePart(piece: Piece, partId: string, name: string): Edit | null {
  return editParts(piece, 'Rename a part', [partId], { name }, `name-${partId}`);
}

export function setPartColour(piece: Piece, partIds: readonly string[], colour: string): Edit | null {
  return editParts(piece, 'Change the colour', partIds, { colour });
}

/** Works parts in a shade of their own: in the colour that already has it, or in a new one. */
export function workInShade(piece: Piece, partIds: readonly string[], code: string): Edit | null {
  const known = piece.palette.find((colour) => colour.shade === code);
  if (known) return setPartColour(piece, partIds, known.id);
  const shade = shadeOf(code);
  if (!shade) throw new RangeError(`workInShade: the range has no shade '${code}'`);
  const taken = new Set(piece.palette.map((colour) => colour.id));
  let n = piece.palette.length + 1;
  while (taken.has(`c${n}`)) n++;
  const parts = piece.drawing.parts.map((part) => (partIds.includes(part.id) ? { ...part, colour: `c${n}` } : part));
  return editOf(piece, `Work in ${shade.name.toLowerCase()}`, [
    [['palette'], [...piece.palette, { id: `c${n}`, hex: shade.hex, shade: code }]],
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
  const changes = piece.drawing.parts.flatMap((part, i): (readonly [EditPath, unknown])[] =>
    passesOf.has(part.id) ? [[['drawing', 'parts', i, 'passes'], withinLimits(passesOf.get(part.id)!)]] : [],
  );
  return editOf(piece, label, changes, mergeKey);
}

/** Layers and highlights beyond what a part can have are left out. */
function withinLimits(passes: Pass[] | null): Pass[] | null {
  return passes?.slice(0, MOST_LAYERS).map((pass) => ({ ...pass, points: pass.points.slice(-MOST_POINTS) })) ?? null;
}

/** Lets a part differ from its group, or follow it again. */
export function setDiffers(piece: Piece, partIds: readonly string[], differs: boolean): Edit | null {
  return editParts(piece, differs ? 'Let it differ from its group' : 'Follow its group again', partIds, { differs });
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
  return editParts(piece, vein === null ? 'Find the vein again' : 'Move the vein', partIds, { vein }, vein && 'vein');
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
  return editParts(piece, group === null ? 'Take out of the group' : 'Make a group', partIds, { group });
}

/** Leaves parts out of the piece for now, or takes them in again. */
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
  positions: readonly (readonly [number, number])[],
  label = 'Move a hoop position',
): Edit | null {
  const kept = positions.slice(0, MOST_POSITIONS).map(([x, y]) => [x, y]);
  return editOf(piece, label, [[['positions'], kept]], 'positions');
}

export function setUnderlay(piece: Piece, underlay: Piece['drawing']['underlay'], label: string): Edit | null {
  return editOf(piece, label, [[['drawing', 'underlay'], underlay]], 'underlay');
}

export function removeParts(piece: Piece, partIds: readonly string[]): Edit | null {
  const parts = piece.drawing.parts.filter((part) => part.locked || !partIds.includes(part.id));
  const label = partIds.length === 1 ? 'Remove a part' : `Remove ${partIds.length} parts`;
  return editOf(piece, label, [[['drawing', 'parts'], parts]]);
}

/** Moves a part one place towards the front or the back. */
export function movePart(piece: Piece, partId: string, towards: 'front' | 'back'): Edit | null {
  const parts = [...piece.drawing.parts];
  const from = parts.findIndex((part) => part.id === partId);
  const to = from + (towards === 'front' ? 1 : -1);
  if (from < 0 || to < 0 || to >= parts.length) return null;
  [parts[from], parts[to]] = [parts[to]!, parts[from]!];
  return editOf(piece, `Move towards the ${towards}`, [[['drawing', 'parts'], parts]]);
}

/** Puts a part at a place in the order from back to front. */
export function placePart(piece: Piece, partId: string, index: number): Edit | null {
  const moved = piece.drawing.parts.find((part) => part.id === partId);
  if (!moved) return null;
  const others = piece.drawing.parts.filter((part) => part !== moved);
  const at = Math.min(others.length, Math.max(0, index));
  return editOf(piece, 'Move in the order', [
    [
      ['drawing', 'parts'],
      [...others.slice(0, at), moved, ...others.slice(at)],
    ],
  ]);
}

export function acceptFinding(piece: Piece, accepted: Piece['accepted'][number]): Edit | null {
  return editOf(piece, 'Accept a finding', [[['accepted'], [...piece.accepted, accepted]]]);
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
export function plainPass(stitch: StitchId, thread: string, strands = stitchKind(stitch).usualStrands): Pass {
  return {
    role: 'filling',
    stitch,
    params: {},
    angleDeg: null,
    direction: 'straight',
    points: [],
    colour: null,
    shades: [],
    thread,
    strands,
  };
}
