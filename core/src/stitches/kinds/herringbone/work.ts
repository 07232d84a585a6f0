import { pathBy } from '../../kind.ts';
import { workHerringbone } from '../../shared/crossings.ts';
import { params } from './params.ts';

/** How far the needle goes back, as a share of a step: the crossings stand open. */
const BACK = 0.5;

export const work = pathBy(params, (shape, values, _context, sink) =>
  workHerringbone(shape, { ...values, back: BACK }, sink),
);
