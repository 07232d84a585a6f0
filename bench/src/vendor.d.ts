declare module 'quantize' {
  export type RgbPixel = [red: number, green: number, blue: number];
  /** Reduces pixels to at most so many colours; false where there is nothing to reduce. */
  export default function quantize(pixels: RgbPixel[], count: number): false | { palette(): RgbPixel[] };
}
