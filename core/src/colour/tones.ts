import { modeOklab, modeRgb, useMode } from 'culori/fn';
import { hexOf } from './colours.ts';

const toRgb = useMode(modeRgb);
const toOklab = useMode(modeOklab);

/** The tones of a thread: `body` from turned away from the light to catching it, `edge` between threads, `glint` on top. */
export interface ThreadTones {
  readonly body: readonly string[];
  readonly edge: string;
  readonly glint: string;
}

/** How many tones a thread's body has. */
export const TONE_STEPS = 8;
/** From the darkest body tone to the lightest, in OKLab lightness, around the thread's own. */
const SHEEN = { below: 0.055, above: 0.075 } as const;
/** The share of that range that is left to what does not shine: its turned sides are darker all the same. */
const MATT = 0.45;

/**
 * @param hex the thread's colour
 * @param lustre how it shines: 1 as stranded cotton does, 0 not at all
 */
export function threadTones(hex: string, lustre = 1): ThreadTones {
  const base = toOklab(hex);
  if (!base) throw new RangeError(`threadTones: expected a colour such as #2b3a67, got '${hex}'`);
  const at = (l: number, chroma = 1): string => {
    const rgb = toRgb({ mode: 'oklab', l: Math.min(1, Math.max(0, l)), a: base.a * chroma, b: base.b * chroma });
    return hexOf(rgb.r, rgb.g, rgb.b);
  };
  // What is matt has its own shade still.
  const depth = MATT + (1 - MATT) * lustre;
  const body = Array.from({ length: TONE_STEPS }, (_, i) => {
    const share = i / (TONE_STEPS - 1);
    return at(base.l + depth * ((SHEEN.below + SHEEN.above) * share - SHEEN.below));
  });
  return { body, edge: at(base.l * 0.62, 0.9), glint: at(base.l + (1 - base.l) * Math.min(0.65, 0.42 * lustre), 0.75) };
}
