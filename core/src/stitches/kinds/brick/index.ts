import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN } from '../../shared/texts.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const brick = describeStitch({
  ...FLAT_FILLING,
  id: 'brick',
  name: 'Brick stitch',
  otherNames: ['brick filling', 'half-drop filling'],
  purpose: 'Large, regular areas: grounds, walls, stones.',
  params,
  start: 'Two tiny stitches where the first row will cover them.',
  end: 'Slide the tail under the stitches behind.',
  faults: [CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN],
  steps: [
    'Work a row of even, upright stitches; every second one begins half a stitch later.',
    'Work the next row into the gaps of the first.',
    'Keep to the same length; only at the edge may stitches be shorter.',
  ],
});
