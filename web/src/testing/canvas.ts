import { createCanvas, DOMMatrix, type Canvas } from '@napi-rs/canvas';

/** What a browser has and Node.js lacks: a canvas off the page. */
function OffscreenCanvas(width: number, height: number): Canvas {
  return createCanvas(width, height);
}

/** Lets code that paints off the page run without a browser. */
export function withCanvas(): void {
  Object.assign(globalThis, { OffscreenCanvas, DOMMatrix });
}
