import { describeStitch } from '../../kind.ts';
import { PULLED_IN } from '../../shared/texts.ts';
import { CATCHES_LOOP_SECONDS, FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const buttonhole = describeStitch({
  ...FLAT_LINE,
  findSeconds: CATCHES_LOOP_SECONDS,
  id: 'buttonhole',
  name: 'Buttonhole stitch',
  otherNames: ['blanket stitch', 'festoon stitch'],
  purpose: 'Edges that are cut, scallops, the borders of patches; tall and short by turns for a soft edge.',
  params,
  coverWidths: 2,
  start: 'A waste knot beside the line.',
  end: 'Weave the tail back under the stitches behind.',
  faults: [
    PULLED_IN,
    {
      fault: 'The edge is uneven',
      cure: 'Draw a second line for the tops, and pull each loop only until it lies on the edge.',
    },
  ],
  steps: [
    'Come up on the edge.',
    'Go down in from the edge, one step further on, and come up on the edge straight below.',
    'The thread lies under the needle: draw it up until the loop lies on the edge.',
    'Tie the last loop down with a tiny stitch.',
  ],
});
