import { readSvg } from '@junctura/core/drawing';
import { flattenPath } from '@junctura/core/geometry';
import { SaxesParser } from 'saxes';
const paths = Array.from({ length: 2000 }, (_, i) => {
  const [x, y] = [(i % 50) * 8, Math.floor(i / 50) * 8];
  return `M${x} ${y}c2 -${3 + (i % 4)} 5 -3 6 0s-2 ${4 + (i % 3)} -5 4z`;
});
const body = paths.map((path, i) => `<g><path d="${path}" fill="#${(i % 10) * 111111 || '000000'}"/></g>`).join('\n');
const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="400mm" viewBox="0 0 400 400">${body}</svg>`;
for (let r = 0; r < 4; r++) {
  let t = performance.now();
  for (let i = 0; i < 8; i++) readSvg(svg, 'x', 'x');
  const a = (performance.now() - t) / 8;
  t = performance.now();
  for (let i = 0; i < 8; i++) {
    const p = new SaxesParser();
    let s = 0;
    p.on('opentag', () => s++);
    p.write(svg).close();
    for (const q of paths) s += flattenPath(q, 0.01).length;
  }
  const b = (performance.now() - t) / 8;
  console.log(a.toFixed(1), b.toFixed(1), (a / b).toFixed(2));
}
