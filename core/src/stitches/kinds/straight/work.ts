import { pathBy } from '../../kind.ts';
import { workStroke } from '../../shared/stroke.ts';
import { params } from './params.ts';

export const work = pathBy(params, ({ spots }, { lengthMm }, { angleRad }, sink) => {
  for (let i = 0; i < spots.length; i += 2) workStroke(spots[i]!, spots[i + 1]!, lengthMm, angleRad, sink);
});
