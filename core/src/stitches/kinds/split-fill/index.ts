import { describeStitch } from '../../kind.ts';
import { ROW_BY_ROW } from '../../shared/texts.ts';
import { ROWS } from '../../shared/traits.ts';
import { params } from './params.ts';

export const splitFill = describeStitch({
  ...ROWS,
  id: 'split-fill',
  name: 'Split stitch filling',
  inSentence: 'split stitch filling',
  otherNames: ['split rows', 'filled split stitch'],
  purpose: 'Even, hard-wearing filling for areas of any width.',
  params,
  steps: [
    'Work a row of split stitch from edge to edge.',
    'Turn and work the next row back, close against the first.',
    'Start each row with a shorter or longer stitch, so that their ends don’t line up.',
    ROW_BY_ROW,
  ],
});
