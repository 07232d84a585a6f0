import { chromium } from 'playwright-core';
const [url, out, w='390', h='844', ...acts] = process.argv.slice(2);
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const p = await b.newPage({ viewport: { width: +w, height: +h }, serviceWorkers: 'block' });
p.on('pageerror', e => console.log('ERR', e.message));
await p.goto('http://localhost:4811/');
await p.evaluate(() => localStorage.setItem('junctura-settings', JSON.stringify({ welcomed: true })));
await p.goto('http://localhost:4811' + url);
await p.waitForTimeout(5000);
for (const a of acts) { if (a.startsWith('wait')) await p.waitForTimeout(+a.slice(4)); else if (a.startsWith('key:')) await p.keyboard.press(a.slice(4)); else if (a.startsWith('text:')) await p.getByText(a.slice(5), {exact:true}).first().click(); else await p.click(a); await p.waitForTimeout(700); }
await p.waitForTimeout(1500);
await p.screenshot({ path: out });
await b.close();
