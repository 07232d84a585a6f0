import {
  byCount,
  formatDuration,
  formatDurationRange,
  formatList,
  formatNumber,
  formatPercent,
  plural,
} from '../../measure/index.ts';
import type { PlaceWithin } from '../../geometry/index.ts';
import type { Level } from '../../piece/index.ts';

/** The headings of the guide, in their order. */
export const HEADINGS = {
  contents: 'What is in this guide',
  first: 'Before you start',
  materials: 'What to lay out',
  cutting: 'Lengths to cut',
  mounting: 'Mount the cloth',
  transfer: 'Get the design onto the cloth',
  map: 'The map',
  steps: 'Step by step',
  stitches: 'The stitches',
  thread: 'Starting and fastening off',
  finish: 'Finish it',
  templates: 'Templates',
  pattern: 'The pattern',
  sittings: 'Your sittings',
  ticks: 'Tick it off',
} as const;

export const DIRECTION = 'Stitches run';
export const STITCHES = 'Stitches';
export const THREAD = 'Thread';
export const AS_MANY_AS_FIT = 'as many as fit';

export const perSquareCm = (count: number): string => `${formatNumber(count, 1)} in each cm²`;

export const DIRECTIONS = {
  guides: 'along the direction lines',
  along: 'along the shape',
  level: 'straight across',
  upright: 'straight up and down',
} as const;

export const upToTheRight = (deg: number): string => `up to the right, ${formatNumber(deg)}° from level`;
export const upToTheLeft = (deg: number): string => `up to the left, ${formatNumber(deg)}° from level`;

export const mirroredToo = (direction: string): string => `${direction}; the other way where the part is mirrored`;

const AT: Readonly<Record<PlaceWithin, string>> = {
  'top left': 'at the top left',
  top: 'at the top',
  'top right': 'at the top right',
  left: 'at the left',
  middle: 'in the middle',
  right: 'at the right',
  'bottom left': 'at the bottom left',
  bottom: 'at the bottom',
  'bottom right': 'at the bottom right',
};

/** Where a step begins. @param hasArrow whether its picture shows which way it goes */
export const comeUp = (place: PlaceWithin, hasArrow: boolean): string =>
  hasArrow
    ? `Come up first ${AT[place]}, at the dot, and work the way the arrow points.`
    : `Come up first ${AT[place]}, at the dot.`;

const BEGINS = {
  new: 'Thread a new length.',
  rest: 'Rethread the rest of the last length.',
  parked: 'Pick up the parked needle.',
  same: 'Carry on with the thread in the needle.',
} as const;

/**
 * What is on the needle when a step begins.
 * @param more the number of lengths that are begun within it
 * @param tidyAfter after how many of them tails are woven in; null: they are few
 */
export function needleful(begins: keyof typeof BEGINS, more: number, tidyAfter: number | null): string {
  if (more <= 0) return BEGINS[begins];
  const then = byCount(more, {
    one: 'You will start one more length on the way.',
    other: `You will start ${formatNumber(more)} more lengths on the way.`,
  });
  const all = `${BEGINS[begins]} ${then}`;
  return tidyAfter === null
    ? all
    : `${all} Weave the tails in on the back after every ${formatNumber(tidyAfter)} lengths.`;
}

/** Needles in the order in which they are taken up. */
export const needlesInTurn = (needles: readonly string[]): string => needles.join(', then ');

/** A time at the table: what takes less than a minute takes a minute. */
export const aboutTime = (seconds: number): string => formatDuration(Math.max(60, seconds) / 3600);

export const stepTitle = (number: number | string, name: string): string => `${number}  ${name}`;

export const stitchAndThread = (stitch: string, colour: string, letter: string, strands: number): string =>
  `${stitch} in ${colour} (thread ${letter}), ${plural(strands, 'strand')}`;

export const inOneThread = (thread: string, needle: string): string => `${thread}. ${needle}`;

export const needleAndTime = (needle: string, seconds: number): string =>
  `Needle: ${needle}. About ${aboutTime(seconds)}.`;

export const figure = (label: string, value: string): string => `${label}: ${value}`;

export const BORDERS = 'Chalk lines in the picture: where one shade ends and the next begins.';

export const measures = (width: string, height: string): string => `The design is ${width} wide and ${height} high.`;

export const becomes = (end: string): string => `It becomes: ${end}.`;

export const hours = (low: number, high: number, finishSeconds: number): string =>
  finishSeconds > 0
    ? `Stitching takes ${formatDurationRange(low, high)}, finishing about ${aboutTime(finishSeconds)}.`
    : `Stitching takes ${formatDurationRange(low, high)}.`;

export const learnFirst = (stitches: readonly string[]): string =>
  `What your hands must know: ${formatList(stitches)}. Each is drawn under “The stitches”: try what is new to you on spare cloth first.`;

