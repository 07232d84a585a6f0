import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN } from '../../shared/texts.ts';
import { SOFT_SHADING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const needlePainting = describeStitch({
  ...SOFT_SHADING,
  care: { oneShade: 1.6, shaded: 2.4 },
  id: 'needle-painting',
  name: 'Needle painting',
  inSentence: 'needle painting',
  otherNames: ['thread painting', 'painted from a picture'],
  purpose: 'Fur, feathers, faces: one strand along the direction of the hair, each stitch in the shade at that place.',
  params,
  faults: [
    CLOTH_SHOWS,
    EDGE_RAGGED,
    PULLED_IN,
    {
      fault: 'Patches with hard edges',
      cure: 'Let the ends of one shade run between those of the next, and split them.',
    },
  ],
  steps: [
    'Work with one strand along the direction of the hair, in longer stitches where the picture is plain.',
    'Come up through the end of the last stitch, splitting it.',
    'Where the shade changes, change the needle, not the direction.',
  ],
});
