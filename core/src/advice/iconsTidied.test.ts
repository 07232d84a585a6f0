import flat from '@iconify-json/fluent-emoji-flat/icons.json' with { type: 'json' };
import lines from '@iconify-json/lucide/icons.json' with { type: 'json' };
import { sum } from 'd3-array';
import { expect, it } from 'vitest';
import { fitToHoop, readSvg, tidy } from '../drawing/index.ts';
import { plainHoop, type Piece } from '../piece/index.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { Planner, severityOf, type Workings } from './index.ts';

/** Icons by other hands, as they come from their sets, and the hoop that each is for, mm. The last three are drawn in lines. */
const ICONS = [
  ['butterfly', flat, 150],
  ['turtle', flat, 150],
  ['pineapple', flat, 150],
  ['jellyfish', flat, 100],
  ['panda', flat, 100],
  ['house', flat, 200],
  ['penguin', flat, 200],
  ['snail', lines, 100],
  ['castle', lines, 200],
  ['sailboat', lines, 200],
] as const;

function fitted([name, { icons, width, height }, hoopMm]: (typeof ICONS)[number]): Piece {
  const { body } = (icons as Readonly<Record<string, { body: string }>>)[name]!;
  const read = readSvg(
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" color="#224466">${body}</svg>`,
    name,
    name,
  );
  if (!read.ok) throw new Error(read.problem);
  const hoop = plainHoop(hoopMm, 12);
  return { ...read.value, hoop, placement: fitToHoop({ ...read.value, hoop }, hoop) };
}

const planned = (piece: Piece): Workings => new Planner().plan(piece, USUAL_FACTORS);
const all = ICONS.map((icon) => {
  const drawn = fitted(icon);
  const tidied = tidy(drawn).piece;
  return {
    icon,
    tidied,
    hours: [drawn, tidied].map((piece) => planned(piece).plan.totals.hours.p50),
    now: planned(tidied),
  };
});
const stitchesOf = ({ plan }: Workings): Set<string> =>
  new Set(plan.parts.flatMap(({ passes }) => passes.map(({ stitch }) => stitch)));

it('ten icons are an evening or a few each once they are tidied: 85 hours at most in all, and fewer than as they were drawn', () => {
  const [drawn, tidied] = [0, 1].map((which) => sum(all, ({ hours }) => hours[which]!));
  expect(tidied!).toBeLessThan(Math.min(85, drawn!));
});

it.each(all)(
  '$icon.0: at most seven kinds of things to check, nothing that will fail, few kinds of stitch',
  ({ now }) => {
    expect(new Set(now.findings.map(({ id }) => id)).size).toBeLessThanOrEqual(7);
    expect(now.findings.filter((finding) => severityOf(finding) === 'stop')).toEqual([]);
    expect(stitchesOf(now).size).toBeLessThanOrEqual(5);
  },
);

it.each(all.filter(({ icon }) => icon[1] === lines))(
  '$icon.0: pen lines are worked in one line stitch, in an evening',
  ({ now, hours }) => {
    expect(stitchesOf(now).size).toBe(1);
    expect(hours[1]!).toBeLessThanOrEqual(2.8);
  },
);
