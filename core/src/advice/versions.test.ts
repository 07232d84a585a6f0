import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { deltaE, labOf } from '../colour/index.ts';
import { fitToHoop, likeSets, readSvg, tidy } from '../drawing/index.ts';
import { THRUMWICK } from '../materials/index.ts';
import { applyEdit, plainHoop, plainPass, setLevels, setPasses, type Edit, type Piece } from '../piece/index.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import {
  atLevelAlone,
  choiceOfLevel,
  Planner,
  planLevels,
  richVersion,
  shadesOwned,
  simpleVersion,
  withinHours,
  type Version,
  type VersionWays,
} from './index.ts';

function motif(name: string, hoopMm = 150): Piece {
  const text = readFileSync(new URL(`../../../demo/motifs/${name}.svg`, import.meta.url), 'utf8');
  const read = readSvg(text, name, name);
  if (!read.ok) throw new Error(read.problem);
  const hoop = plainHoop(hoopMm, 12);
  return tidy({ ...read.value, hoop, placement: fitToHoop({ ...read.value, hoop }, hoop) }).piece;
}
function after(piece: Piece, edit: Edit | null): Piece {
  if (!edit) return piece;
  const outcome = applyEdit(piece, edit);
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
}
const waysOf = (): VersionWays => ({ own: USUAL_FACTORS, pictures: new Map(), planner: new Planner() });
const hoursOf = ({ plan }: Version): number => plan.totals.hours.p50;
const stitchesOf = ({ plan }: Version): Set<string> =>
  new Set(plan.parts.flatMap(({ passes }) => passes.map(({ stitch }) => stitch)));
const NAMES = ['mushroom', 'butterfly', 'owl', 'teapot', 'wreath-flowers'] as const;
const planned = NAMES.map((name) => {
  const ways = waysOf();
  const piece = motif(name);
  return { name, piece, ways, levels: planLevels(piece, ways) };
});

describe.each(planned)('$name', ({ piece, ways, levels }) => {
  it('simple takes few stitches, colours and hours; rich at most two and a half times the usual hours', () => {
    const [simple, rich] = [simpleVersion(levels, ways), richVersion(levels, ways)];
    expect(stitchesOf(simple).size).toBeLessThanOrEqual(5);
    expect(simple.plan.colours.length).toBeLessThanOrEqual(5);
    expect(hoursOf(simple)).toBeLessThan(hoursOf(levels.usual));
    expect(hoursOf(rich)).toBeLessThanOrEqual(2.5 * hoursOf(levels.usual) + 1e-6);
    expect(hoursOf(rich)).toBeGreaterThanOrEqual(hoursOf(levels.usual) - 1e-6);
  });

  it('within some hours it is never longer than they are, nor than the simplest; like parts are stitched alike', () => {
    for (const hours of [1, 2, 3, 5]) {
      const within = withinHours(levels, hours, ways);
      expect(within.withinHours).toBeCloseTo(Math.max(hours, hoursOf(levels.simple)), 6);
      expect(hoursOf(within)).toBeLessThanOrEqual(within.withinHours + 1e-6);
      for (const set of likeSets(within.piece.drawing.parts)) {
        expect(new Set(set.map(({ level }) => level)).size, set[0]!.name).toBe(1);
      }
    }
  });

  it('undone, it is as it was; at a level, what was chosen by hand stays', () => {
    const [first] = piece.drawing.parts;
    const chosen = after(
      piece,
      setPasses(piece, new Map([[first!.id, [plainPass('brick', 'stranded-cotton', 2)]]]), 'x'),
    );
    for (const level of ['simple', 'rich'] as const) {
      const { of, shaded } = choiceOfLevel(chosen, level);
      const now = after(chosen, setLevels(chosen, level, of, shaded));
      expect(now.drawing.parts[0]!.passes).toEqual(chosen.drawing.parts[0]!.passes);
      const { of: none, shaded: nothing } = choiceOfLevel(now, 'usual');
      expect(after(now, setLevels(now, 'usual', none, nothing))).toEqual(chosen);
    }
  });
});

it('the hours are used: where the drawing has more to give, nine tenths of them', () => {
  const { levels, ways } = planned.find(({ name }) => name === 'butterfly')!;
  const [least, most] = [hoursOf(levels.simple), hoursOf(richVersion(levels, ways))];
  let tried = 0;
  for (let hours = Math.ceil(least + 0.5); hours < Math.min(most, least + 5); hours++) {
    tried++;
    expect(hoursOf(withinHours(levels, hours, ways)), `${hours} h`).toBeGreaterThanOrEqual(0.9 * hours);
  }
  expect(tried).toBeGreaterThan(1);
});

