import { describeStitch } from '../../kind.ts';
import { CATCHES_LOOP_SECONDS, RAISED_SPOT } from '../../shared/traits.ts';
import { params } from './params.ts';

export const detachedChain = describeStitch({
  ...RAISED_SPOT,
  findSeconds: CATCHES_LOOP_SECONDS,
  isRaised: false,
  id: 'detached-chain',
  name: 'Detached chain stitch',
  inSentence: 'detached chain stitch',
  otherNames: ['daisy stitch', 'single chain', 'loop stitch'],
  purpose: 'Single petals, small leaves, buds.',
  params,
  needle: 'sharp',
  hasDirection: true,
  start: 'Make two tiny stitches where the loop will cover them.',
  end: 'Fasten off after each loop that stands alone.',
  faults: [{ fault: 'The loop is thin', cure: 'Stop pulling before its sides meet.' }],
  steps: [
    'Come up at the foot of the loop and hold the thread.',
    'Go down where you came up; come up at the far end, inside the loop.',
    'Pull the loop close and tie it with a small stitch over its end.',
  ],
});
