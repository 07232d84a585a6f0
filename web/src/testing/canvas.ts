import { createCanvas, DOMMatrix, type Canvas } from '@napi-rs/canvas';

/** What a browser has and Node.js lacks: a canvas off the page. */
function OffscreenCanvas(width: number, height: number): Canvas {
  return createCanvas(width, height);
}

/** Lets code that paints off the page run without a browser. */
export function withCanvas(): void {
  Object.assign(globalThis, { OffscreenCanvas, DOMMatrix });
  if (typeof HTMLCanvasElement === 'undefined') return;
  const canvases = new WeakMap<HTMLCanvasElement, Canvas>();
  HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement) {
    const { width, height } = this;
    const known = canvases.get(this);
    const canvas = known?.width === width && known.height === height ? known : createCanvas(width, height);
    canvases.set(this, canvas);
    return canvas.getContext('2d');
  } as unknown as HTMLCanvasElement['getContext'];
}
