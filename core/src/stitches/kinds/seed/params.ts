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
    hint: 'Usually 1.5 to 2.5 mm; all seeds are the same length.',
  },
  densityPerCm2: {
    type: 'number',
    label: 'Density',
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
    label: 'Angle',
    options: [
      { value: 'any', label: 'any direction' },
      { value: 'direction', label: 'roughly along the direction' },
    ],
    default: 'any',
    hint: 'Any direction for sand; along a direction for fur, grass and moving water.',
  },
  thinTo: {
    type: 'number',
    label: 'Fades to',
    unit: '%',
    min: 0,
    max: 100,
    step: 5,
    default: 100,
    hint: 'The share of seeds left at the far side, along the direction: a shade that fades.',
  },
} as const satisfies ParamTable;
