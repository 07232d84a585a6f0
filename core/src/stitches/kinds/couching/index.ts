import { describeStitch } from '../../kind.ts';
import { CORNERS_CUT } from '../../shared/texts.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const couching = describeStitch({
  ...FLAT_LINE,
  secondThread: 'ties it down',
  findSeconds: 0,
  id: 'couching',
  name: 'Couching',
  otherNames: ['laid thread', 'tied line'],
  purpose: 'Long curves in one unbroken thread, tied down: strings, scrolls, feathers.',
  params,
  loosens: true,
  coverWidths: 1.3,
  start: 'A waste knot beside the line.',
  end: 'Weave the tail back under the stitches behind.',
  faults: [CORNERS_CUT, { fault: 'The laid thread wanders', cure: 'Tie closer, and hold it taut along the line.' }],
  steps: [
    'Lay the thread along the line and take its end down.',
    'Come up beside it and go down on the other side, over it.',
    'Tie again at even steps, closer where the line bends.',
  ],
});
