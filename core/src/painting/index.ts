export { isLearnt, learnPicture, pictureBelow } from './decoded.ts';
export { groundBelow, type Ground } from './ground.ts';
export { paintingOf, type Painting } from './guide.ts';
export { judgePainting, type PaintingReport, type Worked } from './judge.ts';
export { coloursPainted, growShades, type Eye } from './paintShades.ts';
export { judgePicture, type PictureFault, type PictureJudgement } from './judgePicture.ts';
export { pictureField, type PictureField } from './pictureField.ts';
export { findRidges, type Ridge } from './ridges.ts';
export { shadeStitches } from './shadeStitches.ts';
