import type { StitchKind } from './kind.ts';
import { back } from './kinds/back/index.ts';
import { chain } from './kinds/chain/index.ts';
import { french } from './kinds/french/index.ts';
import { running } from './kinds/running/index.ts';
import { satin } from './kinds/satin/index.ts';
import { seed } from './kinds/seed/index.ts';
import { splitFill } from './kinds/split-fill/index.ts';
import { split } from './kinds/split/index.ts';
import { stem } from './kinds/stem/index.ts';

/** Every stitch that Junctura can work, in the order in which they are shown. */
export const STITCHES = [
  running,
  back,
  split,
  stem,
  chain,
  satin,
  splitFill,
  seed,
  french,
] as const satisfies readonly StitchKind[];

export type StitchId = (typeof STITCHES)[number]['id'];

const byId = new Map<string, StitchKind>(STITCHES.map((kind) => [kind.id, kind]));

export const STITCH_IDS = STITCHES.map((kind) => kind.id) as [StitchId, ...StitchId[]];

/** @throws RangeError where there is no such stitch; check what comes from outside with `isStitchId` */
export function stitchKind(id: StitchId): StitchKind {
  const kind = byId.get(id);
  if (!kind) throw new RangeError(`stitchKind: expected one of ${STITCH_IDS.join(', ')}, got '${id}'`);
  return kind;
}

export function isStitchId(id: string): id is StitchId {
  return byId.has(id);
}
