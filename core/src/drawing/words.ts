import type { PlaceWithin } from '../geometry/index.ts';
import { byCount, formatFine, formatList, formatNumber, plural } from '../measure/index.ts';

export const petalName = (n: number): string => `Petal ${n}`;

export const borderName = (number: number, count: number): string =>
  byCount(count, { one: 'Border circle', other: `Border circle ${number}` });

export const hexagonName = (n: number): string => `Hexagon ${n}`;

export const fontFault = (reason: string): string => `The font can’t be read: ${reason}.`;

export const mostLetters = (most: number): string => `Up to ${formatNumber(most)} letters fit in one go.`;

export const noLetters = (letters: readonly string[]): string =>
  `This alphabet has no ${formatList(letters.map((letter) => `“${letter}”`))}. Choose another one, or write it differently.`;

export const letterName = (letter: string): string => `Letter ${letter}`;

export const joinParts = (count: number): string => `Join ${plural(count, 'part')}`;

export const simplifyWithin = (toleranceMm: number): string => `Simplify within ${formatFine(toleranceMm)}`;

export const regionName = (n: number): string => `Region ${n}`;

export const areaName = (label: number): string => `Area ${label}`;

export const lineName = (n: number): string => `Line ${n}`;

export const tooManyParts = (parts: number, most: number): string =>
  `The drawing has ${formatNumber(parts)} parts; up to ${formatNumber(most)} can be read. Simplify it first.`;

export const outlineOf = (name: string): string => `${name}, outline`;

const PART_NOUNS = { area: 'area', line: 'line', spot: 'dots' } as const;

/** What a part without a name is: “Long pale blue line”. */
export function whatPart(
  size: 'small' | 'long' | 'large' | null,
  tone: 'pale' | 'dark' | null,
  colour: string,
  kind: keyof typeof PART_NOUNS,
): string {
  const words = [size, tone, colour, PART_NOUNS[kind]].filter((word) => word !== null).join(' ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}

export const whatAndWhere = (what: string, where: string): string => `${what}, ${where}`;

const BESIDE = {
  left: (name: string) => `left of “${name}”`,
  right: (name: string) => `right of “${name}”`,
  above: (name: string) => `above “${name}”`,
  below: (name: string) => `below “${name}”`,
} as const;

export const besidePart = (name: string, side: keyof typeof BESIDE): string => BESIDE[side](name);

export const onPart = (name: string, place: PlaceWithin): string => `on “${name}”, ${IN_WHOLE[place]}`;

/** Where something is in the drawing, or on a part. */
const IN_WHOLE: Readonly<Record<PlaceWithin, string>> = {
  'top left': 'top left',
  top: 'at the top',
  'top right': 'top right',
  left: 'on the left',
  middle: 'in the middle',
  right: 'on the right',
  'bottom left': 'bottom left',
  bottom: 'at the bottom',
  'bottom right': 'bottom right',
};

export const inDrawing = (place: PlaceWithin): string => IN_WHOLE[place];

/** One of several parts that look alike and lie alike, counted from the left or from the top. */
export const oneOfAlike = (name: string, place: number, count: number): string =>
  `${name}, ${formatNumber(place)} of ${formatNumber(count)}`;

/** What a drawing had and parts can't show, by what it was: how many of them were left out or changed. */
export const LEFT_OUT: Readonly<Record<string, (count: number) => string>> = {
  text: (n) =>
    byCount(n, {
      one: 'One text was left out: turn lettering into paths before you save the drawing.',
      other: `${n} texts were left out: turn lettering into paths before you save the drawing.`,
    }),
  image: (n) =>
    byCount(n, {
      one: 'One picture was left out: only outlines become parts.',
      other: `${n} pictures were left out: only outlines become parts.`,
    }),
  mask: (n) =>
    byCount(n, {
      one: 'One mask was ignored: what it hid is drawn in full.',
      other: `${n} masks were ignored: what they hid is drawn in full.`,
    }),
  filter: (n) => byCount(n, { one: 'One filter effect was ignored.', other: `${n} filter effects were ignored.` }),
  gradient: (n) =>
    byCount(n, {
      one: 'One gradient was replaced by one colour, the average of its stops.',
      other: `${n} gradients were each replaced by one colour, the average of their stops.`,
    }),
  pattern: (n) =>
    byCount(n, { one: 'One pattern was replaced by plain grey.', other: `${n} patterns were replaced by plain grey.` }),
  marker: (n) =>
    byCount(n, {
      one: 'The arrowheads or markers on one line were left out.',
      other: `The arrowheads or markers on ${n} lines were left out.`,
    }),
  hidden: (n) =>
    byCount(n, {
      one: 'One hidden shape or layer was left out.',
      other: `${n} hidden shapes or layers were left out.`,
    }),
  'embedded page': (n) =>
    byCount(n, { one: 'One embedded page was left out.', other: `${n} embedded pages were left out.` }),
};

export const nothingToStitch = (why: string): string => `The drawing has nothing in it to stitch. ${why}`;

export const noSize = (line: number, key: string, text: string): string =>
  `Line ${line}: the drawing’s ${key} is ${text}; it must be greater than 0.`;

export const reusedWithin = (line: number, depth: number): string =>
  `Line ${line}: shapes are reused within themselves, more than ${depth} deep.`;

export const tooManyShapes = (most: number): string =>
  `The drawing has more than ${formatNumber(most)} shapes. Simplify it first.`;

export const badViewBox = (line: number, text: string): string =>
  `Line ${line}: the viewBox “${text}” has no size; its width and height must be greater than 0.`;

export const notANumber = (line: number, element: string): string =>
  `Line ${line}: <${element}> has a coordinate that is not a number.`;

export const badPath = (line: number, element: string, fault: string): string =>
  `Line ${line}: <${element}> has path data that can’t be read: ${fault}.`;

export const farAway = (line: number, element: string): string =>
  `Line ${line}: <${element}> has a coordinate that is more than a kilometre away.`;

export const tooManyCharacters = (millions: number, most: number): string =>
  `The drawing is too large: ${formatNumber(millions)} million characters; up to ${formatNumber(most)} million can be read.`;

export const badXml = (line: string, fault: string): string => `Line ${line} is not valid XML: ${fault}`;

export const atLine = (line: number, problem: string): string => `Line ${line}: ${problem}`;

export const tooManyElements = (most: number): string =>
  `the drawing has more than ${formatNumber(most)} elements. Simplify it first.`;

export const nestedTooDeep = (depth: number): string => `elements are nested more than ${depth} deep.`;

export const notSvg = (line: number, found: string): string => `Line ${line}: expected <svg>, found <${found}>.`;

export const eventAttribute = (key: string): string =>
  `the drawing has an event attribute (${key}). Save it as plain SVG.`;

export const outsideFile = (where: string): string => `the drawing refers to something outside the file (${where}).`;

export const HAS_SCRIPT = 'the drawing contains a script. Save it as plain SVG.';

export const HAS_ENTITIES = 'the drawing defines entities, which can’t be read. Save it as plain SVG.';

export const TIDY_IT = 'Tidy the drawing';
