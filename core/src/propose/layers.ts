import type { PlacedShape } from '../drawing/index.ts';
import { formatFine } from '../measure/index.ts';
import type { Sense } from './drawingSense.ts';
import type { Form } from './forms.ts';
import { TREATMENT } from './thresholds.ts';
import { layer, layered, type Proposal, type ProposalSettings } from './treatment.ts';
import * as say from './words.ts';

interface Given {
  readonly placed: PlacedShape;
  readonly form: Form;
  readonly sense: Sense;
  readonly settings: ProposalSettings;
}

/**
 * Satin with what a teacher would put under it: a firm line of split stitch where it stands before something and its edge must be
 * crisp; padding too, where work is rich.
 */
export function withEdge(satin: Proposal, { placed, form, sense, settings }: Given): Proposal {
  const { layers } = settings;
  const widthMm = form.widthMm || placed.meanWidthMm;
  const hasRoom = placed.areaMm2 >= TREATMENT.leastEdgedMm2 && placed.meanWidthMm >= TREATMENT.leastEdgedWidthMm;
  if (layers === 'plain' || !hasRoom) return satin;
  // A line that is worked along the edge keeps it crisp by itself.
  const isCrisp = !sense.isOutlined && (sense.standsBefore || form.kind === 'strip' || layers === 'rich');
  const edge = isCrisp
    ? [
        layer(
          'split',
          1,
          sense.standsBefore
            ? 'A firm line under its edge keeps it crisp against what lies behind.'
            : 'A firm line under its edge keeps it crisp.',
          { role: 'edge' },
        ),
      ]
    : [];
  const isPadded = layers === 'rich' && widthMm >= TREATMENT.leastPaddedMm && satin.pass.direction === 'straight';
  const padding = isPadded
    ? [
        layer('satin', satin.pass.strands, say.padding(formatFine(widthMm)), {
          role: 'padding',
          angleDeg: (satin.pass.angleDeg + 90) % 180,
        }),
      ]
    : [];
  return layered(satin, [...padding, ...edge]);
}

/** A leaf with its vein, where it is long enough for one. */
export function withVein(leaf: Proposal, { form, settings }: Given): Proposal {
  const leastMm = settings.layers === 'rich' ? TREATMENT.leastVeinedMm / 2 : TREATMENT.leastVeinedMm;
  if (settings.layers === 'plain' || form.lengthMm < leastMm) return leaf;
  const vein = layer('stem', 1, say.vein(formatFine(form.lengthMm)), {
    role: 'vein',
  });
  return layered(leaf, [], [vein]);
}
