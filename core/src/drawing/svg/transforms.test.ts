import { describe, expect, it } from 'vitest';
import { compose, mapPoints, type Matrix } from '../../geometry/index.ts';
import { seededRandom } from '../../measure/index.ts';
import { physicalMm, readSvgLength, userUnits } from './lengths.ts';
import { readTransform, viewBoxTransform } from './transforms.ts';

const at = (matrix: Matrix, x: number, y: number): number[] => [...mapPoints(matrix, Float64Array.of(x, y))];

describe('transform lists', () => {
  it.each([
    ['translate(3)', [4, 1]],
    ['translate(3, -2)', [4, -1]],
    ['scale(2)', [2, 2]],
    ['scale(2 3)', [2, 3]],
    ['rotate(90)', [-1, 1]],
    ['rotate(90 1 1)', [1, 1]],
    ['skewX(45)', [2, 1]],
    ['skewY(45)', [1, 2]],
    ['matrix(1 0 0 1 5 6)', [6, 7]],
    ['translate(10) scale(2)', [12, 2]],
    ['scale(2),translate(10)', [22, 2]],
    ['', [1, 1]],
    ['nonsense(4)', [1, 1]],
  ])('%s', (text, expected) => {
    const found = at(readTransform(text), 1, 1);
    found.forEach((value, i) => expect(value).toBeCloseTo(expected[i]!, 9));
  });

  it('of several apply from the last to the first, as nested groups do', () => {
    const random = seededRandom(3);
    for (let i = 0; i < 30; i++) {
      const [a, b] = [
        `rotate(${random.between(-90, 90).toFixed(2)})`,
        `translate(${random.between(-5, 5).toFixed(2)} ${random.between(-5, 5).toFixed(2)})`,
      ];
      const nested = compose(readTransform(a), readTransform(b));
      at(readTransform(`${a} ${b}`), 2, 3).forEach((value, k) => expect(value).toBeCloseTo(at(nested, 2, 3)[k]!, 9));
    }
  });
});

describe('viewBoxes', () => {
  const place = { x: 0, y: 0, width: 200, height: 100 };
  it.each([
    ['xMidYMid meet', [50, 0], [150, 100]],
    ['xMinYMin meet', [0, 0], [100, 100]],
    ['xMaxYMax meet', [100, 0], [200, 100]],
    ['xMidYMid slice', [0, -50], [200, 150]],
    ['none', [0, 0], [200, 100]],
  ])('%s', (preserve, topLeft, bottomRight) => {
    const matrix = viewBoxTransform([10, 10, 50, 50], place, preserve);
    at(matrix, 10, 10).forEach((value, i) => expect(value).toBeCloseTo(topLeft[i]!, 9));
    at(matrix, 60, 60).forEach((value, i) => expect(value).toBeCloseTo(bottomRight[i]!, 9));
  });
});

describe('lengths in drawings', () => {
  it.each([
    ['10mm', 10],
    ['1cm', 10],
    ['1in', 25.4],
    ['72pt', 25.4],
    ['6pc', 25.4],
    ['40q', 10],
    ['10', null],
    ['10px', null],
    ['50%', null],
    ['wide', null],
  ])('%s', (text, mm) => {
    if (mm === null) expect(physicalMm(text)).toBeNull();
    else expect(physicalMm(text)).toBeCloseTo(mm, 9);
  });

  it('are user units where they are used', () => {
    expect(userUnits('25%', 80, 0)).toBe(20);
    expect(userUnits('1in', 80, 0)).toBeCloseTo(96, 9);
    expect(userUnits('1e2', 80, 0)).toBe(100);
    expect(userUnits('auto', 80, 7)).toBe(7);
    expect(readSvgLength('-.5em')).toEqual({ value: -0.5, unit: 'em' });
  });
});
