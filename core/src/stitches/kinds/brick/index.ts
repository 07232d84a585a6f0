import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN, TAIL_UNDER_STITCHES } from '../../shared/texts.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const brick = describeStitch({
  ...FLAT_FILLING,
  id: 'brick',
  name: 'Brick stitch',
  inSentence: 'brick stitch',
  otherNames: ['brick filling', 'half-drop filling'],
  purpose: 'Large, regular areas: backgrounds, walls, stones.',
  params,
  start: 'Make two tiny stitches where the first row will cover them.',
  end: TAIL_UNDER_STITCHES,
  faults: [CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN],
  steps: [
    'Work a row of even, upright stitches, starting every other one half a stitch further in.',
    'Work the next row into the gaps of the first.',
    'Keep all stitches the same length; only the ones at the edge may be shorter.',
  ],
});
