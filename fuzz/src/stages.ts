// Takes out each field of which a stage of planning is made, as if it had been forgotten, and says of which nothing would be noticed.
import { Planner, STAGES } from '@junctura/core/advice';
import { Memory, type Remembered } from '@junctura/core/measure';
import { USUAL_FACTORS } from '@junctura/core/work';
import { dequal } from 'dequal';
import { afresh, everything, usual, type Planned } from '../../core/src/testing/everything.ts';
import { demoPiece } from '../../core/src/testing/pieces.ts';
import { BY_COMMAND, everyKind, OTHER_HAND, TWEAKS } from '../../core/src/testing/everyKind.ts';

/** Fields that say where a thing is kept, so that they never change there. */
const PLACES: ReadonlySet<string> = new Set(['cut shape: id', 'rising factors: loads']);
/** Fields that never change alone: whatever changes them changes another of the same stage, too. */
const FOLLOW: Readonly<Record<string, string>> = {
  'cut shape: kind': 'whole',
  'cut shape: matrix': 'whole',
  // Of a region only its box matters there, and with that the ground is another.
  'picture field: region': 'ground',
  'proposals: middle': 'placed',
  'worked pass: middle': 'placed',
  'zones: path': 'threads',
};

/** Notes each field that alone made a stage make something else, and at which step. */
class WitnessMemory extends Memory {
  readonly seen = new Map<string, Set<number>>();
  step = 0;

  protected override madeAgain(stage: string, before: Remembered, after: Remembered): void {
    const isOther = (field: string): boolean => !dequal(before.given[field], after.given[field]);
    const changed = Object.keys(after.given).filter(isOther);
    if (changed.length !== 1) return;
    const key = `${stage}: ${changed[0]!}`;
    const steps = this.seen.get(key) ?? new Set();
    this.seen.set(key, steps.add(this.step));
  }
}

/** Takes a field of a stage for unchanged, whatever it is. */
class BlindMemory extends Memory {
  constructor(private readonly blindTo: string) {
    super();
  }

  protected override isSame(stage: string, field: string, before: unknown, now: unknown): boolean {
    return `${stage}: ${field}` === this.blindTo || super.isSame(stage, field, before, now);
  }
}

/** One state after another of a piece and of who works it: each change by itself, and all tweaks one upon the other. */
function states(): (readonly [from: Planned, to: Planned])[] {
  const base = usual(everyKind());
  const pairs: (readonly [Planned, Planned])[] = [...BY_COMMAND, ...TWEAKS].map(([, change]) => [
    base,
    { ...base, piece: change(base.piece) },
  ]);
  const hands = [
    { ...base, own: OTHER_HAND },
    { ...base, own: { ...USUAL_FACTORS, width: 1.05 } },
    { ...base, own: { ...USUAL_FACTORS, handSpread: 2 } },
    { ...base, seed: 2 },
  ];
  for (const other of hands) pairs.push([base, other]);
  // Nothing in it is left to chance but its order.
  const kite = usual(demoPiece('kite'));
  for (const seed of [2, 3, 4, 5]) pairs.push([kite, { ...kite, seed }]);
  let last = base;
  for (const [, change] of TWEAKS) {
    const next = { ...last, piece: change(last.piece) };
    pairs.push([last, next]);
    last = next;
  }
  return pairs;
}

/** Says of each field whether leaving it out would be noticed. @returns how many would not */
function checkStages(say: (line: string) => void): number {
  const witness = new WitnessMemory();
  const planner = new Planner(witness);
  const pairs = states();
  pairs.forEach(([from, to], step) => {
    everything(from, planner);
    witness.step = step;
    everything(to, planner);
  });
  let unnoticed = 0;
  let noticed = 0;
  for (const { name, madeOf } of STAGES) {
    for (const own of madeOf) {
      const field = `${name}: ${own}`;
      if (PLACES.has(field)) continue;
      const steps = witness.seen.get(field) ?? new Set<number>();
      const isNoticed = [...steps].some((step) => {
        const [from, to] = pairs[step]!;
        const blind = new Planner(new BlindMemory(field));
        everything(from, blind);
        try {
          return !dequal(everything(to, blind), afresh(to));
        } catch {
          return true;
        }
      });
      const follows = FOLLOW[field];
      if (follows ? isNoticed : !isNoticed) {
        unnoticed++;
        say(
          follows
            ? `${field} was said to follow ${follows}, and does not`
            : `${field}: nobody would notice (${steps.size} steps)`,
        );
      } else noticed++;
    }
  }
  say(`${noticed} fields of ${STAGES.length} stages, each left out by itself: ${unnoticed} would not be noticed`);
  return unnoticed;
}

process.exit(checkStages((line) => process.stdout.write(`${line}\n`)) === 0 ? 0 : 1);
