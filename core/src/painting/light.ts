/** Light by the value of a channel (sRGB, IEC 61966-2-1), 0–1. */
export const LINEAR = Float32Array.from({ length: 256 }, (_, v) => {
  const share = v / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
});

/** The value of a channel by its light, 0–1. */
export function encoded(light: number): number {
  return light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055;
}

/** The light of a cell, red, green and blue from `at` on, by the weights of Rec. 709, 0–1. */
export function luminanceAt(rgb: Uint8Array, at: number): number {
  return 0.2126 * LINEAR[rgb[at]!]! + 0.7152 * LINEAR[rgb[at + 1]!]! + 0.0722 * LINEAR[rgb[at + 2]!]!;
}

/** The lightness of all cells, CIELAB L from 0 to 100. */
export function lightnessOfCells(rgb: Uint8Array): Float32Array {
  return Float32Array.from({ length: rgb.length / 3 }, (_, cell) => {
    const light = luminanceAt(rgb, 3 * cell);
    return light > 216 / 24389 ? 116 * Math.cbrt(light) - 16 : (light * 24389) / 27;
  });
}
