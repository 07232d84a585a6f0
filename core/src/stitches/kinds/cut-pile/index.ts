import { describeStitch } from '../../kind.ts';
import { CATCHES_LOOP_SECONDS, FLAT_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const cutPile = describeStitch({
  ...FLAT_FILLING,
  findSeconds: CATCHES_LOOP_SECONDS,
  id: 'cut-pile',
  name: 'Cut pile',
  inSentence: 'cut pile',
  otherNames: ['tufted stitch', 'rug-knot pile', 'looped pile'],
  purpose: 'Fur, moss, thistles, bumblebees: rows of loops, each held by a small stitch, cut and combed.',
  params,
  usualStrands: 4,
  isRaised: true,
  snags: true,
  start: 'Leave the tail on top: it becomes part of the pile.',
  end: 'Bring the last end up and cut it with the loops.',
  faults: [
    { fault: 'Loops pull out', cure: 'Pull the small holding stitch tight before you make the next loop.' },
    {
      fault: 'The pile splits into rows',
      cure: 'Work the rows closer together, each set half a step along from the last.',
    },
  ],
  steps: [
    'Start at the side the pile should lean towards, and work each row behind the last.',
    'Come up, leave a loop round a finger or a strip of card, and go down one step further on.',
    'Hold each loop with a small tight stitch over its foot.',
    'When all the rows are worked, cut the loops, comb them, and trim them to shape, a little at a time.',
  ],
});
