import { boxOf, flattenPath } from '../geometry/index.ts';
import { newColour, editOf, type Edit, type Part, type Piece, freeId, freeColourId } from '../piece/index.ts';

/** What became of a drawing that was changed elsewhere and brought in again. */
export interface Reimport {
  readonly edit: Edit | null;
  readonly kept: number;
  readonly added: number;
  readonly removed: number;
}

/** Two places and sizes this near, as shares of the drawing, are the same part. */
const SAME_SHARE = 0.02;

/**
 * A changed drawing in place of the one that a piece has: parts that are still there (by id, else by kind, place and size) keep
 * what was chosen for them and take their new shape; the others are added or go.
 */
export function reimport(piece: Piece, fresh: Piece): Reimport {
  const old = piece.drawing.parts;
  const size = Math.max(...old.map(spanOf), 1e-6);
  const left = new Map(old.map((part) => [part.id, part]));
  const byId = new Map(fresh.drawing.parts.map((part) => [part.id, part]));
  const matchOf = new Map<string, Part>();
  for (const [id, part] of byId) {
    const same = left.get(id);
    // Ids that a reader counted out by itself say nothing; those must also lie alike.
    const isNamed = !/^part-\d+/.test(id);
    if (same && same.kind === part.kind && (isNamed || isAlike(same, part, size))) {
      matchOf.set(id, same);
      left.delete(id);
    }
  }
  for (const part of fresh.drawing.parts) {
    if (matchOf.has(part.id)) continue;
    const same = [...left.values()].find((other) => isAlike(other, part, size));
    if (!same) continue;
    matchOf.set(part.id, same);
    left.delete(same.id);
  }
  const palette = [...piece.palette];
  const colourFor = (part: Part): string => {
    const hex = fresh.palette.find(({ id }) => id === part.colour)!.hex;
    const known = palette.find((colour) => colour.hex === hex);
    if (known) return known.id;
    const id = freeColourId(palette);
    palette.push(newColour({ id, hex }));
    return id;
  };
  const taken = new Set([...matchOf.values()].map(({ id }) => id));
  const parts = fresh.drawing.parts.map((part): Part => {
    const same = matchOf.get(part.id);
    if (same) return { ...same, path: part.path, fillRule: part.fillRule, strokeMm: part.strokeMm };
    const id = freeId(part.id, taken);
    taken.add(id);
    return { ...part, id, colour: colourFor(part), group: null };
  });
  const edit = editOf(piece, 'Update the drawing', [
    [['palette'], palette],
    [['drawing', 'parts'], parts],
    [['drawing', 'source'], fresh.drawing.source],
    [['drawing', 'notes'], fresh.drawing.notes],
  ]);
  return { edit, kept: matchOf.size, added: parts.length - matchOf.size, removed: left.size };
}

function boxOfPart(part: Part): { x: number; y: number; w: number; h: number } {
  const box = boxOf(flattenPath(part.path, 0.1).map(({ points }) => points)) ?? { minX: 0, minY: 0, maxX: 0, maxY: 0 };
  return { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2, w: box.maxX - box.minX, h: box.maxY - box.minY };
}

function spanOf(part: Part): number {
  const { x, y, w, h } = boxOfPart(part);
  return Math.max(Math.abs(x) + w / 2, Math.abs(y) + h / 2);
}

function isAlike(a: Part, b: Part, size: number): boolean {
  if (a.kind !== b.kind) return false;
  const [p, q] = [boxOfPart(a), boxOfPart(b)];
  return (['x', 'y', 'w', 'h'] as const).every((key) => Math.abs(p[key] - q[key]) <= SAME_SHARE * size);
}
