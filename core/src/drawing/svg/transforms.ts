import { compose, IDENTITY, type Matrix } from '../../geometry/index.ts';

const ITEM = /(matrix|translate|scale|rotate|skewX|skewY)\s*\(([^)]*)\)/g;

/** Reads a transform list; what is not one is the identity, as renderers have it. */
export function readTransform(text: string | undefined): Matrix {
  let result = IDENTITY;
  for (const [, name, args] of (text ?? '').matchAll(ITEM)) {
    const numbers = (args!.match(/[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?/gi) ?? []).map(Number);
    result = compose(result, oneTransform(name!, numbers));
  }
  return result;
}

function oneTransform(name: string, [a = 0, b, c, d, e, f]: number[]): Matrix {
  switch (name) {
    case 'matrix':
      return [a, b ?? 0, c ?? 0, d ?? 1, e ?? 0, f ?? 0];
    case 'translate':
      return [1, 0, 0, 1, a, b ?? 0];
    case 'scale':
      return [a, 0, 0, b ?? a, 0, 0];
    case 'rotate': {
      const turn: Matrix = [Math.cos(rad(a)), Math.sin(rad(a)), -Math.sin(rad(a)), Math.cos(rad(a)), 0, 0];
      const [x, y] = [b ?? 0, c ?? 0];
      return compose([1, 0, 0, 1, x, y], compose(turn, [1, 0, 0, 1, -x, -y]));
    }
    case 'skewX':
      return [1, 0, Math.tan(rad(a)), 1, 0, 0];
    default:
      return [1, Math.tan(rad(a)), 0, 1, 0, 0];
  }
}

function rad(degrees: number): number {
  return (degrees * Math.PI) / 180;
}

/** Fits a viewBox into a viewport as `preserveAspectRatio` says. */
export function viewBoxTransform(
  box: readonly [x: number, y: number, width: number, height: number],
  viewport: { x: number; y: number; width: number; height: number },
  preserve: string | undefined,
): Matrix {
  const [bx, by, bw, bh] = box;
  let sx = viewport.width / bw;
  let sy = viewport.height / bh;
  const [align = 'xMidYMid', fit = 'meet'] = (preserve ?? '').trim().split(/\s+/).filter(Boolean);
  if (align !== 'none') sx = sy = fit === 'slice' ? Math.max(sx, sy) : Math.min(sx, sy);
  const shift = (room: number, word: string): number =>
    align === 'none' || align.includes(`${word}Min`) ? 0 : align.includes(`${word}Max`) ? room : room / 2;
  const x = viewport.x + shift(viewport.width - bw * sx, 'x');
  const y = viewport.y + shift(viewport.height - bh * sy, 'Y');
  return [sx, 0, 0, sy, x - bx * sx, y - by * sy];
}
