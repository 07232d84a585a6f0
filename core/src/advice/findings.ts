import type { Piece } from '../piece/index.ts';
import type { Plan } from '../plan/index.ts';
import { clothColourFindings, colourFindings } from './colourFindings.ts';
import type { Finding, FindingId } from './finding.ts';
import { hoopFindings } from './hoopFindings.ts';
import { closeFindings, neighbourFindings } from './meetingFindings.ts';
import type { Neighbours } from './neighbours.ts';
import { partFindings } from './partFindings.ts';
import { transferFindings } from './transferFindings.ts';

/** Everything that a plan gives cause to say, worst first within a part. */
export function findAll(piece: Piece, plan: Plan, neighbours: Neighbours): Finding[] {
  const notes = piece.drawing.notes.map((note): Finding => ({ id: 'not-read', part: null, figures: { note } }));
  return [
    ...hoopFindings(piece, plan),
    ...partFindings(piece, plan),
    ...neighbourFindings(plan, neighbours),
    ...closeFindings(plan),
    ...transferFindings(piece, plan),
    ...clothColourFindings(piece, plan),
    ...colourFindings(piece, plan),
    ...notes,
  ];
}

/** What a design loses by being small or gains in length by being large. */
const OF_SIZE: ReadonlySet<FindingId> = new Set(['part-too-small', 'span-too-long', 'line-too-close']);

/** What there is to say of the size of a piece, and nothing else. */
export function findOfSize(piece: Piece, plan: Plan): Finding[] {
  return [...partFindings(piece, plan), ...closeFindings(plan)].filter(({ id }) => OF_SIZE.has(id));
}

/** Whether the person has said of this finding, with these figures, that they know. */
export function isAccepted(piece: Piece, finding: Finding): boolean {
  const figures = figuresKey(finding);
  return piece.accepted.some(
    (entry) => entry.finding === finding.id && entry.part === finding.part && entry.figures === figures,
  );
}

/** Figures as one text: when they change, an accepted finding is open again. */
export function figuresKey({ figures }: Finding): string {
  return JSON.stringify(figures);
}
