import { afterAll, expect, test } from '@jest/globals';
import { truncateSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { asset, defineSketch, Run, type Asset } from '../../packages/frame-juggler/src/index.ts';
import { fileHost } from '../../packages/frame-juggler/src/node/file-host.ts';
import { temporaryFolder } from '../helpers.ts';

const folder = temporaryFolder({ big: '' });
afterAll(folder.remove);

test.each([
  ['picture', 512],
  ['json', 128],
  ['table', 128],
  ['font', 64],
] as const)('a %s of more than %d MB is refused, and not read', async (kind, limit) => {
  // A file of holes: it takes no room on the disk, but would in memory.
  truncateSync(`${folder.path}/big`, limit * 1e6 + 1);
  const sketch = defineSketch({
    assets: { big: (asset[kind] as (url: URL) => Asset<unknown>)(pathToFileURL(`${folder.path}/big`)) },
    paint() {},
  });
  const before = process.memoryUsage().rss;
  await expect(new Run(sketch, { host: fileHost }).restart()).rejects.toThrow(
    `assets: big (big) could not be loaded; it is ${limit + 1} MB: expected at most ${limit} MB`,
  );
  expect(process.memoryUsage().rss - before).toBeLessThan((limit * 1e6) / 2);
});
