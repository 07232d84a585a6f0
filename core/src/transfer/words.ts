import { byCount, formatFine, formatList, formatNumber } from '../measure/index.ts';
import type { Cloth, Mark } from '../materials/index.ts';
import type { PlainCode, WayReason } from './wayReason.ts';

const WORDS: Readonly<Record<PlainCode, (mark: Mark, cloth: Cloth) => string>> = {
  'not-through': (_, { inSentence }) => `In this colour, the drawing doesn’t show through ${inSentence}.`,
  'not-seen': (_, { inSentence }) => `Its lines don’t show on ${inSentence} in this colour.`,
  'by-window': (_, { name }) => `${name} is pale and light enough to trace through at a window.`,
  'by-light-box': () => 'A light box shows the drawing through; a window doesn’t.',
  'nothing-to-trace': () => 'Nothing has to show through the cloth.',
  'line-covered': ({ lineMm }) => `The narrowest line stitch covers its ${formatFine(lineMm)} line.`,
  'line-stays-in-view': ({ lineMm }) =>
    `Its ${formatFine(lineMm)} line shows beside the narrowest stitch and doesn’t come out.`,
  'line-must-come-out': ({ lineMm }) =>
    `Its ${formatFine(lineMm)} line is wider than the narrowest stitch, so it has to come out.`,
  'detail-lost': ({ lineMm }) => `Fine detail gets lost in a ${formatFine(lineMm)} line.`,
  soils: () => 'It can soil the pale threads of this piece.',
  stays: () => 'It stays until you remove it.',
  'stays-long-enough': () => 'It stays for as long as this piece takes.',
  'washed-anyway': () => 'It comes out in a wash that the piece gets anyway.',
  'heat-spoils': (_, { inSentence }) => `It comes out with heat, and ${inSentence} can’t take heat.`,
  'uncovered-stays': () => 'Any line you don’t cover stays.',
  'sewn-twice': () => 'Slow: you sew every line twice.',
  tacked: () => 'It has to be tacked down, and you stitch through it.',
  'is-printed': () => 'This design is on the cloth already: you marked parts of it as printed.',
  'comes-printed': () => 'Only for cloth that comes printed.',
  'one-try': () => 'You get one try: once ironed on, it stays.',
};

/** More colours than this are not named one by one. */
const MOST_NAMED = 3;

/** The sentence of a reason. */
export function sayWay(reason: WayReason): string {
  switch (reason.code) {
    case 'fades':
      return byCount(reason.parts, {
        one: 'One part is reached after the lines may have faded: redraw them as you go.',
        other: `${formatNumber(reason.parts)} parts are reached after the lines may have faded: redraw them as you go.`,
      });
    case 'water-spoils':
      return `It comes out in water, and ${reason.spoilt} can’t take water.`;
    case 'may-run': {
      const { colours } = reason;
      const named = colours.length > MOST_NAMED ? [...colours.slice(0, MOST_NAMED), 'others'] : colours;
      return `In that water these may run: ${formatList(named)}. Try a thread of each first.`;
    }
    default:
      return WORDS[reason.code](reason.mark, reason.cloth);
  }
}

export const NO_NEW_THREAD = 'No new thread: carry on with what is in the needle.';

export const tackRound = (count: number): string =>
  `Tack it once in the middle and ${formatNumber(count)} times round the design, 5 mm outside it. Count the tacks.`;

export const noLinesUnder = (scraps: readonly string[]): string =>
  `Draw nothing that a scrap covers. Mark where it goes by its outline: ${formatList(scraps)}.`;

export const drawFirst = (days: number, sitting: number): string =>
  byCount(sitting, {
    one: `These lines fade after about ${formatNumber(days)} days: draw only what the first sitting needs, and the rest as you go.`,
    other: `These lines fade after about ${formatNumber(days)} days: draw what sittings 1–${formatNumber(sitting)} need, and the rest as you go.`,
  });
