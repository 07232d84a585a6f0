export { outlinesOf } from './borders.ts';
export { colourRegions, paletteOf, type Progress } from './colourRegions.ts';
export { MOST_PIXELS, shrunk, type Raster } from './raster.ts';
export { readPicture, type PictureOptions } from './readPicture.ts';
export {
  isConvex,
  isWhole,
  pageAspect,
  pageWidthMm,
  project,
  projection,
  squaredUp,
  WHOLE,
  type Corner,
  type Corners,
} from './squareUp.ts';
export { subjectOf } from './subject.ts';
