import type { LessonId } from '../../../ui/lessonNames.ts';
import {
  arrow,
  behind,
  cloth,
  dashes,
  hand,
  knot,
  line,
  needle,
  palm,
  ring,
  scissors,
  shape,
  thread,
  word,
  type Figure,
} from './figures.ts';

/** A short lesson in what nobody draws: a few drawings, each with one line of words. */
export interface Lesson {
  readonly id: LessonId;
  readonly name: string;
  /** Words by which it is found, beside its name. */
  readonly finds: string;
  readonly drawings: readonly { readonly say: string; readonly figures: readonly Figure[] }[];
  /** What can hurt, and what comes first then. */
  readonly caution?: string;
}

const drawing = (say: string, ...figures: Figure[]): Lesson['drawings'][number] => ({ say, figures });
const CLOTH = cloth(14, 16, 92, 52);
const SIDE = line('M8 44H112');

/** General practice, in the words of a teacher who stands beside one. */
export const LESSONS: readonly Lesson[] = [
  {
    id: 'grain',
    name: 'The grain, and cutting cloth',
    finds: 'selvedge warp weft straight cut fray',
    drawings: [
      drawing(
        'The firm edge is the selvedge; the strong threads run along it. That way is up.',
        CLOTH,
        line('M14 16V68'),
        line('M16.5 16V68'),
        arrow('M60 62V22'),
      ),
      drawing(
        'Snip the edge and pull one thread out: it leaves a straight path.',
        CLOTH,
        line('M14 40H70'),
        thread('M70 40C86 38 92 30 104 26'),
        hand(104, 26, 10),
      ),
      drawing(
        'Cut along the path, 5 cm larger than the hoop all round.',
        CLOTH,
        dashes('M30 42H106'),
        line('M14 42H30'),
        scissors(30, 42, 180),
      ),
      drawing(
        'Pencil an arrow on the edge, so that up stays up in the hoop.',
        CLOTH,
        arrow('M24 60V46'),
        word(30, 56, 'up'),
      ),
    ],
    caution: 'Cut away from the other hand, and close the scissors before you lay them down.',
  },
  {
    id: 'mounting',
    name: 'Mounting the cloth',
    finds: 'hoop ring tight drum screw tug',
    drawings: [
      drawing(
        'Lay the inner ring on a table, the cloth over it, with the grain straight up.',
        CLOTH,
        dashes('M26 44A34 22 0 1 0 94 44A34 22 0 1 0 26 44Z'),
        arrow('M60 64V24'),
      ),
      drawing(
        'Open the screw, and press the outer ring down over both, evenly.',
        CLOTH,
        ring(60, 42, 34, 22),
        palm(34, 26, -150),
        palm(86, 26, -30),
        arrow('M60 8V18'),
      ),
      drawing(
        'Tighten a little, pull opposite sides in turn along the grain, then tighten again.',
        CLOTH,
        ring(60, 42, 30, 20),
        arrow('M60 62V76'),
        arrow('M60 22V8'),
        arrow('M30 42H12'),
        arrow('M90 42H108'),
      ),
      drawing(
        'Tap it: drum-tight, it sounds. The weave should be square; if it waves, ease that side.',
        CLOTH,
        ring(60, 42, 30, 20),
        line('M48 34H72M48 42H72M48 50H72M52 30V54M60 30V54M68 30V54'),
        hand(66, 36, -40),
      ),
    ],
  },
  {
    id: 'binding',
    name: 'Binding the rings',
    finds: 'tape grip bind wrap marks',
    drawings: [
      drawing(
        'Hold the end of a cotton tape at a slant against the ring.',
        ring(60, 44, 32, 26),
        shape('M28 38L34 34L40 46L34 50Z'),
        hand(34, 34, -160),
      ),
      drawing(
        'Wind it round at a slant, each turn overlapping the last by a third, flat and firm.',
        ring(60, 44, 32, 26),
        shape('M28 38L34 34L40 46L34 50ZM36 26L43 23L46 36L39 39ZM50 18L58 17L58 30L50 31Z'),
        arrow('M66 10C84 12 96 24 98 38'),
      ),
      drawing(
        'Cut the tape where it meets its start, turn the end in and sew it inside. Bind the other ring the same way.',
        ring(60, 44, 32, 26),
        needle(88, 24, 120, 26),
        thread('M88 24C96 14 104 12 110 14'),
      ),
    ],
  },
  {
    id: 'garment',
    name: 'A garment, with a hoop and without',
    finds: 'shirt jersey knit sleeve clothes stabiliser',
    drawings: [
      drawing(
        'Put only one layer in the hoop: feel for what lies underneath before you tighten it.',
        cloth(10, 14, 100, 54),
        ring(60, 40, 28, 20),
        hand(40, 60, 60),
      ),
      drawing(
        'Lay knits on a firm backing and don’t stretch them: the hoop holds them, it doesn’t pull.',
        cloth(10, 14, 100, 54),
        shape('M26 20H94V62H26Z'),
        ring(60, 41, 26, 18),
      ),
      drawing(
        'Where no hoop will go, hold it over your fingers, and leave each stitch a little loose.',
        cloth(10, 30, 100, 24),
        palm(60, 44, 90),
        needle(44, 30, 20, 30),
        thread('M44 30C36 22 30 20 22 20'),
      ),
    ],
  },
  {
    id: 'strands',
    name: 'Separating strands',
    finds: 'split separate floss length cut tangle six',
    drawings: [
      drawing(
        'Cut a length from fingertips to elbow: longer threads wear and tangle.',
        thread('M10 40H104', 6),
        scissors(104, 40, 180),
        word(40, 32, '50 cm'),
      ),
      drawing(
        'Hold the end, spread the tips and take hold of just one strand.',
        thread('M60 70V36', 6),
        thread('M60 36L50 14'),
        thread('M60 36L60 12'),
        thread('M60 36L70 14'),
        hand(62, 40, 20),
      ),
      drawing(
        'Pull it straight up and out. The rest gathers in folds, and falls straight again.',
        thread('M60 72C50 66 70 62 60 56C50 52 70 48 60 44', 5),
        thread('M60 44V8'),
        hand(60, 44, 20),
        arrow('M72 30V10'),
      ),
      drawing(
        'Lay as many as you need side by side again: separated, they cover better.',
        thread('M14 30H106'),
        thread('M14 38H106'),
        thread('M14 46H106'),
        arrow('M50 58H84'),
      ),
    ],
  },
  {
    id: 'twelve',
    name: 'Twelve strands from six',
    finds: 'double fold thick bold',
    drawings: [
      drawing('Cut 90 cm of all six strands.', thread('M8 40H112', 6), word(50, 32, '90 cm')),
      drawing(
        'Thread both ends through the eye of a large needle.',
        needle(40, 40, 0, 50),
        thread('M40 40C24 36 14 30 10 20', 6),
        thread('M40 40C24 44 14 52 10 62', 6),
      ),
      drawing(
        'Pull the loop up to the middle: the needle hangs in the fold, twelve strands below.',
        needle(60, 22, -90, 18),
        thread('M60 24C56 40 56 56 56 74', 6),
        thread('M60 24C64 40 64 56 64 74', 6),
      ),
    ],
  },
  {
    id: 'threading',
    name: 'Threading, by fold and by pinch',
    finds: 'needle eye thread threader',
    drawings: [
      drawing(
        'By fold: lay the thread over the needle, pull it tight, and slide the needle out of the sharp fold.',
        needle(24, 50, 0, 70),
        thread('M44 20V50V70'),
        hand(44, 24, -40),
      ),
      drawing(
        'Push the fold through the eye, not the tip.',
        needle(50, 44, 0, 56),
        thread('M52 44L38 40L24 30'),
        thread('M52 44L38 47L24 58'),
        hand(38, 43, 160),
      ),
      drawing(
        'By pinch: hold the thread so that hardly any shows between finger and thumb.',
        hand(66, 40, 10),
        thread('M66 40L63 40'),
      ),
      drawing(
        'Lower the eye onto it between your fingers; don’t chase the thread with the eye.',
        hand(66, 44, 10),
        needle(64, 42, -100, 34),
        arrow('M48 18V36'),
      ),
    ],
  },
  {
    id: 'waste-knot',
    name: 'The waste knot',
    finds: 'start begin knot away',
    drawings: [
      drawing(
        'Knot the end. Go down from the front, a finger’s length from where you will start.',
        CLOTH,
        knot(30, 36),
        behind('M30 36L74 44'),
        word(20, 30, 'knot'),
      ),
      drawing(
        'Come up at the start and stitch: the first stitches hold the thread on the back.',
        CLOTH,
        knot(30, 36),
        behind('M30 36L74 44'),
        thread('M74 44H66'),
        thread('M66 44H58'),
        thread('M58 43H50'),
        needle(50, 42, -60, 26),
      ),
      drawing(
        'When it is held, snip the knot off from the front.',
        CLOTH,
        thread('M74 44H44'),
        knot(30, 36),
        scissors(32, 38, 40),
      ),
    ],
  },
  {
    id: 'end-knot',
    name: 'A knot at the end',
    finds: 'start begin quilter knot',
    drawings: [
      drawing(
        'Lay the end along the needle, pointing towards the eye.',
        needle(24, 40, 0, 76),
        thread('M24 40C10 50 30 70 60 60C76 54 72 44 62 41'),
        hand(60, 42, 60),
      ),
      drawing(
        'Wind the thread round the needle twice.',
        needle(24, 40, 0, 76),
        thread('M60 34C56 40 56 46 60 48C66 46 64 36 60 34'),
        thread('M66 34C62 40 62 46 66 48C72 46 70 36 66 34'),
        hand(60, 44, 60),
      ),
      drawing(
        'Hold the turns and pull the needle through: they close to a small knot at the end.',
        needle(70, 30, -10, 40),
        thread('M70 30C50 34 36 40 26 44'),
        knot(26, 44),
        hand(30, 46, 140),
      ),
    ],
  },
  {
    id: 'tiny-stitches',
    name: 'Starting with tiny stitches',
    finds: 'start begin without knot',
    drawings: [
      drawing(
        'Where your stitching will cover it, take one tiny stitch and leave a 2 cm tail on the back.',
        CLOTH,
        thread('M56 42H61'),
        behind('M56 42L44 56'),
      ),
      drawing(
        'Take a second one across it, through the same place: now it holds.',
        CLOTH,
        thread('M56 42H61'),
        thread('M58.5 39V45'),
        needle(58, 45, 60, 26),
      ),
      drawing(
        'Tug gently. If nothing moves, start.',
        CLOTH,
        thread('M56 42H61'),
        thread('M58.5 39V45'),
        thread('M59 42C70 34 84 26 100 24'),
        hand(100, 24, 0),
        arrow('M84 18L98 12'),
      ),
    ],
  },
  {
    id: 'fastening-off',
    name: 'Fastening off under stitches',
    finds: 'end finish tail weave back',
    drawings: [
      drawing(
        'Turn the hoop over while a hand’s width of thread is left.',
        CLOTH,
        thread('M30 34H38'),
        thread('M42 34H50'),
        thread('M54 34H62'),
        thread('M62 34C72 44 84 52 100 54'),
        needle(100, 54, 10, 18),
      ),
      drawing(
        'Slide the needle under three or four stitches, not into the cloth.',
        CLOTH,
        thread('M30 34H38'),
        thread('M42 34H50'),
        thread('M54 34H62'),
        needle(72, 32, 176, 48),
      ),
      drawing(
        'Go back under the last ones, the other way, and trim it close.',
        CLOTH,
        thread('M30 34H62'),
        thread('M30 37H54'),
        scissors(56, 38, 30),
      ),
    ],
  },
  {
    id: 'hanging',
    name: 'Letting the needle hang',
    finds: 'twist tangle kink unwind',
    drawings: [
      drawing(
        'After a dozen stitches the thread winds itself up: it goes dull and knots.',
        SIDE,
        thread('M60 44C66 50 54 54 60 60C66 64 54 68 60 74'),
      ),
      drawing(
        'Hold the hoop up and let the needle fall. It spins until the thread is at rest.',
        ring(60, 16, 36, 6),
        thread('M60 18V54'),
        needle(60, 54, 90, 22),
        arrow('M68 66C74 62 74 56 68 54'),
      ),
      drawing(
        'Stroke the thread straight from the cloth down, and carry on.',
        ring(60, 16, 36, 6),
        thread('M60 18V66'),
        hand(60, 40, 10),
        arrow('M50 34V60'),
      ),
    ],
  },
  {
    id: 'unpicking',
    name: 'Unpicking',
    finds: 'mistake wrong undo rip cut out',
    drawings: [
      drawing(
        'One or two stitches: unthread the needle and lift them out with its eye.',
        CLOTH,
        thread('M34 40H42'),
        thread('M46 40H54'),
        thread('M54 40C60 28 68 24 74 22'),
        needle(70, 36, 200, 28),
      ),
      drawing(
        'More than that: snip each stitch in its middle, on the front, with the points held away from the cloth.',
        CLOTH,
        thread('M30 40H38'),
        thread('M42 40H50'),
        thread('M54 40H62'),
        scissors(46, 39, -30),
      ),
      drawing(
        'Pull the pieces out from the back with tweezers; keep them shorter than a fingernail.',
        CLOTH,
        behind('M40 42L52 50'),
        line('M54 50L84 64M54 51L82 70'),
        arrow('M64 48L80 42'),
      ),
      drawing(
        'Stroke the weave with the side of the needle until the holes close.',
        CLOTH,
        needle(36, 52, -20, 44),
        arrow('M46 30H72'),
        arrow('M72 58H46'),
      ),
    ],
    caution: 'Points and rippers slip: cut away from your other hand.',
  },
  {
    id: 'posture',
    name: 'Holding the hoop, posture, breaks',
    finds: 'sit back neck eyes light hand pain turn rest',
    drawings: [
      drawing(
        'Rest the far edge of the hoop on a table, and hold the near edge in the hand that doesn’t stitch.',
        line('M62 56H116V76M74 56V76'),
        ring(60, 46, 30, 8),
        palm(32, 48, 160),
      ),
      drawing(
        'Turn the hoop, not your wrist: stitch towards yourself wherever you can.',
        ring(60, 42, 30),
        arrow('M28 26C40 6 78 4 94 24'),
        needle(60, 30, 90, 28),
      ),
      drawing(
        'Light comes over the shoulder of the hand that doesn’t stitch; back straight, feet on the floor.',
        line('M52 22A7 7 0 1 0 52.1 22M52 36V56L70 58V76M52 42L74 46'),
        shape('M20 8L34 14L26 24Z'),
        arrow('M34 20L60 40'),
      ),
      drawing(
        'Every twenty minutes look at something far away, and open and close both hands.',
        palm(40, 40, 180),
        palm(80, 40, 0),
        arrow('M48 26C56 16 64 16 72 26'),
      ),
    ],
    caution: 'If it hurts, stop. If pain lasts, see a doctor; don’t sit it out.',
  },
  {
    id: 'knots',
    name: 'Knots with both hands free',
    finds: 'french colonial bullion wrap wind knot fail',
    drawings: [
      drawing(
        'First one in the air: hold the thread taut and wind it twice round the needle.',
        needle(26, 46, 0, 66),
        thread('M60 40C56 46 56 50 60 52C66 50 64 42 60 40C70 30 84 24 96 22'),
        hand(96, 22, -10),
      ),
      drawing(
        'With the hoop in a stand or on the table, both hands are free. Come up, and wind twice.',
        SIDE,
        needle(40, 20, 50, 34),
        thread('M50 44C52 36 56 34 60 30'),
        thread('M56 34C52 40 58 42 60 36'),
        hand(82, 22, -20),
      ),
      drawing(
        'Go down one thread of cloth away, not in the same hole: otherwise the knot falls through.',
        SIDE,
        needle(58, 8, 80, 44),
        knot(56, 42, 3.4),
        word(68, 54, 'one thread away'),
      ),
      drawing(
        'Hold the thread until the last moment, and pull it down slowly through the wraps.',
        SIDE,
        knot(56, 41, 3.4),
        behind('M57 46V74'),
        thread('M56 40C70 30 84 26 98 24'),
        hand(98, 24, -10),
        arrow('M66 56V72'),
      ),
    ],
  },
  {
    id: 'stretching',
    name: 'Damp stretching',
    finds: 'block wash finish pucker iron flat press',
    drawings: [
      drawing(
        'Only for what may get wet: try a corner, and the threads, on a damp white cloth first.',
        cloth(14, 18, 92, 50),
        shape('M70 40C76 32 84 32 86 42C88 50 72 52 70 40Z'),
      ),
      drawing(
        'Lay damp white blotting paper on a board, and the piece on it, face up.',
        shape('M10 60H110V70H10Z'),
        cloth(20, 50, 80, 10),
      ),
      drawing(
        'Pin the middle of each side, then work outwards in turn, square to the grain.',
        CLOTH,
        knot(60, 18, 1.6),
        knot(60, 66, 1.6),
        knot(16, 42, 1.6),
        knot(104, 42, 1.6),
        knot(38, 18, 1.6),
        knot(82, 66, 1.6),
        arrow('M60 26V20'),
        arrow('M24 42H18'),
      ),
      drawing('Let it dry for a day and a night before you take a pin out.', CLOTH, word(44, 46, '24 hours')),
    ],
    caution: 'Count pins out and back in. Follow the makers’ advice on water for cloth and thread first.',
  },
];

/** Lessons in which all words of a search are found, whatever hyphens and capitals. */
export function findLessons(search: string): readonly Lesson[] {
  const words = search
    .trim()
    .toLowerCase()
    .split(/[-‐\s]+/);
  return LESSONS.filter(({ name, finds, drawings }) => {
    const text = [name, finds, ...drawings.map(({ say }) => say)].join(' ').toLowerCase();
    return words.every((word) => text.includes(word));
  });
}
