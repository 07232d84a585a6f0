import { isAccepted, type Workings } from '@junctura/core/advice';
import { formatDuration, formatThread, type UnitSystem, plural } from '@junctura/core/measure';
import type { Piece } from '@junctura/core/piece';
import * as say from './words.ts';

/** The figures along the bottom. */
export interface Tally {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly parts: number;
  readonly stitches: number;
  readonly hours: { readonly p10: number; readonly p50: number; readonly p90: number };
  readonly threadMm: number;
  /** Skeins that are not owned and still to buy. */
  readonly skeins: number;
  /** How often a needle is threaded, and what is cut off the skeins for that, m. */
  readonly loads: number;
  readonly cutM: number;
  readonly findings: number;
}

/** @param skeins how many are still to buy */
export function tallyOf(piece: Piece, { plan, findings }: Workings, skeins: number): Tally {
  return {
    widthMm: plan.design.widthMm,
    heightMm: plan.design.heightMm,
    parts: plan.parts.length,
    stitches: plan.totals.stitches,
    hours: plan.totals.hours,
    threadMm: plan.totals.threadMm,
    skeins,
    loads: plan.colours.reduce((sum, { loads }) => sum + loads, 0),
    cutM: plan.colours.reduce((sum, { wholeM }) => sum + wholeM, 0),
    findings: findings.filter((finding) => !isAccepted(piece, finding)).length,
  };
}

/** Less thread cut or saved than this is not told, m. */
const LEAST_CUT_M = 0.25;

/** What a change made of the figures, in words: `+1.4 m`, `−25 min`, `2 findings fewer`. */
export function differences(before: Tally, after: Tally, units: UnitSystem): string[] {
  const said: string[] = [];
  const thread = after.threadMm - before.threadMm;
  const hours = after.hours.p50 - before.hours.p50;
  const counts: [value: number, one: string, other: string][] = [
    [after.stitches - before.stitches, 'stitch', 'stitches'],
    [after.parts - before.parts, 'part', 'parts'],
    [after.skeins - before.skeins, 'skein to buy', 'skeins to buy'],
    [after.loads - before.loads, 'needleful', 'needlefuls'],
  ];
  if (Math.abs(thread) >= 50) said.push(say.signed(thread, formatThread(Math.abs(thread), units)));
  if (Math.abs(hours) * 60 >= 1) said.push(say.signed(hours, formatDuration(Math.abs(hours))));
  for (const [value, one, other] of counts) {
    if (value !== 0) said.push(say.signed(value, plural(Math.abs(value), one, other)));
  }
  const cutM = after.cutM - before.cutM;
  if (Math.abs(cutM) >= LEAST_CUT_M) said.push(say.toCut(cutM, formatThread(Math.abs(cutM) * 1000, units)));
  const findings = after.findings - before.findings;
  if (findings !== 0) said.push(say.checksChanged(findings));
  return said;
}
