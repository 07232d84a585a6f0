/** A way of getting the drawing onto the cloth, and the line that it leaves. */
export interface Mark {
  readonly id: string;
  readonly name: string;
  readonly lineMm: number;
  readonly onDark: boolean;
  readonly comesOut: string;
  readonly beware: string;
}

/** General craft figures; the maker's instructions for a marker come first. */
export const MARKS: readonly Mark[] = [
  {
    id: 'pencil',
    name: 'Hard fine pencil',
    lineMm: 0.4,
    onDark: false,
    comesOut: 'hardly: cover it with stitches',
    beware: 'soils pale thread when soft or heavy',
  },
  {
    id: 'heat-pen',
    name: 'Heat-erasable pen',
    lineMm: 0.6,
    onDark: false,
    comesOut: 'by iron or hot air',
    beware: 'may come back in the cold or leave a pale line: try it on a scrap',
  },
  {
    id: 'water-pen',
    name: 'Water-erasable pen',
    lineMm: 0.9,
    onDark: false,
    comesOut: 'in cold water, all of it',
    beware: 'heat sets it: rinse before ironing. Fades in light or damp air within days',
  },
  {
    id: 'cloth-pencil',
    name: 'Wash-out cloth pencil',
    lineMm: 0.8,
    onDark: true,
    comesOut: 'by washing',
    beware: 'keep the point sharp',
  },
  {
    id: 'film',
    name: 'Film that dissolves',
    lineMm: 0.4,
    onDark: true,
    comesOut: 'in warm water, long enough',
    beware: 'tack it in the middle and all round; not for felt or silk; the ink must be water-safe',
  },
];

export const DEFAULT_MARK = 'pencil';

export function markOf(id: string): Mark | undefined {
  return MARKS.find((mark) => mark.id === id);
}
