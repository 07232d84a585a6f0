import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workFeather } from '../../shared/featherLine.ts';

export const work = pathBy(params, (shape, values, context, sink) =>
  workFeather(shape, { ...values, backMm: 0 }, context, sink),
);
