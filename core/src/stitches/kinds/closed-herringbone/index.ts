import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, KNOT_ON_LOWER_SIDE, LOWER_TO_UPPER, PULLED_IN } from '../../shared/texts.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const closedHerringbone = describeStitch({
  ...FLAT_LINE,
  id: 'closed-herringbone',
  name: 'Closed herringbone stitch',
  inSentence: 'closed herringbone stitch',
  otherNames: ['double back stitch', 'shadow-work stitch'],
  purpose:
    'Close bands that look plaited; on sheer cloth, worked from the back, two rows of back stitch with a shadow between.',
  params,
  coverWidths: 8,
  start: KNOT_ON_LOWER_SIDE,
  end: 'Weave the tail back under the stitches along one side, on the back.',
  faults: [CLOTH_SHOWS, PULLED_IN],
  steps: [
    LOWER_TO_UPPER,
    'Come up in the hole where the last stitch on the upper side ended.',
    'Cross over and go down on the lower side, further along.',
    'Come up in the hole where the last stitch on the lower side ended, and so on, from side to side.',
  ],
});
