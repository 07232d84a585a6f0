export { channelsOf, deltaE, differenceInWords, hexColour, hexOf, labOf, readCssColour, type Lab } from './colours.ts';
export { nearestColours, type Match } from './nearest.ts';
export { TONE_STEPS, threadTones, type ThreadTones } from './tones.ts';
