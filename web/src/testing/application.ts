import { openDB } from 'idb';
import { expect, vi } from 'vitest';
import { createMemoryHistory } from 'vue-router';
import App from '../shell/App.vue';
import { makeRouter } from '../shell/router.ts';
import { inOneLine, isCalled, Session } from './session.ts';

/** A file that was handed to the person to save. */
export interface SavedFile {
  readonly name: string;
  readonly content: Blob;
}

/** A part of the page: what a selector finds, or an element of it. */
type Where = string | Element;

/** Everything that is pressed. */
const PRESSED = 'button, a, summary, label, [role=button], [role=tab], [role=checkbox], .n-dropdown-option-body';

/** What a person sees and hears of an element: its label where it has one, else its text. */
function nameOf(element: Element): string {
  return inOneLine(element.getAttribute('aria-label') ?? element.textContent);
}

/** What went between the application and the person: the chooser that was opened last, and the files that were saved. */
const exchange: { chooser: HTMLInputElement | null; saved: SavedFile[] } = { chooser: null, saved: [] };

/** Takes the place of the windows in which a browser lets files be chosen and saved. */
function handFilesOver(): void {
  exchange.chooser = null;
  exchange.saved = [];
  const contents = new Map<string, Blob>();
  URL.createObjectURL = (blob: Blob) => {
    const address = `blob:${contents.size}`;
    contents.set(address, blob);
    return address;
  };
  URL.revokeObjectURL = () => undefined;
  const { click } = HTMLElement.prototype;
  HTMLInputElement.prototype.click = function () {
    if (this.type === 'file') exchange.chooser = this;
    else click.call(this);
  };
  HTMLAnchorElement.prototype.click = function () {
    const content = contents.get(this.getAttribute('href') ?? '');
    if (content) exchange.saved.push({ name: this.download, content });
    else click.call(this);
  };
}

/**
 * All of the application, without a browser: pages, stores, storage and jobs as they are, opened at an address. Nothing is painted or laid out.
 * What is waited for is waited for as long as the jobs take.
 */
export class Application extends Session {
  private constructor(isNew = true) {
    super(makeRouter(createMemoryHistory()), isNew);
    handFilesOver();
  }

  /** Opens the application as in a browser that has nothing, but for the first visit, which is over. */
  static at(path: string, { isFirstVisit = false } = {}): Promise<Application> {
    const application = new Application();
    if (!isFirstVisit) localStorage.setItem('junctura-settings', JSON.stringify({ welcomed: true }));
    return Application.open(application, path);
  }

  private static async open(application: Application, path: string): Promise<Application> {
    await application.router.push(path);
    application.show(App);
    await application.settle();
    return application;
  }

  async go(path: string): Promise<void> {
    await this.router.push(path);
    await this.settle();
  }

  /** Waits until a check holds. */
  async until<T>(check: () => T | Promise<T>): Promise<T> {
    return vi.waitFor(check, { timeout: 30_000, interval: 10 });
  }

  /** Waits until the page is there, and the piece that its address names, with its plan. */
  async settle(): Promise<void> {
    await this.until(() => expect(document.body.textContent).not.toBe(''));
    const { name, params } = this.router.currentRoute.value;
    if (name !== 'piece') return;
    await this.until(() => expect(this.opened.piece.id).toBe(params['id']));
    await this.planned();
  }

  /** The first element of these, in all of the page or in a part of it; waits until it is there. */
  async find(selector: string, within: Where = 'body', text: string | RegExp = /(?:)/): Promise<HTMLElement> {
    return this.until(() => {
      const found = this.allIn(within, selector).find((element) => isCalled(text, inOneLine(element.textContent)));
      if (!found) throw new Error(`There is no ${selector} that says “${text}” in: ${this.text(within)}`);
      return found;
    });
  }

  private partsOf(where: Where): Element[] {
    return typeof where === 'string' ? this.all(where) : [where];
  }

