import { failure } from '@junctura/core/measure';
import type { PaletteReply, PaletteRequest } from './paletteMessages.ts';

/** Reads the colours of a picture in a worker of its own; stopped, it answers with null. */
export function readPalette(file: Blob, colours: number): { done: Promise<PaletteReply | null>; stop: () => void } {
  const worker = new Worker(new URL('./palette.worker.ts', import.meta.url), { type: 'module' });
  let giveUp: () => void = () => undefined;
  const done = new Promise<PaletteReply | null>((resolve) => {
    giveUp = () => resolve(null);
    worker.onmessage = ({ data }: MessageEvent<PaletteReply>) => resolve(data);
    worker.onerror = () => resolve(failure('it needs more memory than there is.'));
    worker.postMessage({ file, colours } satisfies PaletteRequest);
  });
  void done.then(() => worker.terminate());
  return { done, stop: giveUp };
}
