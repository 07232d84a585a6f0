import { area, C, disc, leaf, line, mirrored, oval, petals, round, type Motif } from './colours.ts';

export const FOOD: readonly Motif[] = [
  {
    id: 'strawberry',
    name: 'Strawberry',
    kind: 'Food',
    words: ['fruit', 'summer', 'berry', 'red'],
    body:
      area('M22 36C22 24 36 22 50 26C64 22 78 24 78 36C78 56 62 78 50 90C38 78 22 56 22 36Z', C.madder) +
      petals(50, 26, 5, 1, 16, 0.22, C.leaf, -90) +
      line('M50 25C50 18 52 14 55 11', C.stem, 1.6) +
      [
        [36, 46],
        [50, 44],
        [64, 46],
        [42, 58],
        [58, 58],
        [50, 70],
      ]
        .map(([x, y]) => disc(x!, y!, 1.5, C.butter))
        .join(''),
  },
  {
    id: 'lemon',
    name: 'Lemon',
    kind: 'Food',
    words: ['fruit', 'citrus', 'yellow', 'kitchen'],
    body:
      area(
        'M16 58C18 40 36 28 54 30C66 30 76 36 80 44C88 46 90 52 86 56C84 72 68 84 50 82C36 82 24 76 22 68C16 68 14 62 16 58Z',
        C.weld,
      ) +
      line('M54 30C54 22 58 16 62 14', C.stem, 1.6) +
      leaf(58, 20, 84, 16, 0.26, C.leaf) +
      line('M34 50C40 44 48 42 54 42', C.butter, 1.4),
  },
  {
    id: 'cherries',
    name: 'Cherries',
    kind: 'Food',
    words: ['fruit', 'summer', 'red', 'pair'],
    body:
      line('M34 62C36 40 44 24 58 14M68 66C68 46 64 28 58 14', C.stem, 1.6) +
      leaf(58, 14, 88, 26, 0.26, C.leaf) +
      disc(32, 74, 14, C.madder) +
      disc(68, 76, 14, C.madder) +
      line('M25 71C26 67 29 65 32 65M61 73C62 69 65 67 68 67', C.rose, 1.4),
  },
  {
    id: 'carrot',
    name: 'Carrot',
    kind: 'Food',
    words: ['vegetable', 'garden', 'orange'],
    body:
      area('M36 34C44 28 56 28 64 34C64 56 56 80 50 94C44 80 36 56 36 34Z', C.amber) +
      leaf(50, 32, 50, 4, 0.16, C.leaf) +
      leaf(48, 32, 32, 8, 0.16, C.leaf) +
      leaf(52, 32, 68, 8, 0.16, C.leaf) +
      line('M40 46H48M54 56H61M44 66H51', C.bark, 1),
  },
  {
    id: 'pear',
    name: 'Pear',
    kind: 'Food',
    words: ['fruit', 'autumn', 'green'],
    body:
      area(
        'M50 20C58 20 62 28 62 38C64 50 78 56 78 72C78 86 64 92 50 92C36 92 22 86 22 72C22 56 36 50 38 38C38 28 42 20 50 20Z',
        C.moss,
      ) +
      line('M50 20C50 14 52 10 56 7', C.bark, 1.8) +
      leaf(53, 14, 78, 14, 0.28, C.leaf) +
      line('M34 66C36 60 40 56 42 52', C.butter, 1.6),
  },
  {
    id: 'teapot',
    name: 'Teapot',
    kind: 'Food',
    words: ['tea', 'kitchen', 'cup', 'cosy'],
    body:
      area('M28 46C10 40 12 66 30 70L32 64C20 62 20 50 29 52Z', C.indigo) +
      area('M72 56C80 54 82 44 90 38L94 42C90 54 86 66 72 70Z', C.indigo) +
      area('M28 42H72C80 56 78 78 66 86H34C22 78 20 56 28 42Z', C.sky) +
      area('M34 38C36 28 64 28 66 38Z', C.indigo) +
      disc(50, 25, 4, C.indigo) +
      petals(50, 63, 6, 4, 12, 0.3, C.cream) +
      disc(50, 63, 3.4, C.weld),
  },
  {
    id: 'ice-cream',
    name: 'Ice cream',
    kind: 'Food',
    words: ['summer', 'cone', 'sweet'],
    body:
      area('M32 50H68L50 94Z', C.fawn) +
      line('M38 54L56 82M62 54L44 82M50 52L60 70M50 52L40 70', C.bark, 0.9) +
      area(
        'M28 50C24 40 30 32 36 32C36 16 64 16 64 32C70 32 76 40 72 50C66 56 58 52 54 55C48 58 40 52 34 54C30 54 28 52 28 50Z',
        C.blush,
      ) +
      disc(54, 12, 5, C.madder),
  },
];

