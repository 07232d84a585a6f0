import { describeStitch } from '../../kind.ts';
import { CATCHES_LOOP_SECONDS, FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';
import { PULLED_IN } from '../../shared/texts.ts';

export const cablePlait = describeStitch({
  ...FLAT_LINE,
  findSeconds: CATCHES_LOOP_SECONDS,
  id: 'cable-plait',
  name: 'Cable plait stitch',
  inSentence: 'cable plait stitch',
  otherNames: ['plaited band', 'two-sided braid stitch'],
  purpose: 'Broad, raised, plaited bands: edges on whitework, rims, borders.',
  params,
  isRaised: true,
  snags: true,
  coverWidths: 8,
  start: 'A waste knot beside the band.',
  end: 'Weave the tail in on the back of the plait.',
  faults: [PULLED_IN, { fault: 'The edges waver', cure: 'Draw both edges of the band before you start.' }],
  steps: [
    'Come up on one edge of the band and go down at a slant on the other.',
    'Take a small stitch back along that edge.',
    'Slant across to the first edge, below the thread you have just laid.',
    'Take a small stitch back and carry on, side by side.',
  ],
});
