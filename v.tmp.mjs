import { chromium } from 'playwright-core';
const [inp, out, w='1280', h='1800', sel] = process.argv.slice(2);
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const p = await b.newPage({ viewport: { width: +w, height: +h } });
await p.goto('file://' + inp);
if (sel) await p.evaluate((y) => scrollTo(0, y), +sel);
await p.screenshot({ path: out });
await b.close();
