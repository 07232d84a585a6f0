import { describeStitch } from '../../kind.ts';
import { CATCHES_LOOP_SECONDS, RAISED_SPOT } from '../../shared/traits.ts';
import { params } from './params.ts';

export const buttonholeWheel = describeStitch({
  ...RAISED_SPOT,
  secondThread: 'whips its rim',
  findSeconds: CATCHES_LOOP_SECONDS,
  id: 'buttonhole-wheel',
  name: 'Buttonhole wheel',
  otherNames: ['blanket wheel', 'looped wheel'],
  purpose: 'Round flowers, barnacles, wheels: spokes round a middle, caught along the rim.',
  params,
  needle: 'sharp-then-blunt',
  hasDirection: true,
  start: 'Two tiny stitches under the middle.',
  end: 'Take the thread down at the rim and weave it in behind the spokes.',
  faults: [{ fault: 'The middle tears', cure: 'Use fewer spokes, or let them end on a small ring.' }],
  steps: [
    'Come up on the rim; go down in the middle and come up on the rim a little on, over the thread.',
    'Go on round, always down in the same middle.',
    'Catch the last spoke into the first.',
    'With a blunt needle whip the rim, not through the cloth.',
  ],
});
