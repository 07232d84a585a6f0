import type { Cloth, Mark } from '../materials/index.ts';

/** Reasons that are told by the mark and the cloth alone. */
export type PlainCode =
  | 'not-through'
  | 'not-seen'
  | 'by-window'
  | 'by-light-box'
  | 'nothing-to-trace'
  | 'line-covered'
  | 'line-stays-in-view'
  | 'line-must-come-out'
  | 'detail-lost'
  | 'soils'
  | 'stays'
  | 'stays-long-enough'
  | 'washed-anyway'
  | 'heat-spoils'
  | 'uncovered-stays'
  | 'sewn-twice'
  | 'tacked'
  | 'comes-printed'
  | 'is-printed'
  | 'one-try'
  | 'holds-knit'
  | 'drags-knit';

/** Why a way of marking fits a piece, or does not: a code with what its sentence tells. */
export type WayReason =
  | { readonly code: PlainCode; readonly mark: Mark; readonly cloth: Cloth }
  | { readonly code: 'fades'; readonly parts: number }
  | { readonly code: 'water-spoils'; readonly spoilt: string }
  | { readonly code: 'may-run'; readonly colours: readonly string[] };
