import type { PlacedShape } from '../drawing/index.ts';
import type { Part } from '../piece/index.ts';
import { stitchKind, type StitchId } from '../stitches/index.ts';
import type { Direction } from './direction.ts';
import { SPAN_LIMIT_MM, TREATMENT, WORN_USES } from './thresholds.ts';
import { alone, type Proposal, type ProposalSettings } from './treatment.ts';
import * as say from './words.ts';

/** An area whose filling is suggested, with what is suggested for it alone. */
export interface SuggestedArea {
  /** The way that satin lies best on it, and how long its spans are then. */
  readonly satin: () => Direction;
  readonly part: Pick<Part, 'name'>;
  readonly placed: PlacedShape;
  readonly offers: readonly Proposal[];
}

/** Rows of a line stitch can take any area that is wide enough for two of them. */
const ROWS: ReadonlySet<StitchId> = new Set(['split-fill', 'stem-fill', 'chain-fill']);
/** What is smooth looks alike, however it is laid: its halves, padded or with a tie. */
const SMOOTH: ReadonlySet<StitchId> = new Set(['satin', 'satin-padded', 'satin-leaf']);

/**
 * The suggestions for an area so that all areas of its colour have one texture: that of the largest of them, wherever it is allowed.
 * @param leader the largest area of its colour
 */
export function inTexture(own: SuggestedArea, leader: SuggestedArea, settings: ProposalSettings): readonly Proposal[] {
  const [first, lead] = [own.offers[0], leader.offers[0]];
  if (!first || !lead || stitchKind(first.pass.stitch).worksOn !== 'area') return own.offers;
  const wanted = lead.pass.stitch;
  if (first.pass.stitch === wanted || (SMOOTH.has(wanted) && SMOOTH.has(first.pass.stitch))) return own.offers;
  const offered = own.offers.find(({ pass }) => pass.stitch === wanted);
  if (offered) return [told(offered, leader), ...own.offers.filter((offer) => offer !== offered)];
  const laid = asLaid(lead, first, own, settings);
  return laid ? [told(laid, leader), ...own.offers] : own.offers;
}

/** The leader's filling in another area, as it lies there; null where that can't be worked in it. */
function asLaid(
  { pass }: Proposal,
  { pass: own }: Proposal,
  { placed, satin }: SuggestedArea,
  settings: ProposalSettings,
): Proposal | null {
  const like = { ...pass, strands: Math.min(pass.strands, own.strands), points: [] };
  if (ROWS.has(pass.stitch)) {
    if (placed.meanWidthMm < TREATMENT.shortestSatinMm) return null;
    const follows = own.direction === 'along' || own.direction === 'outline' ? own.direction : null;
    const direction = follows ?? (pass.direction === 'outline' ? 'outline' : 'straight');
    const angleDeg = (satin().angleDeg + 90) % 180;
    return alone({ ...like, direction, angleDeg });
  }
  if (!SMOOTH.has(pass.stitch)) return null;
  const { angleDeg, spanMm } = satin();
  const limitMm = WORN_USES.has(settings.use)
    ? TREATMENT.wornSatinMm
    : Math.min(SPAN_LIMIT_MM[settings.use], TREATMENT.easySatinMm * TREATMENT.play);
  return spanMm >= TREATMENT.shortestSatinMm && spanMm <= limitMm
    ? alone({ ...like, stitch: 'satin', params: {}, direction: 'straight', angleDeg })
    : null;
}

function told(offer: Proposal, { part }: SuggestedArea): Proposal {
  const reason = say.oneTexture(part.name);
  const pass = { ...offer.pass, reason };
  return { layers: offer.layers.map((layer) => (layer === offer.pass ? pass : layer)), pass, reason };
}
