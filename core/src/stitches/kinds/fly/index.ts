import { describeStitch } from '../../kind.ts';
import { CATCHES_LOOP_SECONDS, RAISED_SPOT } from '../../shared/traits.ts';
import { params } from './params.ts';

export const fly = describeStitch({
  ...RAISED_SPOT,
  findSeconds: CATCHES_LOOP_SECONDS,
  isRaised: false,
  id: 'fly',
  name: 'Fly stitch',
  otherNames: ['tied V', 'single fly'],
  purpose: 'Calyxes, birds far off, scattered sprigs: a V, tied by a tail.',
  params,
  needle: 'sharp',
  hasDirection: true,
  start: 'Two tiny stitches under the place of the tail.',
  end: 'Fasten off behind each stitch that stands alone.',
  faults: [{ fault: 'The arms sag', cure: 'Draw the loop up until both arms lie straight, then tie it.' }],
  steps: [
    'Come up on the left and go down on the right, leaving a loop.',
    'Come up below, between the two, inside the loop.',
    'Draw it into a V and go down further below: the tail ties it.',
  ],
});
