import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { until } from './browser.ts';
import { ViewerPage } from './viewer.ts';

/* Numbers by hand: what is moved in the picture, or changed beside it, changes the literal in the sketch, and nothing else. */
const sketch = `import { defineSketch, dial } from 'frame-juggler';
// Written by hand: two  spaces, and a tab\tstay.
const x = 20;
export default defineSketch({
  title: 'Crate', canvas: { width: 400, height: 200 },
  paint(canvas) {
    canvas.group({ translate: [60, -20], rotate: 30, scale: 2 }, () => {
      canvas.rect({ at: [100, 10], size: 30, fill: 'teal', label: 'crate' }); // stays
    });
    canvas.circle({ at: [x, 80], radius: 12.5, fill: "#d5603f", label: 'buoy' });
    for (let i = 0; i < 3; i++) canvas.rect({ at: [300 + i * 20, 180], size: [12, 20], label: 'post' });
    canvas.line({ from: [250, 20], to: [350, 20], stroke: { color: 'black', width: 2 }, label: 'rope' });
  },
});
`;
let viewer: ViewerPage;
beforeAll(async () => {
  viewer = await ViewerPage.open({ 'crate.ts': sketch }, { viewport: { width: 1280, height: 800 } });
  await viewer.button('Pause').click();
  await viewer.openPart('Parts');
});
afterAll(async () => {
  await viewer.close();
  expect(viewer.complaints).toEqual([]);
});

const text = (): string => readFileSync(viewer.file('crate.ts'), 'utf8');

async function choose(label: string): Promise<void> {
  await viewer.page.locator('.parts .item', { hasText: label }).first().click();
  await until(async () => (await viewer.page.locator('.given').count()) > 0, true);
}

/** Where the picture is: one that has just come puts another canvas in this one's place. */
async function canvasBox(): Promise<{ x: number; y: number; width: number; height: number }> {
  let box = null;
  while (box === null) box = await viewer.page.locator('#canvas').boundingBox();
  return box;
}

/** Drags what is at a point of the sketch by so many pixels of the page; `while held` is done before it is let go. */
async function drag(x: number, y: number, dx: number, dy: number, held?: () => Promise<void>): Promise<void> {
  const box = await canvasBox();
  const [left, top] = [box.x + (x / 400) * box.width, box.y + (y / 200) * box.height];
  await viewer.page.mouse.move(left, top);
  await viewer.page.mouse.down();
  await viewer.page.mouse.move(left + dx / 2, top + dy / 2, { steps: 3 });
  await viewer.page.mouse.move(left + dx, top + dy, { steps: 3 });
  await held?.();
  await viewer.page.mouse.up();
}

/** A picture that comes while something is held or typed takes that away: nothing is begun before all have come. */
async function settled(): Promise<void> {
  await until(() => viewer.page.workers().length, 2);
  await viewer.page.waitForTimeout(800);
}

