import type { Memory } from '../../measure/index.ts';
import { fitToHoop, isTooLarge, LARGEST_PART_MM } from '../../drawing/index.ts';
import { plainHoop, setHoop, type Part, type PlanInput } from '../../piece/index.ts';
import type { Plan } from '../../thread/index.ts';
import { beyondBudget, MOST_STITCHES, roughStitches } from '../../work/index.ts';
import { leftOut, onPart } from './onParts.ts';
import type { Case, Finding, FindingKinds, FindingRemedies, Offer } from '../finding.ts';
import * as say from '../words.ts';

/** What was in the file of the drawing and could not be read, and what of it is beyond any hoop piece. */
export function drawingFindings({ drawing, placement }: PlanInput, { parts }: Plan, memory: Memory): Finding[] {
  const found: Finding[] = drawing.notes.map((note) => ({ id: 'not-read', part: null, figures: { note } }));
  const large = drawing.parts.filter((part) => part.shown && isTooLarge(part, placement, memory));
  if (large.length > 0) {
    const figures = { names: named(large), count: large.length, mostMm: LARGEST_PART_MM };
    found.push({ id: 'too-large', part: large.length === 1 ? large[0]!.id : null, figures });
  }
  const shapes = parts.map(({ placed }) => placed);
  const beyond = [...beyondBudget(shapes)];
  if (beyond.length > 0) {
    const stitches = beyond.reduce((sum, i) => sum + roughStitches(shapes[i]!), 0);
    const figures = {
      names: named(beyond.map((i) => parts[i]!.part)),
      count: beyond.length,
      thousands: Math.round(stitches / 1000),
      mostThousands: MOST_STITCHES / 1000,
    };
    found.push({ id: 'too-many-stitches', part: beyond.length === 1 ? parts[beyond[0]!]!.part.id : null, figures });
  }
  for (const { part, fault } of parts) {
    if (fault !== null) found.push({ id: 'not-worked', part: part.id, figures: { reason: fault } });
  }
  return found;
}

/** The most parts that are named. */
const MOST_NAMED = 3;

function named(parts: readonly Part[]): string {
  const names = parts.slice(0, MOST_NAMED).map(({ name }) => name);
  return say.partNames(names, parts.length - names.length);
}

/** Where each is looked at, and how bad it is. */
export const DRAWING_KINDS = {
  'not-read': { step: 'drawing', severity: 'note' },
  'too-large': { step: 'drawing', severity: 'stop' },
  'too-many-stitches': { step: 'drawing', severity: 'stop' },
  'not-worked': { step: 'stitches', severity: 'stop' },
} satisfies Partial<FindingKinds>;

/** The hoop that a design which is far too large is fitted to. */
const USUAL_HOOP_MM = 150;

function smaller({ piece }: Pick<Case, 'piece'>): Offer[] {
  const hoop = piece.hoop ?? plainHoop(USUAL_HOOP_MM, 12);
  return [['Fit to the hoop', setHoop(piece, hoop, fitToHoop(piece, hoop), 'Fit to the hoop')]];
}

/** What can be done about each, worked out only when it is asked for. */
export const DRAWING_REMEDIES = {
  'too-large': smaller,
  'too-many-stitches': smaller,
  'not-worked': (of) => onPart(of, (part) => [leftOut(part)]),
} satisfies Partial<FindingRemedies>;
