import { describeStitch } from '../../kind.ts';
import {
  BACK_UNDER_ROWS,
  CLOTH_SHOWS,
  EDGE_RAGGED,
  KNOT_OUTSIDE_CUT_OFF,
  PULLED_IN,
  ROW_BY_ROW,
} from '../../shared/texts.ts';
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
  start: KNOT_OUTSIDE_CUT_OFF,
  end: BACK_UNDER_ROWS,
  faults: [CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN],
  steps: [
    'Work a row of split stitch from edge to edge.',
    'Turn and work the next row back, close against the first.',
    'Start each row with a shorter or longer stitch, so that their ends don’t line up.',
    ROW_BY_ROW,
  ],
});
