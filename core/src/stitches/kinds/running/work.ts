import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workRunning } from '../../shared/runningLine.ts';

export const work = pathBy(params, (shape, values, _context, sink) => workRunning(shape, values, sink));
