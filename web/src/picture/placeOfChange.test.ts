import { createCanvas, type Canvas } from '@napi-rs/canvas';
import { Planner } from '@junctura/core/advice';
import { readSvg } from '@junctura/core/drawing';
import { seededRandom } from '@junctura/core/measure';
import { plainPass, type Part, type Piece } from '@junctura/core/piece';
import { USUAL_FACTORS } from '@junctura/core/work';
import { beforeAll, expect, it } from 'vitest';
import { withCanvas } from '../testing/canvas.ts';
import { svg } from '../testing/drawings.ts';
import type { Brush } from './brush.ts';
import { paintPicture } from './paintPicture.ts';
import { placeOfChange, viewAt, type Picture, type PixelBox } from './placeOfChange.ts';
import { sceneOf } from './scene.ts';

beforeAll(withCanvas);

const PIXELS = { width: 400, height: 400 };
const WHOLE: PixelBox = { left: 0, top: 0, ...PIXELS };
const ON_THE_PAGE = {};
const DRAWING = svg(
  `<circle cx="15" cy="15" r="7" fill="#b33"/><rect x="18" y="12" width="14" height="9" fill="#37a"/>
   <path d="M6 40C20 30 30 50 52 38" stroke="#284" stroke-width="0.6" fill="none"/><circle cx="45" cy="16" r="6" fill="#ca4"/>
   <ellipse cx="30" cy="47" rx="9" ry="5" fill="#646"/><path d="M44 47h0" stroke="#222" stroke-linecap="round" stroke-width="2"/>`,
);

function pieceOf(): Piece {
  const read = readSvg(DRAWING, 'x', 'x');
  if (!read.ok) throw new Error(read.problem);
  return read.value;
}

/** Another stitch, other strands or another colour for one part. */
function changed(piece: Piece, seed: number): Piece {
  const random = seededRandom(seed);
  const at = Math.floor(random.next() * piece.drawing.parts.length);
  const part = piece.drawing.parts[at]!;
  const stitch = {
    area: ['satin', 'chain-fill', 'french-fill', 'brick'] as const,
    line: ['stem', 'chain', 'coral'] as const,
    spot: ['french', 'star'] as const,
  }[part.kind];
  const other: Part = {
    ...part,
    colour: random.next() < 0.3 ? piece.palette[0]!.id : part.colour,
    passes: [plainPass(stitch[Math.floor(random.next() * stitch.length)]!, 'stranded-cotton', 1 + (seed % 3))],
  };
  return { ...piece, drawing: { ...piece.drawing, parts: piece.drawing.parts.with(at, other) } };
}

function paint(picture: Picture, place: PixelBox): Canvas {
  const canvas = createCanvas(place.width, place.height);
  const brush = canvas.getContext('2d') as unknown as Brush;
  for (const _ of paintPicture(brush, picture.scene, viewAt(place, picture), place, 'front'));
  return canvas;
}

const pixelsOf = (canvas: Canvas): Uint8ClampedArray =>
  canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height).data as unknown as Uint8ClampedArray;

it.each([
  ['all of it', 0, 0, 6.5],
  ['near by', 4.3, -6.1, 14],
])('painting only where threads changed gives the picture that painting all of it gives: %s', (_, x, y, pxPerMm) => {
  const planner = new Planner();
  const pictureOf = (piece: Piece): Picture => ({
    canvas: ON_THE_PAGE,
    scene: sceneOf(piece, planner.plan(piece, USUAL_FACTORS)),
    side: 'front',
    view: { centreX: x, centreY: y, pxPerMm },
    pixels: PIXELS,
    ratio: 1,
  });
  let piece = pieceOf();
  let shown = pictureOf(piece);
  const onPage = paint(shown, WHOLE);
  let inPlace = 0;
  for (let seed = 1; seed <= 12; seed++) {
    piece = changed(piece, seed);
    const now = pictureOf(piece);
    const place = placeOfChange(shown, now);
    shown = now;
    if (place) onPage.getContext('2d').drawImage(paint(now, place), place.left, place.top);
    if (!place || place.width < PIXELS.width || place.height < PIXELS.height) inPlace++;
    const [patched, afresh] = [pixelsOf(onPage), pixelsOf(paint(now, WHOLE))];
    let off = 0;
    for (let i = 0; i < afresh.length; i++) if (Math.abs(afresh[i]! - patched[i]!) > 3) off++;
    // Where a place ends, a loop that is cut there may lie over its neighbour a pixel otherwise.
    expect(off / afresh.length).toBeLessThan(0.001);
  }
  expect(inPlace).toBeGreaterThan(6);
});

it('nothing is painted again where nothing is seen of a change, all of it where the cloth or the view is another', () => {
  const planner = new Planner();
  const piece = pieceOf();
  const scene = sceneOf(piece, planner.plan(piece, USUAL_FACTORS));
  const picture: Picture = {
    canvas: ON_THE_PAGE,
    scene,
    side: 'front',
    view: { centreX: 0, centreY: 0, pxPerMm: 5 },
    pixels: PIXELS,
    ratio: 1,
  };
  const again = sceneOf({ ...piece, name: 'y' }, planner.plan({ ...piece, name: 'y' } as Piece, USUAL_FACTORS));
  expect(placeOfChange(picture, { ...picture, scene: again })).toBeNull();
  expect(placeOfChange(picture, { ...picture, scene: { ...scene, clothColour: '#000000' } })).toEqual(WHOLE);
  expect(placeOfChange(picture, { ...picture, view: { ...picture.view, centreX: 1 } })).toEqual(WHOLE);
  expect(placeOfChange(picture, { ...picture, canvas: {} })).toEqual(WHOLE);
  expect(placeOfChange(null, picture)).toEqual(WHOLE);
});
