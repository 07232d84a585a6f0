import { escapedXml } from '../../drawing/index.ts';
import { boxOf, pathData } from '../../geometry/index.ts';
import type { Template } from '../../finish/index.ts';
import type { PageItem } from '../sheets.ts';
import { artwork, WHOLE_PATTERN } from '../patternPages.ts';
import { templateInks, templateKey } from '../templatePages.ts';
import type { Artwork } from '../tiles.ts';
import type { Block, Drawing, Guide, ThreadSample } from './blocks.ts';
import { sampleItems } from './sampleItems.ts';
import * as say from './words.ts';

const text = escapedXml;

/**
 * The guide as one page of HTML that stands alone: no script, nothing fetched, readable on a phone, and printed without a heading alone at a
 * page's foot. Every step is an `<li data-step>`; its place on the map and its picture carry the same number.
 * @param picture the stitched picture as a data address; null: none
 */
export function guideHtml(guide: Guide, picture: string | null): string {
  const { title, blocks } = guide;
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
<main>
${grouped(blocks)
  .map((group) => groupHtml(group, guide, picture))
  .join('\n')}
</main>
</body>
</html>
`;
}

/** Steps one after the other are one list; every other block stands for itself. */
function grouped(blocks: readonly Block[]): (readonly Block[])[] {
  const groups: Block[][] = [];
  for (const block of blocks) {
    const last = groups.at(-1);
    if (block.type === 'step' && last?.[0]?.type === 'step') last.push(block);
    else groups.push([block]);
  }
  return groups;
}

function groupHtml(group: readonly Block[], guide: Guide, picture: string | null): string {
  const [first] = group;
  return first!.type === 'step'
    ? `<ol class="steps">${group.map((block) => stepHtml(block)).join('\n')}</ol>`
    : blockHtml(first!, guide, picture);
}

const anchor = (heading: string): string => heading.toLowerCase().replace(/[^a-z]+/g, '-');
const paragraphs = (lines: readonly string[]): string => lines.map((line) => `<p>${text(line)}</p>`).join('');
const listOf = (tag: 'ul' | 'ol', items: readonly string[], kind = ''): string =>
  `<${tag}${kind === '' ? '' : ` class="${kind}"`}>${items.map((item) => `<li>${text(item)}</li>`).join('')}</${tag}>`;

function blockHtml(block: Block, guide: Guide, picture: string | null): string {
  switch (block.type) {
    case 'title':
      return `<h1>${text(block.text)}</h1>`;
    case 'picture':
      return picture ? `<img class="piece" src="${picture}" alt="${text(say.PICTURE)}">` : '';
    case 'contents': {
      const links = guide.blocks.flatMap((one) =>
        one.type === 'heading' ? [`<li><a href="#${anchor(one.text)}">${text(one.text)}</a></li>`] : [],
      );
      return `<nav aria-label="${text(say.HEADINGS.contents)}"><ul>${links.join('')}</ul></nav>`;
    }
    case 'heading':
      return `<h2 id="${anchor(block.text)}">${text(block.text)}</h2>`;
    case 'subheading':
      return `<h3>${text(block.text)}</h3>`;
    case 'paragraph':
      return `<p class="${block.tone}">${text(block.text)}</p>`;
    case 'list':
      return listOf(block.isNumbered ? 'ol' : 'ul', block.items);
    case 'materials':
      return `<table class="materials"><tbody>${block.rows
        .map(
          ({ sample, name, detail, amount }) =>
            `<tr><td>${sample ? sampleHtml(sample) : ''}</td><td>${text(sample ? say.withLetter(sample.letter, name) : name)}</td><td>${text(detail)}</td><td>${text(amount)}</td></tr>`,
        )
        .join('')}</tbody></table>`;
    case 'drawing': {
      const svg = svgOf(block.drawing, block.label);
      return block.title === null
        ? `<figure class="map">${svg}</figure>`
        : `<figure class="lens">${svg}<figcaption>${text(block.title)}</figcaption></figure>`;
    }
    case 'step':
      return stepHtml(block);
    case 'stitch':
      return `<section class="stitch">${svgOf(block.drawing, block.title)}<div><h3>${text(block.title)}</h3>${listOf('ol', block.steps)}${paragraphs(block.notes)}</div></section>`;
    case 'ticks':
      return listOf('ul', block.items, 'ticks');
    case 'pattern':
      return patternHtml(guide, block.isMirrored);
    case 'templates':
      return block.finish.templates.map(templateHtml).join('\n');
  }
}

function stepHtml(block: Block): string {
  if (block.type !== 'step') return '';
  const { step, title, lines, figures, caution, sample, drawing } = block;
  const head = [text(title), ...(sample ? [sampleHtml(sample)] : [])];
  const told = [
    `<h3>${head.join('')}</h3>`,
    paragraphs(lines),
    ...(figures.length > 0 ? [listOf('ul', figures, 'figures')] : []),
    ...(caution ? [`<p class="caution">${text(caution)}</p>`] : []),
  ];
  const shown = drawing ? [svgOf(drawing, title, step)] : [];
  return `<li data-step="${text(step)}">${shown.join('')}<div>${told.join('')}</div></li>`;
}

function sampleHtml(sample: ThreadSample): string {
  return svgOf(
    { items: sampleItems(sample, 0, 2, 14), widthMm: 14, heightMm: 4 },
    say.threadLetter(sample.letter),
    null,
    'sample',
  );
}

/** A template at true size, with what its lines mean. */
function templateHtml(template: Template): string {
  const svg = trueSizeSvg({ inks: templateInks(template), labels: [] }, template.name);
  return `<figure class="template">${svg}<figcaption>${text(say.templateSays(template.name, templateKey(template)))}</figcaption></figure>`;
}

function patternHtml({ piece, plan }: Guide, mirrored: boolean): string {
  const drawn = artwork(piece, plan, { ...WHOLE_PATTERN, mirrored });
  return `<figure class="template pattern">${trueSizeSvg(drawn, say.HEADINGS.pattern)}</figure>`;
}

/** Room round what is printed at true size, mm. */
const EDGE_MM = 4;

function trueSizeSvg({ inks, labels }: Artwork, name: string): string {
  const box = boxOf([...inks.map(({ line }) => line.points), ...labels.map(({ x, y }) => Float64Array.of(x, y))]);
  if (!box) return '';
  const [x0, y0] = [box.minX - EDGE_MM, box.minY - EDGE_MM];
  const lines = inks.map(({ line, ...ink }): PageItem => ({
    type: 'line',
    points: line.points.map((mm, i) => mm - (i % 2 ? y0 : x0)),
    closed: line.closed,
    ...ink,
  }));
  const words = labels.map(({ x, y, text: label, align = 'centre' as const }): PageItem => ({
    type: 'text',
    x: x - x0,
    y: y - y0 + 0.9,
    sizeMm: 2.4,
    text: label,
    align,
    grey: 0.35,
  }));
  const drawing = { items: [...lines, ...words], widthMm: box.maxX - x0 + EDGE_MM, heightMm: box.maxY - y0 + EDGE_MM };
  return svgOf(drawing, name, null, 'true-size');
}

/** Strokes and letters of paper as a drawing in a page of HTML; what belongs to a step says so. */
function svgOf({ items, widthMm, heightMm }: Drawing, label: string, step: string | null = null, kind = ''): string {
  const parts: string[] = [];
  let open: string | null = null;
  for (const item of items) {
    const own = item.step ?? null;
    if (own !== open) {
      if (open !== null) parts.push('</g>');
      if (own !== null) parts.push(`<g data-step="${text(own)}">`);
      open = own;
    }
    parts.push(itemSvg(item));
  }
  if (open !== null) parts.push('</g>');
  const size = kind === 'true-size' ? ` width="${widthMm.toFixed(2)}mm" height="${heightMm.toFixed(2)}mm"` : '';
  return `<svg viewBox="0 0 ${widthMm.toFixed(2)} ${heightMm.toFixed(2)}"${size}${kind === '' ? '' : ` class="${kind}"`} role="img" aria-label="${text(label)}"${step === null ? '' : ` data-step="${text(step)}"`}>${parts.join('')}</svg>`;
}

function itemSvg(item: PageItem): string {
  const grey = (value: number): string => `rgb(${[0, 1, 2].map(() => Math.round(value * 255)).join(' ')})`;
  const round = 'fill="none" stroke-linecap="round" stroke-linejoin="round"';
  switch (item.type) {
    case 'picture':
      return '';
    case 'text': {
      const at = item.align === 'centre' ? 'middle' : 'start';
      const weight = item.isBold ? ' font-weight="600"' : '';
      return `<text x="${item.x.toFixed(2)}" y="${item.y.toFixed(2)}" font-size="${item.sizeMm}" text-anchor="${at}" fill="${grey(item.grey)}"${weight}>${text(item.text)}</text>`;
    }
    case 'strokes': {
      const d = item.lines.map((points) => pathData({ points, closed: false }, 2)).join('');
      return `<path d="${d}" ${round} stroke="${item.hex}" stroke-width="${item.widthMm.toFixed(2)}"/>`;
    }
    case 'line': {
      const dash = item.dashMm === null ? '' : ` stroke-dasharray="${item.dashMm}"`;
      return `<path d="${pathData(item, 2)}" ${round} stroke="${item.hex ?? grey(item.grey)}" stroke-width="${item.widthMm.toFixed(2)}"${dash}/>`;
    }
  }
}

const STYLE = `
body{font:17px/1.5 Georgia,serif;color:#202c4b;background:#fbf8f1;max-width:52rem;margin:0 auto;padding:1rem}
h1,h2,h3{line-height:1.2;font-weight:600;break-after:avoid;overflow-wrap:anywhere}
h2{margin-top:2rem;border-bottom:1px solid #cfc5b1;padding-bottom:.2rem}
h3{margin:1rem 0 .3rem;font-size:1.05rem}
p{margin:.3rem 0}
.small{font-size:15px;color:#4d5570}
.caution{border-left:4px solid #a8442a;padding-left:.6rem;font-size:15px}
nav ul{columns:2;padding-left:1.2rem}
a{color:#7d2f1c}
.piece{display:block;width:min(100%,24rem);margin:1rem auto;border-radius:50%}
svg{width:100%;background:#fff}
figure{margin:1rem 0;break-inside:avoid}
.map svg,.lens svg,.steps svg[data-step],.stitch>svg{border:1px solid #e4dccb}
.lens{display:inline-block;width:min(100%,24rem);margin-right:1rem}
.template{overflow-x:auto}
svg.true-size{width:auto;max-width:none}
svg.sample{width:3.4em;height:1em;background:none;vertical-align:-.1em;margin-left:.5em;flex:none}
table{border-collapse:collapse;width:100%;font-size:15px}
td{text-align:left;vertical-align:top;padding:.3rem .4rem;border-top:1px solid #e4dccb;overflow-wrap:anywhere}
td:first-child{width:4em}
.steps{list-style:none;padding:0}
.steps>li{display:grid;grid-template-columns:minmax(0,15rem) 1fr;gap:1rem;padding:.8rem 0;border-top:1px solid #e4dccb;break-inside:avoid}
.steps>li>div:only-child{grid-column:1/-1}
.steps h3{margin:0 0 .3rem}
.figures{display:flex;flex-wrap:wrap;gap:.1rem 1.1rem;list-style:none;padding:0;margin:.3rem 0;font-size:15px}
.stitch{display:grid;grid-template-columns:minmax(0,15rem) 1fr;gap:1rem;margin:1.2rem 0;break-inside:avoid}
.stitch h3{margin:0}
.stitch ol{margin:.3rem 0;padding-left:1.2rem}
.stitch p{font-size:15px}
.ticks{list-style:none;padding:0;columns:2}
.ticks li{break-inside:avoid}
.ticks li::before{content:'☐';margin-right:.5em}
@media(max-width:40rem){.steps>li,.stitch{grid-template-columns:1fr}nav ul,.ticks{columns:1}}
@media print{body{background:#fff;font-size:11pt;padding:0}.steps>li,.stitch{grid-template-columns:46mm 1fr}}
`.trim();
