import type { Piece } from '../piece/index.ts';
import type { Plan } from '../thread/index.ts';
import type { Edit } from '../piece/index.ts';
import type { Case, Finding, FindingKind, FindingId, FindingStep, Severity } from './finding.ts';
import { FINDINGS } from './findings/index.ts';

/** The kind of a finding. What the one says of itself fits the other: both are known by the same id. */
function kindOf(finding: Finding): FindingKind<FindingId> {
  return FINDINGS[finding.id] as unknown as FindingKind<FindingId>;
}

export function severityOf(finding: Finding): Severity {
  const { severity } = kindOf(finding);
  return typeof severity === 'function' ? severity(finding.figures) : severity;
}

/** The sentence of a finding. */
export function sayFinding(finding: Finding): string {
  return kindOf(finding).say(finding.figures);
}

/** Why a finding matters. */
export function whyOf(finding: Finding): string {
  return kindOf(finding).why;
}

/** The step at which a finding is best looked at. */
export function stepOf(finding: Finding): FindingStep {
  return kindOf(finding).step;
}

/** What can be done about a finding, in one action that can be undone. */
export interface Remedy {
  readonly label: string;
  readonly edit: Edit;
}

/** What can be done about a finding, computed for the piece as it is. */
export function remediesFor(piece: Piece, plan: Plan, finding: Finding): Remedy[] {
  const offers = kindOf(finding).remedies?.({ piece, plan, finding } as Case) ?? [];
  return offers.flatMap(([label, edit]) => (edit ? [{ label, edit }] : []));
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
