import { describeStitch } from '../../kind.ts';
import { CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN } from '../../shared/texts.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const satinSurface = describeStitch({
  ...FLAT_FILLING,
  id: 'satin-surface',
  name: 'Surface satin stitch',
  inSentence: 'surface satin stitch',
  otherNames: ['thread-saving satin', 'one-sided satin'],
  purpose: 'Looks like satin and takes little more than half the thread, but the stitches shift more easily.',
  params,
  loosens: true,
  snags: true,
  start: 'Make two tiny stitches inside the shape.',
  end: 'Make tiny stitches behind the edge: there is little to slide the tail under.',
  faults: [CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN],
  steps: [
    'Come up on the edge and go down on the edge straight across.',
    'Come up again on that same side, close beside the hole.',
    'Go back across: the thread lies on the front only.',
  ],
});
