import { KNOT_OUTSIDE_SHAPE, TAIL_ALONG_EDGE } from '../../shared/texts.ts';
import { describeStitch } from '../../kind.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { LATTICE, TIES } from '../../shared/journeys.ts';
import { params } from './params.ts';

export const latticeFill = describeStitch({
  ...FLAT_FILLING,
  secondThread: 'ties it down',
  journeys: [LATTICE, TIES],
  id: 'lattice-fill',
  name: 'Lattice filling',
  inSentence: 'lattice filling',
  otherNames: ['trellis filling', 'open laid ground'],
  purpose:
    'Open backgrounds, fish, fruit, windows: threads laid both ways, tied where they cross; the cloth shows between.',
  params,
  loosens: true,
  coverWidths: 0,
  start: KNOT_OUTSIDE_SHAPE,
  end: TAIL_ALONG_EDGE,
  faults: [{ fault: 'The squares lean', cure: 'Mark every fourth line on the cloth, and lay those first.' }],
  steps: [
    'Lay threads from edge to edge, evenly spaced.',
    'Lay others across them, with the same spacing.',
    'Tie down every crossing with a small slanting stitch, all the same way.',
  ],
});
