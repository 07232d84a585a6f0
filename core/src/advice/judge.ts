import type { Piece } from '../piece/index.ts';
import type { Finding, FindingKind, FindingId, FindingStep, Severity } from './finding.ts';
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