export const WEATHER: readonly Motif[] = [
  {
    id: 'sun',
    name: 'Sun',
    kind: 'Weather',
    words: ['summer', 'day', 'bright'],
    body: disc(50, 50, 20, C.weld) + round(12, 27, leaf(0, 0, 0, -14, 0.2, C.amber)),
  },
  {
    id: 'moon',
    name: 'Moon and stars',
    kind: 'Weather',
    words: ['night', 'sky', 'sleep', 'baby'],
    body:
      area('M58 10C34 14 22 34 26 54C30 76 52 90 74 82C52 78 42 62 42 44C42 30 48 18 58 10Z', C.butter) +
      [
        [70, 30, 7],
        [84, 52, 5],
        [62, 56, 4.4],
      ]
        .map(([x, y, r]) =>
          area(
            `M${x} ${y! - r!}L${x! + r! * 0.3} ${y! - r! * 0.3}L${x! + r!} ${y}L${x! + r! * 0.3} ${y! + r! * 0.3}L${x} ${y! + r!}L${x! - r! * 0.3} ${y! + r! * 0.3}L${x! - r!} ${y}L${x! - r! * 0.3} ${y! - r! * 0.3}Z`,
            C.weld,
          ),
        )
        .join(''),
  },
  {
    id: 'cloud',
    name: 'Rain cloud',
    kind: 'Weather',
    words: ['rain', 'sky', 'drops'],
    body:
      area('M24 58C10 58 8 38 24 36C26 20 50 16 58 28C72 22 86 32 82 44C94 46 92 58 80 58Z', C.pale) +
      [
        [28, 70],
        [44, 76],
        [60, 70],
        [74, 78],
      ]
        .map(([x, y]) =>
          area(
            `M${x} ${y! - 5}C${x! + 5} ${y! + 2} ${x! + 4} ${y! + 8} ${x} ${y! + 8}C${x! - 4} ${y! + 8} ${x! - 5} ${y! + 2} ${x} ${y! - 5}Z`,
            C.sky,
          ),
        )
        .join(''),
  },
  {
    id: 'rainbow',
    name: 'Rainbow',
    kind: 'Weather',
    words: ['sky', 'colour', 'baby', 'hope'],
    body:
      [
        [42, C.madder],
        [35, C.weld],
        [28, C.leaf],
        [21, C.sky],
      ]
        .map(([r, colour]) =>
          area(
            `M${50 - (r as number)} 74A${r} ${r} 0 0 1 ${50 + (r as number)} 74H${50 + (r as number) - 6}A${(r as number) - 6} ${(r as number) - 6} 0 0 0 ${50 - (r as number) + 6} 74Z`,
            colour as string,
          ),
        )
        .join('') + mirrored(area('M4 80C4 72 14 70 18 74C24 70 32 76 28 82C26 86 8 86 4 80Z', C.pale)),
  },
  {
    id: 'snowflake',
    name: 'Snowflake',
    kind: 'Weather',
    words: ['winter', 'christmas', 'ice'],
    body:
      round(6, 0, line('M0 -4V-40M0 -18L-8 -26M0 -18L8 -26M0 -30L-6 -36M0 -30L6 -36', C.sky, 1.3)) +
      round(6, 8, disc(0, 0, 1.8, C.indigo), 30),
  },
];

