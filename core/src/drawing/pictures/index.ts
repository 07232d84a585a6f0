export { colourRegions, paletteOf, type Progress } from './colourRegions.ts';
export { MOST_PIXELS, shrunk, type Raster } from './raster.ts';
export { checkPictureSize, readPicture, type PictureOptions } from './readPicture.ts';
export { isConvex, project, projection, squaredUp, WHOLE, type Corner, type Corners } from './squareUp.ts';
