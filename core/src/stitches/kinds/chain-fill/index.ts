import { describeStitch } from '../../kind.ts';
import { CATCHES_LOOP_SECONDS, ROW_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const chainFill = describeStitch({
  ...ROW_FILLING,
  findSeconds: CATCHES_LOOP_SECONDS,
  id: 'chain-fill',
  name: 'Chain stitch filling',
  otherNames: ['tambour filling', 'rows of chain'],
  purpose: 'A knitted look that takes about half the thread of satin; the cloth shows a little.',
  params,
  snags: true,
});
