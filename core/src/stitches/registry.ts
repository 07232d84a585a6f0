import type { StitchKind } from './kind.ts';
import { back } from './kinds/back/index.ts';
import { backFill } from './kinds/back-fill/index.ts';
import { brick } from './kinds/brick/index.ts';
import { buttonhole } from './kinds/buttonhole/index.ts';
import { chain } from './kinds/chain/index.ts';
import { chainFill } from './kinds/chain-fill/index.ts';
import { colonial } from './kinds/colonial/index.ts';
import { coral } from './kinds/coral/index.ts';
import { couching } from './kinds/couching/index.ts';
import { detachedChain } from './kinds/detached-chain/index.ts';
import { feather } from './kinds/feather/index.ts';
import { flyColumn } from './kinds/fly-column/index.ts';
import { french } from './kinds/french/index.ts';
import { frenchFill } from './kinds/french-fill/index.ts';
import { longShort } from './kinds/long-short/index.ts';
import { running } from './kinds/running/index.ts';
import { runningFill } from './kinds/running-fill/index.ts';
import { satin } from './kinds/satin/index.ts';
import { satinSurface } from './kinds/satin-surface/index.ts';
import { seed } from './kinds/seed/index.ts';
import { split } from './kinds/split/index.ts';
import { splitFill } from './kinds/split-fill/index.ts';
import { star } from './kinds/star/index.ts';
import { stem } from './kinds/stem/index.ts';
import { stemFill } from './kinds/stem-fill/index.ts';

/** Every stitch that Junctura can work, in the order in which they are shown. */
export const STITCHES = [
  running,
  back,
  split,
  stem,
  chain,
  coral,
  couching,
  buttonhole,
  feather,
  flyColumn,
  satin,
  satinSurface,
  longShort,
  brick,
  splitFill,
  stemFill,
  backFill,
  chainFill,
  runningFill,
  seed,
  frenchFill,
  french,
  colonial,
  detachedChain,
  star,
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
