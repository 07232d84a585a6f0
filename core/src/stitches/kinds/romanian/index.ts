import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, EDGE_RAGGED } from '../../shared/texts.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const romanian = describeStitch({
  ...FLAT_FILLING,
  id: 'romanian',
  name: 'Romanian stitch',
  inSentence: 'Romanian stitch',
  otherNames: ['oriental stitch', 'tied stitch'],
  purpose: 'Wide leaves and bands, fast: long stitches, each tied in its middle, with a spine.',
  params,
  loosens: true,
  snags: false,

  start: 'Make two tiny stitches on the spine, where they will be covered.',
  end: 'Weave the tail in along the spine, on the back.',
  faults: [CLOTH_SHOWS, EDGE_RAGGED, { fault: 'The spine wanders', cure: 'Draw it first and tie every stitch on it.' }],
  steps: [
    'Come up on one edge and go down on the other, straight across.',
    'Come up in the middle, just above the stitch.',
    'Go down at a slant over it, a little to the other side.',
    'Lay the next stitch close beside it.',
  ],
});
