import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { mistakes } from '../../examples/mistakes/mistakes.ts';
import {
  checkSketch,
  defineSketch,
  rules,
  Run,
  type Checkup,
  type ShapeOptions,
  type Sketch,
  type TextOptions as TextOnly,
} from 'frame-juggler';
import { check as checkNode } from 'frame-juggler/node';

/* The mistakes of docs/mistakes.md: each is found, at its line and nothing else; cured, the sketch is quiet. */

type TextOptions = TextOnly & Pick<ShapeOptions, 'fill' | 'stroke'>;

/** Time stands still but where it is what is checked: a busy machine makes any sketch slow. */
const check = (sketch: Sketch, timed: boolean): Promise<Checkup> =>
  checkSketch(sketch, {
    frames: [0, Math.min(sketch.frames - 1, 39)],
    open: (like) => new Run(like),
    now: () => (timed ? performance.now() : 0),
    onProgress: () => undefined,
  });

const text = readFileSync('examples/mistakes/mistakes.ts', 'utf8').split('\n');

test('every rule has its pair of sketches', () => {
  expect(Object.keys(mistakes)).toEqual(rules.map(({ name }) => name));
});

describe.each(Object.entries(mistakes))('%s', (name, { mistake, cured }) => {
  test('is found at its line', async () => {
    const { findings } = await check(mistake, name === 'too-slow');
    expect(findings.map((finding) => finding.name)).toEqual([name]);
    const [{ line }] = findings;
    // Some are of no one line.
    if (line !== undefined) expect(text[line.line - 1]).toMatch(/\/\/ ←/);
    else expect(['too-slow', 'flashing']).toContain(name);
  });
  test('is quiet once it is cured', async () => {
    expect((await check(cured, name === 'too-slow')).findings).toEqual([]);
  });
});

test('a paint that changes the state is found where the picture does not show it', async () => {
  const sketch = defineSketch({
    canvas: { width: 320, height: 180, background: '#e4efe8' },
    start: () => ({ seen: [{ times: 0 }], x: 0 }),
    step: (state, { delta }) => void (state.x = (state.x + 20 * delta) % 300),
    paint(canvas, _, { seen, x }) {
      seen[0].times++;
      canvas.circle({ at: [x, 90], radius: 20, fill: '#a8433a' });
    },
  });
  const { findings } = await check(sketch, false);
  expect(findings.map(({ name, seen }) => [name, seen])).toEqual([['paint-changes', 'paint changes state.seen[0].times']]); // prettier-ignore
});

test('a stroke set for shapes is found where it outlines a text after them, and only there', async () => {
  const sketchOf = (more: TextOptions): Sketch =>
    defineSketch({
      canvas: { width: 320, height: 180, background: '#e4efe8' },
      still: true,
      paint(canvas) {
        canvas.style({ stroke: { color: '#24506a', width: 3 } });
        canvas.circle({ at: [160, 60], radius: 40, fill: '#f1b64e' });
        canvas.text('Mill', { ...more, size: 40, fill: more.fill ?? '#1b2f3a' });
      },
    });
  const found = async (more: TextOptions): Promise<string[]> =>
    (await check(sketchOf(more), false)).findings.map(({ name, seen }) => `${name}: ${seen}`);
  expect(await found({ at: [160, 140] })).toEqual(['leak: the stroke set here also outlines the text “Mill”']);
  expect(await found({ at: [160, 140], stroke: 'none' })).toEqual([]);
  expect(await found({ at: [160, 140], fill: 'none' })).toEqual([]);
}); // prettier-ignore

const examples = ['bunting/bunting', 'crane/crane', 'harbor-chart/chart', 'lighthouse/lighthouse', 'pellan-quay/quay', 'rain/rain', 'shapes/shapes', 'signal-flags/flags', 'tide/tide', 'wakes/wakes', 'watch/watch']; // prettier-ignore

test.each(examples)('the example %s is quiet', async (name) => {
  const { default: sketch } = (await import(`../../examples/${name}.ts`)) as { default: Sketch };
  const { findings } = await checkNode(sketch, { frames: [0, 19] });
  // How fast this machine is, is not the sketch's fault.
  expect(findings.filter((finding) => finding.name !== 'too-slow')).toEqual([]);
});