export const SAFE =
  'Needles, pins and scissors are sharp: count them out and back in, above all on things for children.';
export const REST =
  'Sit upright with good light, and rest your eyes, neck and wrists every half hour. If pain lasts, see a doctor.';

export const withLetter = (letter: string, name: string): string => `${letter}  ${name}`;

export const skeinsAndLength = (skeins: string, length: string): string => `${skeins} (${length})`;

export const OTHER_TOOLS = 'Sharp small scissors for thread';

export const pins = (count: number): string => plural(count, 'pin');

export const MOUNT_MADE =
  'Wash and press it first: what shrinks later puckers round the stitches. Lay it flat and mark the middle of the design with a pin.';

export const STITCHED_ON = 'that you stitch on: nothing is cut from it';

export const mountFirst = (isFelt: boolean): string =>
  isFelt
    ? 'Fold the cloth in half both ways and pinch the middle.'
    : 'Press the cloth. Fold it in half both ways along its threads and pinch the middle.';

export const bindRing = (tape: string): string =>
  `Wind ${tape} of tape round the inner hoop without gaps and sew the end down: cloth slips less.`;

export const MOUNT_HOOP = [
  'Loosen the screw of the outer hoop. Lay the cloth over the inner hoop, its middle in the middle and its threads upright, and press the outer hoop down over it.',
  'Tighten the screw a little, then pull the cloth out evenly at top, bottom, left and right. Repeat until it sounds like a drum.',
  'Measure across the design both ways: the threads must still run straight. Loosen and pull again if they bend.',
] as const;

export const MOUNT_KNIT =
  'Close the hoop over both only as far as they lie flat, never drum-tight: a stretched knit puckers when it is let go.';

export const HOLD_KNIT =
  'Work it without a hoop: hold it lightly and unstretched, with small stitches, and pull each only until it lies down.';

export const HELD_IN_HAND =
  'Rest your forearms on a cushion or a table, change your grip often, and put the piece down before your fingers tire.';

export const MOUNT_NONE =
  'Work it without a hoop: lay it flat, hold it lightly, and pull each stitch only until it lies down.';

export const positions = (count: number): string =>
  `The hoop is moved: there are ${formatNumber(count)} positions. Loosen it and take it off between them, and at the end of each sitting.`;

export const laidIn = (seconds: number): string => `It takes about ${aboutTime(seconds)}.`;

export const MAP_NOTE =
  'Each number is a step: the same here, in the steps, on the printed pattern and in Junctura. Dots show the other parts of a step that has several.';

export const mapScale = (share: number): string =>
  share >= 0.999 ? 'At true size.' : `At ${formatPercent(share)} of true size.`;

export const lensTitle = (letter: string, times: number): string =>
  `Lens ${letter}, ${formatNumber(times, 1)} times as large`;

export const lensNote = (letters: readonly string[]): string =>
  byCount(letters.length, {
    one: `Where the map is crowded, see lens ${letters[0]}.`,
    other: `Where the map is crowded, see lenses ${formatList(letters)}.`,
  });

export const sittingTitle = (number: number, seconds: number): string =>
  `Sitting ${formatNumber(number)}, about ${aboutTime(seconds)}`;

export const layOutLengths = (lengths: readonly string[]): string => `Needlefuls: ${formatList(lengths)}.`;

export const needlefuls = (count: number, strands: number, length: string, letter: string): string =>
  `${formatNumber(count)} of ${plural(strands, 'strand')} in thread ${letter}, ${length} long`;

export const layOutNeedles = (needles: readonly string[]): string => `Needles: ${formatList(needles)}.`;

export const NO_NEW_LENGTH = 'Nothing to cut: you carry on with the thread in the needle.';

export const sittingSteps = (steps: readonly string[]): string => `Steps: ${formatList(steps)}.`;

/** Which of a step a sitting holds. */
export function stepShare(number: number, from: number, to: number): string {
  if (from <= 0 && to >= 1) return formatNumber(number);
  if (from <= 0) return `the beginning of ${formatNumber(number)}`;
  if (to >= 1) return `the rest of ${formatNumber(number)}`;
  return `the middle of ${formatNumber(number)}`;
}

export const drawAgain = (names: readonly string[]): string => `Draw again first: ${formatList(names)}.`;

export const hoopPositions = (places: readonly number[]): string =>
  byCount(places.length, {
    one: `Hoop in position ${formatNumber(places[0]!)}.`,
    other: `Hoop positions, in this order: ${formatList(places.map((place) => formatNumber(place)))}.`,
  });