  private allIn(within: Where, selector: string): HTMLElement[] {
    return this.partsOf(within).flatMap((element) => [...element.querySelectorAll<HTMLElement>(selector)]);
  }

  all(selector: string): HTMLElement[] {
    return [...document.querySelectorAll<HTMLElement>(selector)];
  }

  /** What the page, or a part of it, says. */
  text(of: Where = 'body'): string {
    return this.partsOf(of)
      .map((element) => inOneLine(element.textContent))
      .join(' | ');
  }

  async says(selector: string, text: string | RegExp): Promise<void> {
    await this.until(() =>
      typeof text === 'string'
        ? expect(this.text(selector)).toContain(text)
        : expect(this.text(selector)).toMatch(text),
    );
  }

  async saysNot(selector: string, text: string | RegExp): Promise<void> {
    await this.until(() =>
      typeof text === 'string'
        ? expect(this.text(selector)).not.toContain(text)
        : expect(this.text(selector)).not.toMatch(text),
    );
  }

  async counts(selector: string, count: number): Promise<void> {
    await this.until(() => expect(this.all(selector)).toHaveLength(count));
  }

  /** Presses what is called so, as soon as it is there and can be pressed. */
  async press(name: string | RegExp, within: Where = 'body', modifiers: MouseEventInit = {}): Promise<void> {
    const pressed = await this.until(() => {
      const found = this.allIn(within, PRESSED).find(
        (element) => isCalled(name, nameOf(element)) && !(element as HTMLButtonElement).disabled,
      );
      if (!found) throw new Error(`Nothing to press is called “${name}” in: ${this.text(within)}`);
      return found;
    });
    await this.click(pressed, modifiers);
  }

