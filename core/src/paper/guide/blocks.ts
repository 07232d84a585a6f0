import type { FinishPlan } from '../../finish/index.ts';
import type { UnitSystem } from '../../measure/index.ts';
import type { Piece } from '../../piece/index.ts';
import type { ColourNeed, Plan } from '../../thread/index.ts';
import type { PageItem } from '../sheets.ts';
import type { StepNote } from './stepNotes.ts';

/** Who a guide is for. */
export interface GuideOptions {
  readonly hand: 'right' | 'left';
  readonly units: UnitSystem;
}

/** A drawing in mm, from (0, 0). */
export interface Drawing {
  readonly items: readonly PageItem[];
  readonly widthMm: number;
  readonly heightMm: number;
}

/** A sample of thread: its colour, its letter, and its place among the threads, by which its dashes are told from others in black and white. */
export interface ThreadSample {
  readonly hex: string;
  readonly letter: string;
  readonly index: number;
}

export interface MaterialRow {
  readonly sample: ThreadSample | null;
  readonly name: string;
  readonly detail: string;
  readonly amount: string;
}

/** What a guide is made of, from top to bottom; paper and web page lay out the same. */
export type Block =
  | { readonly type: 'title'; readonly text: string }
  | { readonly type: 'picture' }
  | { readonly type: 'contents' }
  | { readonly type: 'heading'; readonly text: string }
  | { readonly type: 'subheading'; readonly text: string }
  | { readonly type: 'paragraph'; readonly text: string; readonly tone: 'plain' | 'small' | 'caution' }
  | { readonly type: 'list'; readonly items: readonly string[]; readonly isNumbered: boolean }
  | { readonly type: 'materials'; readonly rows: readonly MaterialRow[] }
  | { readonly type: 'drawing'; readonly drawing: Drawing; readonly label: string; readonly title: string | null }
  | StepBlock
  | {
      readonly type: 'stitch';
      readonly title: string;
      readonly drawing: Drawing;
      readonly steps: readonly string[];
      readonly notes: readonly string[];
    }
  | { readonly type: 'ticks'; readonly items: readonly string[] }
  | { readonly type: 'pattern'; readonly isMirrored: boolean }
  | { readonly type: 'templates'; readonly finish: FinishPlan };

export interface StepBlock {
  readonly type: 'step';
  /** Its number: of a step of the order `7`, of the finish `F2`. */
  readonly step: string;
  readonly title: string;
  readonly lines: readonly string[];
  readonly figures: readonly string[];
  readonly caution: string | null;
  readonly sample: ThreadSample | null;
  readonly drawing: Drawing | null;
}

/** All that a guide says; how it is laid out is another matter. */
export interface Guide {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly title: string;
  readonly notes: readonly StepNote[];
  readonly blocks: readonly Block[];
}

/** What every chapter is written from. */
export interface GuideContext {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly finish: FinishPlan;
  readonly options: GuideOptions;
  readonly notes: readonly StepNote[];
  readonly letters: ThreadLetters;
}

/** The letter of each thread of a plan. */
export interface ThreadLetters {
  /** The sample of a thread, by its colour and kind. @throws RangeError where nothing is worked in it */
  of(thread: Pick<ColourNeed, 'colour' | 'thread'>): ThreadSample;
}
