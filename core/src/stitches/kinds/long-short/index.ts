import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN } from '../../shared/texts.ts';
import { SOFT_SHADING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const longShort = describeStitch({
  ...SOFT_SHADING,
  care: { oneShade: 1.5, shaded: 2.2 },
  id: 'long-short',
  name: 'Long-and-short stitch',
  otherNames: ['soft shading', 'plumage stitch', 'silk shading'],
  purpose: 'Soft surfaces without rows: petals, fur, feathers. One strand blends best.',
  params,
  faults: [
    CLOTH_SHOWS,
    EDGE_RAGGED,
    PULLED_IN,
    { fault: 'A line shows between rows', cure: 'Let the ends differ more, and split the last row deeper.' },
  ],
  steps: [
    'From the edge inward, work stitches long and short by turns.',
    'Come up through the ends of the first row, splitting them.',
    'Let the lengths differ, so that no line shows between rows.',
  ],
});
