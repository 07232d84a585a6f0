import { stitchKind, type StitchId } from '@junctura/core/stitches';

/** The lessons in technique, by their ids, as they are called within a sentence. */
export const LESSON_NAMES = {
  grain: 'grain and cutting cloth',
  mounting: 'mounting the cloth',
  binding: 'binding the rings',
  garment: 'garments',
  strands: 'separating strands',
  twelve: 'twelve strands from six',
  threading: 'threading',
  'waste-knot': 'the waste knot',
  'end-knot': 'a knot at the end',
  'tiny-stitches': 'tiny stitches',
  'fastening-off': 'fastening off',
  hanging: 'letting the needle hang',
  unpicking: 'unpicking',
  posture: 'posture and breaks',
  knots: 'knots',
  stretching: 'damp stretching',
} as const;

export type LessonId = keyof typeof LESSON_NAMES;

/** What helps with one step of the work: how its needle is threaded, how its stitch is held, where its thread ends. */
export function lessonsOfStep(step: { readonly stitch: StitchId; readonly strands: number }): LessonId[] {
  const { needle, isRaised } = stitchKind(step.stitch);
  return [
    step.strands > 6 ? 'twelve' : 'strands',
    'threading',
    ...(needle === 'wrapping' ? (['knots'] as const) : []),
    ...(isRaised ? (['hanging'] as const) : []),
    'fastening-off',
  ];
}

/** What a first sitting needs. */
export const firstLessons = (isHooped: boolean): readonly LessonId[] => [
  isHooped ? 'mounting' : 'garment',
  'strands',
  'threading',
  'waste-knot',
];
