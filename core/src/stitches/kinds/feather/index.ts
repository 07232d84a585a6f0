import { describeStitch } from '../../kind.ts';
import { PULLED_IN } from '../../shared/texts.ts';
import { params } from './params.ts';
import { workFeather } from './path.ts';

export const feather = describeStitch({
  id: 'feather',
  name: 'Feather stitch',
  otherNames: ['coral branch', 'briar stitch'],
  worksOn: 'line',
  purpose: 'Growth: weeds, sprigs, light open lines.',
  params,
  needle: 'sharp',
  usualStrands: 2,
  hasDirection: false,
  followsCurves: true,
  isRaised: true,
  snags: true,
  coverWidths: 1,
  start: 'A waste knot beside the line.',
  end: 'Weave the tail back under the stitches behind.',
  faults: [PULLED_IN, { fault: 'Loops too tight', cure: 'Stop pulling before the loop lies flat.' }],
  steps: [
    'Come up on the line and hold the thread in a loop.',
    'Go down beside where you came up, to the left.',
    'Come up further along the line, inside the loop.',
    'The next loop goes to the right, and so on by turns.',
  ],
  work: (shape, values, context, sink) => workFeather(shape, values, context, sink),
});
