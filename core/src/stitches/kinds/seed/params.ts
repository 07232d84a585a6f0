import type { ParamTable } from '../../params.ts';

export const params = {
  stitchMm: {
    type: 'number',
    label: 'Stitch length',
    symbol: 's',
    unit: 'mm',
    min: 0.8,
    max: 5,
    step: 0.1,
    default: 2,
    hint: 'Usually 1.5 to 2.5 mm; every seed as long as the next.',
  },
  densityPerCm2: {
    type: 'number',
    label: 'Seeds',
    symbol: 'd',
    unit: 'per cm²',
    min: 0.5,
    max: 40,
    step: 0.5,
    default: 8,
    hint: 'Few for a light scatter, many for shade.',
  },
  lie: {
    type: 'choice',
    label: 'Each lies',
    options: [
      { value: 'any', label: 'any which way' },
      { value: 'direction', label: 'about along the direction' },
    ],
    default: 'any',
    hint: 'Any which way for sand; along a direction for fur, grass and moving water.',
  },
  thinTo: {
    type: 'number',
    label: 'Thins out to',
    unit: '%',
    min: 0,
    max: 100,
    step: 5,
    default: 100,
    hint: 'So much of the seeds is left at the far side, along the direction: a shade that fades.',
  },
} as const satisfies ParamTable;
