import { newColour, emptyPiece, newPart, plainHoop, plainPass, type Part, type Piece } from '@junctura/core/piece';

/** Colours of a ground, so that it is painted in more than one. */
const HEXES = ['#9c3a3f', '#325674', '#77792f', '#e3ad45'];

function partOf(n: number, path: string, colour: string): Part {
  return newPart({
    id: `ground-${n}`,
    name: `Ground ${n}`,
    kind: 'area',
    path,
    colour,
    passes: [{ ...plainPass('brick', 'stranded-cotton', 1), params: { stitchMm: 2 }, angleDeg: (n * 37) % 180 }],
  });
}

/** A square ground of brick stitch in patches, with about as many stitches as asked for. */
export function groundPiece(stitches: number, patches = 16): Piece {
  // A stitch of 2 mm, 0.288 mm from its neighbour.
  const side = Math.sqrt(stitches * 2 * 0.288);
  const rows = Math.round(Math.sqrt(patches));
  const cell = side / rows;
  const parts = Array.from({ length: rows * rows }, (_, n) => {
    const [x, y] = [(n % rows) * cell - side / 2, Math.floor(n / rows) * cell - side / 2];
    const right = Math.round((x + cell) * 1000) / 1000;
    return partOf(n, `M${x} ${y}H${right}V${y + cell}H${x}Z`, `c${(n % HEXES.length) + 1}`);
  });
  const piece = emptyPiece('ground', `a ground of ${parts.length} parts`);
  return {
    ...piece,
    hoop: plainHoop(Math.min(900, Math.max(100, side * 1.05)), 0),
    palette: HEXES.map((hex, i) => newColour({ id: `c${i + 1}`, hex })),
    drawing: { ...piece.drawing, parts },
  };
}
