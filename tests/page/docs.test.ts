import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import type { Server } from 'node:http';
import path from 'node:path';
import type { Browser, FrameLocator, Page } from 'playwright-core';
import { faultsOf, launch, serveFolder, until } from './browser.ts';

const site = path.resolve('docs/.vitepress/dist');
let browser: Browser;
let server: Server;
let address: string;

beforeAll(async () => {
  execFileSync(process.execPath, ['scripts/docs-site.mjs'], { stdio: 'pipe' });
  ({ server, address } = await serveFolder(site));
  browser = await launch();
});
afterAll(async () => {
  await browser.close();
  server.close();
});

async function open(page: string, options: Parameters<Browser['newContext']>[0] = {}): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, ...options });
  const opened = await context.newPage();
  await opened.goto(`${address}/${page}`);
  return opened;
}

describe('the documentation', () => {
  test('leads nowhere that is not there: every page, every place on it, every picture', () => {
    const pages = readdirSync(site, { recursive: true, encoding: 'utf8' }).filter(
      (file) => file.endsWith('.html') && !/^(viewer|gallery|404)/.test(file),
    );
    expect(pages.length).toBeGreaterThan(35);
    const idsOf = (file: string): Set<string> =>
      new Set([...readFileSync(file, 'utf8').matchAll(/ id="([^"]+)"/g)].map(([, id]) => decodeURIComponent(id)));
    const ids = new Map<string, Set<string>>();
    const broken = pages.flatMap((page) => {
      const html = readFileSync(path.join(site, page), 'utf8');
      const links = [...html.matchAll(/ (?:href|src)="([^"]+)"/g)].map(([, link]) => link.replaceAll('&amp;', '&'));
      return links.flatMap((link) => {
        if (/^(https?:|data:)/.test(link)) return [];
        const { pathname, hash } = new URL(link, `http://x/${page}`);
        const file = path.join(site, pathname.endsWith('/') ? `${pathname}index.html` : decodeURIComponent(pathname));
        if (!existsSync(file)) return [`${page}: ${link}`];
        // Behind the playground's address stands a sketch.
        if (hash === '' || !file.endsWith('.html') || (pathname === '/playground.html' && /^#sketch=[\w-]+$/.test(hash))) return []; // prettier-ignore
        if (!ids.has(file)) ids.set(file, idsOf(file));
        return ids.get(file)!.has(decodeURIComponent(hash.slice(1))) ? [] : [`${page}: ${link}`];
      });
    });
    expect([...new Set(broken)]).toEqual([]);
  });

  test.each([
    ['turn about a corner', 'turn about a corner'],
    ['text in the middle', 'text exactly there'],
    ['keep a variation', 'variation'],
    ['make a GIF', 'gif'],
    ['why is my shape not there', 'why is my shape not there?'],
    ['slow it down', 'Slow it down'],
    ['my own font', 'font'],
    ['put it on my site', 'put it on your own site'],
  ])('is searched for “%s”, and has it among the first five', async (words, found) => {
    const page = await open('');
    await page.getByRole('button', { name: 'Search' }).click();
    await page.locator('#localsearch-input').fill(words);
    const results = page.locator('#localsearch-list > li');
    // Results of the first letters may come before those of all.
    const first = async (): Promise<string> => (await results.allInnerTexts()).slice(0, 5).join('\n').toLowerCase();
    await until(first, expect.stringContaining(found.toLowerCase()));
    await page.context().close();
  });

  test.each([
    '',
    'first-steps.html',
    'first-steps/05-loops.html',
    'cookbook/turning.html',
    'reference/motion.html',
    'playground.html',
  ])('can be used by everybody: /%s, light and dark', async (name) => {
    for (const colorScheme of ['light', 'dark'] as const) {
      const page = await open(name, { colorScheme });
      await page.locator('.VPContent').waitFor();
      expect(await faultsOf(page)).toEqual([]);
      await page.context().close();
    }
  });

  test('fits a phone', async () => {
    for (const name of ['', 'first-steps.html', 'cookbook/time.html', 'reference/canvas.html', 'playground.html']) {
      const page = await open(name, { viewport: { width: 390, height: 844 }, deviceScaleFactor: 3 });
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
      await page.context().close();
    }
  });
});

/** The color of a pixel of the picture, in parts of its size. */
const colorAt = (frame: FrameLocator, x: number, y: number): Promise<number[]> =>
  frame.locator('#canvas').evaluate(
    async (element: HTMLCanvasElement, [x, y]) => {
      const copy = new OffscreenCanvas(element.width, element.height).getContext('2d')!;
      copy.drawImage(await createImageBitmap(element), 0, 0);
      return [...copy.getImageData(x * element.width, y * element.height, 1, 1).data];
    },
    [x, y] as const,
  );

/** Puts a text in place of what the editor has. */
async function write(page: Page, text: string): Promise<void> {
  await page.locator('.cm-content').click();
  await page.keyboard.press('Control+A');
  await page.evaluate((words) => navigator.clipboard.writeText(words), text);
  await page.keyboard.press('Control+V');
}

const sketchOf = (paint: string): string =>
  `import { defineSketch } from 'frame-juggler';\n\nexport default defineSketch({\n  canvas: { width: 100, height: 100, background: 'white' },\n  paint(canvas) {\n    ${paint}\n  },\n});\n`;

describe('the playground', () => {
  const permissions = ['clipboard-read', 'clipboard-write'];

  test('opens empty, and puts in an example when asked', async () => {
    const page = await open('playground.html', { permissions });
    const frame = page.frameLocator('iframe');
    const paper = [246, 239, 223, 255];
    await until(() => colorAt(frame, 0.7, 0.3), paper);
    expect(await page.locator('.playground-wrong').innerText()).toBe('');
    await page.getByRole('button', { name: 'An example' }).click();
    await until(() => colorAt(frame, 0.7, 0.3), [241, 182, 78, 255]);
    await page.getByRole('button', { name: 'Start again' }).click();
    await until(() => colorAt(frame, 0.7, 0.3), paper);
    await page.context().close();
  });

  test('shows what is written, in TypeScript; says what is wrong and where; ends a loop without an end', async () => {
    const page = await open('playground.html', { permissions });
    const frame = page.frameLocator('iframe');
    const wrong = page.locator('.playground-wrong');
    await frame.locator('#canvas').waitFor();
    await write(
      page,
      sketchOf("const radius: number = 40;\n    canvas.circle({ at: [50, 50], radius, fill: 'red' });"),
    );
    await until(() => colorAt(frame, 0.5, 0.5), [255, 0, 0, 255]);
    await write(page, sketchOf("canvas.rect({ at: [50, 50], size: 60, fill: 'blue' });"));
    await until(() => colorAt(frame, 0.3, 0.3), [0, 0, 255, 255]);
    // The last picture stays under whatever is wrong.
    await write(page, sketchOf('canvas.circle({ at: [50, 50], radis: 4 });'));
    await until(() => wrong.innerText(), 'Line 6: circle: there is no option "radis"; did you mean "radius"?');
    expect(await colorAt(frame, 0.3, 0.3)).toEqual([0, 0, 255, 255]);
    await write(page, sketchOf('canvas.circle({ at: [50 50], radius: 4 });'));
    await until(() => wrong.innerText(), expect.stringMatching(/^Line 6: /));
    await write(page, `import 'node:fs';\n${sketchOf('canvas.circle({ at: [50, 50], radius: 4 });')}`);
    await until(() => wrong.innerText(), 'Line 1: here a sketch can import from frame-juggler, and not from node:fs');
    await write(page, sketchOf('while (true) ;'));
    await until(
      () => wrong.innerText(),
      expect.stringMatching(/^In frame \d+: paint was ended after 3 s; look for a loop/),
    );
    await write(page, sketchOf("canvas.rect({ at: [50, 50], size: 60, fill: 'lime' });"));
    await until(() => colorAt(frame, 0.3, 0.3), [0, 255, 0, 255]);
    expect(await wrong.innerText()).toBe('');
    await page.context().close();
  });

  test('numbers are changed by hand, in TypeScript: by fields and in the picture, and taken back', async () => {
    const page = await open('playground.html', { permissions });
    const frame = page.frameLocator('iframe');
    await frame.locator('#canvas').waitFor();
    const text = sketchOf(
      "const same = (n: number): number => n; canvas.rect({ at: [50 as number, 50], size: same(20), fill: 'red' } satisfies object); canvas.dot({ at: [4, 96] });",
    );
    const written = async (): Promise<string> => (await page.locator('.cm-line').allTextContents()).join('\n');
    const is = (other: string): Promise<void> => until(written, other);
    await write(page, text);
    await until(() => colorAt(frame, 0.5, 0.5), [255, 0, 0, 255]);
    const part = frame.locator('details', { has: frame.locator('summary', { hasText: 'Parts' }) });
    if ((await part.getAttribute('open')) === null) await part.locator('summary').click();
    await frame.locator('.parts .item', { hasText: 'rect' }).first().click();
    const field = frame.locator('.given').getByLabel('size.same 1');
    await field.fill('80');
    await field.press('Enter');
    await is(text.replace('same(20)', 'same(80)'));
    await until(() => colorAt(frame, 0.15, 0.15), [255, 0, 0, 255]);
    // A picture that comes while something is held takes that away: nothing is begun before all have come.
    await page.waitForTimeout(800);
    // Dragged by a fifth of the picture; until it is let go, the text is as it was.
    const box = (await frame.locator('#canvas').boundingBox())!;
    await page.mouse.move(box.x + box.width * 0.3, box.y + box.height * 0.3);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width * 0.5, box.y + box.height * 0.3, { steps: 4 });
    await until(() => colorAt(frame, 0.15, 0.15), [255, 255, 255, 255]);
    await is(text.replace('same(20)', 'same(80)'));
    await page.mouse.up();
    await until(
      written,
      expect.stringMatching(/at: \[(69|70|71)(\.\d+)? as number, (49|50|51)(\.\d+)?\], size: same\(80\)/),
    );
    await frame.getByRole('button', { name: 'Undo' }).click();
    await is(text.replace('same(20)', 'same(80)'));
    await until(() => colorAt(frame, 0.15, 0.15), [255, 0, 0, 255]);
    await page.locator('.cm-content').click();
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await is(text);
    await page.context().close();
  });

  test('shares by address: the code, the dials and the seed', async () => {
    const page = await open('playground.html', { permissions });
    const frame = page.frameLocator('iframe');
    await frame.locator('#canvas').waitFor();
    await write(page, `import { defineSketch, dial } from 'frame-juggler';\nexport default defineSketch({ still: true, dials: { fill: dial.color('red') },\n  paint: (canvas, { dials, random }) => canvas.rect({ from: [0, 0], to: [640, 180 + 0 * random.between(0, 1)], fill: dials.fill }) });\n`); // prettier-ignore
    await until(() => colorAt(frame, 0.5, 0.2), [255, 0, 0, 255]);
    await frame.getByLabel('fill', { exact: true }).first().fill('#00ff00');
    await frame.getByRole('textbox', { name: 'Seed' }).fill('7');
    await frame.getByRole('textbox', { name: 'Seed' }).press('Enter');
    await until(() => colorAt(frame, 0.5, 0.2), [0, 255, 0, 255]);
    await page.getByRole('button', { name: 'Share' }).click();
    await until(() => page.locator('.playground-bar output').innerText(), 'Its address is copied.');
    const shared = await page.evaluate(() => navigator.clipboard.readText());
    await page.context().close();
    const other = await open(shared.replace(`${address}/`, ''));
    await until(() => colorAt(other.frameLocator('iframe'), 0.5, 0.2), [0, 255, 0, 255]);
    expect(await other.frameLocator('iframe').getByRole('textbox', { name: 'Seed' }).inputValue()).toBe('7');
    expect(await other.locator('.cm-content').innerText()).toContain("dial.color('red')");
    await other.context().close();
  });

  test('opens what an option does below its picture in the reference', async () => {
    const page = await open('reference/canvas.html');
    const links = page.locator('td a[href*="playground.html#sketch="]');
    expect(await links.count()).toBeGreaterThan(100);
    const link = links.filter({ has: page.locator('img[alt="What corners does"]') }).first();
    await link.click();
    const frame = page.frameLocator('iframe');
    await frame.locator('#canvas').waitFor();
    expect(await page.locator('.cm-content').innerText()).toContain('corners: [30, 0, 30, 0]');
    await until(() => colorAt(frame, 0.5, 0.44), [58, 131, 145, 255]);
    expect(new URL(page.url()).pathname).toBe('/reference/canvas.html');
    await page.getByRole('button', { name: 'Close' }).click();
    expect(await page.locator('iframe').count()).toBe(0);
    // To whom it is sent, it is a page of its own.
    await page.goto(await link.evaluate((one: HTMLAnchorElement) => one.href));
    await page.frameLocator('iframe').locator('#canvas').waitFor();
    expect(await page.locator('.cm-content').innerText()).toContain('corners: [30, 0, 30, 0]');
    await page.context().close();
  });

  test('opens where code stands: recipes as they are, lines of the reference and mistakes as whole sketches', async () => {
    for (const [name, line] of [
      ['cookbook/places.html', 'canvas.circle({ at: middle, radius: 74'],
      ['reference/motion.html', 'clamp(x / 2, 30, 90)'],
      ['mistakes.html', "const buoy = '#d5603f';"],
    ]) {
      const page = await open(name);
      const faults: string[] = [];
      page.on('console', (message) => faults.push(message.text()));
      page.on('pageerror', (error) => faults.push(error.message));
      await page.getByRole('button', { name: 'Change it' }).first().click();
      await page.frameLocator('iframe').locator('#canvas').waitFor();
      expect(await page.locator('.cm-content').innerText()).toContain(line);
      expect(await page.locator('.playground-wrong').innerText()).toBe('');
      await page.getByRole('button', { name: 'Close' }).click();
      expect(await page.locator('iframe').count()).toBe(0);
      expect(faults).toEqual([]);
      await page.context().close();
    }
  });
});
