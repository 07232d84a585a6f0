import { formatList } from '../../measure/index.ts';
import { escapedXml } from '../../drawing/index.ts';
import { pathData } from '../../geometry/index.ts';
import type { PageItem } from '../sheets.ts';
import type { Guide } from './guide.ts';
import { guideMap } from './guideMap.ts';
import { workingDrawing } from './workingDrawing.ts';
import * as say from '../words.ts';

const text = escapedXml;

/**
 * The guide as one page of HTML that stands alone: no script, nothing fetched, readable on a phone.
 * @param picture the stitched picture as a data address; null: none
 */
export function guideHtml(guide: Guide, picture: string | null): string {
  const { title, intro, materials, rows, stitches, cutting, thread, finishing, options } = guide;
  const map = guideMap(guide, { minX: 0, minY: 0, maxX: MAP_MM, maxY: MAP_MM });
  const list = (lines: readonly string[]): string =>
    `<ul>${lines.map((line) => `<li>${text(line)}</li>`).join('')}</ul>`;
  let sitting = 0;
  const table = rows.map((row) => {
    const head =
      row.sitting === sitting
        ? ''
        : `<tr class="sitting"><th colspan="8" scope="colgroup">${text(say.sittingN(row.sitting))}</th></tr>`;
    sitting = row.sitting;
    const name = say.rowName(row);
    return `${head}<tr><td>${row.step}</td><td><b>${row.number}</b></td><td>${text(name)}${row.because ? `<small>${text(row.because)}</small>` : ''}</td><td>${text(row.stitch)}</td><td>${bar(row.hex)}${text(row.colour)}</td><td>${row.strands}</td><td>${text(row.needle)}</td><td>${text(row.minutes)}</td></tr>`;
  });
  const drawings = stitches.map(
    ({ id, name, steps, start, end }) =>
      `<section class="stitch">${svgOf(workingDrawing(id, options.hand, 0, 0, 62, 34), 62, 34, name)}<div><h3>${text(name)}</h3><ol>${steps.map((step) => `<li>${text(step)}</li>`).join('')}</ol><p>${text(say.startWith(start))}</p><p>${text(say.endWith(end))}</p></div></section>`,
  );
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; img-src data:; style-src 'unsafe-inline'">
<title>${text(title)}</title>
<style>${STYLE}</style>
</head>
<body>
<h1>${text(title)}</h1>
${picture ? `<img class="piece" src="${picture}" alt="The piece as it will be">` : ''}
${intro.map((line) => `<p>${text(line)}</p>`).join('\n')}
<h2>${say.GUIDE.materials}</h2>
<table class="materials"><tbody>${materials.map(({ name, detail, amount, hex }) => `<tr><td>${hex ? bar(hex) : ''}${text(name)}</td><td>${text(detail)}</td><td>${text(amount)}</td></tr>`).join('')}</tbody></table>
<h2>${say.GUIDE.map}</h2>
${svgOf(map.items, MAP_MM, MAP_MM, 'The map, with the number of each part')}
${map.left.length > 0 ? `<p>${text(say.tooSmallToNumber(formatList(map.left)))}</p>` : ''}
<h2>${say.GUIDE.order}</h2>
<div class="wide"><table><thead><tr>${Object.values(say.COLUMN_NAMES)
    .map((name) => `<th scope="col">${name}</th>`)
    .join('')}</tr></thead><tbody>
${table.join('\n')}
</tbody></table></div>
<h2>${say.GUIDE.stitches}</h2>
<p>${text(say.drawingKey(options.hand))}</p>
${drawings.join('\n')}
<h2>${say.GUIDE.cutting}</h2>
${list(cutting)}
<h2>${say.GUIDE.thread}</h2>
${list(thread)}
<h2>${say.GUIDE.finishing}</h2>
<ol>${finishing.map(({ text: words, caution }) => `<li>${text(words)}${caution ? ` <small>${text(caution)}</small>` : ''}</li>`).join('')}</ol>
</body>
</html>
`;
}

const MAP_MM = 180;

const bar = (hex: string): string => `<i style="background:${text(hex)}"></i>`;

/** Strokes and letters of paper as a drawing in a page of HTML. */
function svgOf(items: readonly PageItem[], widthMm: number, heightMm: number, label: string): string {
  const grey = (value: number): string => `rgb(${[0, 1, 2].map(() => Math.round(value * 255)).join(' ')})`;
  const drawn = items.map((item) => {
    if (item.type === 'picture') return '';
    if (item.type === 'text') {
      const anchor = item.align === 'centre' ? 'middle' : 'start';
      return `<text x="${item.x.toFixed(2)}" y="${item.y.toFixed(2)}" font-size="${item.sizeMm}" text-anchor="${anchor}" fill="${grey(item.grey)}">${text(item.text)}</text>`;
    }
    const dash = item.dashMm === null ? '' : ` stroke-dasharray="${item.dashMm}"`;
    return `<path d="${pathData(item, 2)}" fill="none" stroke="${item.hex ?? grey(item.grey)}" stroke-width="${item.widthMm}" stroke-linecap="round" stroke-linejoin="round"${dash}/>`;
  });
  return `<svg viewBox="0 0 ${widthMm} ${heightMm}" role="img" aria-label="${text(label)}">${drawn.join('')}</svg>`;
}

const STYLE = `
body{font:17px/1.5 Georgia,serif;color:#202c4b;background:#fbf8f1;max-width:52rem;margin:0 auto;padding:1rem}
h1,h2,h3{line-height:1.2;font-weight:600}
h2{margin-top:2rem;border-bottom:1px solid #cfc5b1;padding-bottom:.2rem}
.piece{display:block;width:min(100%,24rem);margin:1rem auto;border-radius:50%}
svg{width:100%;background:#fff;border:1px solid #e4dccb}
table{border-collapse:collapse;width:100%;font-size:15px}
td,th{text-align:left;vertical-align:top;padding:.3rem .4rem;border-top:1px solid #e4dccb}
.sitting th{padding-top:1rem;font-size:17px}
small{display:block;color:#4d5570}
i{display:inline-block;width:1.6em;height:.55em;border-radius:.3em;margin-right:.4em;border:1px solid rgb(0 0 0/.2)}
.wide{overflow-x:auto}
.stitch{display:grid;grid-template-columns:minmax(0,15rem) 1fr;gap:1rem;margin:1rem 0}
.stitch h3{margin:0}
@media(max-width:40rem){.stitch{grid-template-columns:1fr}}
`.trim();
