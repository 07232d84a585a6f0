import { valueOf } from '../../measure/index.ts';
import {
  cellRows,
  regionArea,
  scanCells,
  scanFrame,
  scanRows,
  simplifyRegion,
  WOBBLE_MM,
  type Region,
  type ScanCell,
  type ScanFrame,
} from '../../geometry/index.ts';
import { cellOrder, nearestEndFirst } from './fillOrder.ts';

/** The rows of one cell of a filling in the order of working, `u0, u1, v` for each: from u0 to u1 along the rows, at v across. */
export interface RowBlock {
  readonly rows: Float64Array;
  readonly count: number;
}

/**
 * Covers a region with rows at an angle. A point (u, v) lies on the cloth at (u·ux − v·uy, u·uy + v·ux).
 * @param spacingMm the distance wanted between rows; each cell adjusts it so that its last row lies at its edge
 */
export function fillRows(
  region: Region,
  angleRad: number,
  spacingMm: number,
): { blocks: RowBlock[]; ux: number; uy: number } {
  const frame = scanFrame(angleRad);
  const outline = simplifyRegion(region, WOBBLE_MM);
  const byCells = blocksOfCells(outline, frame, spacingMm);
  const blocks =
    byCells && !isBroken(byCells) && coversAll(byCells, spacingMm, outline)
      ? byCells
      : blocksOnGrid(outline, frame, spacingMm);
  return { blocks, ux: frame.ux, uy: frame.uy };
}

/** Outlines of more corners than this have more turns than cells are good for. */
const MOST_CORNERS = 2000;
/** How far rows by cells may differ from the area before they are not to be trusted. */
const MISSED = 0.06;

/** Every cell with rows of its own, evenly from edge to edge; null where the outline has too many corners. */
function blocksOfCells(outline: Region, frame: ScanFrame, spacingMm: number): RowBlock[] | null {
  if (outline.reduce((sum, ring) => sum + ring.length / 2, 0) > MOST_CORNERS) return null;
  const cells = scanCells(outline, frame);
  const worked = new Map<ScanCell, Float64Array>();
  for (const cell of cells) {
    const rows = cellRows(cell, spacingMm, cells.length === 1);
    if (rows.length > 0) worked.set(cell, rows);
  }
  return cellOrder([...worked.keys()]).map(({ cell, fromTop }) => blockOf(valueOf(worked, cell), fromTop));
}

/** More blocks than this of fewer rows each: thread would be fastened off at every turn of the outline. */
const BROKEN = { blocks: 12, rows: 6 } as const;

function isBroken(blocks: readonly RowBlock[]): boolean {
  const rows = blocks.reduce((sum, { count }) => sum + count, 0);
  return blocks.length > BROKEN.blocks && rows < BROKEN.rows * blocks.length;
}

/** Where the outline turns between nearly all rows, cells are too low to hold them, and rows would be lost. */
function coversAll(blocks: readonly RowBlock[], spacingMm: number, outline: Region): boolean {
  const area = regionArea(outline);
  let covered = 0;
  for (const { rows } of blocks)
    for (let i = 0; i < rows.length; i += 3) covered += (rows[i + 1]! - rows[i]!) * spacingMm;
  return covered > area * (1 - MISSED) || area < FEW_ROWS * spacingMm * spacingMm;
}

/** Areas smaller than this many squares of the spacing are worked as they come. */
const FEW_ROWS = 60;

function blocksOnGrid(outline: Region, frame: ScanFrame, spacingMm: number): RowBlock[] {
  const runs = scanRows(outline, frame, spacingMm).map((run) => Float64Array.from(run));
  const ends = Float64Array.from(runs.flatMap((run) => [...middleOfRow(run, 0), ...middleOfRow(run, run.length - 3)]));
  return nearestEndFirst(ends).map((end) => blockOf(runs[end >> 1]!, end % 2 === 0));
}

function middleOfRow(rows: Float64Array, at: number): [u: number, v: number] {
  return [(rows[at]! + rows[at + 1]!) / 2, rows[at + 2]!];
}

function blockOf(rows: Float64Array, fromTop: boolean): RowBlock {
  return { rows: fromTop ? rows : reversed(rows), count: rows.length / 3 };
}

function reversed(rows: Float64Array): Float64Array {
  const out = new Float64Array(rows.length);
  for (let i = 0, j = rows.length - 3; j >= 0; i += 3, j -= 3) {
    out[i] = rows[j]!;
    out[i + 1] = rows[j + 1]!;
    out[i + 2] = rows[j + 2]!;
  }
  return out;
}
