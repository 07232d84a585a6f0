import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workNeedlePainting } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) => workNeedlePainting(shape, values, context, sink));
