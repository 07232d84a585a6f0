import { describeStitch } from '../../kind.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { params } from './params.ts';

export const tiedArc = describeStitch({
  ...FLAT_LINE,
  secondThread: 'ties it down',
  findSeconds: 0,
  id: 'tied-arc',
  name: 'Tied arc',
  otherNames: ['single couched arc', 'tied loop'],
  purpose: 'Feathers, whiskers, brows, blades of grass: one long stitch, tied where it turns.',
  params,
  loosens: true,
  start: 'Two tiny stitches under the beginning of the arc.',
  end: 'Fasten off behind the tie.',
  faults: [{ fault: 'The arc lies slack', cure: 'Draw it to its length before the tie goes over it.' }],
  steps: [
    'Come up at one end of the arc and go down at the other, leaving the thread loose.',
    'Come up inside the arc where it turns most.',
    'Draw the arc to its shape, and tie it there with a small stitch across it.',
  ],
});
