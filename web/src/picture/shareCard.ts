import type { Workings } from '@junctura/core/advice';
import type { Piece } from '@junctura/core/piece';
import type { Brush } from './brush.ts';
import { paintShown, viewOfAll, type Showing } from './shownPiece.ts';

/** The sizes of cards that people send to each other, px: upright, and across. */
export const CARD_SIZES = {
  upright: { width: 1080, height: 1350 },
  across: { width: 1200, height: 630 },
} as const;
export type CardShape = keyof typeof CARD_SIZES;

/** What stands on a card beside the picture. */
export interface CardWords {
  readonly name: string;
  /** Facts, a line each. */
  readonly lines: readonly string[];
  readonly sign: string;
}

const GROUND = '#f5f0e6';
const INK = '#202c4b';
const SOFT = '#4d5570';
const MADDER = '#9c2f33';
const SERIF = "'Source Serif 4 Variable', Georgia, serif";
const SANS = "'Atkinson Hyperlegible Next Variable', 'Segoe UI', sans-serif";
/** Names longer than a line of the card are set smaller, down to this, px. */
const NAME_PX = { upright: 76, across: 62, least: 30 } as const;
const SHOWING: Showing = { ring: true, cloth: true };

/** Where the picture and the words of a card lie, px. */
const LAYOUT = {
  upright: { picture: { x: 70, y: 30, side: 940 }, words: { x: 540, y: 1064, width: 960, align: 'center' } },
  across: { picture: { x: 24, y: 24, side: 582 }, words: { x: 636, y: 236, width: 528, align: 'left' } },
} as const;

/**
 * Paints a card, slice by slice: the piece in its hoop, its name, and what it takes.
 * @param makeCanvas an empty canvas of a size, on the page or off it, and its brush
 */
export function* paintCard(
  brush: Brush,
  piece: Piece,
  workings: Workings,
  shape: CardShape,
  words: CardWords,
  makeCanvas: (side: number) => { brush: Brush; image: CanvasImageSource },
): Generator<void> {
  const { width, height } = CARD_SIZES[shape];
  const { picture } = LAYOUT[shape];
  brush.setTransform(1, 0, 0, 1, 0, 0);
  brush.fillStyle = GROUND;
  brush.fillRect(0, 0, width, height);
  writeWords(brush, shape, words);
  const sheet = makeCanvas(picture.side);
  const size = { width: picture.side, height: picture.side };
  yield* paintShown(sheet.brush, piece, workings, viewOfAll(piece, workings, picture.side, SHOWING), size, SHOWING);
  brush.drawImage(sheet.image, picture.x, picture.y);
}

function writeWords(brush: Brush, shape: CardShape, { name, lines, sign }: CardWords): void {
  const { words } = LAYOUT[shape];
  brush.textAlign = words.align;
  brush.textBaseline = 'alphabetic';
  brush.fillStyle = INK;
  let px: number = NAME_PX[shape];
  const font = (): string => `600 ${px}px ${SERIF}`;
  for (brush.font = font(); px > NAME_PX.least && brush.measureText(name).width > words.width; brush.font = font())
    px -= 2;
  brush.fillText(name, words.x, words.y, words.width);
  let y = words.y + px * 0.5;
  brush.fillStyle = SOFT;
  const linePx = shape === 'upright' ? 34 : 29;
  brush.font = `${linePx}px ${SANS}`;
  for (const line of lines) {
    y += linePx * 1.42;
    brush.fillText(line, words.x, y, words.width);
  }
  brush.fillStyle = MADDER;
  brush.font = `600 ${linePx * 0.82}px ${SERIF}`;
  brush.fillText(sign, words.x, CARD_SIZES[shape].height - (shape === 'upright' ? 36 : 42), words.width);
}
