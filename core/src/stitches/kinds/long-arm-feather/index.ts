import { describeStitch } from '../../kind.ts';
import { CATCHES_LOOP_SECONDS, FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';
import { KNOT_BESIDE_LINE, PULLED_IN } from '../../shared/texts.ts';

export const longArmFeather = describeStitch({
  ...FLAT_LINE,
  findSeconds: CATCHES_LOOP_SECONDS,
  id: 'long-arm-feather',
  name: 'Long-armed feather stitch',
  inSentence: 'long-armed feather stitch',
  otherNames: ['Cretan feather', 'spined feather'],
  purpose: 'Growth with long arms: grasses, fins, fine branches, open fillings.',
  params,
  loosens: true,
  snags: true,
  coverWidths: 3,
  start: KNOT_BESIDE_LINE,
  end: 'Tie the last loop down, then weave the tail in.',
  faults: [PULLED_IN, { fault: 'Arms of uneven length', cure: 'Draw a line on either side for the arms to end on.' }],
  steps: [
    'Come up on the line and go down far out to one side, leaving a loop.',
    'Come up on the line one stitch ahead, inside the loop, and pull it close.',
    'Go down far out on the other side, and catch that loop in turn.',
  ],
});
