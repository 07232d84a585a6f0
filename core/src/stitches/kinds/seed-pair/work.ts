import { placesOf } from '../../../geometry/index.ts';
import { pathBy } from '../../kind.ts';
import { workStroke } from '../../shared/stroke.ts';
import { params } from './params.ts';

export const work = pathBy(params, ({ spots }, { lengthMm, apartMm }, { angleRad }, sink) => {
  const [nx, ny] = [(Math.sin(angleRad) * apartMm) / 2, (Math.cos(angleRad) * apartMm) / 2];
  for (const [x, y] of placesOf(spots)) {
    workStroke(x - nx, y - ny, lengthMm, angleRad, sink);
    workStroke(x + nx, y + ny, lengthMm, angleRad, sink);
  }
});
