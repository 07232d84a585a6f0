import { describeStitch } from '../../kind.ts';
import { ROW_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const stemFill = describeStitch({
  ...ROW_FILLING,
  id: 'stem-fill',
  name: 'Stem stitch filling',
  inSentence: 'stem stitch filling',
  otherNames: ['crewel rows'],
  purpose: 'Swirling, ropy surfaces: trunks, hair, water.',
  params,
});
