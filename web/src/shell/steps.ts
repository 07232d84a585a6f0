import type { FindingStep } from '@junctura/core/advice';
import { type Component } from 'vue';
import type { HoopShows } from '../hoop/useHoopPointer.ts';
import { comesLater } from '../ui/comesLater.ts';

/** A step of the work: a mark on the tape, a card at the side, what the hoop shows meanwhile. */
export interface Step {
  readonly id: FindingStep;
  readonly name: string;
  readonly shows: HoopShows;
  /** With a colour picked, the hoop shows the thread of that colour alone. */
  readonly isByColour: boolean;
  /** Its card becomes that of a part that is picked. */
  readonly isByPart?: true;
  readonly card: Component;
  /** What stands below the hoop meanwhile, if anything. */
  readonly belowHoop?: Component;
}

/** The steps of the work, in the order in which people take them, like marks on a tape. Keys, tape, addresses and cards are read off this list. */
export const STEPS: readonly Step[] = [
  {
    id: 'drawing',
    name: 'Drawing',
    shows: 'drawing',
    isByColour: false,
    isByPart: true,
    card: comesLater(() => import('../features/drawing/DrawingStep.vue')),
  },
  {
    id: 'hoop',
    name: 'Hoop',
    shows: 'fit',
    isByColour: false,
    card: comesLater(() => import('../features/hoop-and-size/HoopStep.vue')),
  },
  {
    id: 'stitches',
    name: 'Stitches',
    shows: 'stitches',
    isByColour: false,
    isByPart: true,
    card: comesLater(() => import('../features/stitches/StitchesStep.vue')),
  },
  {
    id: 'colours',
    name: 'Colours',
    shows: 'stitches',
    isByColour: true,
    card: comesLater(() => import('../features/colours/ColoursStep.vue')),
  },
  {
    id: 'thread',
    name: 'Thread',
    shows: 'stitches',
    isByColour: true,
    card: comesLater(() => import('../features/thread/ThreadStep.vue')),
  },
  {
    id: 'transfer',
    name: 'Transfer',
    shows: 'lines',
    isByColour: false,
    card: comesLater(() => import('../features/transfer/TransferStep.vue')),
  },
  {
    id: 'order',
    name: 'Order',
    shows: 'order',
    isByColour: false,
    card: comesLater(() => import('../features/order/OrderStep.vue')),
    belowHoop: comesLater(() => import('../features/order/WorkPlayer.vue')),
  },
  {
    id: 'at-the-hoop',
    name: 'At the hoop',
    shows: 'work',
    isByColour: false,
    card: comesLater(() => import('../features/at-the-hoop/HoopStep.vue')),
  },
  {
    id: 'finish',
    name: 'Finish',
    shows: 'finished',
    isByColour: false,
    card: comesLater(() => import('../features/finish/FinishStep.vue')),
  },
];

export type StepId = Step['id'];

/** A step by its id; the first where there is none of it. */
export function stepOfId(id: string): Step {
  return STEPS.find((step) => step.id === id) ?? STEPS[0]!;
}
