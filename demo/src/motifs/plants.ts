import { area, C, disc, leaf, line, mirrored, oval, petals, type Motif } from './colours.ts';

export const PLANTS: readonly Motif[] = [
  {
    id: 'mushroom',
    name: 'Mushroom',
    kind: 'Plants',
    words: ['toadstool', 'fungus', 'autumn', 'forest'],
    body:
      area('M42 52C43 66 40 78 37 88C44 92 56 92 63 88C60 78 57 66 58 52Z', C.cream) +
      area('M14 54C14 30 30 14 50 14C70 14 86 30 86 54C66 62 34 62 14 54Z', C.madder) +
      disc(34, 34, 5, C.butter) +
      disc(57, 27, 4.4, C.butter) +
      disc(68, 44, 5, C.butter) +
      disc(45, 47, 4, C.butter) +
      line('M42 52C43 66 40 78 37 88C44 92 56 92 63 88C60 78 57 66 58 52', C.fawn) +
      line('M26 90C30 84 30 80 29 76M72 90C70 85 70 82 72 78M78 90C77 87 78 85 80 83', C.leaf),
  },
  {
    id: 'daisy',
    name: 'Daisy',
    kind: 'Plants',
    words: ['flower', 'marguerite', 'summer', 'meadow'],
    body:
      line('M50 44C51 62 49 78 50 94', C.stem, 1.6) +
      leaf(50, 78, 70, 64, 0.22, C.leaf) +
      leaf(50, 86, 32, 74, 0.22, C.leaf) +
      petals(50, 34, 12, 7.5, 24, 0.2, C.rose) +
      disc(50, 34, 7, C.weld),
  },
  {
    id: 'tulip',
    name: 'Tulip',
    kind: 'Plants',
    words: ['flower', 'spring', 'bulb'],
    body:
      line('M50 52C51 68 49 82 50 95', C.stem, 1.8) +
      leaf(50, 92, 26, 50, 0.16, C.leaf) +
      leaf(50, 92, 74, 54, 0.16, C.leaf) +
      area(
        'M32 18C38 22 42 26 44 30C46 24 48 18 50 12C52 18 54 24 56 30C58 26 62 22 68 18C72 38 66 52 50 54C34 52 28 38 32 18Z',
        C.madder,
      ) +
      line('M44 30C43 38 44 46 47 52M56 30C57 38 56 46 53 52', C.plum, 0.9),
  },
  {
    id: 'lavender',
    name: 'Lavender',
    kind: 'Plants',
    words: ['flower', 'herb', 'provence', 'purple'],
    body:
      [38, 50, 62]
        .map((x, k) => {
          const top = 14 + 6 * Math.abs(k - 1);
          const buds = Array.from({ length: 6 }, (_, i) => {
            const y = top + 4 + 6 * i;
            return leaf(x, y + 5, x - 6, y, 0.3, C.lilac) + leaf(x, y + 5, x + 6, y, 0.3, C.plum);
          }).join('');
          return line(`M${x} ${top + 8}C${x} 62 ${50 + (x - 50) * 0.4} 78 50 92`, C.stem, 1.2) + buds;
        })
        .join('') +
      leaf(48, 84, 34, 64, 0.12, C.leaf) +
      leaf(52, 84, 66, 66, 0.12, C.leaf),
  },
  {
    id: 'poppy',
    name: 'Poppy',
    kind: 'Plants',
    words: ['flower', 'field', 'red'],
    body:
      line('M50 46C52 64 48 80 50 95', C.stem, 1.4) +
      leaf(50, 84, 70, 70, 0.16, C.leaf) +
      leaf(49, 88, 32, 72, 0.16, C.leaf) +
      area('M50 38C30 46 20 34 26 22C34 12 48 18 50 38Z', C.madder) +
      area('M50 38C70 46 80 34 74 22C66 12 52 18 50 38Z', C.madder) +
      area('M50 36C36 40 30 54 42 56C48 57 50 48 50 42C50 48 52 57 58 56C70 54 64 40 50 36Z', C.rose) +
      disc(50, 38, 5, C.ink),
  },
  {
    id: 'rosebud',
    name: 'Rosebud',
    kind: 'Plants',
    words: ['flower', 'rose', 'love'],
    body:
      line('M50 50C52 66 48 80 48 95', C.stem, 1.6) +
      leaf(50, 76, 72, 62, 0.24, C.leaf) +
      leaf(49, 84, 28, 72, 0.24, C.leaf) +
      area('M32 30C32 46 40 54 50 54C60 54 68 46 68 30C62 36 56 36 50 30C44 36 38 36 32 30Z', C.rose) +
      area('M38 28C38 16 62 16 62 28C60 36 54 36 50 30C46 36 40 36 38 28Z', C.madder) +
      leaf(50, 54, 36, 48, 0.2, C.leaf) +
      leaf(50, 54, 64, 48, 0.2, C.leaf),
  },
  {
    id: 'fern',
    name: 'Fern',
    kind: 'Plants',
    words: ['leaf', 'frond', 'forest', 'green'],
    body:
      line('M50 94C50 70 50 40 52 10', C.stem, 1.4) +
      Array.from({ length: 9 }, (_, i) => {
        const y = 84 - 8 * i;
        const reach = 24 - 2.2 * i;
        return (
          leaf(50.4, y, 50 - reach, y - reach * 0.5, 0.16, C.leaf) +
          leaf(50.6, y - 3, 51 + reach, y - 3 - reach * 0.5, 0.16, C.leaf)
        );
      }).join(''),
  },
  {
    id: 'cactus',
    name: 'Cactus',
    kind: 'Plants',
    words: ['pot', 'desert', 'succulent', 'house plant'],
    body:
      area('M34 66H66L62 92H38Z', C.amber) +
      area('M31 60H69V67H31Z', C.bark) +
      area('M40 60V28C40 14 60 14 60 28V60Z', C.leaf) +
      area('M40 48C28 48 24 42 24 32C24 26 32 26 32 32C32 38 34 40 40 40Z', C.pine) +
      area('M60 44C72 44 76 38 76 28C76 22 68 22 68 28C68 34 66 36 60 36Z', C.pine) +
      petals(50, 16, 5, 1.5, 7, 0.3, C.rose),
  },
  {
    id: 'oak-leaf',
    name: 'Oak leaf and acorn',
    kind: 'Plants',
    words: ['autumn', 'tree', 'acorn', 'forest'],
    body:
      area(
        'M30 90C32 78 26 76 22 70C18 62 28 60 26 52C22 44 30 40 32 36C32 26 42 26 46 14C54 22 58 28 56 36C62 40 64 46 58 52C60 58 64 64 56 70C48 74 40 78 34 90Z',
        C.amber,
      ) +
      line('M32 92C36 70 42 44 46 22', C.bark, 1) +
      area('M66 70C66 84 74 92 76 94C80 90 86 84 86 70Z', C.fawn) +
      area('M63 70C63 60 89 60 89 70Z', C.bark) +
      line('M76 62C76 58 78 55 80 54', C.bark, 1.4),
  },
  {
    id: 'wheat',
    name: 'Ears of wheat',
    kind: 'Plants',
    words: ['harvest', 'field', 'bread', 'autumn'],
    body: [-14, 0, 14]
      .map((lean) => {
        const at = (t: number): [number, number] => [50 + lean * t * t, 94 - 84 * t];
        const grains = Array.from({ length: 5 }, (_, i) => {
          const [x, y] = at(0.55 + 0.09 * i);
          return (
            leaf(x, y, x - 7 + lean * 0.1, y - 9, 0.26, C.weld) + leaf(x, y, x + 7 + lean * 0.1, y - 9, 0.26, C.amber)
          );
        }).join('');
        const [mx, my] = at(0.5);
        const [tx, ty] = at(0.92);
        return line(`M50 94Q${50 + lean * 0.05} ${my + 6} ${mx} ${my}T${tx} ${ty}`, C.fawn, 1.1) + grains;
      })
      .join(''),
  },
  {
    id: 'sprig',
    name: 'Sprig of berries',
    kind: 'Plants',
    words: ['winter', 'holly', 'rowan', 'leaf'],
    body:
      line('M22 90C38 70 52 48 74 14M46 62C52 60 60 60 66 62M56 44C50 40 44 34 42 28', C.bark, 1.3) +
      leaf(34, 76, 18, 60, 0.24, C.leaf) +
      leaf(38, 70, 60, 78, 0.24, C.leaf) +
      leaf(62, 34, 80, 40, 0.24, C.leaf) +
      leaf(64, 30, 54, 12, 0.24, C.leaf) +
      disc(70, 60, 4.2, C.madder) +
      disc(76, 66, 4.2, C.madder) +
      disc(66, 68, 4.2, C.madder) +
      disc(38, 26, 4.2, C.madder) +
      disc(46, 22, 4.2, C.madder),
  },
  {
    id: 'tree',
    name: 'Little tree',
    kind: 'Plants',
    words: ['forest', 'garden', 'apple tree'],
    body:
      area('M45 92C47 78 46 68 45 60H55C54 68 53 78 55 92Z', C.bark) +
      area(
        'M50 10C62 8 72 16 72 26C84 28 86 44 76 50C76 60 62 66 50 62C38 66 24 60 24 50C14 44 16 28 28 26C28 16 38 8 50 10Z',
        C.leaf,
      ) +
      [
        [36, 30],
        [60, 24],
        [48, 42],
        [66, 44],
        [33, 48],
      ]
        .map(([x, y]) => disc(x!, y!, 3.2, C.madder))
        .join(''),
  },
  {
    id: 'pine',
    name: 'Pine tree',
    kind: 'Plants',
    words: ['christmas', 'winter', 'forest', 'fir'],
    body: area('M46 80H54V92H46Z', C.bark) + area('M50 8L66 34H58L72 56H62L78 82H22L38 56H28L42 34H34Z', C.pine),
  },
  {
    id: 'heart-leaves',
    name: 'Two leaves',
    kind: 'Plants',
    words: ['olive', 'branch', 'simple', 'green'],
    body: mirrored(leaf(50, 88, 20, 30, 0.24, C.leaf)) + line('M50 94V60', C.stem, 1.6) + oval(50, 50, 4, 5.5, C.plum),
  },
];
