import { expect, it } from 'vitest';
import { Application, CARD } from '../../testing/application.ts';
import { svg } from '../../testing/drawings.ts';

const COST = '[data-test=finish-cost]';
const PROBLEMS = '[data-test=finish-problems]';

it('what the piece ends as is chosen and changed; figures and templates follow, and all is undone', async () => {
  const app = await Application.at('/piece/demo-tram/finish');
  await app.says(COST, 'Patch · 9 steps');
  const metres = (text: string): number => Number(/([\d.]+) m of thread/.exec(text)![1]);
  const wide = app.text(COST);
  await app.type('Border', '3 mm', CARD);
  // Half as deep an edge takes little more than half the thread.
  await app.until(() => expect(metres(app.text(COST))).toBeLessThan(0.75 * metres(wide)));
  await app.undo();
  await app.until(() => expect(app.text(COST)).toBe(wide));

  await app.click('[data-test=end-ornament]');
  await app.says(COST, 'Stuffed ornament');
  await app.choose('Shape', 'Heart', CARD);
  await app.says('[data-test=finish-materials]', /Filling\s*\d+(\.\d)? g/);
  await app.press('Templates', CARD);
  await app.says(`${CARD} li`, 'whole: cut, dashes: sew');
  const saved = await app.savedBy(() => app.press('Save as PDF', CARD));
  expect(saved.name).toBe('night-tram-templates.pdf');
  expect((await saved.content.text()).slice(0, 5)).toBe('%PDF-');
});

it('islands are asked about, then bridged; a card that is too small is refused with a way out', async () => {
  const app = await Application.at('/');
  await app.openDrawing('two.svg', svg('<circle cx="8" cy="30" r="6"/><circle cx="52" cy="30" r="6"/>'), 'Finish');
  await app.click('[data-test=end-patch]');
  await app.says(PROBLEMS, '2 separate islands');
  await app.press('Join with a bridge', PROBLEMS);
  await app.counts(PROBLEMS, 0);
  await app.click('[data-test=end-card]');
  await app.type('Card, folded, width', '40 mm', CARD);
  await app.says(PROBLEMS, 'the card must be');
  await app.press('Use the suggested size', PROBLEMS);
  await app.counts(PROBLEMS, 0);
  await app.click('[data-test=end-framed]');
  await app.says(COST, 'Framed in its hoop');
});

it('steps are ticked at the hoop and seen at the desk; the piece is ended, priced and put on the finished shelf', async () => {
  const app = await Application.at('/hoop/demo-boat');
  const first = await app.find('[data-test=finish-steps] [role=checkbox]');
  await app.click(first);
  await app.press('Back to the desk');
  await app.settle();
  await app.says('[data-test=open-hoop]', 'All stitched: finish it at the hoop');
  await app.goTo('Finish');
  await app.press('Steps', CARD);
  await app.says('[data-test=finish-progress]', /(^|\D)1 of \d+ steps done/);
  await app.type('A note to yourself', 'Blue next time', CARD);
  await app.click('[data-test=end-piece]');
  await app.says('[data-test=ended]', 'Finished on');
  await app.says('[data-test=ended-figures]', 'Stitching time');
  await app.says(CARD, 'Blue next time');
  await app.goTo('At the hoop');
  await app.says('[data-test=open-hoop]', 'Look back over it');
  await app.goTo('Finish');

  await app.press('Price and label', CARD);
  await app.type('Your hourly rate', '12', CARD);
  await app.type('Your asking price', '90', CARD);
  await app.says('[data-test=earned]', 'At 90.00');

  await app.press('Junctura');
  await app.press(/^Paper boat/, '[data-test=finished-shelf]');
  await app.settle();
  await app.press('Steps', CARD);
  await app.press('It is not finished after all', CARD);
  await app.find('[data-test=end-piece]');
});

it('an area becomes a scrap of cloth: worked down by its edge, cut by its template, bought; printed, it takes no thread', async () => {
  const app = await Application.at('/');
  const leaf = '<rect x="10" y="10" width="40" height="30" fill="#7a9a5a"/>';
  await app.openDrawing('leaf.svg', svg(leaf), 'Stitches');
  await app.press(/^Green area/, CARD);
  await app.choose('Fill', 'A scrap of cloth', CARD);
  await app.find('[data-test=scrap]');
  await app.says(CARD, 'Whipped down over its turned edge');
  await app.choose('Pattern', 'Checks', CARD);
  await app.choose('Edge', /^Raw/, CARD);
  await app.says(CARD, '2 mm inside its raw edge');
  await app.goTo('Finish');
  await app.says('[data-test=finish-materials]', /Quilting cotton for .*40 × 30 mm/);
  await app.press('Templates', CARD);
  await app.says(`${CARD} li`, 'Scrap:');
  await app.goTo('Stitches');
  await app.choose('Fill', /printed/, CARD);
  await app.until(() => expect(app.figure('Stitches')).toBe('0'));
  await app.key('z', { ctrlKey: true });
  await app.until(() => expect(app.figure('Stitches')).not.toBe('0'));
});
