import { expect, it } from 'vitest';
import { svgPiece } from '../testing/pieces.ts';
import { isMadeUpName } from './nameByPlace.ts';

const namesOf = (body: string): string[] => svgPiece(body).drawing.parts.map(({ name }) => name);

it('calls parts that a drawing leaves nameless by what and where they are', () => {
  const names = namesOf(
    '<rect id="Boat" x="40" y="40" width="30" height="20" fill="#a33"/>' +
      '<path id="path12" d="M5 50H35" stroke="#3355aa" fill="none"/>' +
      '<circle cx="100" cy="5" r="3" fill="#f0c030"/>' +
      '<circle cx="55" cy="50" r="4" fill="#fff"/>',
  );
  expect(names).toEqual([
    'Boat',
    'Blue line, left of “Boat”',
    'Small yellow area, top right',
    'White area, on “Boat”, in the middle',
  ]);
});

it('counts what looks and lies alike from the left, and gives an outline the name of its area', () => {
  const dots = [60, 10, 35].map((x) => `<circle cx="${x}" cy="${x === 10 ? 10 : 11}" r="2" fill="#a33"/>`).join('');
  const names = namesOf(
    `${dots}<rect x="0" y="60" width="80" height="30" fill="#3a3" stroke="#222" stroke-width="1"/>`,
  );
  expect(new Set(names).size).toBe(names.length);
  expect(names.at(-1)).toBe(`${names.at(-2)}, outline`);
});

it('keeps names that a person would say, and no others', () => {
  for (const name of ['Moon', 'Petal 3', 'left wing', 'b2 bomber', 'sail'])
    expect(isMadeUpName(name), name).toBe(false);
  for (const name of ['', 'path1234', 'g-12', 'Layer_1', 'rect 7-1', 'XMLID_33_', '42'])
    expect(isMadeUpName(name.replace(/_$/, '')), name).toBe(true);
});

it('never gives two parts one name, whatever lies where', () => {
  const body = Array.from(
    { length: 60 },
    (_, i) =>
      `<circle cx="${(i * 37) % 100}" cy="${(i * 53) % 90}" r="${1 + (i % 4)}" fill="${i % 2 ? '#a33' : '#33a'}"/>`,
  ).join('');
  const names = namesOf(body);
  expect(new Set(names).size).toBe(names.length);
});
