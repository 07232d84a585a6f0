import type { Pass } from '../piece/index.ts';
import { stitchKind, type ChoiceParam, type NumberParam, type StitchId } from '../stitches/index.ts';
import type { Proposal } from './treatment.ts';

/** A layer in another stitch, and what became of what the person had set. */
export interface ChangedStitch {
  readonly pass: Pass;
  /** The labels of what is kept, and of what the new stitch has no use for. */
  readonly kept: readonly string[];
  readonly dropped: readonly string[];
}

/** Fillings that are worked along their shape, where nothing else is suggested: satin and its kin lie across. */
const WORKED_ALONG: ReadonlySet<StitchId> = new Set(['long-short']);
const DIRECTION = 'Direction';

/**
 * A layer in another stitch: it lies as that stitch lies, and keeps what the person set of the last one where the new one has the same.
 * What was suggested with the last stitch is left behind without a word.
 * @param proposals how its part is best worked
 */
export function changeStitch(
  pass: Pass,
  stitch: StitchId,
  proposals: readonly Pick<Proposal, 'pass'>[],
): ChangedStitch {
  if (stitch === pass.stitch) return { pass, kept: [], dropped: [] };
  const suggestedFor = (id: StitchId): Pass | undefined =>
    pass.role === 'filling' ? proposals.find((offer) => offer.pass.stitch === id)?.pass : undefined;
  const [before, after] = [suggestedFor(pass.stitch), suggestedFor(stitch)];
  const [old, table] = [stitchKind(pass.stitch).params, stitchKind(stitch).params];
  const params: Record<string, number | string> = {};
  const [kept, dropped]: [string[], string[]] = [[], []];
  for (const [key, value] of Object.entries(pass.params)) {
    if (before?.params[key] === value) continue;
    const label = old[key]?.label ?? key;
    if (takes(table[key], value)) {
      params[key] = value;
      kept.push(label);
    } else dropped.push(label);
  }
  const way = { direction: pass.direction, angleDeg: pass.angleDeg, points: pass.points };
  const usual = usualWay(stitch, after);
  const isHers = pass.role === 'filling' && isOwnWay(pass, usualWay(pass.stitch, before), before);
  const keepsWay = isHers && stitchKind(stitch).hasDirection && canLie(stitch, pass.direction);
  if (isHers) (keepsWay ? kept : dropped).push(DIRECTION);
  const next: Pass = { ...pass, stitch, params: { ...after?.params, ...params }, second: null };
  if (pass.role !== 'filling') return { pass: { ...next, angleDeg: null }, kept, dropped };
  return { pass: { ...next, ...(keepsWay ? way : usual) }, kept, dropped };
}

/** How the stitches of a filling lie where the person says nothing. */
function usualWay(stitch: StitchId, suggested: Pass | undefined): Pick<Pass, 'direction' | 'angleDeg' | 'points'> {
  if (suggested) return { direction: suggested.direction, angleDeg: null, points: suggested.points };
  return { direction: WORKED_ALONG.has(stitch) ? 'along' : 'straight', angleDeg: null, points: [] };
}

/** Whether the person turned the stitches, or had them lie in another way than is usual. */
function isOwnWay(pass: Pass, usual: Pick<Pass, 'direction'>, suggested: Pass | undefined): boolean {
  if (!stitchKind(pass.stitch).hasDirection) return false;
  if (pass.direction !== 'straight') return pass.direction !== usual.direction;
  return pass.angleDeg !== null && pass.angleDeg !== suggested?.angleDeg;
}

function canLie(stitch: StitchId, direction: Pass['direction']): boolean {
  return direction !== 'outline' || stitchKind(stitch).canFollowOutline;
}

/** Whether a parameter can be given a value. */
function takes(param: NumberParam | ChoiceParam | undefined, value: number | string): boolean {
  if (!param) return false;
  if (param.type === 'choice') return param.options.some((option) => option.value === value);
  return typeof value === 'number' && value >= param.min && value <= param.max;
}
