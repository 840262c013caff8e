import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import type { Sketch } from 'frame-juggler';
import { check } from 'frame-juggler/node';

const folder = 'examples/cookbook';
const recipes = readdirSync(folder).flatMap((chapter) =>
  readdirSync(`${folder}/${chapter}`).map((file) => `${chapter}/${file}`),
);

test('there are at least forty recipes, each on its page with its picture', () => {
  expect(recipes.length).toBeGreaterThanOrEqual(40);
  for (const recipe of recipes) {
    const [chapter] = recipe.split('/');
    const code = readFileSync(`${folder}/${recipe}`, 'utf8').replace(/^\/\*[^]*?\*\/\n/, '');
    const page = readFileSync(`docs/cookbook/${chapter}.md`, 'utf8');
    expect(page).toContain(`\`\`\`ts\n${code}\`\`\``);
    const picture = recipe.replace('.ts', '.png');
    expect(page).toContain(`](${picture})`);
    expect(readFileSync(`docs/cookbook/${picture}`).subarray(1, 4).toString()).toBe('PNG');
  }
});

describe('each recipe', () => {
  test.each(recipes)('%s is quiet when it is checked', async (recipe) => {
    const { default: sketch } = (await import(`../../${folder}/${recipe}`)) as { default: Sketch };
    const { findings } = await check(sketch, { frames: [0, Math.min(sketch.frames, 20) - 1] });
    // How fast this machine is, is not the sketch's fault.
    expect(findings.filter(({ name }) => name !== 'too-slow')).toEqual([]);
  });
});
