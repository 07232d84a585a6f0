import { roundTo, type Memory } from '../measure/index.ts';
import type { Edit, Piece } from '../piece/index.ts';
import type { RuleId } from '../order/index.ts';
import type { Plan } from '../thread/index.ts';
import type { PlannedPart } from '../work/index.ts';

/** What each finding tells, by its id. Lengths are mm, angles degrees, differences of colour ΔE2000, as a person reads them: rounded. */
export interface FiguresOf {
  'outside-hoop': { readonly overMm: number; readonly innerMm: number };
  'drawn-twice': { readonly other: string; readonly otherId: string; readonly percent: number };
  'drawn-wider': { readonly drawnMm: number; readonly coverMm: number; readonly percent: number };
  'needle-eye': { readonly needle: string; readonly bundleMm: number };
  'knot-size': { readonly knotMm: number; readonly acrossMm: number };
  'near-ring': { readonly clearMm: number; readonly wantedMm: number; readonly raised?: 1 };
  grain: { readonly offDeg: number };
  warp: { readonly share: number; readonly uprightMm: number; readonly acrossMm: number };
  crushed: { readonly workedIn: number; readonly crushedBy: number };
  'line-too-close': {
    readonly other: string;
    readonly otherId: string;
    readonly gapMm: number;
    readonly laidMm: number;
  };
  'direction-vanishes': { readonly other: string; readonly apartDeg: number };
  "can't-trace":
    | { readonly mark: string; readonly cloth: string; readonly grams: number; readonly lost?: undefined }
    | {
        readonly mark: string;
        readonly lineMm: number;
        /** Parts that are lost in the line, and the narrowest of them. */
        readonly lost: number;
        readonly narrowestMm: number;
      };
  'scrap-frays': { readonly use: string };
  'scrap-small': { readonly acrossMm: number; readonly leastMm: number };
  'scrap-stretches': { readonly cloth: string };
  'scrap-layers': { readonly layersMm: number; readonly mostMm: number };
  'scrap-hidden': { readonly whole: true };
  joined: { readonly laidMm: number; readonly heldMm: number; readonly lengths: number };
  'coils-meet': { readonly crossings: number; readonly pressed: number; readonly thickMm: number };
  'picture-gone': { readonly shades: number };
  'picture-beside': { readonly percent: number };
  'fades-first': { readonly mark: string; readonly day: number; readonly staysDays: number };
  'heat-sets': { readonly mark: string; readonly cloth: string };
  'water-spoils': { readonly mark: string; readonly spoilt: string };
  'part-too-small':
    | { readonly widestMm: number; readonly lengthMm?: undefined; readonly wantedMm: number }
    | { readonly lengthMm: number; readonly widestMm?: undefined; readonly wantedMm: number };
  'line-not-covered': { readonly coverMm: number; readonly markMm: number; readonly strands: number };
  'span-too-long': { readonly stitch: string; readonly spanMm: number; readonly limitMm: number };
  'span-too-short': { readonly spanMm: number; readonly leastMm: number };
  'cloth-shows': { readonly spacingMm: number; readonly laidMm: number };
  'too-many-shades': { readonly shades: number; readonly room: number; readonly spanMm: number };
  'guide-outside': { readonly outside: number };
  'too-large-for-direction': { readonly areaCm2: number; readonly mostCm2: number };
  'too-many-strands':
    | { readonly radiusMm: number; readonly widthMm?: undefined; readonly laidMm: number }
    | { readonly widthMm: number; readonly radiusMm?: undefined; readonly laidMm: number };
  snags: { readonly stitch: string };
  'needle-hole': { readonly shaftMm: number; readonly cloth: string };
  pull: { readonly stitch: string; readonly cloth: string };
  'dense-on-dense': { readonly other: string; readonly otherId: string; readonly sharedMm2: number };
  'carried-within': { readonly stitch: string; readonly carriedMm: number; readonly ends: number };
  'corner-gapes': { readonly stitch: string; readonly gapMm: number; readonly laidMm: number };
  'one-shade': { readonly stitch: string };
  'too-much': {
    readonly hours: number;
    readonly hoopMm: number;
    readonly usualHours: number;
    readonly heaviest: string;
    readonly partHours: number;
  };
  /** `a` is its id in the palette. */
  'lost-in-cloth': {
    readonly colour: string;
    readonly a: string;
    readonly difference: number;
    readonly ground: 'cloth' | 'scrap' | 'print';
  };
  'too-alike': {
    readonly colour: string;
    readonly other: string;
    /** Ids in the palette. */
    readonly a: string;
    readonly b: string;
    readonly difference: number;
    readonly lightness: number;
    readonly ladder?: 1;
  };
  'lots-mixed': {
    readonly colour: string;
    readonly a: string;
    readonly b: string;
    readonly lot: string;
    readonly otherLot: string;
  };
  'blend-strands': { readonly colour: string; readonly a: string; readonly strands: number };
  'may-run': { readonly colours: string };
  confusable: {
    readonly a: string;
    readonly b: string;
    readonly kind: 'red and green' | 'blue and yellow';
    readonly pairs: number;
  };
  'runs-out': {
    readonly colour: string;
    readonly ownedM: number;
    readonly needM: number;
    readonly percent: number;
  };
  'too-large': { readonly names: string; readonly count: number; readonly mostMm: number };
  'too-many-stitches': {
    readonly names: string;
    readonly count: number;
    readonly thousands: number;
    readonly mostThousands: number;
  };
  /** What went wrong, in the words of what failed. */
  'not-worked': { readonly reason: string };
  'all-hidden': { readonly names: string; readonly count: number };
  'no-stitches': { readonly stitch: string };
  'before-behind': { readonly rule: RuleId; readonly early: string; readonly late: string; readonly lateId: string };
  'rules-circle': { readonly rule: RuleId; readonly early: string; readonly late: string; readonly count: number };
  'sitting-long': { readonly sitting: number; readonly minutes: number; readonly wantedMin: number };
  carried: { readonly longestMm: number; readonly allowedMm: number; readonly cloth: string };
  'needle-count': { readonly missing: number };
  'hoop-left': { readonly since: string; readonly mostDays: number; readonly cloth: string };
  'not-read': { readonly note: string };
}

