import { threadTones, type ThreadTones } from '@junctura/core/colour';
import { threadKind, type ThreadTwist, type ThreadId } from '@junctura/core/materials';
import { shadesOf, shownColour, type Piece } from '@junctura/core/piece';

/** How a thread looks: its tones, how its fibres lie, and where two shades go through one needle the looks of both. */
export interface ThreadLook extends ThreadTones {
  readonly twist: ThreadTwist;
  readonly lustre: number;
  /** Of its strands, by turns; seen where strands are. */
  readonly strands: readonly ThreadLook[] | null;
}

/** How a colour looks in a kind of thread. */
export function threadLook(hex: string, thread: ThreadId, strands: readonly ThreadLook[] | null = null): ThreadLook {
  const { twist, lustre } = threadKind(thread);
  if (strands) return { ...threadTones(hex, lustre), twist, lustre, strands };
  // Textures are kept by look: who asks for the same again has the same.
  const key = `${hex} ${twist} ${lustre}`;
  const look = looks.get(key) ?? { ...threadTones(hex, lustre), twist, lustre, strands };
  if (!looks.has(key) && looks.size >= LOOKS_KEPT) looks.delete(looks.keys().next().value!);
  looks.set(key, look);
  return look;
}

const looks = new Map<string, ThreadLook>();
const LOOKS_KEPT = 300;

/** The looks of the colours of a piece, each worked out when it is first asked for. */
export class ThreadLooks {
  private readonly known = new Map<string, ThreadLook>();

  /** @param seen how each colour is seen: as it is, by a lamp … */
  constructor(
    private readonly piece: Pick<Piece, 'palette'>,
    private readonly seen: (hex: string) => string,
  ) {}

  /** The look of a colour in a kind of thread; one that was just taken out of the palette is grey until the plan has followed. */
  of(colour: string, thread: ThreadId): ThreadLook {
    const key = `${colour} ${thread}`;
    const look = this.known.get(key) ?? this.look(colour, thread);
    this.known.set(key, look);
    return look;
  }

  private look(id: string, thread: ThreadId): ThreadLook {
    const colour = this.piece.palette.find((entry) => entry.id === id);
    const both = colour?.second ? [shadesOf(colour).first, colour.second] : null;
    const strands = both && both.map(({ hex }) => threadLook(this.seen(hex), thread));
    return threadLook(this.seen(shownColour(this.piece, id).hex), thread, strands);
  }
}
