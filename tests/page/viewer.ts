import type { ChildProcess } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Browser, BrowserContextOptions, Locator, Page } from 'playwright-core';
import { temporaryFolder } from '../helpers.ts';
import { launch, serve } from './browser.ts';

/** The viewer, as `juggle play` serves it, in a page of Chromium; with the folder in which its sketch lies. */
export class ViewerPage {
  /** What the page complained of, on its console or by errors of its own. */
  readonly complaints: string[] = [];

  private constructor(
    readonly page: Page,
    readonly url: string,
    readonly process: ChildProcess,
    private readonly browser: Browser,
    private readonly folder: ReturnType<typeof temporaryFolder>,
  ) {
    page.on('pageerror', (error) => this.complaints.push(error.message));
    page.on('console', (message) => {
      if (message.type() === 'error' && !message.text().startsWith('the sketch says'))
        this.complaints.push(message.text());
    });
  }

  /** @param files the sketch first, and what it is made of */
  static async open(
    files: Record<string, string>,
    context: BrowserContextOptions = {},
    ...options: string[]
  ): Promise<ViewerPage> {
    const folder = temporaryFolder(files);
    const sketch = path.join(folder.path, Object.keys(files)[0]);
    const command = [path.resolve('packages/cli/dist/juggle.js'), 'play', sketch, '--no-open', ...options];
    const [{ url, process }, browser] = await Promise.all([serve(...command), launch()]);
    const page = await browser.newPage({ viewport: { width: 1100, height: 700 }, ...context });
    const viewer = new ViewerPage(page, url, process, browser, folder);
    await page.goto(url);
    return viewer;
  }

  async close(): Promise<void> {
    await this.browser.close();
    this.process.kill('SIGTERM');
    this.folder.remove();
  }

  file(name: string): string {
    return path.join(this.folder.path, name);
  }

  save(name: string, text: string): void {
    writeFileSync(this.file(name), text);
  }

  /** Does something that has the sketch loaded anew, and waits until it is shown. */
  async andSee(change: () => Promise<unknown> | void): Promise<void> {
    await this.page.locator('#canvas').evaluate((canvas) => (canvas.dataset.old = 'yes'));
    await change();
    await this.page.locator('#canvas:not([data-old])').waitFor();
  }

  /** Saves a sketch that can be shown, and waits until it is. */
  saveAndSee(name: string, text: string): Promise<void> {
    return this.andSee(() => this.save(name, text));
  }

  remove(name: string): void {
    rmSync(this.file(name));
  }

  /** The frame that is shown. */
  frame = async (): Promise<number> => Number(await this.field('Frame').inputValue());

  /** A field for a number, by its name. */
  field(name: string): Locator {
    return this.page.getByRole('textbox', { name, exact: true });
  }

  /** Types into a field, and enters it. */
  async enter(field: Locator, text: string): Promise<void> {
    await field.fill(text);
    await field.press('Enter');
  }

  button(name: string | RegExp): Locator {
    return this.page.getByRole('button', { name, exact: true });
  }

  /** Opens a part of the drawer. */
  async openPart(title: string): Promise<void> {
    const part = this.page.locator('details', { has: this.page.locator('summary', { hasText: title }) });
    if ((await part.getAttribute('open')) === null) await part.locator('summary').click();
  }

  /** The color of the picture at a place in parts of its size, as red, green and blue. */
  color = (x = 0.5, y = 0.5): Promise<string> =>
    this.page.evaluate(
      ([px, py]) => {
        const canvas = document.querySelector<HTMLCanvasElement>('#canvas');
        if (canvas === null) return '';
        const { data } = copyOf(canvas).getImageData(px * canvas.width, py * canvas.height, 1, 1);
        return [...data].slice(0, 3).join(' ');

        function copyOf(shown: HTMLCanvasElement): CanvasRenderingContext2D {
          const context = Object.assign(document.createElement('canvas'), { width: shown.width, height: shown.height }).getContext('2d')!; // prettier-ignore
          context.drawImage(shown, 0, 0);
          return context;
        }
      },
      [x, y] as const,
    );

  /** The whole picture, as a PNG in a URL. */
  shot = (): Promise<string> =>
    this.page.evaluate(() => {
      const canvas = document.querySelector<HTMLCanvasElement>('#canvas') ?? new OffscreenCanvas(1, 1);
      const copy = Object.assign(document.createElement('canvas'), { width: canvas.width, height: canvas.height });
      copy.getContext('2d')!.drawImage(canvas as HTMLCanvasElement, 0, 0);
      return copy.toDataURL();
    });

  /** What the sketch has put into `globalThis.told`, in the worker in which it runs. */
  told = async (): Promise<unknown> => {
    for (const worker of [...this.page.workers()].reverse()) {
      const told: unknown = await worker.evaluate('globalThis.told').catch(() => undefined);
      if (told !== undefined) return told;
    }
    return undefined;
  };

  failure = async (): Promise<string> => (await this.page.locator('#failure').allTextContents()).join('');
}
