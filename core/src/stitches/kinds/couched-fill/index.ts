import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, KNOT_OUTSIDE_SHAPE, LAY_EDGE_TO_EDGE } from '../../shared/texts.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { LAID_THREADS, TIES } from '../../shared/journeys.ts';
import { params } from './params.ts';

export const couchedFill = describeStitch({
  ...FLAT_FILLING,
  secondThread: 'ties it down',
  journeys: [LAID_THREADS, TIES],
  id: 'couched-fill',
  name: 'Couched filling',
  inSentence: 'couched filling',
  otherNames: ['laid work', 'trellis-tied ground'],
  purpose: 'Large areas in few threads: laid from edge to edge, then tied.',
  params,
  loosens: true,
  canFollowOutline: true,
  followsCurves: true,
  start: KNOT_OUTSIDE_SHAPE,
  end: 'Weave the tail in along the ties on the back.',
  faults: [
    CLOTH_SHOWS,
    { fault: 'Laid threads spread apart', cure: 'Tie them closer together, and lay them taut, side by side.' },
  ],
  steps: [
    LAY_EDGE_TO_EDGE,
    'When the area is covered, tie each thread down with small stitches across it.',
    'Place the ties of neighbouring threads halfway between each other.',
  ],
});
