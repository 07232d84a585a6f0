import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN } from '../../shared/texts.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const splitFill = describeStitch({
  ...FLAT_FILLING,
  id: 'split-fill',
  name: 'Split stitch filling',
  inSentence: 'split stitch filling',
  otherNames: ['split rows', 'filled split stitch'],
  purpose: 'Even, hard-wearing filling for areas of any width.',
  params,
  canFollowOutline: true,
  start: 'A waste knot outside the shape, cut off once its thread is held.',
  end: 'Weave back under the rows on the back.',
  faults: [CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN],
  steps: [
    'Work a row of split stitch from edge to edge.',
    'Turn and work the next row back, close against the first.',
    'Start each row with a shorter or longer stitch, so that their ends don’t line up.',
    'Carry on, row by row, to the far edge.',
  ],
});
