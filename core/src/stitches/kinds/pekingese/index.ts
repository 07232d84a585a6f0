import { describeStitch } from '../../kind.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { BACK_STITCH_BASE, LACING } from '../../shared/journeys.ts';
import { params } from './params.ts';
import { THREAD_TWISTS } from '../../shared/texts.ts';

export const pekingese = describeStitch({
  ...FLAT_LINE,
  secondThread: 'is laced through it',
  journeys: [BACK_STITCH_BASE, LACING],
  id: 'pekingese',
  name: 'Pekingese stitch',
  inSentence: 'Pekingese stitch',
  otherNames: ['looped back stitch', 'interlaced back stitch'],
  purpose: 'Corded, looped borders and rims.',
  params,
  loosens: true,
  needle: 'sharp-then-blunt',
  snags: true,
  coverWidths: 2.4,
  start: 'Start the line like back stitch; start the lacing thread under its first stitch.',
  end: 'Take the lacing thread down at the end of the line and weave it in on the back.',
  faults: [
    THREAD_TWISTS,
    { fault: 'Uneven loops', cure: 'Pull each loop to the same width before you make the next.' },
  ],
  steps: [
    'Work the line in back stitch, a little loosely.',
    'Bring a second thread up below the first stitch, on a blunt needle.',
    'Slide it up under the second stitch, back over, and down under the first.',
    'Carry on: up under the next stitch, back and down under the one before; even out the loops as you go.',
  ],
});
