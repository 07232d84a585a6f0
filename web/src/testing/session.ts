import 'fake-indexeddb/auto';
import { readFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import type { Piece } from '@junctura/core/piece';
import { mount, type DOMWrapper, type VueWrapper } from '@vue/test-utils';
import { IDBFactory } from 'fake-indexeddb';
import { createPinia, disposePinia, setActivePinia, type Pinia } from 'pinia';
import { expect, vi } from 'vitest';
import { computed, type Component } from 'vue';
import { createMemoryHistory, createRouter, type Router } from 'vue-router';
import { useKeeper } from '../session/keeper.ts';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { useSettings } from '../session/settings.ts';
import { useWorkings } from '../session/workings.ts';
import { PAGES } from '../shell/pages.ts';
import { UNITS } from '../ui/units.ts';
import { handlers } from '../workers/handlers.ts';
import { workingsOf } from '../workers/jobs/planning.ts';
import { NewsWriter } from '../workers/planNews.ts';
import { withCanvas } from './canvas.ts';
import { FakeWorker } from './fakeWorker.ts';

/** What the server sends lies under it by the same address. */
const PROJECT = join(import.meta.dirname, '../../..');

/**
 * A worker that does here what the real one does; each remembers for itself what it told. What was planned once is not worked again in the
 * next test: planning again gives what planning afresh does.
 */
class WorkerHere extends FakeWorker {
  constructor() {
    const writer = new NewsWriter();
    super({
      handlers: {
        ...handlers,
        // What a plan does not depend on is not sent to it, and not missed.
        plan: async (input) => writer.write(await workingsOf({ ...input, piece: input.piece as Piece })),
      },
    });
  }
}

/** No other tab is open: channels of Node.js reach test files that run beside this one. */
class NoOtherTab extends EventTarget {
  postMessage = (): null => null;
  close = (): null => null;
}

function addressesAlone(): Router {
  const nothing: Component = { render: () => null };
  const routes = Object.entries(PAGES).map(([name, path]) => ({ name, path, component: nothing }));
  return createRouter({ history: createMemoryHistory(), routes });
}

/** The stores of a page on which nothing is open yet: all as in a browser that has nothing, but for the browser. */
export class Session {
  readonly pinia = createPinia();
  /** What devices and services outside answer, by their names; nothing: they do not. */
  answers: Readonly<Record<string, unknown>> = {};
  /** What Vue warned of: a test that shows something expects nothing here. */
  readonly warnings: string[] = [];

  /** What the session before showed, and its stores: they go when the next one begins, and hear of nothing more. */
  private static shown: VueWrapper[] = [];
  private static stores: Pinia | null = null;

  /**
   * @param router of the application; without one its addresses are known, and show nothing
   * @param isNew whether the browser has nothing; else it has what the session before kept
   */
  constructor(
    readonly router: Router = addressesAlone(),
    isNew = true,
  ) {
    for (const wrapper of Session.shown.splice(0)) wrapper.unmount();
    if (Session.stores) disposePinia(Session.stores);
    Session.stores = this.pinia;
    if (isNew) {
      globalThis.indexedDB = new IDBFactory();
      localStorage.clear();
    }
    withCanvas();
    vi.stubGlobal('Worker', WorkerHere);
    vi.stubGlobal('BroadcastChannel', NoOtherTab);
    vi.stubGlobal('fetch', async (url: string) => {
      if (url.startsWith('/stand-ins/')) return Response.json(this.answers[basename(url)]);
      const bytes = await readFile(join(PROJECT, url));
      return new Response(new Uint8Array(bytes));
    });
    setActivePinia(this.pinia);
  }

  /** Opens a demo, or another piece that storage has, and waits for its plan. */
  async open(id: string): Promise<void> {
    const workings = useWorkings(this.pinia);
    expect((await useKeeper(this.pinia).open(id)).type).toBe('opened');
    await this.planned();
    expect(workings.problem).toBeNull();
  }

  /** Waits until what is shown is planned as it is. */
  async planned(): Promise<void> {
    const workings = useWorkings(this.pinia);
    await vi.waitFor(() => expect([workings.isStale, workings.current === null]).toEqual([false, false]), {
      timeout: 30_000,
      interval: 5,
    });
  }

  /** Shows a component as the application does. */
  show<Props extends object>(component: Component<Props>, props?: Props): VueWrapper {
    const settings = useSettings(this.pinia);
    const wrapper = mount(component as Component, {
      ...(props ? { props } : {}),
      attachTo: document.body,
      global: {
        plugins: [this.pinia, this.router],
        provide: { [UNITS as symbol]: computed(() => settings.units) },
        config: {
          warnHandler: (warning) => void this.warnings.push(warning),
          errorHandler: (error) => {
            throw error;
          },
        },
      },
    });
    Session.shown.push(wrapper);
    return wrapper;
  }

  get opened(): ReturnType<typeof useOpenedPiece> {
    return useOpenedPiece(this.pinia);
  }

  get workings(): ReturnType<typeof useWorkings> {
    return useWorkings(this.pinia);
  }
}

/** Text as it is read: with one space between words. */
export function inOneLine(text: string): string {
  return text.replace(/\s+/g, ' ').trim();
}

export function textOf(element: { text(): string } | undefined): string {
  return inOneLine(element?.text() ?? '');
}

export function isCalled(name: string | RegExp, said: string): boolean {
  return typeof name === 'string' ? said === name : name.test(said);
}

/** The button that says this, or is called this. */
export function button(shown: VueWrapper, name: string | RegExp): DOMWrapper<Element> {
  const found = shown
    .findAll('button')
    .find((one) => isCalled(name, textOf(one)) || isCalled(name, one.attributes('aria-label') ?? ''));
  if (!found) throw new Error(`There is no button “${name}” in: ${textOf(shown)}`);
  return found;
}

/** The control that a label names. */
export function field(shown: VueWrapper, label: string): DOMWrapper<HTMLInputElement> {
  const named = shown.findAll('label').find((one) => textOf(one) === label);
  const id = named?.attributes('for');
  if (id === undefined) throw new Error(`Nothing is labelled “${label}” in: ${textOf(shown)}`);
  return shown.find<HTMLInputElement>(`[id="${id}"]`);
}

/** Types into a field, and goes on to the next. */
export async function type(shown: VueWrapper, label: string, text: string): Promise<void> {
  const typed = field(shown, label);
  await typed.trigger('focus');
  await typed.setValue(text);
  await typed.trigger('change');
  await typed.trigger('blur');
  await typed.trigger('focusout');
}

/** Chooses from a list: by the place of an option, or by what it says or stands for. */
export async function choose(shown: VueWrapper, label: string, option: number | string | RegExp): Promise<void> {
  const list = field(shown, label);
  const select = list.element as unknown as HTMLSelectElement;
  const isIt = ({ text, value }: HTMLOptionElement): boolean =>
    option instanceof RegExp ? option.test(text) : text === option || value === option;
  const place = typeof option === 'number' ? option : [...select.options].findIndex(isIt);
  if (!select.options[place]) throw new Error(`“${label}” does not offer “${String(option)}”`);
  select.selectedIndex = place;
  await list.trigger('change');
}

/** The first number in a text. */
export function numberIn(text: string): number {
  return Number(/-?[\d,]*\.?\d+/.exec(text)![0].replaceAll(',', ''));
}
