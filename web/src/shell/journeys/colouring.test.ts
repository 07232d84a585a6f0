import { expect, it } from 'vitest';
import { Application, CARD, TALLY } from '../../testing/application.ts';
import { svg } from '../../testing/drawings.ts';
import { simulatedShop } from '../../testing/shop.ts';

const COLOURS = `${CARD} .colour`;

it('the nearest shades are given to a whole drawing, and a shade of its own to one part', async () => {
  const app = await Application.at('/');
  await app.openDrawing(
    'two.svg',
    svg('<rect id="One" width="9" height="9" fill="#b12f44"/><rect x="20" width="9" height="9" fill="#305676"/>'),
    'Colours',
  );
  await app.press('Use the nearest shades for 2 colours');
  await app.says(CARD, 'Wet rosehip (rh-41)');
  await app.says(CARD, 'Wet slate (sl-35)');
  await app.goTo('Stitches');
  await app.pick('One');
  await app.press('Another shade…');
  await app.type('Search the shade card', 'gorse');
  await app.press('Plain gorse go-55');
  await app.says(TALLY, 'Use Plain gorse');
  await app.goTo('Thread');
  await app.says(CARD, 'Plain gorse (go-55)');
});

it('a shade that is out of stock is told, and another takes its place with its effect known', async () => {
  const app = await Application.at('/');
  const shop = simulatedShop();
  app.answers = { shop };
  await app.go('/piece/demo-kite/colours');
  const out = shop.threads.find(({ range, lots }) => range === 'thrumwick' && lots.length === 0)!;
  await app.click(await app.find('.colour', CARD));
  await app.type('Search the shade card', out.code);
  await app.click(await app.find('.shade', CARD));
  const first = `${CARD} .colours > :first-child`;
  await app.says(first, 'Out of stock');
  await app.until(() => expect(app.all('[data-test=stand-ins] button')).toHaveLength(4));
  expect(app.all('[data-test=stand-ins] button')[0]!.textContent).toMatch(/distinct|too close/);
  await app.click(app.all('[data-test=stand-ins] button')[0]!);
  await app.saysNot(first, 'Out of stock');
  expect(app.text(first)).not.toContain(out.code);
});

it('without an answer the shop’s last word stands with its date, and it is asked again', async () => {
  let app = await Application.at('/');
  app.answers = { shop: simulatedShop() };
  const state = '[data-test=shop-state]';
  await app.go('/piece/demo-kite/thread');
  await app.press('Shopping list…');
  await app.says(state, 'simulated thread shop');
  await app.until(async () => expect(await app.revisionOf('shop')).toBeGreaterThan(0));
  // An answer that makes no sense is as good as none, and is no error in the page.
  app = await app.reload({ answers: { shop: { simulated: true, threads: 'none' } } });
  await app.press('Shopping list…');
  await app.says(state, 'can’t be read');
  await app.says(state, 'These prices are from');
  await app.says('[data-test=costs]', '€');
  app.answers = { shop: simulatedShop() };
  await app.press('Ask again');
  await app.says(state, 'simulated thread shop');
});

it('a pair that cannot be told apart is mended by one shade', async () => {
  const app = await Application.at('/');
  const bands = ['#aa3333', '#8f4a33', '#3355aa'].map(
    (hex, i) => `<rect x="${9 * i}" width="9" height="30" fill="${hex}"/>`,
  );
  const drawing = `<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="60mm" viewBox="0 0 60 60">${bands.join('')}</svg>`;
  await app.openDrawing('bands.svg', drawing, 'Colours');
  const apart = '[data-test=told-apart]';
  await app.counts(`${apart} li`, 1);
  await app.click(await app.find('button.both', apart));
  await app.press('Change one shade', apart);
  await app.says(TALLY, 'Choose a shade');
  await app.says(apart, /All \d+ pairs of colours that touch are easy to tell apart/);
});

it('ladders shade an area; colourways are kept, varied and taken', async () => {
  const app = await Application.at('/piece/demo-kite/colours');
  await app.click(await app.find('.colour', CARD));
  await app.press('Make a shade ladder…');
  const ladder = '[data-test=ladder]';
  await app.counts(`${ladder} ol > li`, 3);
  await app.says(ladder, 'highlight');
  const before = app.all(COLOURS).length;
  await app.press(/in these shades$/, ladder);
  await app.counts(COLOURS, before + 2);
  await app.press('Colourways…');
  await app.type('Name of this colourway', 'Evening');
  await app.press('Save the current colours');
  const ways = '[data-test=colourways] li';
  await app.counts(ways, 2);
  await app.press('Suggest variations');
  await app.until(() => expect(app.all(ways).length).toBeGreaterThan(4));
  await app.press('Use', app.all(ways)[2]);
  await app.says(TALLY, 'Use the palette');
  await app.press('Use', await app.find('li', '[data-test=colourways]', /Evening/));
  await app.says(TALLY, 'Use the colourway Evening');
});

it('shades are gathered before any part uses them, given to a part, or taken out', async () => {
  const app = await Application.at('/piece/demo-kite/colours');
  await app.press('Add a shade from the cards…');
  const gathered = '[data-test=gathered] li';
  for (const code of ['rh-76', 'rh-18']) {
    await app.type('Search the shade card', code);
    await app.click(await app.find('.shade', CARD));
  }
  await app.counts(gathered, 2);
  const [kept] = app.all(`${gathered} span:nth-child(2)`).map(({ textContent }) => textContent.trim());
  await app.press(/^Remove.*\(rh-18\)/);
  await app.counts(gathered, 1);
  await app.goTo('Stitches');
  await app.pick('Tail');
  await app.choose('Colour', kept!, CARD);
  await app.goTo('Colours');
  await app.counts(gathered, 0);
  await app.press(new RegExp(`^${kept!.replace(/[()]/g, '\\$&')}`), CARD);
});
