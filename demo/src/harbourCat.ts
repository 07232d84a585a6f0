import { createCanvas } from '@napi-rs/canvas';
import { Planner } from '@junctura/core/advice';
import { applyEdit, plainHoop, type Piece } from '@junctura/core/piece';
import { paintInCotton, USUAL_FACTORS } from '@junctura/core/work';
import { catOutline, catPicture, WHISKERS } from './catPicture.ts';
import { area, drawing, group, line, pieceOf, worked } from './draw.ts';

const SIZE_MM = 120;
const PICTURE_PX = 900;
/** How well the picture is kept, of 100. */
const QUALITY = 88;
const SHADES = 18;
const FUR = '#a87444';
const PALE = '#f4eee2';

/** A cat's head before a harbour: one outline, and six whiskers that lie on top. */
export function harbourCatSvg(): string {
  const inShares = `translate(${-SIZE_MM / 2} ${-SIZE_MM / 2}) scale(${SIZE_MM})`;
  return drawing('Harbour cat', SIZE_MM, [
    group(inShares, area('cat', catOutline(), FUR)),
    group(inShares, ...WHISKERS.map((path, i) => line(`whisker-${i + 1}`, path, PALE, 0.4 / SIZE_MM))),
  ]);
}

/** A needle-painted head in one strand and eighteen shades, from a picture that is drawn by rule. */
export function harbourCatPiece(): Piece {
  const drawn = pieceOf(harbourCatSvg(), 'harbour-cat.svg', {
    id: 'demo-cat',
    name: 'Harbour cat',
    change: { use: 'framed', cloth: { kind: 'fine-linen', colour: '#dfe3e0' }, hoop: plainHoop(150, 12) },
    shades: {},
    passes: (id) => (id.startsWith('whisker') ? [worked('stem', 1)] : null),
  });
  const picture = catPicture(PICTURE_PX);
  const mmPerPx = SIZE_MM / PICTURE_PX;
  const address = asAddress(picture);
  const underlay = {
    picture: address,
    widthPx: PICTURE_PX,
    heightPx: PICTURE_PX,
    mmPerPx,
    xMm: 0,
    yMm: 0,
    strength: 0.5,
  };
  const piece: Piece = { ...drawn, drawing: { ...drawn.drawing, underlay } };
  const [cat] = new Planner().plan(piece, USUAL_FACTORS).plan.parts;
  const edit = paintInCotton(piece, cat!, SHADES, new Map([[address, picture]]));
  const outcome = edit && applyEdit(piece, edit);
  if (!outcome?.ok) throw new Error('harbourCatPiece: the cat could not be painted');
  // As painters work: patch by patch from the back, with the needles of its shades parked.
  return { ...outcome.value, worker: { ...outcome.value.worker, byArea: 1 } };
}

function asAddress({ width, height, rgba }: ReturnType<typeof catPicture>): string {
  const canvas = createCanvas(width, height);
  const brush = canvas.getContext('2d');
  const data = brush.createImageData(width, height);
  data.data.set(rgba);
  brush.putImageData(data, 0, 0);
  return `data:image/jpeg;base64,${canvas.toBuffer('image/jpeg', QUALITY).toString('base64')}`;
}
