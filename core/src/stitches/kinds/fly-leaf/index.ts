import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, TAIL_UNDER_STITCHES } from '../../shared/texts.ts';
import { CATCHES_LOOP_SECONDS, FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const flyLeaf = describeStitch({
  ...FLAT_FILLING,
  findSeconds: CATCHES_LOOP_SECONDS,
  id: 'fly-leaf',
  name: 'Fly stitch leaf',
  inSentence: 'fly stitch leaf',
  otherNames: ['closed fly leaf', 'tied V leaf'],
  purpose: 'Almond-shaped leaves with a vein of small tie stitches.',
  params,
  hasDirection: false,
  hasVein: true,
  canShade: true,

  start: 'A waste knot beyond the tip.',
  end: TAIL_UNDER_STITCHES,
  faults: [
    CLOTH_SHOWS,
    { fault: 'One side gapes', cure: 'That side bulges: slip in an extra straight stitch between two arms.' },
    { fault: 'The angle gets flatter', cure: 'Start beyond the tip and keep the angle of the first V.' },
  ],
  steps: [
    'Start with a straight stitch from beyond the tip down the vein.',
    'Come up on the left edge and go down on the right, leaving a loop.',
    'Come up on the vein inside the loop, pull it into a V, and tie it down along the vein.',
    'Carry on, V close to V, at the same steep angle, to the base.',
  ],
});
