import { describe, expect, it } from 'vitest';
import { firstLessons, LESSON_NAMES } from '../../../ui/lessonNames.ts';
import { findLessons, LESSONS } from './lessons.ts';

describe('lessons in handling', () => {
  it('are three to six drawings each, every one with one line of words, under a name and place of its own', () => {
    expect(LESSONS.length).toBeGreaterThanOrEqual(16);
    expect(new Set(LESSONS.map(({ id }) => id)).size).toBe(LESSONS.length);
    for (const { id, drawings } of LESSONS) {
      expect(id).toMatch(/^[a-z-]+$/);
      expect(drawings.length, id).toBeGreaterThanOrEqual(3);
      expect(drawings.length, id).toBeLessThanOrEqual(6);
      for (const { say, figures } of drawings) {
        expect(say.length, say).toBeLessThanOrEqual(110);
        expect(say).toMatch(/[.!]$/);
        expect(figures.length, say).toBeGreaterThan(0);
      }
    }
  });

  it('lie within their frame: no place of a figure is outside 120 × 80', () => {
    for (const { id, drawings } of LESSONS) {
      for (const { figures } of drawings) {
        for (const figure of figures) {
          const [x, y] =
            'x' in figure
              ? [figure.x, figure.y]
              : [...figure.d.matchAll(/-?\d+(\.\d+)?/g)].slice(0, 2).map(([value]) => Number(value));
          expect(x! >= 0 && x! <= 120 && y! >= 0 && y! <= 80, `${id}: ${JSON.stringify(figure)}`).toBe(true);
        }
      }
    }
  });

  it('say the caution where something can hurt: blades and pins', () => {
    for (const { id, drawings, caution } of LESSONS) {
      if (!['grain', 'unpicking', 'stretching', 'posture'].includes(id)) continue;
      expect(caution, id).toBeTruthy();
      expect(drawings.length).toBeGreaterThan(0);
    }
  });

  it('are found by what one would call them, with hyphens or without', () => {
    expect(findLessons('waste knot').map(({ id }) => id)).toContain('waste-knot');
    expect(findLessons('Waste-Knot')).toEqual(findLessons('waste knot'));
    for (const [word, id] of [
      ['tangle', 'hanging'],
      ['drum', 'mounting'],
      ['mistake', 'unpicking'],
      ['block', 'stretching'],
      ['split floss', 'strands'],
    ] as const) {
      expect(
        findLessons(word).map((lesson) => lesson.id),
        word,
      ).toContain(id);
    }
    expect(findLessons('zebra')).toEqual([]);
    expect(findLessons('')).toHaveLength(LESSONS.length);
    for (const id of [...firstLessons(true), ...firstLessons(false)])
      expect(LESSONS.some((lesson) => lesson.id === id)).toBe(true);
    expect(LESSONS.map(({ id }) => id).sort()).toEqual(Object.keys(LESSON_NAMES).sort());
  });
});
