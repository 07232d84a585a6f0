import { describeStitch } from '../../kind.ts';
import { KNOT_ON_LOWER_SIDE, LOWER_TO_UPPER, PULLED_IN } from '../../shared/texts.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const herringbone = describeStitch({
  ...FLAT_LINE,
  id: 'herringbone',
  name: 'Herringbone stitch',
  inSentence: 'herringbone stitch',
  otherNames: ['open herringbone', 'catch stitch', 'plaited stitch'],
  purpose: 'Open borders, hems and appliqué edges: slanting stitches that cross at both sides.',
  params,
  start: KNOT_ON_LOWER_SIDE,
  end: 'Weave the tail back under the small stitches on the back.',
  faults: [
    PULLED_IN,
    { fault: 'The slant changes', cure: 'Mark both sides of the band, and keep the small steps even.' },
  ],
  steps: [
    LOWER_TO_UPPER,
    'Come up a little way back on the upper side.',
    'Cross over the last stitch and go down on the lower side, further along.',
    'Come up a little way back on the lower side, and so on, from side to side.',
  ],
});
