import { describeStitch } from '../../kind.ts';
import { KNOT_BESIDE_LINE, PULLED_IN, TAIL_BACK_UNDER_STITCHES } from '../../shared/texts.ts';
import { CATCHES_LOOP_SECONDS, FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const buttonhole = describeStitch({
  ...FLAT_LINE,
  findSeconds: CATCHES_LOOP_SECONDS,
  id: 'buttonhole',
  name: 'Buttonhole stitch',
  inSentence: 'buttonhole stitch',
  otherNames: ['blanket stitch', 'festoon stitch'],
  purpose: 'Cut edges, scallops, patch borders; long and short stitches in turn make a soft edge.',
  params,
  coverWidths: 2,
  start: KNOT_BESIDE_LINE,
  end: TAIL_BACK_UNDER_STITCHES,
  faults: [
    PULLED_IN,
    {
      fault: 'The edge is uneven',
      cure: 'Draw a second line for the tops of the stitches, and pull each loop only until it rests on the edge.',
    },
  ],
  steps: [
    'Come up on the edge.',
    'Go down further in, one step along, and come up on the edge straight below.',
    'With the thread under the needle, pull until the loop rests on the edge.',
    'Tie the last loop down with a tiny stitch.',
  ],
});
