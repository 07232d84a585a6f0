import { describeStitch } from '../../kind.ts';
import { ROW_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const runningFill = describeStitch({
  ...ROW_FILLING,
  findSeconds: 0,
  id: 'running-fill',
  name: 'Running stitch filling',
  inSentence: 'running stitch filling',
  otherNames: ['open filling', 'darning rows'],
  purpose: 'Light, open fillings in petals and wings.',
  params,
  coverWidths: 0,
});
