import { describeStitch } from '../../kind.ts';
import { CORNERS_CUT, PULLED_IN, UP_AT_START } from '../../shared/texts.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const running = describeStitch({
  ...FLAT_LINE,
  findSeconds: 0,
  id: 'running',
  name: 'Running stitch',
  inSentence: 'running stitch',
  otherNames: ['tacking stitch', 'basting stitch', 'straight running'],
  purpose: 'Light, broken lines: ripples, strings, the edges of appliqué.',
  params,
  start: 'A waste knot beside the line, or two tiny stitches under the first one.',
  end: 'Weave back under three or four stitches on the back.',
  faults: [CORNERS_CUT, PULLED_IN],
  steps: [
    UP_AT_START,
    'Go down one stitch further on.',
    'Come up again after the gap.',
    'Keep stitches and gaps even; end with a stitch.',
  ],
});
