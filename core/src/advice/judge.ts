import type { Piece } from '../piece/index.ts';
import type { Finding, FindingKind, FindingId, FindingStep, Severity } from './finding.ts';
import { FINDINGS } from './findings/index.ts';
import { FINDING_WORDS, type FindingWords } from './words.ts';

/** The kind of a finding. Both are known by the same id. */
function kindOf(finding: Finding): FindingKind<FindingId> {
  return FINDINGS[finding.id] as unknown as FindingKind<FindingId>;
}

export function severityOf(finding: Finding): Severity {
  const { severity } = kindOf(finding);
  return typeof severity === 'function' ? severity(finding.figures) : severity;
}

/** What is said of a finding: both are known by the same id. */
function wordsOf(finding: Finding): FindingWords<FindingId> {
  return FINDING_WORDS[finding.id] as unknown as FindingWords<FindingId>;
}

/**
 * The sentence of a finding.
 * @param part the name of the part that it is about; empty where it is about the whole piece
 */
export function sayFinding(finding: Finding, part: string): string {
  return wordsOf(finding).say(finding.figures, part);
}

/** Why a finding matters. */
export function whyOf(finding: Finding): string {
  const { why } = wordsOf(finding);
  return typeof why === 'function' ? why(finding.figures) : why;
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
