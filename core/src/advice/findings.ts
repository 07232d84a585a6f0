import type { PlanInput, Piece } from '../piece/index.ts';
import type { Neighbours } from '../propose/index.ts';
import type { Plan } from '../thread/index.ts';
import { clothColourFindings, colourFindings } from './colourFindings.ts';
import type { Finding, FindingId } from './finding.ts';
import { hoopFindings } from './hoopFindings.ts';
import { closeFindings, neighbourFindings } from './meetingFindings.ts';
import { partFindings } from './partFindings.ts';
import { transferFindings } from './transferFindings.ts';

/** Everything that a plan gives cause to say, worst first within a part. */
export function findAll(piece: PlanInput, plan: Plan, neighbours: Neighbours): Finding[] {
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
export function findOfSize(piece: PlanInput, plan: Plan): Finding[] {
  return [...partFindings(piece, plan), ...closeFindings(plan)].filter(({ id }) => OF_SIZE.has(id));
}

/** Whether the person has said of this finding, with these figures, that they know. */
export function isAccepted({ accepted }: Pick<Piece, 'accepted'>, finding: Finding): boolean {
  const figures = figuresKey(finding);
  return accepted.some(
    (entry) => entry.finding === finding.id && entry.part === finding.part && entry.figures === figures,
  );
}

/** Figures as one text: when they change, an accepted finding is open again. */
export function figuresKey({ figures }: Finding): string {
  return JSON.stringify(figures);
}
