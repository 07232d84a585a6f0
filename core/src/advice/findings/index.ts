import type { PlanInput } from '../../piece/index.ts';
import type { Memory } from '../../measure/index.ts';
import type { Pictures } from '../../painting/index.ts';
import type { Neighbours } from '../../propose/index.ts';
import type { Plan } from '../../thread/index.ts';
import type { Finding, FindingId, FindingKinds } from '../finding.ts';
import { coilFindings, COILS_KINDS } from './coils.ts';
import { clothColourFindings, COLOURS_KINDS, colourFindings } from './colours.ts';
import { EFFORT_KINDS, effortFindings } from './effort.ts';
import { FILLINGS_KINDS, fillingFindings } from './fillings.ts';
import { DRAWING_KINDS, drawingFindings } from './drawing.ts';
import { HOOP_KINDS, hoopFindings } from './hoop.ts';
import { joinedFindings, JOINED_KINDS } from './joined.ts';
import { closeFindings, MEETING_KINDS, neighbourFindings, twiceFindings } from './meeting.ts';
import { ORDER_KINDS, orderFindings } from './order.ts';
import { OWNED_KINDS } from './owned.ts';
import { PAINTING_KINDS, paintingFindings } from './painting.ts';
import { partFindings, PARTS_KINDS } from './parts.ts';
import { RECORD_KINDS } from './record.ts';
import { SCRAPS_KINDS, scrapFindings } from './scraps.ts';
import { TRANSFER_KINDS, transferFindings } from './transfer.ts';

/** Every kind of finding. One that is missing here does not compile. */
export const FINDINGS: FindingKinds = {
  ...DRAWING_KINDS,
  ...HOOP_KINDS,
  ...PARTS_KINDS,
  ...FILLINGS_KINDS,
  ...EFFORT_KINDS,
  ...MEETING_KINDS,
  ...COLOURS_KINDS,
  ...TRANSFER_KINDS,
  ...ORDER_KINDS,
  ...OWNED_KINDS,
  ...RECORD_KINDS,
  ...SCRAPS_KINDS,
  ...PAINTING_KINDS,
  ...COILS_KINDS,
  ...JOINED_KINDS,
};

/** What findings are made from, beside the piece and its plan. */
interface FoundBy {
  readonly neighbours: Neighbours;
  readonly pictures: Pictures;
  readonly memory: Memory;
}

/** Everything that a plan gives cause to say, worst first within a part. */
export function findAll(piece: PlanInput, plan: Plan, { neighbours, pictures, memory }: FoundBy): Finding[] {
  return [
    ...hoopFindings(piece, plan, memory),
    ...partFindings(piece, plan, memory),
    ...fillingFindings(piece, plan, memory),
    ...effortFindings(piece, plan),
    ...neighbourFindings(plan, neighbours),
    ...closeFindings(plan, memory),
    ...twiceFindings(plan, memory),
    ...coilFindings(plan),
    ...joinedFindings(piece, plan),
    ...scrapFindings(piece, plan, memory),
    ...paintingFindings(piece, plan, pictures),
    ...transferFindings(piece, plan),
    ...orderFindings(piece, plan),
    ...clothColourFindings(piece, plan, memory),
    ...colourFindings(piece, plan, memory),
    ...drawingFindings(piece, plan, memory),
  ];
}

/** What a design loses by being small or gains in length by being large. */
const OF_SIZE: ReadonlySet<FindingId> = new Set(['part-too-small', 'span-too-long', 'line-too-close']);

/** What there is to say of the size of a piece, and nothing else. */
export function findOfSize(piece: PlanInput, plan: Plan, memory: Memory): Finding[] {
  return [...partFindings(piece, plan, memory), ...closeFindings(plan, memory)].filter(({ id }) => OF_SIZE.has(id));
}
