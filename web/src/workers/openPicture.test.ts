import { afterEach, expect, it, vi } from 'vitest';
import { openPicture, statedPixels } from './openPicture.ts';

/** The head of a PNG of a size: its signature and its first chunk. Source: PNG specification, 5.2 and 11.2.1. */
function pngHead(width: number, height: number): Blob {
  const head = new DataView(new ArrayBuffer(45));
  [0x89504e47, 0x0d0a1a0a, 13, 0x49484452, width, height].forEach((value, i) => head.setUint32(4 * i, value));
  head.setUint8(24, 8);
  return new Blob([head.buffer], { type: 'image/png' });
}

afterEach(() => void vi.unstubAllGlobals());

it('a picture that no browser opens is too large where it says so, else damaged', async () => {
  vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error('InvalidStateError')));
  expect(await statedPixels(pngHead(60_000, 60_000))).toBe(3.6e9);
  expect(await openPicture(pngHead(60_000, 60_000))).toMatchObject({
    problem: 'the picture has 3,600 megapixels; up to 40 can be read. Make it smaller.',
  });
  expect(await openPicture(pngHead(600, 400))).toMatchObject({ problem: expect.stringContaining('damaged') });
  expect(await openPicture(new Blob(['no picture']))).toMatchObject({ problem: expect.stringContaining('damaged') });
});
