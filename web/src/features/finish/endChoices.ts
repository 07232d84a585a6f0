import type { End, Finish } from '@junctura/core/piece';

/** Settings of a finish that are chosen from a few. */
type ChoiceKey =
  | 'shape'
  | 'edge'
  | 'edgeOrder'
  | 'attached'
  | 'cardFace'
  | 'backing'
  | 'mounting'
  | 'trimmed'
  | 'disc'
  | 'clothShape'
  | 'fringe'
  | 'stretching';

/** One setting as it is offered. */
export interface EndChoice {
  readonly key: ChoiceKey;
  readonly label: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
}

/** What an end was planned with, beyond what was chosen. */
interface Planned {
  /** Whether a line to sew along holds the design. */
  readonly hasDrawn: boolean;
}

const options = (names: Readonly<Record<string, string>>): EndChoice['options'] =>
  Object.entries(names).map(([value, label]) => ({ value, label }));

const USUAL = 'usual';
const EDGE = options({ overcast: 'Overcast', buttonhole: 'Buttonhole' });
const EDGE_ORDER = options({ 'before-cutting': 'Before it is cut out', 'after-cutting': 'Over the cut edge' });
const ATTACHED = options({ sewn: 'Sewn on', ironed: 'Ironed on' });
const BACKING = options({
  [USUAL]: 'As usual for the cloth',
  sewn: 'Sewn on',
  fusible: 'Fused with an iron, permanently',
});
const FACE = options({ window: 'In a window', whole: 'The whole front' });
const MOUNTING = options({ again: 'Mounted again', 'left-in': 'Left as it was stitched' });
const TRIMMED = options({ before: 'Before gathering', after: 'After gathering' });
const DISC = options({ felt: 'Felt', card: 'Card', none: 'None, left open' });
const CLOTH_SHAPE = options({ rectangle: 'Rectangle', round: 'Round', oval: 'Oval' });
const FRINGE = options({ none: 'None', bought: 'Bought', looped: 'Looped', knitted: 'Knitted' });
const STRETCHING = options({ 'as-needed': 'Where it is needed', always: 'Always', never: 'Never' });
const DRAWN = { [USUAL]: 'The line you drew' };
const SHAPES = { disc: 'Disc', heart: 'Heart', drop: 'Teardrop', outline: 'The design’s own outline' };

/** The settings of an end, in the order in which they are thought of. */
export function choicesOf(end: End, finish: Finish, { hasDrawn }: Planned): EndChoice[] {
  const stretching: EndChoice = { key: 'stretching', label: 'Pinned out damp', options: STRETCHING };
  switch (end) {
    case 'framed':
      return [
        { key: 'mounting', label: 'In the hoop', options: MOUNTING },
        { key: 'trimmed', label: 'Trimmed', options: TRIMMED },
        { key: 'disc', label: 'Cover at the back', options: DISC },
        ...(finish.mounting === 'left-in' ? [] : [stretching]),
      ];
    case 'board':
      return [stretching];
    case 'patch':
      return [
        ...(hasDrawn
          ? [{ key: 'shape', label: 'Outline', options: options({ ...DRAWN, outline: SHAPES.outline }) } as const]
          : []),
        { key: 'edge', label: 'Edge', options: EDGE },
        { key: 'edgeOrder', label: 'Edge worked', options: EDGE_ORDER },
        { key: 'attached', label: 'Put on', options: ATTACHED },
        ...(finish.attached === 'ironed' ? [] : [{ key: 'backing', label: 'Felt behind', options: BACKING } as const]),
        stretching,
      ];
    case 'ornament':
      return [
        { key: 'shape', label: 'Shape', options: options(hasDrawn ? { ...DRAWN, ...SHAPES } : SHAPES) },
        stretching,
      ];
    case 'card':
      return [{ key: 'cardFace', label: 'Cloth', options: FACE }, stretching];
    case 'cushion':
      return [{ key: 'backing', label: 'Backing', options: BACKING }, stretching];
    case 'garment':
      return [{ key: 'backing', label: 'Backing', options: BACKING }];
    case 'whitework':
      return [
        { key: 'clothShape', label: 'Shape of the cloth', options: CLOTH_SHAPE },
        { key: 'fringe', label: 'Fringe', options: FRINGE },
        stretching,
      ];
    case 'hemmed':
      return [];
  }
}

/** What is chosen, as one of the options. */
export function chosen({ key, options: offered }: EndChoice, finish: Finish): string {
  const value = finish[key];
  const isOffered = offered.some((option) => option.value === value);
  return value !== null && isOffered ? value : offered[0]!.value;
}

/** A setting as it was picked; the usual one is no choice. */
export function choose({ key }: EndChoice, value: string): Partial<Finish> {
  return { [key]: value === USUAL ? null : value };
}
