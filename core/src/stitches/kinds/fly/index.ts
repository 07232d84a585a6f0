import { FASTEN_OFF_EACH, UP_LEFT_DOWN_RIGHT } from '../../shared/texts.ts';
import { describeStitch } from '../../kind.ts';
import { CATCHES_LOOP_SECONDS, RAISED_SPOT } from '../../shared/traits.ts';
import { params } from './params.ts';

export const fly = describeStitch({
  ...RAISED_SPOT,
  findSeconds: CATCHES_LOOP_SECONDS,
  isRaised: false,
  id: 'fly',
  name: 'Fly stitch',
  inSentence: 'fly stitch',
  otherNames: ['tied V', 'single fly'],
  purpose: 'Calyxes, distant birds, scattered sprigs: a V, tied by a tail.',
  params,
  needle: 'sharp',
  hasDirection: true,
  start: 'Make two tiny stitches where the tail will cover them.',
  end: FASTEN_OFF_EACH,
  faults: [{ fault: 'The arms sag', cure: 'Pull the loop until both arms are straight, then tie it down.' }],
  steps: [
    UP_LEFT_DOWN_RIGHT,
    'Come up below, between the two, inside the loop.',
    'Pull it into a V and go down further below: the tail ties it.',
  ],
});
