import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, KNOT_OUTSIDE_SHAPE, LAY_EDGE_TO_EDGE, TAIL_ALONG_EDGE } from '../../shared/texts.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { LAID_THREADS, WEAVING } from '../../shared/journeys.ts';
import { params } from './params.ts';

export const wovenFill = describeStitch({
  ...FLAT_FILLING,
  secondThread: 'is woven through it',
  journeys: [LAID_THREADS, WEAVING],
  id: 'woven-fill',
  name: 'Woven filling',
  inSentence: 'woven filling',
  otherNames: ['surface darning', 'basket filling', 'darned ground'],
  purpose: 'Baskets, windows, cloth, nests: threads laid one way, others woven through them.',
  params,
  needle: 'sharp-then-blunt',
  loosens: true,
  start: KNOT_OUTSIDE_SHAPE,
  end: TAIL_ALONG_EDGE,
  faults: [
    CLOTH_SHOWS,
    {
      fault: 'The weave is pulled in at the sides',
      cure: 'Lay each woven thread in a slight curve before you push it down.',
    },
  ],
  steps: [
    LAY_EDGE_TO_EDGE,
    'Change to a blunt needle; come up at the side.',
    'Weave over and under the laid threads, not through the cloth, and go down at the other side.',
    'Come up beside it, and weave back over whatever the last one went under.',
  ],
});
