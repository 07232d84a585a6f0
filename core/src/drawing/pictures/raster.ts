/** A picture as it comes from a decoder: rows from the top, four bytes a pixel (red, green, blue, alpha). */
export interface Raster {
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray;
}

/** Larger pictures are refused: 40 megapixels. */
export const MOST_PIXELS = 40_000_000;

/** A picture over white, made smaller by the mean of what falls on each pixel, so that its longest side keeps within a limit. */
export function shrunk({ width, height, rgba }: Raster, longestPx: number): Raster {
  const factor = Math.max(1, Math.max(width, height) / longestPx);
  const [w, h] = [Math.max(1, Math.round(width / factor)), Math.max(1, Math.round(height / factor))];
  const out = new Uint8ClampedArray(w * h * 4);
  for (let y = 0; y < h; y++) {
    const [top, bottom] = span(y, h, height);
    for (let x = 0; x < w; x++) {
      const [left, right] = span(x, w, width);
      let [red, green, blue] = [0, 0, 0];
      for (let v = top; v < bottom; v++) {
        for (let u = left; u < right; u++) {
          const at = (v * width + u) * 4;
          const alpha = rgba[at + 3]! / 255;
          red += rgba[at]! * alpha + 255 * (1 - alpha);
          green += rgba[at + 1]! * alpha + 255 * (1 - alpha);
          blue += rgba[at + 2]! * alpha + 255 * (1 - alpha);
        }
      }
      const count = (bottom - top) * (right - left);
      const at = (y * w + x) * 4;
      out[at] = red / count;
      out[at + 1] = green / count;
      out[at + 2] = blue / count;
      out[at + 3] = 255;
    }
  }
  return { width: w, height: h, rgba: out };
}

function span(i: number, count: number, size: number): [from: number, to: number] {
  const from = Math.floor((i * size) / count);
  return [from, Math.max(from + 1, Math.floor(((i + 1) * size) / count))];
}

/** The lightness of every pixel, 0 to 255, by the weights of Rec. 709. */
export function greyOf({ width, height, rgba }: Raster): Float32Array {
  return Float32Array.from(
    { length: width * height },
    (_, i) => 0.2126 * rgba[4 * i]! + 0.7152 * rgba[4 * i + 1]! + 0.0722 * rgba[4 * i + 2]!,
  );
}

/** Pixels that differ by more than this in all channels together belong to different things. */
const EDGE = 70;

/** A picture with its noise evened out: each pixel is the mean of those about it that are like it, so edges stay sharp. */
export function calmed({ width, height, rgba }: Raster): Raster {
  const out = Uint8ClampedArray.from(rgba);
  for (let y = 1; y < height - 1; y++) {
    for (let x = 1; x < width - 1; x++) {
      const at = (y * width + x) * 4;
      let [red, green, blue, count] = [0, 0, 0, 0];
      for (let k = 0; k < 9; k++) {
        const other = at + ((((k / 3) | 0) - 1) * width + (k % 3) - 1) * 4;
        const apart =
          Math.abs(rgba[other]! - rgba[at]!) +
          Math.abs(rgba[other + 1]! - rgba[at + 1]!) +
          Math.abs(rgba[other + 2]! - rgba[at + 2]!);
        if (apart > EDGE) continue;
        red += rgba[other]!;
        green += rgba[other + 1]!;
        blue += rgba[other + 2]!;
        count++;
      }
      out[at] = red / count;
      out[at + 1] = green / count;
      out[at + 2] = blue / count;
    }
  }
  return { width, height, rgba: out };
}
