import type { Plan } from '../../thread/index.ts';
import type { ThreadLetters } from './blocks.ts';

const LETTERS = 26;

/** A, B, … Z, AA, AB, … */
function letterOf(index: number): string {
  const last = String.fromCharCode(65 + (index % LETTERS));
  return index < LETTERS ? last : letterOf(Math.floor(index / LETTERS) - 1) + last;
}

/** Threads are lettered in the order in which they are listed, so that black-and-white paper tells them apart. */
export function threadLetters({ colours }: Plan): ThreadLetters {
  const samples = new Map(
    colours.map(({ colour, thread, hex }, index) => [`${colour} ${thread}`, { hex, letter: letterOf(index), index }]),
  );
  return {
    of: ({ colour, thread }) => {
      const found = samples.get(`${colour} ${thread}`);
      if (!found) throw new RangeError(`no thread ${thread} in colour ${colour}`);
      return found;
    },
  };
}
