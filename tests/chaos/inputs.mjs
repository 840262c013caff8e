// What nobody should hand over: colors, path data, numbers, damaged files, arguments.
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { asset, Canvas, defineSketch, rasterize, Run, SketchError, writeSvg } from 'frame-juggler';

const command = path.resolve('packages/cli/dist/juggle.js');
const letters = [
  ...'MmLlHhVvCcSsQqTtAaZz0123456789.-+eE, %()/#',
  'rgb(',
  'hsl(',
  'lab(',
  'color(',
  'none',
  '1e999',
  '\u0000',
  '🛟',
  'deg',
];
const junk = (random, length) => random.times(random.int(0, length), () => random.pick(letters)).join('');
const numbers = [0, -0, 1, -1, 0.1, 1e-300, 1e15, -1e15, 1e300, -1e300, 2 ** 53, NaN, Infinity];

/** Only mistakes that are said in words may come out of a sketch. */
function inWords(work) {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof SketchError)) throw new Error(`a raw error: ${error.stack}`, { cause: error });
    return undefined;
  }
}

/** Paints on a small canvas, and draws what was painted. */
function drawn(paint) {
  const canvas = new Canvas({ width: 40, height: 30, density: 1, background: -1, carry: 0 });
  inWords(() => paint(canvas));
  const frame = canvas.finish();
  rasterize(frame);
  if (/NaN|Infinity/.test(writeSvg(frame))) throw new Error('an SVG document with numbers that are none');
}

async function asAsset(kind, bytes, use) {
  const thing = asset[kind](new URL('file:///chaos/thing'));
  const sketch = defineSketch({
    assets: { thing },
    start: ({ assets }) => inWords(() => use(assets.thing)),
    paint() {},
  });
  try {
    await new Run(sketch, { host: { read: () => Promise.resolve(bytes) } }).restart();
  } catch (error) {
    if (!(error instanceof SketchError)) throw new Error(`a raw error: ${error.stack}`, { cause: error });
  }
}

function damaged(random, file) {
  const bytes = Uint8Array.from(readFileSync(file));
  const reach = random.pick([100, 2000, bytes.length]);
  for (let i = random.int(1, 30); i > 0; i--)
    bytes[random.int(0, Math.min(reach, bytes.length) - 1)] = random.int(0, 255);
  return random.likely(0.3) ? bytes.subarray(0, random.int(0, bytes.length)) : bytes;
}

const picture = 'docs/screenshots/harbor-chart.png';
const font = 'node_modules/@expo-google-fonts/source-sans-3/700Bold/SourceSans3_700Bold.ttf';
const fontSketch = `import { asset, defineSketch, measureText } from 'frame-juggler';
export default defineSketch({
  assets: { font: asset.font(new URL('./font.ttf', import.meta.url)) },
  paint(canvas, { assets: { font } }) { canvas.text('Pellan Quay', { at: [99, measureText('12', { font }).height], font }); },
});
`;
const options = [
  'render',
  'strip',
  'play',
  '-o',
  '--frame',
  '--frames',
  '--seed',
  '--dial',
  '--size',
  '--density',
  '--threads',
  '--count',
  '--json',
  '-q',
  '3',
  '0..5',
  '-1',
  'NaN',
  '1e9',
  '99999999999999999999',
  'x.png',
  'x.gif',
  '%d.png',
  '',
  '-',
  '--',
  'sketch.ts',
  'new',
  '🛟',
];

/** Runs the command: it ends in time, with a code that it should have, and without a trace of ours. */
function checkRun(folder, args) {
  const { status, stderr, signal } = spawnSync(process.execPath, [command, ...args], {
    cwd: folder,
    encoding: 'utf8',
    timeout: 60_000,
  });
  const what = JSON.stringify(args);
  if (signal !== null) throw new Error(`${what} hung`);
  if (![0, 2].includes(status)) throw new Error(`${what} ended with ${status}`);
  if (/^\s+at |node:internal/m.test(stderr)) throw new Error(`${what}: a raw error: ${stderr}`);
}

export const inputs = {
  colors: ({ random }) => drawn((canvas) => canvas.circle({ at: [20, 15], radius: 9, fill: junk(random, 40) })),
  paths: ({ random }) =>
    drawn((canvas) => canvas.path({ data: `M0 0${junk(random, 200)}`, fill: 'teal', stroke: 'navy' })),
  numbers: ({ random }) =>
    drawn((canvas) => {
      const any = () => random.pick(numbers);
      canvas.group({ translate: [any(), any()], rotate: any(), scale: any(), skew: [any(), any()] }, () => {
        canvas.rect({
          at: [any(), any()],
          size: [any(), any()],
          corners: any(),
          stroke: { width: any(), dash: [any(), any()] },
        });
        canvas.arc({
          at: [any(), any()],
          radius: any(),
          start: any(),
          end: any(),
          stroke: { width: any(), cap: 'round' },
        });
      });
    }),
  pictures: ({ random }) => asAsset('picture', damaged(random, picture), (found) => found.colorAt(0, 0)),
  fonts({ random, folder }) {
    // As a process: some damage sends the package round for ever, which only the command can end.
    writeFileSync(path.join(folder, 'font.ttf'), damaged(random, font));
    writeFileSync(path.join(folder, 'sketch.ts'), fontSketch);
    checkRun(folder, ['render', 'sketch.ts', '-o', 'x.png', '--patience', '2']);
  },
  arguments({ random, folder }) {
    writeFileSync(
      path.join(folder, 'sketch.ts'),
      "import { defineSketch } from 'frame-juggler';\nexport default defineSketch({ duration: 0.2, paint() {} });\n",
    );
    const args = random.times(random.int(0, 7), () => random.pick(options)).filter((each) => each !== 'play');
    checkRun(folder, args);
  },
};
