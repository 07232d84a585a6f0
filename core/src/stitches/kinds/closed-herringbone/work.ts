import { pathBy } from '../../kind.ts';
import { workHerringbone } from '../../shared/crossings.ts';
import { params } from './params.ts';

/** Each small stitch behind reaches back to the one before it on its side, two steps away. */
const BACK = 2;

export const work = pathBy(params, (shape, values, _context, sink) =>
  workHerringbone(shape, { ...values, back: BACK }, sink),
);
