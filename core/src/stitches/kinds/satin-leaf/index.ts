import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, EDGE_RAGGED, TAIL_UNDER_STITCHES } from '../../shared/texts.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const satinLeaf = describeStitch({
  ...FLAT_FILLING,
  id: 'satin-leaf',
  name: 'Satin leaf',
  inSentence: 'satin leaf',
  otherNames: ['slanting satin leaf', 'veined satin'],
  purpose: 'Leaves and feathers: two halves that meet at a slant along the vein.',
  params,
  hasDirection: false,
  hasVein: true,
  canShade: true,
  snags: true,
  start: 'Make tiny stitches on the vein, where they will be covered.',
  end: TAIL_UNDER_STITCHES,
  faults: [
    CLOTH_SHOWS,
    EDGE_RAGGED,
    { fault: 'The vein wanders', cure: 'Draw it first, and go down exactly on it from either side.' },
  ],
  steps: [
    'Start at one end of a half; come up on the edge and go down at a slant on the vein.',
    'Work that half to its other end, stitch close to stitch, at one angle.',
    'Work the other half to meet it, going down in the same holes along the vein.',
  ],
});
