import type { Scrap } from '../piece/index.ts';
import { WORN_USES } from './thresholds.ts';
import { alone, bySchool, layer, useText, type Proposal, type ProposalSettings } from './treatment.ts';
import * as say from './words.ts';

/** How high stitches stand over a turned edge, mm: half of it on the scrap, half on the cloth. */
const WHIPPED_MM = 2;
/** Close enough to hold what frays, mm. */
const CLOSE_MM = 1.5;

/** How a scrap is worked down: inside a raw edge, or over a turned one. */
export function scrapProposals({ edge }: Scrap, { strands: school, use }: ProposalSettings): Proposal[] {
  const strands = bySchool(2, school);
  const whipped = alone(
    layer('overcast', 1, 'Whipped down over its turned edge, small and close: it lies flat and hardly shows.', {
      role: 'outline',
      params: { heightMm: WHIPPED_MM, pitchMm: 2 * CLOSE_MM },
    }),
  );
  const buttonhole = alone(
    layer('buttonhole', strands, say.scrapButtonhole(useText(use)), {
      role: 'outline',
      params: { heightMm: 3, pitchMm: CLOSE_MM },
    }),
  );
  const running = alone(
    layer('running', strands, 'Running stitches 2 mm inside its raw edge: quick, and the edge may fray a little.', {
      role: 'edge',
    }),
  );
  if (edge === 'turned') return [whipped, buttonhole];
  return WORN_USES.has(use) ? [buttonhole, running] : [running, buttonhole];
}