describe('numbers by hand', () => {
  test('a shape is dragged through all that is in force; the picture follows, undo brings back the same bytes', async () => {
    await choose('crate');
    const scale = (await canvasBox()).width / 400;
    // The middle of the crate: [100, 10] turned by 30°, doubled and moved.
    const turn = Math.PI / 6;
    const [x, y] = [60 + 2 * (100 * Math.cos(turn) - 10 * Math.sin(turn)), -20 + 2 * (100 * Math.sin(turn) + 10 * Math.cos(turn))];
    await drag(x, y, 40, 0, async () => {
      // While it is held the picture shows it there, and the file is as it was.
      await until(() => viewer.color((x + 24 + 40 / scale) / 400, y / 200), '0 128 128');
      expect(text()).toBe(sketch);
    });
    await until(() => text() === sketch, false);
    const [, left, top] = /at: \[([-\d.]+), ([-\d.]+)\], size: 30/.exec(text()) ?? [];
    expect(Math.abs(Number(left) - (100 + (40 / scale / 2) * Math.cos(turn)))).toBeLessThanOrEqual(0.5);
    expect(Math.abs(Number(top) - (10 - (40 / scale / 2) * Math.sin(turn)))).toBeLessThanOrEqual(0.5);
    expect(text()).toBe(sketch.replace('at: [100, 10], size: 30', `at: [${left}, ${top}], size: 30`));
    // What was shown on the way is not what there was before.
    await viewer.openPart('Two at once');
    await viewer.button('Compare').click();
    await until(async () => (await viewer.page.locator('#beside figcaption').allTextContents())[2], /^[1-9][.\d]* % of the pixels differ/);
    await viewer.button('Compare').click();
    await viewer.button('Undo').click();
    await until(text, sketch);
  }); // prettier-ignore

  test('of a computed point only the other number moves, and the page says why', async () => {
    await choose('buoy');
    await drag(20, 80, 30, 30);
    await until(() => text() === sketch, false);
    expect(text()).toMatch(/canvas\.circle\(\{ at: \[x, 9\d(\.\d)?\], radius: 12\.5/);
    expect(await viewer.page.locator('#notice').textContent()).toBe('at[0] is computed, in line 10: x');
    await viewer.button('Undo').click();
    await until(text, sketch);
  });

  test('a point, a radius and a corner are pulled', async () => {
    const scale = (await canvasBox()).width / 400;
    await choose('rope');
    await until(() => viewer.page.locator('[data-grip=to]').count(), 1);
    await drag(350, 20, 20 * scale, 10 * scale);
    await until(text, sketch.replace('to: [350, 20]', 'to: [370, 30]'));
    await viewer.button('Undo').click();
    await until(text, sketch);
  });

  test('a shape is turned by its handle: rotate is written where there is none, and changed where there is', async () => {
    await choose('crate');
    const turnBy = async (degrees: number): Promise<void> => {
      await until(() => viewer.page.locator('[data-grip=turn]').count(), 1);
      const [pin, grip] = await viewer.page.evaluate(() => {
        const middle = (selector: string): [number, number] => {
          const { left, top, width, height } = document.querySelector(selector)!.getBoundingClientRect();
          return [left + width / 2, top + height / 2];
        };
        return [middle('.items .pin'), middle('[data-grip=turn]')];
      });
      const [vx, vy] = [grip[0] - pin[0], grip[1] - pin[1]];
      const turn = Math.atan2(vy, vx) + (degrees * Math.PI) / 180;
      const reach = Math.hypot(vx, vy);
      await viewer.page.mouse.move(...grip);
      await viewer.page.mouse.down();
      await viewer.page.mouse.move(pin[0] + reach * Math.cos(turn), pin[1] + reach * Math.sin(turn), { steps: 6 });
      await viewer.page.mouse.up();
    };
    const option = (): string | undefined => /label: 'crate'(, rotate: [-\d.]+)? \}/.exec(text())?.[0];
    await viewer.andSee(async () => {
      await turnBy(40);
      await until(option, `label: 'crate', rotate: 40 }`);
    });
    await settled();
    await turnBy(-60);
    await until(option, `label: 'crate', rotate: -20 }`);
    await viewer.button('Undo').click();
    await until(option, `label: 'crate', rotate: 40 }`);
    await viewer.button('Undo').click();
    await until(text, sketch);
  });

  test('a number is scrubbed and typed, a color picked; a loop says how many follow', async () => {
    await choose('post');
    expect(await viewer.page.locator('.chosen').textContent()).toMatch(/canvas\.rect; 2 others follow/);
    const handle = viewer.page.locator('.given .way', { hasText: 'size[1]' });
    const box = (await handle.boundingBox())!;
    await viewer.andSee(async () => {
      await viewer.page.mouse.move(box.x + 5, box.y + 5);
      await viewer.page.mouse.down();
      await viewer.page.mouse.move(box.x + 5 + 30, box.y + 5, { steps: 5 });
      await viewer.page.mouse.up();
      await until(text, sketch.replace('size: [12, 20]', 'size: [12, 30]'));
    });
    await settled();
    await until(() => viewer.field('size[1]').inputValue(), '30');
    await viewer.enter(viewer.field('size[0]'), '9.5');
    await until(text, sketch.replace('size: [12, 20]', 'size: [9.5, 30]'));
    await choose('buoy');
    await viewer.page.getByRole('textbox', { name: 'fill, as CSS writes it' }).fill('#00ff00');
    await viewer.page.keyboard.press('Enter');
    await until(text, sketch.replace('size: [12, 20]', 'size: [9.5, 30]').replace('"#d5603f"', '"#00ff00"'));
    await until(() => viewer.color(20 / 400, 80 / 200), '0 255 0');
  });
});
