export {
  channelsOf,
  deltaE,
  differenceInWords,
  hexColour,
  hexOf,
  hexOfLab,
  labOf,
  labOfRgb,
  readCssColour,
  type Lab,
} from './colours.ts';
export { colourWords } from './colourWords.ts';
export { ladder, nextRung } from './ladder.ts';
export { nearestBlend, nearestColours, nearestLab, type Match } from './nearest.ts';
export {
  bestShades,
  coloursOfPicture,
  inColours,
  type PictureColour,
  type Pixels,
  type ShadeChoice,
  type ShadeWeights,
} from './palette.ts';
export { whiteBalanced, type Reference } from './whiteBalance.ts';
export {
  ARMS_LENGTH_BLUR_MM,
  keptAtArmsLength,
  mixed,
  SEEING,
  seenAs,
  separation,
  turnedColour,
  type Seeing,
  type Separation,
} from './seeing.ts';
export { TONE_STEPS, threadTones, type ThreadTones } from './tones.ts';
