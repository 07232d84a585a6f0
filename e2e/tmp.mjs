import { chromium } from '@playwright/test';
import { writeFileSync } from 'node:fs';
const b=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu']});
const p=await b.newPage({viewport:{width:1280,height:800}});
p.on('pageerror',e=>console.log('ERR',e.message));
await p.goto('http://localhost:4555/'); await p.waitForTimeout(5000);
await p.screenshot({path:'/tmp/s1.png'});
const svg=`<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100">
<path d="M5 40A25 25 0 0 1 55 40H46A16 16 0 0 0 14 40Z" fill="#b3473a"/>
<path fill-rule="evenodd" d="M60 25a14 14 0 1 0 28 0a14 14 0 1 0-28 0ZM66 25a8 8 0 1 1 16 0a8 8 0 1 1-16 0Z" fill="#2f6f7a"/>
<path d="M10 60H26V63.5H20V82H16V63.5H10Z" fill="#2d3f73"/>
<path d="M32 82V60H36V78.5H45V82Z" fill="#2d3f73"/>
<path d="M55 62C62 54 80 54 92 62C80 70 62 70 55 62Z" fill="#5a7a3a"/>
<path d="M56 80C60 77 72 77 78 80C72 83 60 83 56 80Z" fill="#5a7a3a"/>
<circle cx="88" cy="80" r="4" fill="#8a2f52"/>
<path d="M8 92C20 86 30 98 44 92S70 88 90 93" fill="none" stroke="#704214" stroke-width="2.6"/></svg>`;
await p.goto('http://localhost:4555/'); await p.waitForTimeout(1500);
writeFileSync('/tmp/turn.svg',svg);
const ch=p.waitForEvent('filechooser'); await p.getByRole('button',{name:'Choose a drawing, picture or piece'}).click(); await (await ch).setFiles('/tmp/turn.svg');
await p.waitForTimeout(3000);
await p.getByRole('navigation',{name:'Steps'}).getByRole('link',{name:'Stitches'}).click(); await p.waitForTimeout(2500);
await p.screenshot({path:'/tmp/s2.png'});
await p.getByText('Area 3').click(); await p.waitForTimeout(2500);
await p.screenshot({path:'/tmp/s3.png'});
await b.close();
