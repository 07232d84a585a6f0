import { Blob, File } from 'node:buffer';
import type { PictureOptions } from '@junctura/core/drawing';
import { success } from '@junctura/core/measure';
import { beforeEach, expect, it, vi } from 'vitest';
import { FakeWorker } from '../../testing/fakeWorker.ts';
import { Session } from '../../testing/session.ts';
import PictureIntake from './PictureIntake.vue';

/** What the reader was asked for, and how the picture comes open. */
let asked: PictureOptions[];
let comesOpen: () => void;
let session: Session;
beforeEach(async () => {
  session = new Session();
  await session.open('demo-kite');
  asked = [];
  const { piece } = session.opened;
  const isOpen = new Promise<void>((resolve) => (comesOpen = resolve));
  const handlers = {
    openPicture: async () => {
      await isOpen;
      return success({ width: 64, height: 48, preview: new Blob([]) as unknown as globalThis.Blob });
    },
    readPicture: ({ options }: { options: PictureOptions }) => {
      asked.push(options);
      return success(piece);
    },
  };
  vi.stubGlobal(
    'Worker',
    class extends FakeWorker {
      constructor() {
        super({ handlers });
      }
    },
  );
});

const inDialog = <Kind extends Element>(selector: string): Kind => document.querySelector<Kind>(`.dialog ${selector}`)!;
const use = (): HTMLButtonElement => inDialog('.foot button:last-child');
const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

async function show(): Promise<void> {
  const file = new File([], 'leaf.png') as unknown as globalThis.File;
  session.show(PictureIntake, { file });
  await vi.waitFor(() => expect(use()).not.toBeNull());
}

async function readAs(way: PictureOptions['as']): Promise<void> {
  const ways = inDialog<HTMLSelectElement>('select');
  ways.value = way;
  ways.dispatchEvent(new Event('change', { bubbles: true }));
  await wait(0);
}

it('what is chosen while the picture comes open is read once, and can be used from then on', async () => {
  await show();
  await readAs('whole');
  comesOpen();
  await vi.waitFor(() => expect(use().disabled).toBe(false));
  // For as long as a change waits for what follows it.
  for (let waited = 0; waited < 500; waited += 5) {
    expect(use().disabled).toBe(false);
    await wait(5);
  }
  expect(asked.map((options) => options.as)).toEqual(['whole']);
});

it('what is changed afterwards is read anew, and what was found before cannot be used meanwhile', async () => {
  await show();
  comesOpen();
  await vi.waitFor(() => expect(use().disabled).toBe(false));
  await readAs('below');
  expect(use().disabled).toBe(true);
  await vi.waitFor(() => expect(use().disabled).toBe(false));
  expect(asked.map((options) => options.as)).toEqual(['colours', 'below']);
});
