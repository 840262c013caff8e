import { execFile } from 'node:child_process';
import { existsSync, readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { promisify } from 'node:util';
import { afterAll, expect, test } from '@jest/globals';
import { decode } from 'fast-png';
import { temporaryFolder } from '../helpers.ts';
import { serve } from '../page/browser.ts';

const folder = temporaryFolder();
afterAll(folder.remove);

/** What a script prints that is run where the packages are installed. */
async function script(code: string): Promise<string> {
  const { stdout } = await promisify(execFile)(process.execPath, ['--input-type=module', '-e', code]);
  return stdout.trim();
}
const trails = `
  import { render, strip, drawFrames } from 'frame-juggler/node';
  import { defineSketch } from 'frame-juggler';
  const sketch = defineSketch({
    canvas: { width: 60, height: 40, background: '#0b2545' }, carry: 0.8, duration: 2, frameRate: 10,
    paint(canvas, { frame, random }) { canvas.circle({ at: [3 * frame, random.between(5, 35)], radius: 8, fill: 'tomato' }); },
  });
  const same = (a, b) => Buffer.compare(a, b) === 0;
`;

test('rendered without a place the bytes are those that a file or a stream gets', async () => {
  const said = await script(`${trails}
    import { readFile } from 'node:fs/promises';
    import { Writable } from 'node:stream';
    for (const format of ['png', 'svg', 'gif', 'apng', 'y4m']) {
      const which = format === 'png' || format === 'svg' ? { frame: 7, format } : { frames: [2, 12], format };
      const bytes = await render(sketch, which);
      const file = ${JSON.stringify(folder.path)} + '/one.' + format;
      const facts = await render(sketch, { to: file, ...which });
      const parts = [];
      await render(sketch, { to: new Writable({ highWaterMark: 9, write(part, _, done) { parts.push(part); setImmediate(done); } }), ...which });
      console.log(format, facts.count, same(bytes, await readFile(file)), same(bytes, Buffer.concat(parts)));
    }
    const sheet = await strip(sketch, { count: 3 });
    await strip(sketch, { to: ${JSON.stringify(folder.path)} + '/sheet.png', count: 3 });
    console.log(same(sheet, await readFile(${JSON.stringify(folder.path)} + '/sheet.png')));`);
  expect(said.split('\n')).toEqual(['png 1 true true', 'svg 1 true true', 'gif 11 true true', 'apng 11 true true', 'y4m 11 true true', 'true']); // prettier-ignore
}); // prettier-ignore

test('a strip of values says which of them cannot be', async () => {
  const said = await script(`
    import { strip } from 'frame-juggler/node';
    import { defineSketch, dial } from 'frame-juggler';
    const sketch = defineSketch({
      canvas: { width: 60, height: 40 }, dials: { reach: dial.number(3, { min: 0, max: 9 }), lamp: dial.color('gold') },
      paint: (canvas, { dials }) => canvas.circle({ at: [30, 20], radius: dials.reach, fill: dials.lamp }),
    });
    for (const vary of [{ raech: [1] }, { reach: [] }, { reach: 3 }, {}, { reach: [20] }, { lamp: ['glod'] }])
      await strip(sketch, { vary }).catch(({ message }) => console.log(message));
    await strip(sketch, { vary: { reach: [1] }, frames: [1, 2] }).catch(({ message }) => console.log(message));
    await strip(sketch, { frames: [1, 2], seconds: [1, 2] }).catch(({ message }) => console.log(message));
    const long = await strip(sketch, { vary: { lamp: ['rgb(200, 30, 40)', 'teal'], reach: [2, 8] }, tile: 60 });
    console.log(long.length > 0);`);
  expect(said.split('\n')).toEqual([
    expect.stringMatching(/^dials: there is no dial "raech"; did you mean "reach"/),
    expect.stringMatching(/^strip: vary\.reach \[\] is empty/),
    expect.stringMatching(/^strip: vary\.reach 3 is not a list/),
    expect.stringMatching(/^a strip cannot vary 0 things; expected one dial or two, or a dial and seeds/),
    expect.stringMatching(/^strip: vary: reach 20 is out of range; expected 0 or more, 9 or less/),
    expect.stringMatching(/^strip: vary: lamp "glod" is not a color; did you mean "gold"/),
    expect.stringMatching(
      /^a strip of several values cannot have several frames, too; expected frame, the number of one/,
    ),
    expect.stringMatching(
      /^a strip is told in two ways which frames it has; expected one of frame, frames, pick and seconds/,
    ),
    'true',
  ]);
});

test('frames are drawn as they are asked for, alike with threads and without, and no further', async () => {
  const said = await script(`${trails}
    import { decode } from 'fast-png';
    for (const threads of [1, 3]) {
      let alike = 0;
      for await (const { frame, width, height, data } of drawFrames(sketch, { threads })) {
        const { data: kept } = decode(await render(sketch, { frame }));
        let equal = width * height * 4 === data.length;
        for (let i = 0; equal && i < width * height; i++) for (let c = 0; c < 3; c++) equal = data[i * 4 + c] === kept[i * 3 + c];
        if (equal) alike++;
      }
      console.log(threads, alike);
    }
    let painted = 0;
    const endless = defineSketch({ paint() { painted++; } });
    for await (const { frame } of drawFrames(endless, { frames: [0, 5000] })) if (frame === 3) break;
    console.log(painted < 50);
    const fails = defineSketch({ duration: 1, frameRate: 10, paint(_, { frame }) { if (frame === 4) throw new Error('squall'); } });
    const seen = [];
    try { for await (const { frame } of drawFrames(fails)) seen.push(frame); } catch (error) { console.log(seen.join(), error.message.includes('squall')); }
    const stop = AbortSignal.abort();
    await drawFrames(sketch, { signal: stop }).next().catch((error) => console.log(error.name));`);
  expect(said.split('\n')).toEqual(['1 20', '3 20', 'true', '0,1,2,3 true', 'AbortError']);
}); // prettier-ignore

test('many at once give what each gives alone', async () => {
  const said = await script(`${trails}
    const alone = [];
    for (let seed = 0; seed < 8; seed++) alone.push(await render(sketch, { seed, frame: 5 }));
    const together = await Promise.all(Array.from({ length: 200 }, (_, i) => render(sketch, { seed: i % 8, frame: 5 })));
    console.log(together.every((bytes, i) => same(bytes, alone[i % 8])));`);
  expect(said).toBe('true');
});

test('what cannot be done is said', async () => {
  const said = await script(`${trails}
    for (const options of [{ format: 'mp4' }, { to: 5 }, { frames: [0, 3] }, { threads: 0 }, { format: 'gif', frame: 2 }])
      await render(sketch, options).catch((error) => console.log(error.reason));
    await render('nowhere.js').catch((error) => console.log(error.reason));
    const { Writable } = await import('node:stream');
    const gone = new Writable({ highWaterMark: 9, write() { this.destroy(); } });
    await render(sketch, { to: gone, format: 'y4m' }).catch((error) => console.log(error.reason));
    await render(sketch, { to: gone }).catch((error) => console.log(error.reason));`);
  expect(said.split('\n')).toEqual([
    expect.stringContaining('mp4 is made by an encoder and cannot go to memory or a stream'),
    expect.stringContaining('is neither a file nor a stream'),
    expect.stringContaining('holds one frame, but several were asked for'),
    expect.stringContaining('threads'),
    expect.stringContaining('holds many frames, but one was asked for'),
    expect.stringContaining('nowhere.js is not there'),
    expect.stringContaining('the stream was closed before all was written'),
    expect.stringContaining('the stream was closed before all was written'),
  ]);
}); // prettier-ignore

test('the example of a server draws a poster for each seed', async () => {
  const { url, process: server } = await serve('examples/scripts/serve.mjs', '0');
  try {
    const get = async (name: string): Promise<Buffer> => Buffer.from(await (await fetch(url + name)).arrayBuffer());
    const [seven, again, eight] = await Promise.all([get('7.png'), get('7.png'), get('8.png')]);
    expect(seven.equals(again)).toBe(true);
    expect(seven.equals(eight)).toBe(false);
    expect([decode(seven).width, decode(await get('7.png?density=0.5')).width]).toEqual([480, 240]);
    expect((await get('7.svg')).toString()).toMatch(/^<\?xml|^<svg/);
    expect((await fetch(`${url}x`)).status).toBe(404);
  } finally {
    server.kill();
  }
});

test('the example of a series writes its posters and a sheet', async () => {
  const place = path.join(folder.path, 'posters');
  await promisify(execFile)(process.execPath, ['examples/scripts/series.mjs', place, '2']);
  expect(readdirSync(place).sort()).toEqual(['poster-1.png', 'poster-2.png', 'sheet.png']);
  expect(decode(readFileSync(path.join(place, 'poster-2.png'))).height).toBe(1280);
  expect(existsSync(path.join(place, 'sheet.png'))).toBe(true);
});
