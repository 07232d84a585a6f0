import { shortened, failure, type Outcome, valueOf } from '../../measure/index.ts';
import {
  newColour,
  checkPiece,
  emptyPiece,
  MAX_PARTS,
  newPart,
  type Part,
  type Piece,
  type Underlay,
} from '../../piece/index.ts';
import { centred } from '../fit.ts';
import { groupLikeParts } from '../likeParts.ts';
import { designCircle } from '../designCircle.ts';
import svgpath from 'svgpath';
import { outlinesOf } from './borders.ts';
import { colourRegions, paletteOf, type Progress } from './colourRegions.ts';
import { inkLines, inkOf } from './inkLines.ts';
import { calmed, shrunk, type Raster } from './raster.ts';
import { isConvex, isWhole, squaredUp, type Corners } from './squareUp.ts';
import { smoothPath, smoothRing } from './smoothPath.ts';
import * as say from '../words.ts';

/** How a picture is to be read. */
export interface PictureOptions {
  /** Drawn lines along their middle, ink as areas, regions of like colour; all of it as one area, or nothing but the picture to draw over. */
  readonly as: 'lines' | 'ink' | 'colours' | 'whole' | 'below';
  readonly corners: Corners;
  /** How wide the squared-up picture is to be, mm. */
  readonly widthMm: number;
  /** Colours to which it is reduced, 2 to 40. */
  readonly colours: number;
  /** Smaller areas are taken into their neighbours, mm². */
  readonly leastMm2: number;
  /** How far borders may leave the pixels, mm. */
  readonly smoothMm: number;
  /** How faint a line may be, 0 to 1. */
  readonly darkness: number;
  /** Whether the area that goes round the edge is cloth. */
  readonly leavesGround: boolean;
}

/** Enough for the hand, and quick: the longest side of the picture that is worked on. */
const WORKING_PX = { lines: 1300, ink: 1300, colours: 800, whole: 400, below: 400 } as const;
/** More regions than this cannot be stitched; specks are merged until no more are left. */
const MOST_REGIONS = 1200;

/**
 * A picture as a new piece: its lines or its regions of like colour as parts, in mm, laid in the middle of the cloth.
 * @param underlay the picture itself, to be kept below the drawing; its place and scale are set here
 */
export function readPicture(
  picture: Raster,
  options: PictureOptions,
  underlay: Pick<Underlay, 'picture' | 'widthPx' | 'heightPx'> | null,
  id: string,
  name: string,
  progress: Progress = () => undefined,
): Outcome<Piece> {
  if (!isConvex(options.corners)) {
    return failure(
      'The four corners cross or lie in a line: drag them to the corners of the page, going round in order.',
    );
  }
  const longest = WORKING_PX[options.as];
  // A squared-up page takes a part of the picture: keep detail enough, but no more than is looked at.
  const page = isWhole(options.corners)
    ? shrunk(picture, longest)
    : shrunk(squaredUp(shrunk(picture, longest * 2), options.corners), longest);
  progress(0.15);
  const mmPerPx = options.widthMm / page.width;
  const inner: Progress = (share) => progress(0.15 + 0.75 * share);
  const found = partsOf(page, options, mmPerPx, inner);
  const kept = found.slice(0, MAX_PARTS);
  if (kept.length === 0 && options.as !== 'below') {
    return failure(
      options.as === 'colours'
        ? 'The picture is a single colour, so no parts can be found. Use more colours, or another picture.'
        : 'No lines were found in the picture. Include fainter lines, or read it by its colours.',
    );
  }
  const hexes = [...new Set(kept.map(({ hex }) => hex))];
  const parts = kept.map(({ hex, ...part }, i): Part => {
    const path = svgpath(part.path).scale(mmPerPx).round(3).toString();
    return newPart({ ...part, path, id: `part-${i + 1}`, colour: `c${hexes.indexOf(hex) + 1}` });
  });
  const piece: Piece = {
    ...emptyPiece(id, shortened(name, 200)),
    palette: hexes.map((hex, i) => newColour({ id: `c${i + 1}`, hex })),
  };
  const drawn: Piece = {
    ...piece,
    drawing: {
      ...piece.drawing,
      source: shortened(name, 200),
      parts: groupLikeParts(parts),
      underlay: underlay && {
        ...underlay,
        mmPerPx: options.widthMm / underlay.widthPx,
        xMm: 0,
        yMm: 0,
        strength: 0.5,
      },
    },
  };
  const circle = designCircle(drawn);
  progress(1);
  return checkPiece(circle ? { ...drawn, placement: centred(drawn.placement, circle, 1) } : drawn);
}

