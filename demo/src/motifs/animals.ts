import { area, C, disc, leaf, line, mirrored, oval, round, type Motif } from './colours.ts';

const eye = (x: number, y: number, r = 1.6): string => disc(x, y, r, C.ink);

export const ANIMALS: readonly Motif[] = [
  {
    id: 'robin',
    name: 'Robin',
    kind: 'Animals',
    words: ['bird', 'winter', 'christmas', 'garden'],
    body:
      line('M46 76V90M56 76V90M42 91H50M52 91H60', C.bark, 1.2) +
      area(
        'M24 52C24 32 38 18 54 20C66 21 74 30 74 42C74 62 62 78 46 78C36 78 28 74 20 86C18 74 24 64 24 52Z',
        C.fawn,
      ) +
      area('M58 26C70 28 74 36 73 46C72 60 62 70 52 70C48 58 48 38 58 26Z', C.madder) +
      area('M26 52C34 46 44 50 48 62C40 68 28 68 22 80C20 70 22 60 26 52Z', C.bark) +
      area('M72 34L84 38L73 42Z', C.weld) +
      eye(64, 31, 2),
  },
  {
    id: 'whale',
    name: 'Whale',
    kind: 'Animals',
    words: ['sea', 'ocean', 'fish', 'blue'],
    body:
      area(
        'M10 54C12 36 34 28 54 32C66 34 74 42 78 50C80 44 78 38 72 32C80 30 84 34 86 38C88 34 92 32 97 34C94 42 90 48 86 56C80 72 62 78 44 76C24 74 10 68 10 54Z',
        C.sky,
      ) +
      area('M12 60C24 66 44 66 58 62C54 72 48 76 40 76C26 74 16 70 12 60Z', C.pale) +
      eye(26, 52, 2) +
      line('M34 22C32 16 28 14 24 16M34 22C36 16 40 14 44 16M34 22V30', C.indigo, 1.3),
  },
  {
    id: 'cat',
    name: 'Sitting cat',
    kind: 'Animals',
    words: ['kitten', 'pet', 'black cat'],
    body:
      area('M66 86C82 86 86 72 80 62C78 58 84 56 86 60C94 74 88 92 68 92Z', C.slate) +
      area('M34 40C26 56 26 80 34 92H66C74 80 74 56 66 40Z', C.slate) +
      area(
        'M30 34C30 22 32 14 34 10L44 20C48 18 52 18 56 20L66 10C68 14 70 22 70 34C70 46 60 52 50 52C40 52 30 46 30 34Z',
        C.slate,
      ) +
      eye(42, 34, 2) +
      eye(58, 34, 2) +
      area('M47 40H53L50 43.5Z', C.rose) +
      line('M50 44V46M50 46C48 48 46 48 45 47M50 46C52 48 54 48 55 47', C.ink, 0.8) +
      line('M44 92V78M56 92V78', C.ink, 0.9),
  },
  {
    id: 'fox',
    name: 'Fox',
    kind: 'Animals',
    words: ['forest', 'face', 'orange'],
    body:
      mirrored(area('M16 16C28 18 38 26 40 34L24 46C16 38 14 26 16 16Z', C.amber)) +
      area(
        'M50 30C66 30 78 40 80 52C76 58 66 60 58 76C55 84 45 84 42 76C34 60 24 58 20 52C22 40 34 30 50 30Z',
        C.amber,
      ) +
      mirrored(area('M20 52C30 50 40 54 44 66C44 72 45 78 50 82C46 84 43 80 42 76C36 62 26 60 20 52Z', C.cream)) +
      eye(38, 52, 2.2) +
      eye(62, 52, 2.2) +
      oval(50, 80, 4, 3, C.ink),
  },
  {
    id: 'bee',
    name: 'Bee',
    kind: 'Animals',
    words: ['insect', 'honey', 'summer', 'garden'],
    body:
      leaf(46, 42, 22, 20, 0.34, C.pale) +
      leaf(54, 42, 78, 20, 0.34, C.pale) +
      oval(50, 58, 16, 25, C.weld) +
      area('M36 46C44 50 56 50 64 46C66 50 66 52 66 54C56 58 44 58 34 54C34 52 34 50 36 46Z', C.ink) +
      area('M34 62C44 66 56 66 66 62C66 66 65 69 64 72C56 75 44 75 36 72C35 69 34 66 34 62Z', C.ink) +
      disc(50, 32, 9, C.ink) +
      line('M46 24C44 18 41 16 38 16M54 24C56 18 59 16 62 16', C.ink, 1.2),
  },
  {
    id: 'butterfly',
    name: 'Butterfly',
    kind: 'Animals',
    words: ['insect', 'summer', 'garden', 'wings'],
    body:
      mirrored(
        area('M49 48C40 22 18 12 10 20C6 36 22 54 48 54Z', C.amber) +
          area('M48 56C34 56 20 64 24 78C30 90 46 80 49 62Z', C.weld) +
          disc(22, 30, 5, C.butter) +
          disc(34, 72, 4, C.amber),
      ) +
      oval(50, 56, 2.8, 20, C.bark) +
      line('M49 38C46 28 42 24 38 22M51 38C54 28 58 24 62 22', C.bark, 1),
  },
  {
    id: 'ladybird',
    name: 'Ladybird',
    kind: 'Animals',
    words: ['beetle', 'insect', 'luck', 'red'],
    body:
      line('M26 46L14 40M24 60H12M28 74L16 82M74 46L86 40M76 60H88M72 74L84 82', C.ink, 1.4) +
      area('M34 32C34 20 66 20 66 32Z', C.ink) +
      line('M44 24C42 16 38 14 36 14M56 24C58 16 62 14 64 14', C.ink, 1.2) +
      area('M49 34V88C32 88 22 74 22 60C22 44 34 34 49 34Z', C.madder) +
      area('M51 34V88C68 88 78 74 78 60C78 44 66 34 51 34Z', C.madder) +
      mirrored(disc(38, 48, 4, C.ink) + disc(33, 64, 4, C.ink) + disc(42, 76, 3.4, C.ink)),
  },
  {
    id: 'hedgehog',
    name: 'Hedgehog',
    kind: 'Animals',
    words: ['autumn', 'forest', 'prickles'],
    body:
      area('M18 74C14 44 40 24 64 34C76 40 82 52 80 62L72 78H22Z', C.bark) +
      area('M66 46C76 46 84 54 94 66C90 74 82 78 70 78C64 68 62 56 66 46Z', C.fawn) +
      disc(93, 66, 2.8, C.ink) +
      eye(76, 58, 1.8) +
      line('M30 60L24 52M40 52L36 42M52 48L50 38M34 70L26 66M46 62L42 54M58 58L56 48M50 72L46 64', C.fawn, 1.2) +
      line('M34 80V86M62 80V86', C.bark, 2),
  },
  {
    id: 'fish',
    name: 'Fish',
    kind: 'Animals',
    words: ['sea', 'ocean', 'river'],
    body:
      area('M8 50C20 30 46 26 66 48L84 34C88 44 88 56 84 66L66 52C46 74 20 70 8 50Z', C.sky) +
      area('M8 50C14 41 22 36 30 34C36 42 36 58 30 66C22 64 14 59 8 50Z', C.indigo) +
      disc(20, 46, 2.4, C.cream) +
      line('M42 40C46 46 46 54 42 60M52 42C56 48 56 52 52 58', C.indigo, 1.2),
  },
  {
    id: 'snail',
    name: 'Snail',
    kind: 'Animals',
    words: ['garden', 'shell', 'slow'],
    body:
      area(
        'M8 84C16 74 26 78 40 78H66C72 76 74 66 76 54C77 48 84 48 86 54C88 70 82 86 66 86H14C10 86 8 86 8 84Z',
        C.fawn,
      ) +
      disc(44, 54, 25, C.amber) +
      line('M44 78C30 76 24 64 26 52C30 40 46 36 54 46C60 56 52 66 44 62C38 58 42 50 48 54', C.bark, 1.6) +
      line('M80 50C78 42 76 38 74 36M83 50C86 42 88 38 92 36', C.fawn, 1.6),
  },
  {
    id: 'bunny',
    name: 'Rabbit',
    kind: 'Animals',
    words: ['hare', 'easter', 'bunny', 'pet'],
    body:
      mirrored(area('M46 34C38 28 34 12 38 6C44 6 48 20 49 32Z', C.fawn)) +
      area('M30 44C30 34 38 28 50 28C62 28 70 34 70 44C70 56 60 60 50 60C40 60 30 56 30 44Z', C.fawn) +
      area('M34 60C26 70 26 86 32 92H68C74 86 74 70 66 60C56 66 44 66 34 60Z', C.fawn) +
      oval(50, 80, 9, 11, C.cream) +
      eye(42, 42, 1.8) +
      eye(58, 42, 1.8) +
      area('M48 47H52L50 50Z', C.rose) +
      line('M50 50V53', C.bark, 0.9),
  },
  {
    id: 'owl',
    name: 'Owl',
    kind: 'Animals',
    words: ['bird', 'night', 'forest', 'wise'],
    body:
      area('M28 18L38 24C46 20 54 20 62 24L72 18C78 34 78 70 66 84C58 92 42 92 34 84C22 70 22 34 28 18Z', C.bark) +
      area('M50 48C62 50 64 64 60 76C56 84 44 84 40 76C36 64 38 50 50 48Z', C.fawn) +
      disc(40, 36, 9, C.butter) +
      disc(60, 36, 9, C.butter) +
      disc(40, 36, 4, C.ink) +
      disc(60, 36, 4, C.ink) +
      area('M46 43H54L50 50Z', C.amber),
  },
  {
    id: 'starfish',
    name: 'Sea star',
    kind: 'Animals',
    words: ['sea', 'beach', 'summer', 'star'],
    body:
      area(
        'M50 8C55 24 58 34 62 38C70 40 80 38 94 40C84 50 74 56 70 62C70 72 76 82 78 92C66 88 58 80 50 78C42 80 34 88 22 92C24 82 30 72 30 62C26 56 16 50 6 40C20 38 30 40 38 38C42 34 45 24 50 8Z',
        C.amber,
      ) +
      round(5, 20, disc(0, 0, 1.8, C.butter)) +
      disc(50, 52, 2.4, C.butter),
  },
];
