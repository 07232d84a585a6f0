import { expect, it } from 'vitest';
import { Application, CARD, TALLY } from '../../testing/application.ts';

const LINES = `${CARD} li.line`;

it('each step says why it stands there; moved against a rule it is said at once, and undone', async () => {
  const app = await Application.at('/piece/demo-kite/order');
  await app.until(() => expect(app.all(LINES).length).toBeGreaterThan(4));
  const before = app.all(LINES).length;
  // The spar lies on the panels of the sail.
  const spar = (): Promise<HTMLElement> => app.find('li.line', CARD, /Spar/);
  await app.press(/Spar/, await spar());
  await app.says('[data-test=because]', 'which lies behind it');
  for (let i = 0; i < 6 && app.all(`${CARD} [role=status]`).length === 0; i++) {
    await app.press('Earlier', await spar());
    await app.says(TALLY, 'Fix the order of two parts');
    await app.planned();
  }
  await app.says(`${CARD} [role=status]`, 'is fixed there');
  await app.press('Unfix everything', CARD);
  await app.planned();
  await app.until(() => expect(app.all(LINES).length).toBeGreaterThan(3));
  await app.press('Work it first', await spar());
  await app.says(TALLY, 'Work it first:');
  await app.planned();
  // It goes as early as the panels that lie behind it let it, and they are named beside the wish.
  if (app.all('[data-test=unmet]').length === 0) await app.press(/Spar/, await spar());
  await app.says('[data-test=unmet]', 'as early as it can; first must come');
  await app.says('[data-test=unmet]', 'which lies behind it');
  await app.key('z', { ctrlKey: true });
  await app.planned();
  await app.until(() => expect(app.all(LINES)).toHaveLength(before));
});

it('sittings fall on chosen days, can be moved, and go into a calendar', async () => {
  const app = await Application.at('/piece/demo-rock-pool/order');
  await app.click(await app.find('[data-test=sitting-2]', CARD));
  await app.says(CARD, 'Lay out');
  await app.press('Days', CARD);
  await app.press('Tue', CARD);
  await app.press('Fri', CARD);
  await app.type('First sitting from', '2027-03-01', CARD);
  const day = (n: number): string => `[data-test=days] li:nth-child(${n})`;
  await app.says(day(1), 'Tue, Mar 2');
  await app.says(day(2), 'Fri, Mar 5');
  await app.type('Day of sitting 2', '2027-03-06', CARD);
  await app.says(day(2), 'Sat, Mar 6');
  await app.type(/^Finished by/, '2027-04-01', CARD);
  await app.says('[data-test=done-by]', 'sittings a week');
  await app.type(/^Finished by/, '2027-02-01', CARD);
  await app.says(CARD, 'That day is before the first sitting');
  const { content } = await app.savedBy(() => app.press('Save as a calendar file', CARD));
  const file = await content.text();
  expect(file).toContain('DTSTART:20270302T193000');
  expect(file).toContain('DTSTART:20270306T193000');
});

it('a piece with nothing drawn says what comes here', async () => {
  const app = await Application.at('/');
  await app.press('Start on empty cloth');
  await app.settle();
  await app.goTo('Order');
  await app.says(CARD, 'There is nothing to order yet');
});

it('at the hoop what was left for later comes later; needles that do not come back are missed', async () => {
  const app = await Application.at('/hoop/demo-kite');
  const press = async (id: string): Promise<void> => app.click(`[data-test=${id}]`);
  await press('begin');
  const present = async (): Promise<string> => (await app.find('[data-test=present]')).textContent;
  const first = await present();
  await press('wrong');
  await app.says('[role=dialog]', 'Something is wrong');
  await app.press('Close', '[role=dialog]');
  await press('later');
  await app.until(async () => expect(await present()).not.toBe(first));
  await press('end');
  await app.press('One fewer', '[role=dialog]');
  await app.says('[role=alert]', 'before you get up');
  await press('taken-off');
  await press('close-sitting');
  await app.says('[role=alert]', 'One needle from last time has not been found yet');
});

it('the desk sees what was done at the hoop, what is left, and each entry, which can be taken back', async () => {
  const app = await Application.at('/hoop/demo-kite');
  // Before a sitting arrows scroll: they begin nothing.
  await app.find('[data-test=begin]');
  await app.key('ArrowDown');
  await app.click('[data-test=begin]');
  for (let i = 2; i <= 4; i++) {
    await app.click('[data-test=done]');
    await app.says('[data-test=done]', `Step ${i} of 13`);
  }
  // Keys and pedals do the same.
  await app.key('PageDown');
  await app.says('[data-test=done]', 'Step 5 of 13');
  await app.key('PageUp');
  await app.says('[data-test=done]', 'Step 4 of 13');
  await app.key('ArrowRight');
  await app.says('[data-test=done]', 'Step 5 of 13');
  // What is being asked keeps the keys for itself.
  await app.press('Settings for stitching');
  await app.find('[role=dialog]');
  await app.key('ArrowRight');
  await app.press('Close', '[role=dialog]');
  await app.says('[data-test=done]', 'Step 5 of 13');
  await app.key('ArrowLeft');
  await app.says('[data-test=done]', 'Step 4 of 13');
  await app.press('Back to the desk');
  await app.settle();
  await app.says('[data-test=work-done]', '3 of 13 steps');
  await app.says('[data-test=work-left]', 'of thread');
  await app.press('Record', CARD);
  const record = '[data-test=record]';
  await app.until(() => expect(app.all(`${record} li`).length).toBeGreaterThan(2));
  await app.press('Undo', await app.find('li', record, /Done:.*Undo/));
  await app.press('How far it is', CARD);
  await app.says('[data-test=work-done]', '2 of 13 steps');
});
