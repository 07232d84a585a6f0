import { describeStitch } from '../../kind.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { BACK_STITCH_BASE, WHIPPING } from '../../shared/journeys.ts';
import { params } from './params.ts';
import { CORNERS_CUT, PULLED_IN } from '../../shared/texts.ts';

export const whippedBack = describeStitch({
  ...FLAT_LINE,
  secondThread: 'whips it',
  journeys: [BACK_STITCH_BASE, WHIPPING],
  id: 'whipped-back',
  name: 'Whipped back stitch',
  inSentence: 'whipped back stitch',
  otherNames: ['corded back stitch', 'wound line'],
  purpose: 'Lettering and cords: a smooth, raised, unbroken line.',
  params,
  needle: 'sharp-then-blunt',
  coverWidths: 1.5,
  start: 'Start the line like back stitch; start the second thread behind its first stitch.',
  end: 'Take the second thread down beside the last stitch and weave it in on the back.',
  faults: [
    CORNERS_CUT,
    PULLED_IN,
    { fault: 'The whipping splits the line', cure: 'Change to a blunt needle, or push the eye through first.' },
  ],
  steps: [
    'Work the line in back stitch.',
    'Bring a second thread up at its start, on a blunt needle.',
    'Slide it under the next stitch, always from the same side, not through the cloth.',
    'Take it over the line and under the stitch after that; go down at the end.',
  ],
});
