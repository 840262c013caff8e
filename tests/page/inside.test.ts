import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { decode } from 'fast-png';
import { juggle } from '../helpers.ts';
import { faultsOf, until } from './browser.ts';
import { ViewerPage } from './viewer.ts';

/* Looking inside a picture: its items, what lies where, what is hidden and why; and whether everybody can use the page. */
const sketch = (more = ''): string => `import { defineSketch, dial } from 'frame-juggler';
export default defineSketch({
  title: 'Pier', canvas: { width: 400, height: 200 }, frameRate: 30,
  dials: { tide: dial.number(40, { min: 0, max: 90 }), night: dial.toggle(false), flag: dial.color('#c0392b'),
    berth: dial.choice(['north', 'south']), name: dial.text('Petrel'), mooring: dial.point([10, 20]) },
  paint(canvas) {
    canvas.rect({ from: [0, 0], to: [400, 200], fill: '#a8c8d0', label: 'sky' });
    canvas.circle({ at: [200, 100], radius: 10, fill: 'gold', label: 'lamp' });
    canvas.group({ label: 'pier', translate: [200, 100], rotate: 30 }, () => {
      for (let i = 0; i < 3; i++) canvas.rect({ at: [i * 40 - 40, 0], size: 36, fill: 'teal', label: 'post' });
    });
    canvas.circle({ at: [-40, 20], radius: 5, label: 'gull' });
    ${more}
  },
});
`;
let viewer: ViewerPage;
beforeAll(async () => {
  viewer = await ViewerPage.open({ 'pier.ts': sketch() }, { viewport: { width: 1280, height: 800 } });
  await viewer.button('Pause').click();
  await viewer.openPart('Parts');
});
afterAll(async () => {
  await viewer.close();
  expect(viewer.complaints).toEqual([]);
});

const rows = (): Promise<string[]> => viewer.page.locator('.parts li').allTextContents();
const detail = async (): Promise<string> => (await viewer.page.locator('.chosen').allTextContents()).join('');
const outlines = (kind: string): Promise<number> => viewer.page.locator(`.items .${kind}`).count();

/** A point of the sketch, in the page. */
async function onPage(x: number, y: number): Promise<[number, number]> {
  const box = (await viewer.page.locator('#canvas').boundingBox())!;
  return [box.x + (x / 400) * box.width, box.y + (y / 200) * box.height];
}

