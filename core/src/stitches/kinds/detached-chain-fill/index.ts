import { describeStitch } from '../../kind.ts';
import { LOOP_STILL_ROUND, PULLED_IN } from '../../shared/texts.ts';
import { CATCHES_LOOP_SECONDS, FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const detachedChainFill = describeStitch({
  ...FLAT_FILLING,
  findSeconds: CATCHES_LOOP_SECONDS,
  id: 'detached-chain-fill',
  name: 'Detached chain filling',
  inSentence: 'detached chain filling',
  otherNames: ['loop filling', 'scattered loops'],
  purpose: 'Leaves and petals in whitework: loops side by side, in rows set between each other.',
  params,
  loosens: true,
  canFollowOutline: true,
  followsCurves: true,
  snags: true,
  coverWidths: 0,
  start: 'Make two tiny stitches under the first loop.',
  end: 'Weave the tail in on the back of the loops.',
  faults: [{ fault: 'Loops too tight', cure: LOOP_STILL_ROUND }, PULLED_IN],
  steps: [
    'Work a single loop at the end of a row and tie it down.',
    'Work the next one ahead of it.',
    'Place the loops of the next row between those of the first.',
  ],
});
