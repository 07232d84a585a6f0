import { chromium } from '@playwright/test';
import { writeFileSync } from 'node:fs';
import { Planner } from '@junctura/core/advice';
import { readSvg } from '@junctura/core/drawing';
import { pictureSvg } from '@junctura/core/paper';
import { plainHoop, plainPass, type Piece } from '@junctura/core/piece';
import { USUAL_FACTORS } from '@junctura/core/work';
import { CHROMIUM } from './chromium.ts';

/** The application's icons: a sprig in its hoop, worked by the stitch modules. Run when they are to be drawn anew: `npm run icons`. */
const DRAWING = `<svg xmlns="http://www.w3.org/2000/svg" width="40mm" height="40mm" viewBox="0 0 40 40">
<path d="M20 37C19 28 20 22 20 15" fill="none" stroke="#3d6b45" stroke-width="1"/>
<path d="M20 30C12 30 7 26 5 19C13 19 19 23 20 30Z" fill="#4f8a58"/>
<path d="M20.400 25C28 25 33 21 35 14C27 14 21 18 20.400 25Z" fill="#4f8a58"/>
<circle cx="20" cy="10" r="5.200" fill="#b4443c"/>
</svg>`;

function sprig(): Piece {
  const read = readSvg(DRAWING, 'icon', 'Icon');
  if (!read.ok) throw new Error(read.problem);
  const worked = read.value.drawing.parts.map((part) => ({
    ...part,
    passes: [
      part.kind === 'line'
        ? plainPass('stem', 'stranded-cotton', 6)
        : { ...plainPass('satin', 'stranded-cotton', 6), angleDeg: part.name.includes('3') ? -35 : 35 },
    ],
  }));
  return {
    ...read.value,
    cloth: { ...read.value.cloth, colour: '#f4efe4' },
    hoop: plainHoop(52, 4),
    drawing: { ...read.value.drawing, parts: worked },
  };
}

const piece = sprig();
const { plan } = new Planner().plan(piece, USUAL_FACTORS);
const picture = Buffer.from(pictureSvg(piece, plan)).toString('base64');
const browser = await chromium.launch(CHROMIUM);
for (const size of [192, 512]) {
  const page = await browser.newPage({ viewport: { width: size, height: size } });
  await page.setContent(`<body style="margin:0;background:#f4efe4"><svg width="${size}" height="${size}" viewBox="0 0 100 100">
    <rect width="100" height="100" fill="#e7dcc6"/>
    <rect x="46" y="5" width="8" height="9" rx="1.500" fill="#7d6a4d"/>
    <svg x="18" y="20" width="64" height="64" viewBox="0 0 64 64"><defs><clipPath id="c"><circle cx="32" cy="32" r="31"/></clipPath></defs>
    <image clip-path="url(#c)" width="64" height="64" href="data:image/svg+xml;base64,${picture}"/></svg>
    <circle cx="50" cy="52" r="34.500" fill="none" stroke="#b58a57" stroke-width="6"/>
    <circle cx="50" cy="52" r="31.800" fill="none" stroke="#8f6a3e" stroke-width="0.800"/></svg></body>`);
  await page.waitForFunction(() => document.images.length >= 0 && document.readyState === 'complete');
  writeFileSync(`web/public/icon-${size}.png`, await page.screenshot());
}
await browser.close();
