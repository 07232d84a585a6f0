import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN, TAIL_UNDER_STITCHES } from '../../shared/texts.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const blockShading = describeStitch({
  ...FLAT_FILLING,
  id: 'block-shading',
  name: 'Block shading',
  inSentence: 'block shading',
  otherNames: ['banded satin', 'shaded satin blocks'],
  purpose: 'Clear bands of shade, side by side, without blending.',
  params,
  canShade: true,

  start: 'Make two tiny stitches where the first band will cover them.',
  end: TAIL_UNDER_STITCHES,
  faults: [CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN],
  steps: [
    'Work a band of satin along the edge, all stitches the same length.',
    'Start the next band in the gaps between the ends of the first.',
    'Carry on inwards, one shade to a band.',
  ],
});