  async click(where: Where, modifiers: MouseEventInit = {}): Promise<void> {
    const element = typeof where === 'string' ? await this.find(where) : where;
    // A label that holds its control is pressed through it, once.
    const target = element instanceof HTMLLabelElement ? (element.control ?? element) : element;
    target.dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true, ...modifiers }));
    await this.rest();
  }

  /** Presses a key on what has the focus. */
  async key(key: string, modifiers: KeyboardEventInit = {}): Promise<void> {
    const target = document.activeElement ?? document.body;
    target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...modifiers }));
    target.dispatchEvent(new KeyboardEvent('keyup', { key, bubbles: true, ...modifiers }));
    await this.rest();
  }

  /** The control that a label names; waits until it is there. */
  async field(label: string | RegExp, within: Where = 'body'): Promise<HTMLInputElement> {
    return this.until(() => {
      const labelled = this.allIn(within, 'label').find((one) => isCalled(label, inOneLine(one.textContent)));
      const control =
        (labelled as HTMLLabelElement | undefined)?.control ??
        this.allIn(within, 'input, select, textarea').find((one) =>
          isCalled(label, one.getAttribute('aria-label') ?? ''),
        );
      if (!control) throw new Error(`Nothing is labelled “${label}” in: ${this.text(within)}`);
      return control as HTMLInputElement;
    });
  }

  /** Types into a field, and goes on to the next. */
  async type(label: string | RegExp, text: string, within: Where = 'body'): Promise<void> {
    const field = await this.field(label, within);
    field.focus();
    field.value = text;
    for (const event of ['input', 'change']) field.dispatchEvent(new Event(event, { bubbles: true }));
    await this.rest();
    field.blur();
    await this.rest();
  }

  /** Chooses from a list by what it says. */
  async choose(label: string | RegExp, option: string | RegExp, within: Where = 'body'): Promise<void> {
    const list = (await this.field(label, within)) as unknown as HTMLSelectElement;
    await this.until(() => {
      const place = [...list.options].findIndex(({ text }) =>
        typeof option === 'string' ? inOneLine(text).includes(option) : option.test(inOneLine(text)),
      );
      if (place < 0) throw new Error(`“${label}” does not offer “${option}”`);
      list.selectedIndex = place;
    });
    list.dispatchEvent(new Event('change', { bubbles: true }));
    await this.rest();
  }

  /** Goes to a step of the open piece by the tape. */
  async goTo(step: string): Promise<void> {
    await this.press(new RegExp(`^\\d?${step}`), '[aria-label=Steps]');
    await this.settle();
  }

  /** Picks a part from the list on the card. */
  async pick(name: string): Promise<void> {
    await this.press(new RegExp(`^${name}`, 'i'), CARD);
    await this.find('h2', CARD, new RegExp(`^${name}$`, 'i'));
  }

  /**
   * The page closed and opened again: what is shown then is what was kept.
   * @param answers of services outside from then on; else as before
   */
  reload({ answers = this.answers } = {}): Promise<Application> {
    const { fullPath } = this.router.currentRoute.value;
    window.dispatchEvent(new Event('pagehide'));
    return Application.open(Object.assign(new Application(false), { answers }), fullPath);
  }

  /** The revision of a document that the browser keeps, such as the thread box; 0 where it keeps none. */
  async revisionOf(document: string): Promise<number> {
    const database = await openDB('junctura');
    const kept = (await database.get('documents', document)) as { revision: number } | undefined;
    database.close();
    return kept?.revision ?? 0;
  }

  async menu(item: string): Promise<void> {
    await this.press('File');
    await this.press(item);
  }

  async undo(): Promise<void> {
    await this.press('Undo');
    await this.planned();
  }

  /** A figure of the tally by its name. */
  figure(name: string): string {
    const row = this.all(`${TALLY} dl > div`).find((one) => one.querySelector('dt')?.textContent === name);
    return inOneLine(row?.querySelector('dd')?.textContent ?? '');
  }

  /** Hands a file to the chooser that a press opens. */
  async hand(file: File, press: () => Promise<void>): Promise<void> {
    exchange.chooser = null;
    await press();
    const chooser = await this.until(() => {
      if (!exchange.chooser) throw new Error('No file is asked for');
      return exchange.chooser;
    });
    Object.defineProperty(chooser, 'files', { value: [file], configurable: true });
    chooser.dispatchEvent(new Event('change'));
    await this.rest();
  }

  /** Brings a drawing, a picture or a piece onto the bench. */
  async bring(name: string, content: BlobPart): Promise<void> {
    await this.hand(new File([content], name), () => this.press('Choose a file'));
  }

  /** Lets files fall onto the window. */
  async drop(files: readonly File[]): Promise<void> {
    const dataTransfer = new DataTransfer();
    for (const file of files) dataTransfer.items.add(file);
    const dropped = new Event('drop', { bubbles: true, cancelable: true });
    document.body.dispatchEvent(Object.assign(dropped, { dataTransfer }));
    await this.rest();
  }

  /** Brings a drawing in and opens it: a piece of its own. */
  async openDrawing(name: string, content: string, step = 'Drawing'): Promise<void> {
    await this.bring(name, content);
    await this.until(() => expect(this.router.currentRoute.value.name).toBe('piece'));
    await this.settle();
    if (step !== 'Drawing') await this.goTo(step);
  }

  /** Waits for the next file that is handed to the person. */
  async savedBy(press: () => Promise<void>): Promise<SavedFile> {
    const before = exchange.saved.length;
    await press();
    return this.until(() => {
      if (exchange.saved.length === before) throw new Error('No file was saved');
      return exchange.saved[before]!;
    });
  }

  async kept(): Promise<void> {
    await this.says(TALLY, 'Saved in this browser');
  }

  /** What the person did last is answered before she does more. */
  private async rest(): Promise<void> {
    await new Promise((resolve) => setTimeout(resolve));
  }
}

/** Where the open piece says its figures, and where the card of a step is. */
export const TALLY = '[aria-label=Tally]';
export const CARD = 'aside';
