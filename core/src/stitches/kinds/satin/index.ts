import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN, TAIL_UNDER_STITCHES, THREAD_TWISTS } from '../../shared/texts.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const satin = describeStitch({
  ...FLAT_FILLING,
  id: 'satin',
  name: 'Satin stitch',
  inSentence: 'satin stitch',
  otherNames: ['damask stitch', 'flat stitch'],
  purpose: 'Smooth, bright areas with short stitches: petals, wedges, small leaves.',
  params,
  snags: true,
  start: 'Make two tiny stitches inside the shape, where the satin will cover them.',
  end: TAIL_UNDER_STITCHES,
  faults: [
    CLOTH_SHOWS,
    EDGE_RAGGED,
    PULLED_IN,
    THREAD_TWISTS,
    {
      fault: 'Long stitches gape',
      cure: 'Tie it down with a line on top, divide the shape, or fill it with split stitch.',
    },
  ],
  steps: [
    'Come up on the edge, in the middle of the shape.',
    'Go down on the edge straight across.',
    'Come up beside the first hole: the thread goes back underneath.',
    'Lay each stitch against the last as far as the end, then work the other half from the middle.',
  ],
});
