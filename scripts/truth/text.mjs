import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { asset, measureText, seededRandom } from 'frame-juggler';
import 'frame-juggler/node';
import { directionsBy } from '../../packages/frame-juggler/dist/text/directions.js';
import { lineBreaksBy } from '../../packages/frame-juggler/dist/text/line-breaks.js';

const require = createRequire(path.resolve('packages/frame-juggler/package.json'));
const fonts = 'node_modules/@expo-google-fonts';
const latin = ['quay', 'well-known', '3/4', '12,5', '100%', '$5', '(abc)', '“so”', 'e.g.', 'a\u00a0b', 'ex\u00adtra', 'ze\u200bro', '12:30', 'don’t', '!', '…', '—', '–', 'x–y', '7°', '№ 4', 'a‐b', '/', 'é']; // prettier-ignore
const hebrew = ['נמל', 'שקט', 'הרציף', 'אב', 'מים', 'גאות'];
const arabic = ['مرحبا', 'ميناء', 'صغير', 'المد', 'العالي', 'رصيف', 'لا'];
const far = ['日本', '港です。', 'हिन्दी', '🚢', '👩‍🚀'];

const texts = (random, words, count) =>
  random.times(count, () => random.times(random.int(1, 7), () => random.pick(words)).join(random.pick([' ', ' ', ''])));

/** Where lines may break, held against ICU's. */
export function lineBreaks() {
  const list = texts(seededRandom('breaks'), [...latin, ...hebrew, ...arabic, ...far], 3000);
  const told = execFileSync('/usr/bin/python3', ['scripts/truth/lines.py'], { input: JSON.stringify(list), maxBuffer: 1e8 }); // prettier-ignore
  const breaks = lineBreaksBy(require('linebreak'));
  return agreement(list, told.toString().trim().split('\n'), (text) => JSON.stringify(breaks(text)).replaceAll(',', ', ')); // prettier-ignore
}

/** The order in which letters are seen, held against FriBidi's, which joins Arabic letters besides: two of them to one. */
export function directions() {
  const list = texts(seededRandom('bidi'), [...hebrew, ...arabic, 'abc', '12', '3.5', '(', ')', '!', 'x-y', '%', '"', '—'], 3000).map((text) => text.trim()).filter((text) => !text.includes('لا')); // prettier-ignore
  const told = execFileSync('fribidi', ['--nopad', '--nobreak', '--charset', 'UTF-8'], { input: `${list.join('\n')}\n`, maxBuffer: 1e8 }); // prettier-ignore
  const runsOf = directionsBy(require('bidi-js'));
  const seen = (text) =>
    runsOf(text)(0, text.length)
      .map(({ text: part, rightToLeft }) => (rightToLeft ? [...part].reverse().join('') : part))
      .join('');
  const plain = (text) => text.normalize('NFKC').trim();
  return agreement(list, told.toString().split('\n').map(plain), (text) => plain(seen(text)));
}

/** How wide lines are, held against HarfBuzz's advances. */
export async function shaping() {
  const cases = [
    ['source-sans-3/400Regular/SourceSans3_400Regular', [...latin, 'AV', 'Ty', 'office', 'e\u0301'].filter((word) => /^[\p{Script=Latin}\p{M}\d\s.,:;!?/()%-]*$/u.test(word))],
    ['noto-sans-hebrew/400Regular/NotoSansHebrew_400Regular', hebrew],
    ['amiri/400Regular/Amiri_400Regular', arabic],
  ]; // prettier-ignore
  const folder = mkdtempSync(path.join(tmpdir(), 'truth-'));
  let [same, count, worst] = [0, 0, 0];
  for (const [name, words] of cases) {
    const file = `${fonts}/${name}.ttf`;
    const font = await asset.font(new URL(`file:///${name}`)).decode(readFileSync(file), {});
    const list = texts(seededRandom(name), words, 500);
    writeFileSync(path.join(folder, 'texts'), `${list.join('\n')}\n`);
    const told = execFileSync('hb-shape', ['--no-clusters', '--no-glyph-names', `--text-file=${folder}/texts`, file], { maxBuffer: 1e8 }); // prettier-ignore
    told.toString().trim().split('\n').forEach((line, at) => {
      const width = [...line.matchAll(/\+(-?\d+)/g)].reduce((sum, [, advance]) => sum + Number(advance), 0);
      const off = Math.abs(measureText(list[at], { font, size: 1000 }).width - width);
      if (off < 0.01) same++;
      count++;
      worst = Math.max(worst, off);
    }); // prettier-ignore
  }
  rmSync(folder, { recursive: true });
  return { cases: `${count} lines`, agree: same / count, worst: `${worst.toFixed(1)} thousandths of an em` };
}

function agreement(list, told, of) {
  const wrong = list.filter((text, at) => of(text) !== told[at]);
  return {
    cases: `${list.length} texts`,
    agree: 1 - wrong.length / list.length,
    worst: wrong.length === 0 ? 'none' : `“${wrong.sort((a, b) => a.length - b.length)[0]}”`,
  };
}
