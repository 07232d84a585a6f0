import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS } from '../../shared/texts.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const couchedFill = describeStitch({
  ...FLAT_FILLING,
  secondThread: 'ties it down',
  id: 'couched-fill',
  name: 'Couched filling',
  otherNames: ['laid work', 'trellis-tied ground'],
  purpose: 'Large areas in few threads: laid from edge to edge, then tied.',
  params,
  loosens: true,
  canFollowOutline: true,
  followsCurves: true,
  start: 'A waste knot outside the shape.',
  end: 'Weave the tail in along the ties behind.',
  faults: [CLOTH_SHOWS, { fault: 'Laid threads part', cure: 'Tie closer, and lay them taut, side by side.' }],
  steps: [
    'Lay threads from edge to edge, coming up beside where you went down.',
    'When the area is laid, tie each thread down with small stitches across it.',
    'Set the ties of neighbours half way between.',
  ],
});
