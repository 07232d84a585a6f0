/** The colours of the motifs: few, so that one thread serves several of them. */
export const C = {
  leaf: '#5f7d3f',
  moss: '#8a9a4a',
  pine: '#2f5a46',
  stem: '#6f7f45',
  madder: '#a8323a',
  rose: '#cf6f7c',
  blush: '#e9b5ae',
  weld: '#d9a92e',
  butter: '#ecd489',
  amber: '#c9752b',
  bark: '#6e4a30',
  fawn: '#b58a5c',
  indigo: '#27406b',
  sky: '#6f9cc0',
  pale: '#b9d0dd',
  plum: '#6b3f66',
  lilac: '#a78bb8',
  slate: '#59636b',
  ink: '#2b2f36',
  cream: '#f3ead6',
} as const;

/** A drawing of 100 × 100, and the words by which it is found. */
export interface Motif {
  readonly id: string;
  readonly name: string;
  readonly kind: 'Plants' | 'Animals' | 'Food' | 'Weather' | 'Things' | 'Frames';
  readonly words: readonly string[];
  /** What is drawn, in the elements of an SVG drawing. */
  readonly body: string;
}

type Attributes = Readonly<Record<string, string | number>>;
const attributes = (all: Attributes): string =>
  Object.entries(all)
    .map(([key, value]) => ` ${key}="${value}"`)
    .join('');
const n = (value: number): string => String(Math.round(value * 100) / 100);

export const area = (d: string, fill: string, more: Attributes = {}): string =>
  `<path d="${d}" fill="${fill}"${attributes(more)}/>`;
export const disc = (x: number, y: number, r: number, fill: string): string =>
  `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="${fill}"/>`;
export const oval = (x: number, y: number, rx: number, ry: number, fill: string, turnDeg = 0): string =>
  `<ellipse cx="${n(x)}" cy="${n(y)}" rx="${n(rx)}" ry="${n(ry)}" fill="${fill}"${turnDeg ? ` transform="rotate(${n(turnDeg)} ${n(x)} ${n(y)})"` : ''}/>`;
export const line = (d: string, stroke: string, width = 1.2): string =>
  `<path d="${d}" fill="none" stroke="${stroke}" stroke-width="${width}" stroke-linecap="round"/>`;

/** A leaf or petal from one point to another, as broad as a share of its length. */
export function leaf(x: number, y: number, toX: number, toY: number, broad: number, fill: string): string {
  const [dx, dy] = [toX - x, toY - y];
  const [sx, sy] = [-dy * broad, dx * broad];
  const [ax, ay] = [x + dx * 0.3, y + dy * 0.3];
  const [bx, by] = [x + dx * 0.75, y + dy * 0.75];
  return area(
    `M${n(x)} ${n(y)}C${n(ax + sx)} ${n(ay + sy)} ${n(bx + sx)} ${n(by + sy)} ${n(toX)} ${n(toY)}C${n(bx - sx)} ${n(by - sy)} ${n(ax - sx)} ${n(ay - sy)} ${n(x)} ${n(y)}Z`,
    fill,
  );
}

/** Petals round a middle. */
export function petals(
  x: number,
  y: number,
  count: number,
  from: number,
  to: number,
  broad: number,
  fill: string,
  startDeg = -90,
): string {
  return Array.from({ length: count }, (_, i) => {
    const angle = ((startDeg + (360 * i) / count) * Math.PI) / 180;
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    return leaf(x + from * cos, y + from * sin, x + to * cos, y + to * sin, broad, fill);
  }).join('');
}

/** Something again, mirrored left to right about the middle of the drawing. */
export const mirrored = (body: string): string => `${body}<g transform="translate(100 0) scale(-1 1)">${body}</g>`;

/** Things at even places round a circle, each turned with it. */
export function round(count: number, radius: number, thing: string, startDeg = 0): string {
  return Array.from(
    { length: count },
    (_, i) =>
      `<g transform="translate(50 50) rotate(${n(startDeg + (360 * i) / count)}) translate(0 ${-radius})">${thing}</g>`,
  ).join('');
}
