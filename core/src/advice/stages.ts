import type { AnyStage } from '../measure/index.ts';
import {
  CUT_SHAPE,
  MIDDLE_AS_CUT,
  MIDDLE_ON_CLOTH,
  PATH_REACH,
  SHAPE_ON_CLOTH,
  WHOLE_SHAPE,
} from '../drawing/index.ts';
import { GROWN_AT_FIRST, WORKED_AREA } from '../finish/index.ts';
import { BOUNDS_SHARE, GAP_BETWEEN, HOLDING, PORTIONS, SOLVED_ORDER, ZONES } from '../order/index.ts';
import { COLOUR_TABLE, GROUND_BELOW, LIE_OF_PICTURE, PICTURE_FIELD } from '../painting/index.ts';
import { COLOUR_NAME } from '../piece/index.ts';
import {
  LINE_BENDS,
  LINES_THAT_TOUCH,
  MIRROR_LINE,
  OUTLINED,
  PROPOSALS,
  SATIN_DIRECTION,
  TOUCHING,
} from '../propose/index.ts';
import { CLEAR_IN_HOOP, COUNTED_LOADS, EXTENT, RISING_FACTORS } from '../thread/index.ts';
import { COARSE_PAINTING, LONGEST_FRONT_RUN, WHOLE_REGION, WORKED_PASS } from '../work/index.ts';
import { NARROWEST_GAP, OWN_GAP, TOO_CLOSE } from './closeness.ts';
import { MEETING } from './colourPairs.ts';
import { SHARED_AREA, WIDEST_FAN } from './findings/fillings.ts';
import { SHARED_LINE } from './findings/meeting.ts';

/** Everything that a planner remembers, each with the fields that it is made from. */
export const STAGES: readonly AnyStage[] = [
  PATH_REACH,
  WHOLE_SHAPE,
  CUT_SHAPE,
  SHAPE_ON_CLOTH,
  MIDDLE_AS_CUT,
  MIDDLE_ON_CLOTH,
  LINE_BENDS,
  OUTLINED,
  SATIN_DIRECTION,
  TOUCHING,
  LINES_THAT_TOUCH,
  MIRROR_LINE,
  PROPOSALS,
  WHOLE_REGION,
  GROUND_BELOW,
  COLOUR_TABLE,
  LIE_OF_PICTURE,
  PICTURE_FIELD,
  COARSE_PAINTING,
  WORKED_PASS,
  LONGEST_FRONT_RUN,
  ZONES,
  HOLDING,
  PORTIONS,
  GAP_BETWEEN,
  BOUNDS_SHARE,
  SOLVED_ORDER,
  COLOUR_NAME,
  COUNTED_LOADS,
  RISING_FACTORS,
  EXTENT,
  CLEAR_IN_HOOP,
  NARROWEST_GAP,
  OWN_GAP,
  TOO_CLOSE,
  MEETING,
  SHARED_LINE,
  SHARED_AREA,
  WIDEST_FAN,
  WORKED_AREA,
  GROWN_AT_FIRST,
];
