import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { mistakes } from '../../examples/mistakes/mistakes.ts';
import { checkSketch, rules, Run, type Checkup, type Sketch } from 'frame-juggler';
import { check as checkNode } from 'frame-juggler/node';

/* The mistakes of docs/mistakes.md: each is found, at its line and nothing else; cured, the sketch is quiet. */

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

const examples = ['bunting/bunting', 'crane/crane', 'harbor-chart/chart', 'lighthouse/lighthouse', 'pellan-quay/quay', 'rain/rain', 'shapes/shapes', 'signal-flags/flags', 'tide/tide', 'wakes/wakes', 'watch/watch']; // prettier-ignore

test.each(examples)('the example %s is quiet', async (name) => {
  const { default: sketch } = (await import(`../../examples/${name}.ts`)) as { default: Sketch };
  const { findings } = await checkNode(sketch, { frames: [0, 19] });
  // How fast this machine is, is not the sketch's fault.
  expect(findings.filter((finding) => finding.name !== 'too-slow')).toEqual([]);
});