/** @param size of the hoop that is used there, where it is another than before; null: the same */
export const moveHoopTo = (position: number, size: string | null): string =>
  size === null
    ? `Move the hoop to position ${formatNumber(position)}.`
    : `Mount the cloth in the ${size} hoop, in position ${formatNumber(position)}.`;

/** The title of a step of the finish: numbered for itself. */
export const finishNumber = (number: number): string => `F${formatNumber(number)}`;

export const doneIn = (text: string, amounts: string): string => `${text} (${amounts})`;

export const amountAndTime = (amounts: string, seconds: number): string =>
  amounts === '' ? `about ${aboutTime(seconds)}` : `${amounts} · about ${aboutTime(seconds)}`;

export const care = (words: string): string => `Care label: ${words}`;

export const closeUpOf = (number: number | string, name: string): string => `Step ${number}: ${name}`;

export const LEVELS: Readonly<Record<Level, string>> = {
  simple: 'Level: simple, outlines for the most part.',
  usual: 'Level: usual, areas filled.',
  rich: 'Level: rich, with padding and shades.',
};

export const rangeAndCode = (range: string, code: string): string => `${range} ${code}`;

export const clothSides = (across: string, upright: string): string => `${across} across, ${upright} upright`;
export const CUT_BY_THREAD = 'cut along its threads';
export const BINDING_TAPE = 'Cotton tape to bind the hoop';
export const FOR_FINISH = 'for the finish';
export const AND_WINDOW = 'and a window or light box to trace at';
export const PINS = 'Pins';
export const IRON = 'Iron, towel and pressing cloth';
export const BEHIND_FIRST = 'laid behind before you stitch';
export const needleOf = (name: string): string => `Needle: ${name}`;
export const sameThread = (letter: string, colour: string): string => `for the edge, in thread ${letter} (${colour})`;

export const DRAW_STRANDS =
  'Cut a length, draw its strands out one by one from one end, smooth them, and lay together as many as the step says. Spare strands wait for a fine line.';

export const markedWith = (mark: string): string => `Transfer method: ${mark}.`;

export const TAKE_OFF = 'Take the cloth out of the hoop whenever you stop for more than a day: a hoop leaves marks.';

export const tidyFirst = (tails: number): string =>
  byCount(tails, {
    one: 'First turn the work over and weave in the loose tail on the back.',
    other: `First turn the work over and weave in the ${formatNumber(tails)} loose tails on the back.`,
  });

export const STARTS = {
  'waste-knot':
    'Start with a waste knot: knot the thread and go down from the front a few centimetres away. Work over the thread on the back, then snip the knot off.',
  knot: 'Start with a small knot on the back.',
  'tiny-stitches': 'Start with two or three tiny stitches where your stitching will cover them.',
} as const;

export const STOPS = {
  plain: 'Stop while about 11 cm is left on the needle.',
  knots: 'Stop while about 11 cm is left on the needle; 14 cm for knots.',
  bullions: 'Stop while about 11 cm is left on the needle; 14 cm for knots, 16 cm for bullions.',
} as const;

export const FASTEN_OFF =
  'To fasten off, slide the thread under stitches on the back, there and back again, and trim it close. Don’t carry thread across open cloth.';
export const UNTWIST = 'Let the needle hang now and then, so that the thread untwists.';

export const KNOTS = {
  french: 'French knots: wind the thread round the needle, and go down one thread away from where it came up.',
  colonial:
    'Colonial knots: wind the thread in a figure of eight round the needle, and go down one thread away from where it came up.',
} as const;

export const TEMPLATES_NOTE = 'Printed at true size: measure the bar before you cut.';

/** Steps one after the other by their numbers. */
export const stepRun = (from: number, to: number): string =>
  from === to ? formatNumber(from) : `${formatNumber(from)}–${formatNumber(to)}`;

export const PICTURE = 'The piece as it will be';
export const threadLetter = (letter: string): string => `Thread ${letter}`;
export const templateSays = (name: string, key: string): string => `${name}: ${key}`;
export const chapterOn = (chapter: string, page: number): string => `${chapter} ${formatNumber(page)}`;
export const inside = (chapters: readonly string[]): string => `Inside: ${chapters.join(' · ')}`;

export const faultAndCure = (fault: string, cure: string): string => `${fault}: ${cure}`;

/** @param isMirrored whether left and right are swapped, for a way that is laid face down */
export const patternNote = (isMirrored: boolean): string =>
  isMirrored
    ? 'At true size and mirrored, to be laid face down. Print it at 100% and measure a bar or its width before you use it.'
    : 'At true size. Print it at 100% and measure a bar or its width before you use it.';

export const edgeWorkedIn = (colour: string, letter: string, strands: number, needle: string): string =>
  `Work it in ${colour} (thread ${letter}), ${plural(strands, 'strand')}, with a ${needle} needle.`;
