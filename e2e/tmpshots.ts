import { chromium } from '@playwright/test';
const [, , url, out, w = '1280', h = '800', ...acts] = process.argv;
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const p = await b.newPage({ viewport: { width: +w, height: +h } });
p.on('console', (m) => {
  if (m.type() === 'error' || m.type() === 'warning') console.log('console', m.text());
});
p.on('pageerror', (e) => console.log('pageerror', e.message));
await p.goto(`http://localhost:4555${url}`);
await p.waitForTimeout(3500);
for (const a of acts) {
  const [k, ...r] = a.split('=');
  const v = r.join('=');
  if (k === 'click') await p.click(v);
  else if (k === 'text') await p.getByText(v, { exact: false }).first().click();
  else if (k === 'btn') await p.getByRole('button', { name: v }).first().click();
  else if (k === 'wait') await p.waitForTimeout(+v);
  else if (k === 'key') await p.keyboard.press(v);
  else if (k === 'eval') console.log(await p.evaluate(v));
  else if (k === 'shot') await p.screenshot({ path: v });
  else if (k === 'range') {
    const [s, x] = v.split('|');
    await p.locator(s!).fill(x!);
  }
}
await p.waitForTimeout(600);
await p.screenshot({ path: out! });
await b.close();
