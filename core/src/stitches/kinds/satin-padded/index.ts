import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, EDGE_RAGGED, TAIL_UNDER_STITCHES } from '../../shared/texts.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const satinPadded = describeStitch({
  ...FLAT_FILLING,
  id: 'satin-padded',
  name: 'Padded satin stitch',
  inSentence: 'padded satin stitch',
  otherNames: ['raised satin', 'embossed satin'],
  purpose: 'Raised berries, petals and pebbles, with a firm edge.',
  params,
  isRaised: true,
  snags: true,
  start: 'Make tiny stitches inside the shape; the padding covers them.',
  end: TAIL_UNDER_STITCHES,
  faults: [
    CLOTH_SHOWS,
    EDGE_RAGGED,
    {
      fault: 'The padding shows at the edge',
      cure: 'Keep every layer half a stitch inside the last, and start the satin just outside the firm edge.',
    },
  ],
  steps: [
    'Work the padding inside the outline, each layer smaller and across the last.',
    'Work a line of split stitch just inside the outline.',
    'Lay satin over both, with the needle upright at the edge, just outside the split stitch.',
  ],
});
