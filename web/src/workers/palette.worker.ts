import { coloursOfPicture } from '@junctura/core/colour';
import { success } from '@junctura/core/measure';
import { drawnSmall, openPicture, pixelsOf } from './openPicture.ts';
import type { PaletteReply, PaletteRequest } from './paletteMessages.ts';

/** The picture that is looked at is no larger than this. */
const SHOWN_PX = 720;

async function answer({ file, colours }: PaletteRequest): Promise<PaletteReply> {
  const opened = await openPicture(file);
  if (!opened.ok) return opened;
  const whole = pixelsOf(drawnSmall(opened.value, Infinity));
  return success({
    colours: coloursOfPicture(whole, colours),
    small: pixelsOf(drawnSmall(opened.value, SHOWN_PX)),
  });
}

self.onmessage = async ({ data }: MessageEvent<PaletteRequest>) => self.postMessage(await answer(data));
