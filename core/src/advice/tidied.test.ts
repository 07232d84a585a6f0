import { expect, it } from 'vitest';
import { designCircle, fitToHoop, readSvg, tidy } from '../drawing/index.ts';
import { plainHoop, type Piece } from '../piece/index.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { Planner, type Workings } from './index.ts';

const PANDA = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><circle cx="22" cy="24" r="13" fill="#26282e"/>
  <circle cx="78" cy="24" r="13" fill="#26282e"/><circle cx="50" cy="54" r="38" fill="#fbf8f0" stroke="#26282e" stroke-width="2"/>
  <ellipse cx="35" cy="50" rx="9" ry="11" fill="#26282e"/><ellipse cx="65" cy="50" rx="9" ry="11" fill="#26282e"/>
  <circle cx="36" cy="49" r="3" fill="#fff"/><circle cx="64" cy="49" r="3" fill="#fff"/><ellipse cx="50" cy="66" rx="6" ry="4" fill="#26282e"/>
  <path d="M50 70V75M50 75C46 80 42 79 40 77M50 75C54 80 58 79 60 77" fill="none" stroke="#26282e" stroke-width="2"/></svg>`;
const MUSHROOM = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">
  <path d="M42 55C42 75 38 88 36 94H64C62 88 58 75 58 55Z" fill="#f3ead8" stroke="#5b4636" stroke-width="2.5"/>
  <path d="M10 56C10 26 32 10 50 10C68 10 90 26 90 56C70 64 30 64 10 56Z" fill="#c8382e" stroke="#5b4636" stroke-width="2.5"/>
  <circle cx="36" cy="34" r="6" fill="#fffaf0"/><circle cx="62" cy="28" r="5" fill="#fffaf0"/><circle cx="70" cy="46" r="6" fill="#fffaf0"/></svg>`;
const HUT = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 24 24" fill="none" stroke="#224466" stroke-width="2" stroke-linecap="round">
  <path d="M3 11L12 3L21 11"/><path d="M5 10V21H19V10"/><path d="M9 21V14H15V21"/><path d="M17 4V7"/></svg>`;
const BUTTERFLY = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 120 100"><g stroke="#333" stroke-width="2">
  <path d="M60 40C50 10 12 4 8 26C6 44 36 52 60 50Z" fill="#e07a30"/><path d="M60 40C70 10 108 4 112 26C114 44 84 52 60 50Z" fill="#e07a30"/>
  <path d="M60 52C40 50 20 60 26 80C34 94 56 78 60 60Z" fill="#e8b040"/><path d="M60 52C80 50 100 60 94 80C86 94 64 78 60 60Z" fill="#e8b040"/></g>
  <ellipse cx="60" cy="54" rx="3.5" ry="26" fill="#333"/></svg>`;

function planned(source: string, hoopMm: number, isTidied: boolean): { piece: Piece; workings: Workings } {
  const read = readSvg(source, 'x', 'x');
  if (!read.ok) throw new Error(read.problem);
  const hoop = plainHoop(hoopMm, 12);
  const fitted = { ...read.value, hoop, placement: fitToHoop({ ...read.value, hoop }, hoop) };
  expect(designCircle(fitted)).not.toBeNull();
  const piece = isTidied ? tidy(fitted).piece : fitted;
  return { piece, workings: new Planner().plan(piece, USUAL_FACTORS) };
}

it.each([
  ['a panda in a hoop of 10 cm', PANDA, 100, 7],
  ['a hut of pen lines in a hoop of 20 cm', HUT, 200, 2.8],
  ['a mushroom', MUSHROOM, 150, 8],
  ['a butterfly', BUTTERFLY, 150, 10],
])(
  '%s takes an evening or two once it is tidied, and less than as it was drawn',
  (_name, source, hoopMm, mostHours) => {
    const [drawn, tidied] = [false, true].map((is) => planned(source, hoopMm, is).workings.plan.totals.hours.p50);
    expect(tidied!).toBeLessThanOrEqual(mostHours);
    expect(tidied!).toBeLessThan(drawn!);
  },
);

it.each([PANDA, HUT, MUSHROOM, BUTTERFLY])(
  'at most seven kinds of things are to check in a drawing that has just come in',
  (source) => {
    const { findings } = planned(source, 150, true).workings;
    expect(new Set(findings.map(({ id }) => id)).size).toBeLessThanOrEqual(7);
  },
);

it('satin takes a firm line under its edge before something that lies behind it, but none where an outline is worked along its edge', () => {
  const roles = (outline: string): string[] => {
    const source = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><rect width="100" height="60" fill="#77aacc"/>
      <ellipse cx="50" cy="40" rx="30" ry="9" fill="#a33" ${outline}/></svg>`;
    const { plan } = planned(source, 100, false).workings;
    return plan.parts
      .find(({ part }) => part.kind === 'area' && part.id !== plan.parts[0]!.part.id)!
      .passes.map(({ role }) => role);
  };
  expect(roles('')).toContain('edge');
  expect(roles('stroke="#222" stroke-width="2"')).not.toContain('edge');
});

it('an eye that is left to the cloth is not stitched, and one press stitches it: its layers are as suggested again', () => {
  const { piece, workings } = planned(PANDA, 150, true);
  const face = piece.drawing.parts.find(({ passes }) => passes?.length === 0)!;
  expect(workings.plan.parts.find(({ part }) => part.id === face.id)!.passes).toEqual([]);
  const parts = piece.drawing.parts.map((part) => (part.id === face.id ? { ...part, passes: null } : part));
  const again = new Planner().plan({ ...piece, drawing: { ...piece.drawing, parts } }, USUAL_FACTORS).plan;
  expect(again.parts.find(({ part }) => part.id === face.id)!.passes.length).toBeGreaterThan(0);
});
