import { describeStitch } from '../../kind.ts';
import { KNOT_BESIDE_LINE, PULLED_IN, TAIL_BACK_UNDER_STITCHES, UP_LEFT_DOWN_RIGHT } from '../../shared/texts.ts';
import { CATCHES_LOOP_SECONDS, FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const flyColumn = describeStitch({
  ...FLAT_LINE,
  findSeconds: CATCHES_LOOP_SECONDS,
  id: 'fly-column',
  name: 'Fly stitch column',
  inSentence: 'fly stitch column',
  otherNames: ['stacked fly stitch', 'tied V stitch'],
  purpose: 'Veins, grasses, small trees: a V over a tail, one above the other.',
  params,
  canShade: true,
  snags: true,
  start: KNOT_BESIDE_LINE,
  end: TAIL_BACK_UNDER_STITCHES,
  faults: [PULLED_IN, { fault: 'The arms droop', cure: 'Keep to the steep angle of the first one.' }],
  steps: [
    UP_LEFT_DOWN_RIGHT,
    'Come up on the line inside the loop and pull it into a V.',
    'Go down further along the line: the tail holds the V.',
    'Start the next V beside the tail.',
  ],
});