it('a few minutes more never make it poorer', () => {
  for (const name of ['teapot', 'butterfly'] as const) {
    const { levels, ways } = planned.find((one) => one.name === name)!;
    const gainOf = ({ piece }: Version): number =>
      levels.sets.reduce((sum, { parts, choices }) => {
        const level = piece.drawing.parts.find(({ id }) => id === parts[0]!.id)!.level ?? 'usual';
        return sum + choices.find((choice) => choice.level === level)!.gain;
      }, 0);
    let before = 0;
    let tried = 0;
    for (let hours = hoursOf(levels.simple) + 0.3; hours < hoursOf(levels.usual); hours += 0.11) {
      const within = withinHours(levels, hours, ways);
      if (within.level !== 'usual') continue;
      tried++;
      expect(gainOf(within), `${name}, ${hours} h`).toBeGreaterThanOrEqual(before - 1e-9);
      before = gainOf(within);
    }
    expect(tried).toBeGreaterThan(20);
  }
});

it('what is named as cut off is what is stitched less than usual, and an hour more gives more of something', () => {
  const { levels, ways } = planned.find(({ name }) => name === 'owl')!;
  const within = withinHours(levels, hoursOf(levels.simple) + 0.5, ways);
  const less = within.piece.drawing.parts.filter(
    ({ kind, level }) => kind === 'area' && level !== null && ['bare', 'outline', 'light'].includes(level),
  );
  for (const name of within.less) expect(less.map((part) => part.name)).toContain(name);
  expect(within.less.length).toBeGreaterThan(0);
  expect(within.nextHour.length).toBeGreaterThan(0);
});

it('an area whose edge a line shows is left bare in simple work; without the line it has an outline of its own', () => {
  const disc = (outline: string): Version => {
    const read = readSvg(
      `<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="60mm" viewBox="0 0 60 60"><circle cx="30" cy="30" r="20" fill="#a33" ${outline}/></svg>`,
      'x',
      'x',
    );
    if (!read.ok) throw new Error(read.problem);
    return atLevelAlone(read.value, 'simple', waysOf());
  };
  const roles = ({ plan }: Version): string[] =>
    plan.parts.filter(({ part }) => part.kind === 'area').flatMap(({ passes }) => passes.map(({ role }) => role));
  expect(roles(disc('stroke="#222" stroke-width="1"'))).toEqual([]);
  expect(roles(disc(''))).toEqual(['outline']);
});

it('an outline goes round an area, not round what lies upon it: a disc of 40 mm with an eye is as long round as without', () => {
  const lengthMm = (eye: string): number => {
    const read = readSvg(
      `<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="60mm" viewBox="0 0 60 60"><circle cx="30" cy="30" r="20" fill="#a33"/>${eye}</svg>`,
      'x',
      'x',
    );
    if (!read.ok) throw new Error(read.problem);
    const { plan } = atLevelAlone(read.value, 'simple', waysOf());
    return plan.parts[0]!.passes[0]!.quantities.stitches;
  };
  expect(lengthMm('<circle cx="30" cy="26" r="4" fill="#3a3"/>')).toBe(lengthMm(''));
});

describe('threads that are there', () => {
  const owned = THRUMWICK.shades.filter((_, i) => i % 20 === 0);
  it('serve each colour with one of them, the nearest where no other colour wants it', () => {
    const palette = [
      { id: 'a', hex: '#b02a30' },
      { id: 'b', hex: '#2f62a4' },
      { id: 'c', hex: '#22335c' },
    ];
    const chosen = shadesOwned(palette, owned);
    for (const { id, hex } of palette) {
      const { shade, difference } = chosen.get(id)!;
      expect(owned.some(({ code }) => code === shade!.code)).toBe(true);
      expect(difference).toBeCloseTo(deltaE(labOf(hex), labOf(shade!.hex)), 6);
    }
    const [alone] = [shadesOwned([palette[0]!], owned).get('a')!];
    expect(alone.difference).toBe(Math.min(...owned.map(({ lab }) => deltaE(lab, labOf('#b02a30')))));
  });

  it('tell two colours apart where another thread is nearly as near; with one thread all are worked in it', () => {
    const [one, other] = [THRUMWICK.shades[40]!, THRUMWICK.shades[41]!];
    const palette = [
      { id: 'a', hex: one.hex },
      { id: 'b', hex: other.hex },
    ];
    if (deltaE(one.lab, other.lab) >= 6) {
      const chosen = shadesOwned(palette, [one, other]);
      expect(chosen.get('a')!.shade!.code).not.toBe(chosen.get('b')!.shade!.code);
    }
    const single = shadesOwned(palette, [one]);
    expect([...single.values()].map(({ shade }) => shade!.code)).toEqual([one.code, one.code]);
  });
});
