import { describeStitch } from '../../kind.ts';
import { ROW_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const backFill = describeStitch({
  ...ROW_FILLING,
  id: 'back-fill',
  name: 'Back stitch filling',
  inSentence: 'back stitch filling',
  otherNames: ['back stitch rows'],
  purpose: 'Firm, flat surfaces with an even grain.',
  params,
});
