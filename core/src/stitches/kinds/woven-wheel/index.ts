import { TINY_UNDER_CENTRE } from '../../shared/texts.ts';
import { describeStitch } from '../../kind.ts';
import { RAISED_SPOT } from '../../shared/traits.ts';
import { SPOKES, WEAVING } from '../../shared/journeys.ts';
import { params } from './params.ts';

export const wovenWheel = describeStitch({
  ...RAISED_SPOT,
  secondThread: 'is woven through it',
  journeys: [SPOKES, WEAVING],
  id: 'woven-wheel',
  name: 'Woven wheel',
  inSentence: 'woven wheel',
  otherNames: ['woven rose', 'spider wheel'],
  purpose: 'Raised round flowers, urchins, wheels: a spiral woven over and under spokes.',
  params,
  needle: 'sharp-then-blunt',
  hasDirection: true,
  start: TINY_UNDER_CENTRE,
  end: 'Take the thread down under the last round and fasten off on the back.',
  faults: [
    { fault: 'Spokes show', cure: 'Weave another round, loosely, until their ends are covered.' },
    { fault: 'The wheel curls into a cup', cure: 'Pull each round less tight.' },
  ],
  steps: [
    'Work an odd number of spokes from the rim into the centre.',
    'Come up close to the centre, between two spokes; change to a blunt needle.',
    'Weave over one and under the next, round and round, not through the cloth.',
    'Go down under the last round when the spokes are covered.',
  ],
});
