import { describeStitch } from '../../kind.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';
import { CLOTH_SHOWS, TAIL_UNDER_STITCHES } from '../../shared/texts.ts';

export const overcast = describeStitch({
  ...FLAT_LINE,
  findSeconds: 0,
  id: 'overcast',
  name: 'Overcast stitch',
  inSentence: 'overcast stitch',
  otherNames: ['whipped edge', 'cording stitch'],
  purpose: 'Patch edges, raised lines, thorns: over and over, close together.',
  params,
  coverWidths: 5,
  start: 'A waste knot along the line, where it will be covered.',
  end: TAIL_UNDER_STITCHES,
  faults: [CLOTH_SHOWS, { fault: 'The edge rolls', cure: 'Don’t pull: lay each stitch.' }],
  steps: [
    'Come up on one side of the line.',
    'Go down straight across, on the other side.',
    'Come up beside the first hole and go over again, close against the last.',
  ],
});
