import { TINY_UNDER_CENTRE } from '../../shared/texts.ts';
import { describeStitch } from '../../kind.ts';
import { CATCHES_LOOP_SECONDS, RAISED_SPOT } from '../../shared/traits.ts';
import { SPOKES, WHIPPING } from '../../shared/journeys.ts';
import { params } from './params.ts';

export const buttonholeWheel = describeStitch({
  ...RAISED_SPOT,
  secondThread: 'whips its rim',
  journeys: [SPOKES, WHIPPING],
  findSeconds: CATCHES_LOOP_SECONDS,
  id: 'buttonhole-wheel',
  name: 'Buttonhole wheel',
  inSentence: 'buttonhole wheel',
  otherNames: ['blanket wheel', 'looped wheel'],
  purpose: 'Round flowers, barnacles, wheels: spokes round a centre, caught along the rim.',
  params,
  needle: 'sharp-then-blunt',
  hasDirection: true,
  start: TINY_UNDER_CENTRE,
  end: 'Take the thread down at the rim and weave it in behind the spokes.',
  faults: [{ fault: 'The centre tears', cure: 'Use fewer spokes, or let them end on a small circle.' }],
  steps: [
    'Come up on the rim, go down in the centre, and come up a little further along the rim, over the thread.',
    'Carry on round, always going down in the same centre.',
    'Catch the last spoke into the first.',
    'Whip the rim with a blunt needle, not through the cloth.',
  ],
});
