import { beforeAll, describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';

interface Option {
  readonly name: string;
  readonly words: string;
}
interface Thing extends Option {
  readonly page: string;
  readonly sort: string;
  readonly calls?: readonly {
    readonly returns: string;
    readonly parameters: readonly { readonly options: readonly Option[] }[];
  }[];
  readonly members: readonly Option[];
}
// @ts-expect-error a script without types
const { optionExamplesOf, readThings, referencePages } = (await import('../../scripts/reference.mjs')) as {
  optionExamplesOf: (
    things: Thing[],
  ) => Map<string, { readonly name: string; readonly lines?: string[]; readonly home?: string }[]>;
  readThings: () => Thing[];
  referencePages: () => Promise<Map<string, string>>;
};
type Examples<Shown> = () => Map<string, Shown>;
// @ts-expect-error a script without types
const { readExamples, readOptionExamples, readUses } = (await import('../../scripts/reference/read-examples.mjs')) as {
  readExamples: Examples<string>;
  readUses: Examples<string>;
  readOptionExamples: Examples<Map<string, { readonly lines: string[]; readonly isDrawn: boolean }>>;
};
const uses = readUses();
let things: Thing[];
beforeAll(() => void (things = readThings()));

describe('the reference', () => {
  test('stands in docs/reference as the library has it now: `npm run reference` makes it', async () => {
    const made = await referencePages();
    const files = readdirSync('docs/reference').filter((file) => file.endsWith('.md'));
    expect(files.sort()).toEqual([...made.keys()].map((name) => `${name}.md`).sort());
    for (const [name, text] of made) expect(readFileSync(`docs/reference/${name}.md`, 'utf8')).toBe(text);
  });

  test('says something of everything that is exported, of every member and of every option of a call', () => {
    const silent = things.flatMap(({ name, words, calls = [], members = [] }) => {
      const options = calls.flatMap(({ parameters }) => parameters.flatMap(({ options: own }) => own));
      return [
        ...(words === '' ? [name] : []),
        ...[...options, ...members].filter((one) => one.words === '').map((one) => `${name} ${one.name}`),
      ];
    });
    expect(silent).toEqual([]);
  });

  test('shows every call that draws, paints or moves, and nothing that is not there', () => {
    const examples = readExamples();
    const pages = ['canvas', 'color', 'motion', 'chance'];
    const shown = things.filter(({ page, sort }) => pages.includes(page) && ['function', 'value'].includes(sort));
    // `paint` waits for nothing.
    const inPaint = shown.filter(({ calls }) => calls?.[0]?.returns.startsWith('Promise') !== true);
    expect(inPaint.filter(({ name }) => !examples.has(name)).map(({ name }) => name)).toEqual([]);
    const names = new Set(things.map(({ name }) => name));
    expect([...examples.keys()].filter((name) => !names.has(name))).toEqual([]);
  });

  test('shows how all the rest is used, with the imports that it needs', () => {
    const names = new Set(things.map(({ name }) => name));
    expect([...uses.keys()].filter((name) => !names.has(name))).toEqual([]);
    const examples = readExamples();
    const isUsed = (name: string): boolean =>
      [...uses.values()].some((code) => new RegExp(`(?<!\\w)${name}\\(`).test(code));
    const lacking = things.filter(({ name, sort }) => sort !== 'type' && !examples.has(name) && !uses.has(name) && !isUsed(name)); // prettier-ignore
    expect(lacking.map(({ name }) => name)).toEqual([]);
    expect(uses.get('mount')).toMatch(/^import \{ mount \} from 'frame-juggler\/browser';\n\n/);
  });

  test('shows what every option does, with an example of its own or one of another that has the same option', () => {
    const found = optionExamplesOf(things);
    const lacking = [...found].flatMap(([thing, options]) =>
      options.filter(({ lines, home }) => (lines ?? home) === undefined).map(({ name }) => `${thing} ${name}`),
    );
    expect(lacking).toEqual([]);
    for (const [thing, options] of readOptionExamples())
      expect(found.get(thing)?.map(({ name }) => name)).toEqual(expect.arrayContaining([...options.keys()]));
    expect(found.get('canvas.rect')?.find(({ name }) => name === 'corners')?.lines).toEqual([
      'canvas.rect({ at: [80, 40], size: [100, 60], corners: [30, 0, 30, 0] })',
    ]);
    expect(found.get('Player')?.find(({ name }) => name === 'autoplay')?.home).toBe('mount');
  });

  test('has a picture of every example', () => {
    const drawn = [...readOptionExamples()].flatMap(([thing, options]) =>
      [...options].filter(([, { isDrawn }]) => isDrawn).map(([option]) => `${thing}.${option}`),
    );
    for (const name of [...readExamples().keys(), ...drawn]) {
      const file = `docs/reference/pictures/${name.toLowerCase().replaceAll('.', '-')}.png`;
      expect(readFileSync(file).subarray(1, 4).toString()).toBe('PNG');
    }
  });
});
