import type { StitchWork } from './kind.ts';
import { work as back } from './kinds/back/work.ts';
import { work as backFill } from './kinds/back-fill/work.ts';
import { work as blockShading } from './kinds/block-shading/work.ts';
import { work as brick } from './kinds/brick/work.ts';
import { work as bullion } from './kinds/bullion/work.ts';
import { work as buttonhole } from './kinds/buttonhole/work.ts';
import { work as buttonholeWheel } from './kinds/buttonhole-wheel/work.ts';
import { work as cableChain } from './kinds/cable-chain/work.ts';
import { work as cablePlait } from './kinds/cable-plait/work.ts';
import { work as chain } from './kinds/chain/work.ts';
import { work as chainFill } from './kinds/chain-fill/work.ts';
import { work as colonial } from './kinds/colonial/work.ts';
import { work as colonialFill } from './kinds/colonial-fill/work.ts';
import { work as coral } from './kinds/coral/work.ts';
import { work as couchedFill } from './kinds/couched-fill/work.ts';
import { work as couching } from './kinds/couching/work.ts';
import { work as daisyRing } from './kinds/daisy-ring/work.ts';
import { work as detachedChain } from './kinds/detached-chain/work.ts';
import { work as detachedChainFill } from './kinds/detached-chain-fill/work.ts';
import { work as feather } from './kinds/feather/work.ts';
import { work as flyColumn } from './kinds/fly-column/work.ts';
import { work as flyLeaf } from './kinds/fly-leaf/work.ts';
import { work as french } from './kinds/french/work.ts';
import { work as frenchFill } from './kinds/french-fill/work.ts';
import { work as longArmFeather } from './kinds/long-arm-feather/work.ts';
import { work as longShort } from './kinds/long-short/work.ts';
import { work as needlePainting } from './kinds/needle-painting/work.ts';
import { work as overcast } from './kinds/overcast/work.ts';
import { work as palestrina } from './kinds/palestrina/work.ts';
import { work as pekingese } from './kinds/pekingese/work.ts';
import { work as romanian } from './kinds/romanian/work.ts';
import { work as running } from './kinds/running/work.ts';
import { work as runningFill } from './kinds/running-fill/work.ts';
import { work as satin } from './kinds/satin/work.ts';
import { work as satinLeaf } from './kinds/satin-leaf/work.ts';
import { work as satinPadded } from './kinds/satin-padded/work.ts';
import { work as satinSurface } from './kinds/satin-surface/work.ts';
import { work as seed } from './kinds/seed/work.ts';
import { work as seedPair } from './kinds/seed-pair/work.ts';
import { work as split } from './kinds/split/work.ts';
import { work as splitBack } from './kinds/split-back/work.ts';
import { work as splitFill } from './kinds/split-fill/work.ts';
import { work as star } from './kinds/star/work.ts';
import { work as stem } from './kinds/stem/work.ts';
import { work as stemFill } from './kinds/stem-fill/work.ts';
import { work as straight } from './kinds/straight/work.ts';
import { work as whippedBack } from './kinds/whipped-back/work.ts';
import { work as herringbone } from './kinds/herringbone/work.ts';
import { work as closedHerringbone } from './kinds/closed-herringbone/work.ts';
import { work as crossRow } from './kinds/cross-row/work.ts';
import { work as thorn } from './kinds/thorn/work.ts';
import { work as tiedArc } from './kinds/tied-arc/work.ts';
import { work as fly } from './kinds/fly/work.ts';
import { work as wovenFill } from './kinds/woven-fill/work.ts';
import { work as latticeFill } from './kinds/lattice-fill/work.ts';
import { work as cutPile } from './kinds/cut-pile/work.ts';
import { work as wovenWheel } from './kinds/woven-wheel/work.ts';
import type { StitchId } from './registry.ts';

/**
 * The rule by which each stitch is worked, by its id; one that is missing does not compile. It stands apart from what stitches say of themselves:
 * whoever only lists stitches or checks a file does not carry every path along.
 */
export const PATHS: Readonly<Record<StitchId, StitchWork>> = {
  back: back,
  'back-fill': backFill,
  'block-shading': blockShading,
  brick: brick,
  bullion: bullion,
  buttonhole: buttonhole,
  'buttonhole-wheel': buttonholeWheel,
  'cable-chain': cableChain,
  'cable-plait': cablePlait,
  chain: chain,
  'chain-fill': chainFill,
  colonial: colonial,
  'colonial-fill': colonialFill,
  coral: coral,
  'couched-fill': couchedFill,
  couching: couching,
  'daisy-ring': daisyRing,
  'detached-chain': detachedChain,
  'detached-chain-fill': detachedChainFill,
  feather: feather,
  'fly-column': flyColumn,
  'fly-leaf': flyLeaf,
  french: french,
  'french-fill': frenchFill,
  'long-arm-feather': longArmFeather,
  'long-short': longShort,
  'needle-painting': needlePainting,
  overcast: overcast,
  palestrina: palestrina,
  pekingese: pekingese,
  romanian: romanian,
  running: running,
  'running-fill': runningFill,
  satin: satin,
  'satin-leaf': satinLeaf,
  'satin-padded': satinPadded,
  'satin-surface': satinSurface,
  seed: seed,
  'seed-pair': seedPair,
  split: split,
  'split-back': splitBack,
  'split-fill': splitFill,
  star: star,
  stem: stem,
  'stem-fill': stemFill,
  straight: straight,
  'whipped-back': whippedBack,
  herringbone: herringbone,
  'closed-herringbone': closedHerringbone,
  'cross-row': crossRow,
  thorn: thorn,
  'tied-arc': tiedArc,
  fly: fly,
  'woven-fill': wovenFill,
  'lattice-fill': latticeFill,
  'cut-pile': cutPile,
  'woven-wheel': wovenWheel,
};
