import type { Edit, Piece } from '../piece/index.ts';
import { Memory } from '../measure/index.ts';
import type { Plan } from '../thread/index.ts';
import type { Case, Finding, FindingRemedies, Offer } from './finding.ts';
import { COILS_REMEDIES } from './findings/coils.ts';
import { JOINED_REMEDIES } from './findings/joined.ts';
import { COLOURS_REMEDIES } from './findings/colours.ts';
import { DRAWING_REMEDIES } from './findings/drawing.ts';
import { EFFORT_REMEDIES } from './findings/effort.ts';
import { FILLINGS_REMEDIES } from './findings/fillings.ts';
import { HOOP_REMEDIES } from './findings/hoop.ts';
import { LEAVE_OUT } from './findings/onParts.ts';
import { MEETING_REMEDIES } from './findings/meeting.ts';
import { ORDER_REMEDIES } from './findings/order.ts';
import { PARTS_REMEDIES } from './findings/parts.ts';
import { SCRAPS_REMEDIES } from './findings/scraps.ts';
import { TRANSFER_REMEDIES } from './findings/transfer.ts';

/** What can be done about findings. */
export const REMEDIES: FindingRemedies = {
  ...DRAWING_REMEDIES,
  ...HOOP_REMEDIES,
  ...PARTS_REMEDIES,
  ...FILLINGS_REMEDIES,
  ...EFFORT_REMEDIES,
  ...MEETING_REMEDIES,
  ...COILS_REMEDIES,
  ...JOINED_REMEDIES,
  ...COLOURS_REMEDIES,
  ...SCRAPS_REMEDIES,
  ...TRANSFER_REMEDIES,
  ...ORDER_REMEDIES,
};

/** What can be done about a finding, in one action that can be undone. */
export interface Remedy {
  readonly label: string;
  readonly edit: Edit;
}

/** What can be done about a finding, computed for the piece as it is: what a teacher would do first comes first, leaving a part out last. */
export function remediesFor(piece: Piece, plan: Plan, finding: Finding, memory = new Memory()): Remedy[] {
  const remedies = REMEDIES[finding.id] as ((of: Case) => Offer[]) | undefined;
  const offers = remedies?.({ piece, plan, finding, memory } as Case) ?? [];
  const found = offers.flatMap(([label, edit]) => (edit ? [{ label, edit }] : []));
  const isLast = ({ label }: Remedy): boolean => label === LEAVE_OUT;
  return [...found.filter((remedy) => !isLast(remedy)), ...found.filter(isLast)];
}
