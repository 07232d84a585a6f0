import type { Brush } from './brush.ts';
import { paintCloth } from './paintCloth.ts';
import { paintScrap } from './paintScrap.ts';
import { paintFront } from './paintPass.ts';
import { lensOf } from './paintPicture.ts';
import type { PaintedThread, Scene } from './scene.ts';
import type { Size, View } from './view.ts';

/** A canvas to paint on, on the page or off it. */
export interface Sheet extends Size {
  readonly brush: Brush;
  /** What can be drawn onto another sheet. */
  readonly image: CanvasImageSource;
}

/** The most earlier states that are kept to go back to, and the memory that is given to them: fewer where the picture is large. */
const KEPT = { most: 8, least: 2, bytes: 100_000_000 } as const;
const BYTES_A_PIXEL = 4;

/**
 * A picture that grows step by step in the order of work, and shrinks again: going on paints only what is new, going back begins from a state
 * that was kept on the way.
 */
export class Growth {
  /** Everything up to a step, whole. */
  private readonly whole: Sheet;
  /** That, with what of the next step is stitched. */
  private readonly partly: Sheet;
  private readonly kept = new Map<number, Sheet>();
  private readonly keepEvery: number;
  private readonly lens;
  /** How many steps are painted whole, and how many stitches of the next. */
  private steps = 0;
  private stitches = 0;
  /** Whether what is painted whole is on the sheet that is seen. */
  private isShown = false;

  /** @param scene its threads are the steps, in the order of work */
  constructor(
    private readonly scene: Scene,
    readonly view: View,
    private readonly makeSheet: () => Sheet,
  ) {
    this.whole = makeSheet();
    this.partly = makeSheet();
    this.lens = lensOf(view, this.whole, false);
    const bytes = this.whole.width * this.whole.height * BYTES_A_PIXEL;
    const kept = Math.min(KEPT.most, Math.max(KEPT.least, Math.floor(KEPT.bytes / bytes)));
    // What is kept of bare cloth is one of them.
    this.keepEvery = Math.max(1, Math.ceil(scene.threads.length / (kept - 1)));
    paintCloth(this.whole.brush, scene.cloth, scene.clothColour, this.lens);
    this.layScraps();
    this.keep();
  }

  /** The picture as it is now: whole steps on the way to a place, there with what of the next is stitched. */
  get sheet(): Sheet {
    return this.isShown ? this.partly : this.whole;
  }

  /** Whether steps are still being painted, all of them whole as far as they go. */
  get isOnItsWay(): boolean {
    return !this.isShown;
  }

  /**
   * Paints towards a place in the work, bit by bit: what is whole at each pause can be shown. Run it to its end; the place may change on the way.
   * @param place whole steps and a share of the next, 0 to their number
   */
  *towards(place: () => number): Generator<void> {
    const { threads } = this.scene;
    for (;;) {
      const now = Math.max(0, Math.min(threads.length, place()));
      const wanted = Math.floor(now + 1e-9);
      if (wanted < this.steps) this.goBack(wanted);
      if (this.steps < wanted) {
        yield* paintFront(this.whole.brush, threads[this.steps]!, this.lens);
        this.steps++;
        this.layScraps();
        this.isShown = false;
        if (this.steps % this.keepEvery === 0) this.keep();
        yield;
        continue;
      }
      const next = threads[wanted];
      const stitches = next ? Math.floor((now - wanted) * stitchesOf(next) + 1e-6) : 0;
      if (!this.isShown || stitches < this.stitches) this.showWhole();
      if (!next || stitches === this.stitches) return;
      yield* paintFront(this.partly.brush, next, this.lens, { from: this.stitches, to: stitches });
      this.stitches = stitches;
    }
  }

  /** Lets what is whole be seen, while there is still more to paint. */
  showWhole(): void {
    copy(this.whole, this.partly);
    this.stitches = 0;
    this.isShown = true;
  }

  /** The scraps that are laid before the next step. */
  private layScraps(): void {
    for (const scrap of this.scene.scraps) {
      if (scrap.after === this.steps) paintScrap(this.whole.brush, scrap, this.lens);
    }
  }

  private goBack(step: number): void {
    const from = Math.max(...[...this.kept.keys()].filter((kept) => kept <= step));
    copy(this.kept.get(from)!, this.whole);
    this.steps = from;
    this.isShown = false;
  }

  private keep(): void {
    if (this.kept.has(this.steps)) return;
    const sheet = this.makeSheet();
    copy(this.whole, sheet);
    this.kept.set(this.steps, sheet);
  }
}

function stitchesOf({ thread }: PaintedThread): number {
  return thread.path.starts.length;
}

function copy(from: Sheet, to: Sheet): void {
  to.brush.setTransform(1, 0, 0, 1, 0, 0);
  to.brush.drawImage(from.image, 0, 0);
}
