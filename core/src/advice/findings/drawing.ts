import type { Finding, FindingKinds } from '../finding.ts';
import type { PlanInput } from '../../piece/index.ts';

/** What was in the file of the drawing and could not be read. */
export function drawingFindings({ drawing }: PlanInput): Finding[] {
  return drawing.notes.map((note) => ({ id: 'not-read', part: null, figures: { note } }));
}

/** What is said of it. */
export const DRAWING_KINDS = {
  'not-read': {
    step: 'drawing',
    severity: 'note',
    say: ({ note }) => note,
    why: 'It was in the file that you brought in.',
  },
} satisfies Partial<FindingKinds>;
