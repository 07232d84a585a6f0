import { pathBy } from '../../kind.ts';
import { workStroke } from '../../shared/stroke.ts';
import { params } from './params.ts';

export const work = pathBy(params, ({ spots }, { lengthMm, apartMm }, { angleRad }, sink) => {
  const [nx, ny] = [(Math.sin(angleRad) * apartMm) / 2, (Math.cos(angleRad) * apartMm) / 2];
  for (let i = 0; i < spots.length; i += 2) {
    workStroke(spots[i]! - nx, spots[i + 1]! - ny, lengthMm, angleRad, sink);
    workStroke(spots[i]! + nx, spots[i + 1]! + ny, lengthMm, angleRad, sink);
  }
});
