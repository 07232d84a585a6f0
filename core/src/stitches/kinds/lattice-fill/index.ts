import { describeStitch } from '../../kind.ts';
import { FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const latticeFill = describeStitch({
  ...FLAT_FILLING,
  secondThread: 'ties it down',
  id: 'lattice-fill',
  name: 'Lattice filling',
  otherNames: ['trellis filling', 'open laid ground'],
  purpose:
    'Open grounds, fish, fruit, windows: threads laid both ways, tied where they cross; the cloth shows between.',
  params,
  loosens: true,
  coverWidths: 0,
  start: 'A waste knot outside the shape.',
  end: 'Weave the tail in along the edge behind.',
  faults: [{ fault: 'The squares lean', cure: 'Mark every fourth line on the cloth, and lay those first.' }],
  steps: [
    'Lay threads from edge to edge, evenly apart.',
    'Lay others across them, as far apart.',
    'Tie every crossing down with a small slanting stitch, all the same way.',
  ],
});
