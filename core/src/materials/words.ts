import { byCount, formatChoice, formatNumber } from '../measure/index.ts';

export const strandsOf = (thread: string, choices: readonly number[], given: number): string =>
  `${thread} is worked with ${formatChoice(choices.map(String))} strands, not ${given}`;

export const lessThanBobbin = (grams: number, bareGrams: number): string =>
  `${formatNumber(grams, 1)} g is less than the bobbin alone (${formatNumber(bareGrams, 1)} g): weigh it with its thread, or correct the weight of the bobbin.`;

export const tooManyRows = (rows: number, most: number): string =>
  `the file has ${formatNumber(rows)} rows; up to ${formatNumber(most)} can be read. Divide it.`;

export const noUsableRow = (fault: string): string => `none of its rows can be used: ${fault}.`;

export const notOnCard = (code: string, card: string): string =>
  `without a colour, and “${code}” is on no shade card “${card}” that is known here`;

export const TORN_ROW = 'with more cells than there are headings: check its quotes and separators';

export const TWICE_IN_LIST = 'the code is in the list twice';

export const OTHER_COLOUR = 'its colour in the list is clearly another than on the shade card: the card’s is used';

export const priceLeftOpen = (price: string): string => `the price “${price}” can’t be read and is left open`;

export const amountLeftOpen = (amount: string): string => `the amount “${amount}” can’t be read and is left open`;

export const unknownThread = (kind: string): string => `with an unknown kind of thread (${kind})`;

export const unusableField = (field: string): string => `with a ${field} that can’t be used`;

export const notGpl = (magic: string): string => `this is not a GPL palette: its first line is not “${magic}”.`;

export const linesLeftOut = (count: number): string =>
  byCount(count, {
    one: 'Left out: one line that is not a colour, or is in the list twice.',
    other: `Left out: ${formatNumber(count)} lines that are not colours, or are in the list twice.`,
  });

export const tooManyEntries = (most: number, wanted: number): string =>
  `The thread box holds up to ${formatNumber(most)} entries; this would make ${formatNumber(wanted)}. Remove some first.`;

export const tooManyCards = (most: number): string =>
  `The thread box holds up to ${formatNumber(most)} shade cards of your own. Remove one first.`;

export const tooManyItems = (most: number): string =>
  `The workbasket holds up to ${formatNumber(most)} things. Remove some first.`;

export const badEntry = (shade: string): string => `“${shade}” can’t be saved: check its amount, price and dye lot.`;

export const tooManyShades = (most: number, card: string, has: number): string =>
  `A shade card holds up to ${formatNumber(most)} shades; “${card}” has ${formatNumber(has)}. Divide it.`;

export const badCard = (card: string): string =>
  `The shade card “${card}” can’t be saved: one of its shades has a value that can’t be used.`;

export const NEEDLES_ARE_SHARP = 'Needles are sharp: count them out and back in.';
