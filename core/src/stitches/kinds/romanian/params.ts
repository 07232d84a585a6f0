import { spacing } from '../../shared/params.ts';
import type { ParamTable } from '../../params.ts';

export const params = {
  spacingMm: spacing(),
  tie: {
    type: 'choice',
    label: 'Tie',
    options: [
      { value: 'narrow', label: 'narrow: a fine spine' },
      { value: 'wide', label: 'wide: a broad, slanting spine' },
    ],
    default: 'narrow',
    hint: 'The slanting stitch in the middle that holds the long one.',
  },
} as const satisfies ParamTable;