/** The id of the other part where it is the part itself. */
export const OWN = '';

export type FindingId = keyof FiguresOf;

/** Something worth a look. The sentence is made of the figures elsewhere. */
export type Finding<Id extends FindingId = FindingId> = {
  readonly [Each in Id]: { readonly id: Each; readonly part: string | null; readonly figures: FiguresOf[Each] };
}[Id];

export type Severity = 'stop' | 'warn' | 'note';
/** The step of the work at which a finding is best looked at. */
export type FindingStep =
  'drawing' | 'hoop' | 'stitches' | 'colours' | 'thread' | 'transfer' | 'order' | 'at-the-hoop' | 'finish';

/** A remedy that may turn out not to be one: null where it would change nothing. */
export type Offer = readonly [label: string, edit: Edit | null];

/** A finding about a piece as it is planned. */
export interface Case<Id extends FindingId = FindingId> {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly finding: Finding<Id>;
  readonly memory: Memory;
}

/** A case that is about one part. */
export interface PartCase {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly planned: PlannedPart;
}

/** What a kind of finding is: where it is looked at, and how bad it is. Its sentences stand in `words.ts`. */
export interface FindingKind<Id extends FindingId> {
  readonly step: FindingStep;
  readonly severity: Severity | ((figures: FiguresOf[Id]) => Severity);
}

export type FindingKinds = { readonly [Id in FindingId]: FindingKind<Id> };
/** What can be done about findings, for those about which anything can. */
export type FindingRemedies = { readonly [Id in FindingId]?: (of: Case<Id>) => Offer[] };

/** A figure as a finding tells it: to the hundredth, so that an accepted one stays accepted. */
export function hundredths(value: number): number {
  return roundTo(value, 2);
}
