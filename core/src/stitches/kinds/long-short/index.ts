import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN } from '../../shared/texts.ts';
import { SOFT_SHADING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const longShort = describeStitch({
  ...SOFT_SHADING,
  care: { oneShade: 1.5, shaded: 2.2 },
  id: 'long-short',
  name: 'Long-and-short stitch',
  inSentence: 'long-and-short stitch',
  otherNames: ['soft shading', 'plumage stitch', 'silk shading'],
  purpose: 'Smooth shading without rows: petals, fur, feathers. One strand blends best.',
  params,
  hasFirstRow: true,
  faults: [
    CLOTH_SHOWS,
    EDGE_RAGGED,
    PULLED_IN,
    { fault: 'A line shows between rows', cure: 'Vary the ends more, and split the last row deeper.' },
  ],
  steps: [
    'From the edge inwards, work long and short stitches in turn.',
    'Come up through the ends of the first row, splitting them.',
    'Vary the lengths, so that no line shows between rows.',
  ],
});
