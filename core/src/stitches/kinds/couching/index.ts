import { describeStitch } from '../../kind.ts';
import { CORNERS_CUT, KNOT_BESIDE_LINE, TAIL_BACK_UNDER_STITCHES } from '../../shared/texts.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { LAID_THREAD, TIES } from '../../shared/journeys.ts';
import { params } from './params.ts';

export const couching = describeStitch({
  ...FLAT_LINE,
  secondThread: 'ties it down',
  journeys: [LAID_THREAD, TIES],
  laysThread: true,
  findSeconds: 0,
  id: 'couching',
  name: 'Couching',
  inSentence: 'couching',
  otherNames: ['laid thread', 'tied line'],
  purpose: 'Long curves in one unbroken thread, tied down: strings, scrolls, feathers.',
  params,
  loosens: true,
  coverWidths: 1.3,
  start: KNOT_BESIDE_LINE,
  end: TAIL_BACK_UNDER_STITCHES,
  faults: [CORNERS_CUT, { fault: 'The laid thread wanders', cure: 'Tie it closer, and hold it taut along the line.' }],
  steps: [
    'Bring the laid thread up at the start and hold it along the line; its end waits on the front.',
    'With the tying thread, come up beside it and go down on the other side, over it.',
    'Tie again at even steps, closer where the line bends; at the end, take the laid thread down.',
  ],
});
