import { describeStitch } from '../../kind.ts';
import { FLAT_LINE } from '../../shared/traits.ts';
import { LAID_THREAD, TIES } from '../../shared/journeys.ts';
import { params } from './params.ts';

export const tiedArc = describeStitch({
  ...FLAT_LINE,
  secondThread: 'ties it down',
  journeys: [LAID_THREAD, TIES],
  findSeconds: 0,
  id: 'tied-arc',
  name: 'Tied arc',
  inSentence: 'tied arc',
  otherNames: ['single couched arc', 'tied loop'],
  purpose: 'Feathers, whiskers, brows, blades of grass: one long stitch, tied where it curves.',
  params,
  loosens: true,
  start: 'Make two tiny stitches under the start of the arc.',
  end: 'Fasten off behind the tie.',
  faults: [{ fault: 'The arc is slack', cure: 'Pull it to its length before the tie goes over it.' }],
  steps: [
    'Come up at one end of the arc and go down at the other, leaving the thread loose.',
    'Come up inside the arc where it curves most.',
    'Pull the arc to its shape, and tie it there with a small stitch across it.',
  ],
});
