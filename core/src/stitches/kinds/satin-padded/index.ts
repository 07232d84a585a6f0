import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, EDGE_RAGGED } from '../../shared/texts.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const satinPadded = describeStitch({
  ...FLAT_FILLING,
  id: 'satin-padded',
  name: 'Padded satin stitch',
  otherNames: ['raised satin', 'embossed satin'],
  purpose: 'Raised berries, petals and pebbles, with a firm edge.',
  params,
  isRaised: true,
  snags: true,
  start: 'Tiny stitches inside the shape; the padding covers them.',
  end: 'Slide the tail under the stitches behind.',
  faults: [
    CLOTH_SHOWS,
    EDGE_RAGGED,
    {
      fault: 'The padding shows at the edge',
      cure: 'Keep every layer half a stitch inside the last, and the satin outside the firm edge.',
    },
  ],
  steps: [
    'Work the padding inside the outline, each layer across the last and smaller.',
    'Work a line of split stitch just inside the outline.',
    'Lay satin over both, upright at the edge, just outside the split stitch.',
  ],
});