function partsOf(page: Raster, options: PictureOptions, mmPerPx: number, progress: Progress): Found[] {
  switch (options.as) {
    case 'colours':
      return byColours(page, options, mmPerPx, progress);
    case 'lines':
    case 'ink':
      return byInk(page, options, mmPerPx, progress);
    case 'whole':
      return [
        { name: 'Picture', kind: 'area', path: `M0 0H${page.width}V${page.height}H0Z`, hex: paletteOf(page, 2)[0]! },
      ];
    case 'below':
      return [];
  }
}

type Found = Pick<Part, 'name' | 'kind' | 'path'> & Partial<Part> & { hex: string };

function byColours(page: Raster, options: PictureOptions, mmPerPx: number, progress: Progress): Found[] {
  const calm = calmed(page);
  const hexes = paletteOf(calm, options.colours);
  progress(0.25);
  const least = Math.max(6, options.leastMm2 / mmPerPx ** 2);
  const { labels, regions } = colourRegions(calm, hexes, least, MOST_REGIONS, (share) => progress(0.25 + 0.5 * share));
  const ground = options.leavesGround ? groundOf(labels, page) : -1;
  const outlines = outlinesOf(labels, page.width, page.height, Math.max(0.6, options.smoothMm / mmPerPx));
  progress(1);
  return regions
    .map(({ colour, pixels }, label) => ({ label, pixels, hex: hexes[colour]! }))
    .filter(({ label }) => label !== ground && (outlines.get(label) ?? '') !== '')
    .sort((a, b) => b.pixels - a.pixels)
    .map(({ label, hex }, i) => ({
      name: say.regionName(i + 1),
      kind: 'area',
      path: valueOf(outlines, label),
      fillRule: 'evenodd',
      hex,
    }));
}

/** The region that most of the picture’s edge belongs to. */
function groundOf(labels: Int32Array, { width, height }: Raster): number {
  const count = new Map<number, number>();
  const note = (at: number): void => void count.set(labels[at]!, (count.get(labels[at]!) ?? 0) + 1);
  for (let x = 0; x < width; x++) [x, (height - 1) * width + x].forEach(note);
  for (let y = 0; y < height; y++) [y * width, y * width + width - 1].forEach(note);
  return [...count].reduce((best, next) => (next[1] > best[1] ? next : best))[0];
}

const INK_HEX = '#2b2a33';

function byInk(page: Raster, options: PictureOptions, mmPerPx: number, progress: Progress): Found[] {
  const { width, height } = page;
  const ink = inkOf(page, options.darkness);
  progress(0.4);
  const tolerance = Math.max(0.7, options.smoothMm / mmPerPx);
  if (options.as === 'ink') {
    const inkPalette = ['#ffffff', INK_HEX];
    const two: Raster = {
      ...page,
      rgba: Uint8ClampedArray.from({ length: ink.length * 4 }, (_, i) => (ink[i >> 2] ? 0 : 255)),
    };
    const least = Math.max(6, options.leastMm2 / mmPerPx ** 2);
    const { labels, regions } = colourRegions(two, inkPalette, least, MOST_REGIONS, progress);
    const outlines = outlinesOf(labels, width, height, tolerance);
    return regions.flatMap(({ colour }, label) =>
      colour === 1
        ? [
            {
              name: say.areaName(label),
              kind: 'area',
              path: valueOf(outlines, label),
              fillRule: 'evenodd',
              hex: INK_HEX,
            },
          ]
        : [],
    );
  }
  const lines = inkLines(ink, width, height);
  progress(0.9);
  const shortest = Math.sqrt(options.leastMm2) / mmPerPx;
  return lines
    .filter(({ points }) => points.length >= shortest)
    .slice(0, MOST_REGIONS)
    .map(({ points, closed, widthPx }, i) => ({
      name: say.lineName(i + 1),
      kind: 'line',
      path: closed ? smoothRing(points, tolerance) : smoothPath(points, tolerance),
      strokeMm: Math.min(1000, Math.max(0.2, Math.round(widthPx * mmPerPx * 10) / 10)),
      hex: INK_HEX,
    }));
}
