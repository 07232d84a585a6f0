import { describeStitch } from '../../kind.ts';
import { CATCHES_LOOP_SECONDS, ROW_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const chainFill = describeStitch({
  ...ROW_FILLING,
  findSeconds: CATCHES_LOOP_SECONDS,
  id: 'chain-fill',
  name: 'Chain stitch filling',
  inSentence: 'chain stitch filling',
  otherNames: ['tambour filling', 'rows of chain'],
  purpose: 'A knitted look that takes about 60% of the thread of satin; a little cloth shows through.',
  params,
  snags: true,
});