export const THINGS: readonly Motif[] = [
  {
    id: 'heart',
    name: 'Heart',
    kind: 'Things',
    words: ['love', 'valentine', 'wedding'],
    body: area('M50 88C20 66 10 50 12 34C14 18 36 12 50 30C64 12 86 18 88 34C90 50 80 66 50 88Z', C.madder),
  },
  {
    id: 'house',
    name: 'Little house',
    kind: 'Things',
    words: ['home', 'cottage', 'new home'],
    body:
      area('M22 46H78V90H22Z', C.cream) +
      line('M22 50V90H78V50', C.fawn) +
      area('M66 14H74V32H66Z', C.bark) +
      area('M14 48L50 14L86 48Z', C.madder) +
      area('M42 62H58V90H42Z', C.indigo) +
      area('M28 56H37V66H28Z', C.sky) +
      area('M63 56H72V66H63Z', C.sky) +
      line('M12 92H88', C.leaf, 1.6),
  },
  {
    id: 'boat',
    name: 'Sailing boat',
    kind: 'Things',
    words: ['sea', 'ship', 'summer', 'boat'],
    body:
      line('M50 10V66', C.bark, 1.8) +
      area('M53 14C70 26 80 44 82 60H53Z', C.cream) +
      line('M53 14C70 26 80 44 82 60H53Z', C.fawn) +
      area('M47 22C36 34 26 48 22 60H47Z', C.madder) +
      area('M16 68H84C80 78 72 84 64 84H36C28 84 20 78 16 68Z', C.indigo) +
      line('M8 90C16 86 22 86 28 90S40 94 46 90S58 86 64 90S78 94 92 90', C.sky, 1.4),
  },
  {
    id: 'star',
    name: 'Star',
    kind: 'Things',
    words: ['christmas', 'night', 'sky'],
    body: area('M50 8L61 38L94 39L67 58L77 90L50 70L23 90L33 58L6 39L39 38Z', C.weld),
  },
  {
    id: 'balloon',
    name: 'Hot-air balloon',
    kind: 'Things',
    words: ['sky', 'travel', 'baby'],
    body:
      area('M50 8C72 8 82 26 78 42C74 56 62 64 58 70H42C38 64 26 56 22 42C18 26 28 8 50 8Z', C.rose) +
      area('M50 8C58 12 62 26 60 42C58 56 55 64 54 70H46C45 64 42 56 40 42C38 26 42 12 50 8Z', C.butter) +
      line('M43 70L45 80M57 70L55 80', C.bark, 1) +
      area('M43 80H57V92H43Z', C.bark),
  },
  {
    id: 'bow',
    name: 'Bow',
    kind: 'Things',
    words: ['ribbon', 'present', 'birthday'],
    body:
      mirrored(
        area('M46 40C30 22 12 22 10 34C8 48 28 58 46 48Z', C.rose) +
          area('M46 50C38 62 30 74 22 88L30 86L34 92C42 78 46 66 49 52Z', C.madder),
      ) + area('M43 38H57V52H43Z', C.madder),
  },
  {
    id: 'lighthouse',
    name: 'Lighthouse',
    kind: 'Things',
    words: ['sea', 'coast', 'beach', 'light'],
    body:
      area('M40 34H60L66 88H34Z', C.cream) +
      line('M40 34L34 88M60 34L66 88', C.slate) +
      area('M39 44H61L62.4 56H37.6Z', C.madder) +
      area('M36.4 67H63.6L65 79H35Z', C.madder) +
      area('M42 22H58V34H42Z', C.butter) +
      area('M40 22L50 12L60 22Z', C.indigo) +
      area('M20 88C30 84 70 84 80 88L84 94H16Z', C.slate) +
      line('M64 26L86 18M64 30L88 34M36 26L14 18M36 30L12 34', C.weld, 1.1),
  },
];

const sprig = (colour: string): string => leaf(0, 0, -7, -9, 0.26, colour) + leaf(0, 0, 7, -9, 0.26, colour);

export const FRAMES: readonly Motif[] = [
  {
    id: 'wreath-leaves',
    name: 'Wreath of leaves',
    kind: 'Frames',
    words: ['frame', 'letter', 'name', 'wedding', 'round'],
    body:
      line('M50 10A40 40 0 1 1 49.9 10', C.stem, 1.2) +
      Array.from({ length: 18 }, (_, i) => {
        const angle = (i * 20 * Math.PI) / 180;
        const at = (r: number, turn: number): [number, number] => [
          50 + r * Math.cos(angle + turn),
          50 + r * Math.sin(angle + turn),
        ];
        return leaf(...at(40, 0), ...at(47, 0.2), 0.26, C.leaf) + leaf(...at(40, 0), ...at(33, 0.2), 0.26, C.moss);
      }).join(''),
  },
  {
    id: 'wreath-flowers',
    name: 'Wreath of flowers',
    kind: 'Frames',
    words: ['frame', 'letter', 'name', 'wedding', 'birthday', 'round'],
    body:
      line('M50 12A38 38 0 1 1 49.9 12', C.stem, 1.1) +
      round(
        6,
        38,
        [0, 60, 120, 180, 240]
          .map((deg) => `<g transform="rotate(${deg + 36})">${leaf(0, -1.5, 0, -7.5, 0.36, C.rose)}</g>`)
          .join('') + disc(0, 0, 2.2, C.weld),
      ) +
      round(6, 38, sprig(C.leaf), 30),
  },
  {
    id: 'half-wreath',
    name: 'Half wreath',
    kind: 'Frames',
    words: ['frame', 'letter', 'name', 'laurel'],
    body:
      mirrored(
        line('M50 92C26 90 12 72 12 48C12 38 15 28 20 20', C.stem, 1.3) +
          [
            [40, 90],
            [27, 83],
            [18, 71],
            [13, 57],
            [12, 43],
            [16, 29],
          ]
            .map(
              ([x, y], i) =>
                leaf(x!, y!, x! - 9 + i * 0.6, y! - 8 - i * 0.4, 0.26, C.leaf) +
                leaf(x!, y!, x! + 3 + i, y! - 11, 0.26, C.pine),
            )
            .join(''),
      ) + oval(50, 92, 3, 3, C.madder),
  },
  {
    id: 'ring-dots',
    name: 'Ring of dots',
    kind: 'Frames',
    words: ['frame', 'simple', 'letter', 'name', 'round'],
    body: line('M50 8A42 42 0 1 1 49.9 8', C.indigo, 1.1) + round(24, 36, disc(0, 0, 1.5, C.madder)),
  },
];
