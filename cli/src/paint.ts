import { Planner } from '@junctura/core/advice';
import type { Raster } from '@junctura/core/drawing';
import { failure, success, type Outcome } from '@junctura/core/measure';
import type { Pictures } from '@junctura/core/painting';
import { applyEdit, emptyPiece, newColour, newPart, type Piece, type Underlay } from '@junctura/core/piece';
import { paintInCotton, USUAL_FACTORS } from '@junctura/core/work';
import type { PaintOptions } from './options.ts';
import * as say from './words.ts';

/** A picture without a drawing is laid out so wide at first, mm. */
const PICTURE_MM = 100;
/** What the picture is called inside the piece: it is never written out. */
const ADDRESS = 'data:image/png;base64,AAAA';

/** A piece of one part: all of a picture. */
export function pieceOfPicture({ width, height }: Raster, name: string): Piece {
  const mmPerPx = PICTURE_MM / width;
  const path = `M0 0H${PICTURE_MM}V${height * mmPerPx}H0Z`;
  const empty = emptyPiece('picture', name);
  const colour = newColour({ id: 'c1', hex: '#808080' });
  const part = newPart({ id: 'picture', name: 'Picture', kind: 'area', path, colour: colour.id });
  return { ...empty, palette: [colour], drawing: { ...empty.drawing, parts: [part] } };
}

/** Lays a picture below a drawing: over all of its page, as large as fits into it, in its middle. */
export function withPictureBelow(piece: Piece, { width, height }: Raster, page: Page): Piece {
  const mmPerPx = Math.min(page.widthMm / width, page.heightMm / height);
  const underlay: Underlay = {
    picture: ADDRESS,
    widthPx: width,
    heightPx: height,
    mmPerPx,
    xMm: page.xMm + (page.widthMm - width * mmPerPx) / 2,
    yMm: page.yMm + (page.heightMm - height * mmPerPx) / 2,
    strength: 0.5,
  };
  return { ...piece, drawing: { ...piece.drawing, underlay } };
}

/** The page of a drawing, in its millimetres. */
export interface Page {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** The page that a drawing says it has: its view box, or its width and height; null where it says neither. */
export function pageOf(svg: string, unitMm: number): Page | null {
  const [root] = /<svg\b[^>]*>/.exec(svg) ?? [''];
  const attribute = (name: string): string | undefined =>
    new RegExp(`\\b${name}\\s*=\\s*["']([^"']*)["']`).exec(root)?.[1];
  const box = attribute('viewBox')
    ?.trim()
    .split(/[\s,]+/)
    .map(Number) ?? [0, 0, Number.parseFloat(attribute('width') ?? ''), Number.parseFloat(attribute('height') ?? '')];
  const [, , width, height] = box;
  if (box.length !== 4 || box.some((value) => !Number.isFinite(value)) || width! <= 0 || height! <= 0) return null;
  // A drawing as it is read begins at the corner of its page.
  return { xMm: 0, yMm: 0, widthMm: width! * unitMm, heightMm: height! * unitMm };
}

/** A picture that was laid below a drawing, by its address in the piece. */
export function laidPictures(picture: Raster): Pictures {
  return new Map([[ADDRESS, picture]]);
}

/** A part of a piece painted from the picture below it, in shades of stranded cotton that suit it best. */
export function painted(
  piece: Piece,
  pictures: Pictures,
  { shades, part }: PaintOptions,
  seed: number,
): Outcome<Piece> {
  const { plan } = new Planner().plan(piece, USUAL_FACTORS, { seed });
  const areas = plan.parts.filter(({ placed }) => placed.kind === 'area');
  const wanted =
    part === null
      ? areas.reduce((a, b) => (b.placed.areaMm2 > (a?.placed.areaMm2 ?? 0) ? b : a), areas[0])
      : areas.find((planned) => planned.part.id === part);
  if (!wanted) {
    return failure(part === null ? 'The drawing has no area to paint.' : say.noSuchArea(part));
  }
  const edit = paintInCotton(piece, wanted, shades, pictures);
  const outcome = edit && applyEdit(piece, edit);
  if (!outcome) return failure('No part of the picture lies under this part.');
  return outcome.ok ? success(outcome.value) : outcome;
}
