import { spacing } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  spacingMm: spacing(),
  padding: {
    type: 'choice',
    label: 'Padding',
    options: [
      { value: 'satin', label: 'crossed satin' },
      { value: 'running', label: 'open running' },
      { value: 'chain', label: 'chain, the firmest' },
    ],
    default: 'satin',
    hint: 'What goes underneath; each layer lies across the last and inside it.',
  },
  layers: {
    type: 'number',
    label: 'Layers',
    unit: 'layers',
    min: 1,
    max: 3,
    step: 1,
    default: 2,
    hint: 'One for a gentle rise, three for a berry.',
  },
  edge: {
    type: 'choice',
    label: 'Firm edge',
    options: [
      { value: 'split', label: 'split stitch underneath' },
      { value: 'none', label: 'none' },
    ],
    default: 'split',
    hint: 'A line of split stitch just inside the edge keeps it crisp and lifts it.',
  },
} as const satisfies ParamTable;
