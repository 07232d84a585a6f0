/** The light in which a piece is seen. It comes from the upper left, whatever it is. */
export const LIGHT_X = -0.55;
export const LIGHT_Y = -0.83;

export interface Light {
  /** How far shade falls, in heights of what throws it: further where the light is low. */
  readonly reach: number;
  /** What it leaves of the whole picture, beside the lamp and far from it; null: all, everywhere. */
  readonly falloff: readonly [near: string, far: string] | null;
}

export const DAYLIGHT: Light = { reach: 1, falloff: null };
/** A lamp stands low on the table at the upper left: long shade, a warm pool of light. */
export const LAMPLIGHT: Light = { reach: 2.4, falloff: ['#fffdf8', '#b8a78f'] };