describe('the items', () => {
  test('stand in the order of drawing, in their groups, hidden ones with the reason', async () => {
    await until(rows, ['●1 rect sky ', '●2 circle lamp covered', '●pier ', '●3 rect post ', '●4 rect post ', '●5 rect post ', '●6 circle gull off the canvas']);
    await viewer.page.getByLabel('Search the items').fill('gull');
    expect(await rows()).toEqual(['●6 circle gull off the canvas']);
    await viewer.page.getByLabel('Search the items').fill('');
  }); // prettier-ignore

  test('are chosen by pointing, one below the other, and told in detail', async () => {
    await viewer.button('Point').click();
    await viewer.page.mouse.click(...(await onPage(200, 100)));
    await until(detail, /^Item4 rect post in pierLinepier\.ts:10all 3 of this lineWhere/);
    expect(await detail()).toMatch(/Its unitsmoved to 200, 100, turned by 30°Stylefill #008080Seenall of it seen/);
    expect(await viewer.page.locator('.pile').textContent()).toBe('There, from the top: 4 rect post2 circle lamp1 rect sky');
    await viewer.page.mouse.click(...(await onPage(200, 100)));
    await until(detail, /^Item2 circle lampLinepier\.ts:8Where190, 90 to 210, 110 \(20 × 20\)/);
    expect(await detail()).toMatch(/Seencovered by 4 rect post/);
    expect(await outlines('chosen-outline')).toBe(1);
    await viewer.page.locator('.chosen').getByRole('button', { name: '4 rect post' }).click();
    await until(detail, /^Item4 rect post in pier/);
    await viewer.page.locator('.parts .item', { hasText: '3 rect post' }).click();
    await viewer.button('all 3 of this line').click();
    expect(await outlines('chosen-outline')).toBe(3);
  }); // prettier-ignore

  test('are left out of the picture, alone or as a group, and nothing else changes', async () => {
    await viewer.button('Leave out group pier').click();
    await until(() => viewer.color(), '255 215 0');
    await viewer.button('Show all').click();
    await until(() => viewer.color(), '0 128 128');
    await viewer.page.locator('.parts .item', { hasText: 'lamp' }).click();
    await viewer.button('Alone').click();
    await until(() => viewer.color(), '255 215 0');
    expect(await viewer.color(0.1, 0.1)).toBe('255 255 255');
    await viewer.button('Show all').click();
    await until(() => viewer.color(), '0 128 128');
  });

  test('can be seen as outlines, boxes and numbers, over the picture and never in it', async () => {
    const before = await viewer.shot();
    await viewer.openPart('Aids');
    for (const aid of ['Graph paper', /Outlines only/, 'Boxes', 'Numbers in the order of drawing'])
      await viewer.page.getByLabel(aid).check();
    await until(() => outlines('outline'), 6);
    expect([await outlines('box'), await outlines('number')]).toEqual([6, 6]);
    expect(await viewer.page.locator('.paper text').allTextContents()).toEqual(expect.arrayContaining(['50', '100', '350']));
    expect(await viewer.shot()).toBe(before);
    for (const aid of ['Graph paper', /Outlines only/, 'Boxes', 'Numbers in the order of drawing'])
      await viewer.page.getByLabel(aid).uncheck();
  }); // prettier-ignore

  test('can be drawn in the very pixels of juggle render', async () => {
    const fast = await viewer.shot();
    await viewer.page.getByLabel(/The very pixels/).check();
    await until(async () => (await viewer.shot()) !== fast, true);
    const shown = decode(Buffer.from((await viewer.shot()).replace(/.*,/, ''), 'base64'));
    // Any density that comes to that size is drawn alike.
    const density = String(shown.width / 400);
    const { bytes } = await juggle('.', 'render', viewer.file('pier.ts'), '-o', '-', '--density', density);
    const rendered = decode(bytes);
    expect([rendered.width, rendered.height]).toEqual([shown.width, shown.height]);
    const colors = ({ data, channels }: typeof shown): number[] =>
      Array.from(data.filter((_, at) => channels === 3 || at % 4 !== 3));
    expect(colors(shown)).toEqual(colors(rendered));
    await viewer.page.getByLabel(/The very pixels/).uncheck();
    await until(() => viewer.shot(), fast);
  });

  test('the pointer’s place is told in the sketch’s units, with the pixel’s color', async () => {
    await viewer.page.mouse.move(...(await onPage(101, 30)));
    await until(async () => viewer.page.locator('.readout').textContent(), /^\[101\.\d, 30\.\d\]rgb\(168 200 208\)$/);
  });
});

test('likely mistakes are found, with their lines, and shown in the picture', async () => {
  await viewer.openPart('Checks');
  await viewer.page.getByRole('button', { name: 'Check', exact: true }).click();
  const found = (): Promise<string[]> => viewer.page.locator('.findings li > p:first-child').allTextContents();
  await until(found, ['off-canvas pier.ts:12', 'covered pier.ts:8', 'unused '], 60);
  await viewer.page.locator('.findings li', { hasText: 'covered' }).getByRole('button', { name: 'Show' }).click();
  await until(viewer.frame, 0);
  await until(() => outlines('chosen-outline'), 1);
});

test('what is seldom meant is said by itself', async () => {
  const notes = async (): Promise<string> => (await viewer.page.locator('.remarks .note').allTextContents()).join('\n');
  await viewer.openPart('Notes');
  viewer.save('pier.ts', sketch('canvas.dot({ at: [count++ % 7, 5] });').replace('export default', 'let count = 0;\nexport default'));
  await until(notes, /paint draws frame \d+ otherwise when it is called again; what changes belongs into step/);
  viewer.save('pier.ts', sketch().replace(/ {4}canvas\.rect[^]*?gull' \}\);/, "    canvas.circle({ at: [900, 20], radius: 5 });"));
  await until(notes, /nothing that frame \d+ drew can be seen: 1 off the canvas/);
  viewer.save('pier.ts', sketch());
  await until(rows, /lamp/);
}); // prettier-ignore

describe('everybody', () => {
  test.each(['light', 'dark'] as const)('can use the page: axe finds nothing in the %s one', async (colorScheme) => {
    await viewer.page.emulateMedia({ colorScheme });
    await viewer.openPart('Aids');
    await viewer.button('Play a part round and round').click();
    expect(await faultsOf(viewer.page)).toEqual([]);
    await viewer.button('Play a part round and round').click();
    await viewer.page.locator('#drawer h1').click();
    await viewer.page.keyboard.press('?');
    expect(await faultsOf(viewer.page)).toEqual([]);
    await viewer.page.keyboard.press('Escape');
  });

  test.each([[1280, 800], [900, 600], [390, 844]])('sees all of it at %d × %d: nothing is cut off or overlaps', async (width, height) => {
    await viewer.page.setViewportSize({ width, height });
    await viewer.page.waitForTimeout(400);
    const found = await viewer.page.evaluate(() => {
      const wrong: string[] = [];
      if (document.documentElement.scrollWidth > innerWidth) wrong.push('the page is wider than the window');
      const shown = [...document.querySelectorAll<HTMLElement>('footer button, footer input, footer select, #drawer button, #drawer input, #drawer select, summary, #canvas')]
        .filter((element) => element.checkVisibility() && element.getBoundingClientRect().width > 0);
      const boxes = shown.map((element) => element.getBoundingClientRect());
      const nameOf = (i: number): string => shown[i].getAttribute('aria-label') ?? shown[i].textContent ?? shown[i].id;
      boxes.forEach((one, i) => {
        if (one.left < -0.5 || one.right > innerWidth + 0.5) wrong.push('cut off: ' + nameOf(i));
        boxes.forEach((other, j) => {
          if (j <= i || shown[i].closest('.parts') || shown[j].closest('.parts') || shown[i].contains(shown[j])) return;
          if (shown[i].closest('#drawer') !== shown[j].closest('#drawer')) return;
          const across = Math.min(one.right, other.right) - Math.max(one.left, other.left);
          const down = Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top);
          if (across > 1 && down > 1) wrong.push(nameOf(i) + ' overlaps ' + nameOf(j));
        });
      });
      return wrong;
    });
    expect(found).toEqual([]);
    const box = (await viewer.page.locator('#canvas').boundingBox())!;
    expect(box.width).toBeGreaterThan(Math.min(300, width * 0.8));
  }); // prettier-ignore
});
