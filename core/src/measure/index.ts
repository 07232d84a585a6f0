export { formatDuration, formatDurationRange } from './durations.ts';
export { seedFrom, seededRandom, type Random } from './random.ts';
export { attempt, type Faults } from './faults.ts';
export { plural } from './plural.ts';
export { mean } from './mean.ts';
export { remembered, Remembered, RememberedPair } from './remember.ts';
export { failure, success, type Outcome } from './outcome.ts';
export { formatFine, formatLength, formatThread, MM_PER_INCH, parseLength, roundTo, type UnitSystem } from './units.ts';
export { z } from './zod.ts';
