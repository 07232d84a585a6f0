import { lookUp } from '../measure/index.ts';
import type { StitchKind } from './kind.ts';
import { back } from './kinds/back/index.ts';
import { backFill } from './kinds/back-fill/index.ts';
import { blockShading } from './kinds/block-shading/index.ts';
import { brick } from './kinds/brick/index.ts';
import { bullion } from './kinds/bullion/index.ts';
import { buttonhole } from './kinds/buttonhole/index.ts';
import { buttonholeWheel } from './kinds/buttonhole-wheel/index.ts';
import { cableChain } from './kinds/cable-chain/index.ts';
import { cablePlait } from './kinds/cable-plait/index.ts';
import { chain } from './kinds/chain/index.ts';
import { chainFill } from './kinds/chain-fill/index.ts';
import { closedHerringbone } from './kinds/closed-herringbone/index.ts';
import { colonial } from './kinds/colonial/index.ts';
import { colonialFill } from './kinds/colonial-fill/index.ts';
import { coral } from './kinds/coral/index.ts';
import { couchedFill } from './kinds/couched-fill/index.ts';
import { couching } from './kinds/couching/index.ts';
import { crossRow } from './kinds/cross-row/index.ts';
import { cutPile } from './kinds/cut-pile/index.ts';
import { daisyRing } from './kinds/daisy-ring/index.ts';
import { detachedChain } from './kinds/detached-chain/index.ts';
import { detachedChainFill } from './kinds/detached-chain-fill/index.ts';
import { feather } from './kinds/feather/index.ts';
import { fly } from './kinds/fly/index.ts';
import { flyColumn } from './kinds/fly-column/index.ts';
import { flyLeaf } from './kinds/fly-leaf/index.ts';
import { french } from './kinds/french/index.ts';
import { frenchFill } from './kinds/french-fill/index.ts';
import { herringbone } from './kinds/herringbone/index.ts';
import { latticeFill } from './kinds/lattice-fill/index.ts';
import { longArmFeather } from './kinds/long-arm-feather/index.ts';
import { longShort } from './kinds/long-short/index.ts';
import { needlePainting } from './kinds/needle-painting/index.ts';
import { overcast } from './kinds/overcast/index.ts';
import { palestrina } from './kinds/palestrina/index.ts';
import { pekingese } from './kinds/pekingese/index.ts';
import { romanian } from './kinds/romanian/index.ts';
import { running } from './kinds/running/index.ts';
import { runningFill } from './kinds/running-fill/index.ts';
import { satin } from './kinds/satin/index.ts';
import { satinLeaf } from './kinds/satin-leaf/index.ts';
import { satinPadded } from './kinds/satin-padded/index.ts';
import { satinSurface } from './kinds/satin-surface/index.ts';
import { seed } from './kinds/seed/index.ts';
import { seedPair } from './kinds/seed-pair/index.ts';
import { split } from './kinds/split/index.ts';
import { splitBack } from './kinds/split-back/index.ts';
import { splitFill } from './kinds/split-fill/index.ts';
import { star } from './kinds/star/index.ts';
import { stem } from './kinds/stem/index.ts';
import { stemFill } from './kinds/stem-fill/index.ts';
import { straight } from './kinds/straight/index.ts';
import { thorn } from './kinds/thorn/index.ts';
import { tiedArc } from './kinds/tied-arc/index.ts';
import { whippedBack } from './kinds/whipped-back/index.ts';
import { wovenFill } from './kinds/woven-fill/index.ts';
import { wovenWheel } from './kinds/woven-wheel/index.ts';

/** Every stitch that Junctura can work, in the order in which they are shown. */
export const STITCHES = [
  running,
  back,
  split,
  splitBack,
  stem,
  whippedBack,
  pekingese,
  chain,
  cableChain,
  coral,
  palestrina,
  cablePlait,
  couching,
  buttonhole,
  overcast,
  feather,
  longArmFeather,
  flyColumn,
  herringbone,
  closedHerringbone,
  crossRow,
  thorn,
  tiedArc,
  satin,
  satinSurface,
  satinLeaf,
  satinPadded,
  blockShading,
  longShort,
  needlePainting,
  brick,
  splitFill,
  stemFill,
  backFill,
  chainFill,
  runningFill,
  seed,
  romanian,
  flyLeaf,
  detachedChainFill,
  couchedFill,
  wovenFill,
  latticeFill,
  cutPile,
  frenchFill,
  colonialFill,
  french,
  colonial,
  bullion,
  detachedChain,
  fly,
  straight,
  star,
  seedPair,
  wovenWheel,
  buttonholeWheel,
  daisyRing,
] as const satisfies readonly StitchKind[];

export type StitchId = (typeof STITCHES)[number]['id'];

export const STITCH_IDS = STITCHES.map((kind) => kind.id) as [StitchId, ...StitchId[]];

/** What a stitch says of itself. @throws RangeError where there is no such stitch; check what comes from outside with `isStitchId` */
export const stitchKind = lookUp<StitchKind & { readonly id: StitchId }>(STITCHES);

const known = new Set<string>(STITCH_IDS);

export function isStitchId(id: string): id is StitchId {
  return known.has(id);
}
