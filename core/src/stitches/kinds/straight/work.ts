import { placesOf } from '../../../geometry/index.ts';
import { pathBy } from '../../kind.ts';
import { workStroke } from '../../shared/stroke.ts';
import { params } from './params.ts';

export const work = pathBy(params, ({ spots }, { lengthMm }, { angleRad }, sink) => {
  for (const [x, y] of placesOf(spots)) workStroke(x, y, lengthMm, angleRad, sink);
});
