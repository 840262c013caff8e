// Makes docs/reference of the library's types, its tables of options and its comments, of the help of the command, and of
// the examples in examples/reference. A test makes it again and compares.
import { execFile } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { promisify } from 'node:util';
import { build } from 'esbuild';
import prettier from 'prettier';
import { pageOf, pages } from './reference/pages.mjs';
import { readExports } from './reference/read-exports.mjs';
import { anchorOf, pageWriter } from './reference/write-page.mjs';

const entries = [
  'index.ts',
  'browser/index.ts',
  'browser/element.ts',
  'browser/perform.ts',
  'node/index.ts',
  'testing/index.ts',
];

const bodiesIn = (file) => [...readFileSync(file, 'utf8').matchAll(/^ {2}(?:'(.+)'|(?:async )?(\w+))\((?:canvas)?(?:, .+)?\) \{\n([\s\S]*?)^ {2}\},$/gm)].map(([, quoted, plain, body]) => [quoted ?? plain, body.replace(/^ {4}/gm, '').trimEnd()]); // prettier-ignore

/** The lines of each example that draws, by the name of what it shows. */
export const readExamples = () => new Map(bodiesIn('examples/reference/examples.ts'));

/** The lines of each use that draws nothing by itself, with the imports that they need. */
export function readUses() {
  const file = 'examples/reference/uses.ts';
  const imports = [...readFileSync(file, 'utf8').matchAll(/^import \{([^}]+)\} from '(.+)';$/gm)].map(([, list, from]) => [from, list.split(',').map((name) => name.trim()).filter((name) => name !== '' && !name.startsWith('type '))]); // prettier-ignore
  return new Map(
    bodiesIn(file).map(([name, body]) => {
      const lines = imports.flatMap(([from, names]) => {
        const used = names.filter((one) => new RegExp(`(?<![.\\w])${one}\\b`).test(body));
        return used.length === 0 ? [] : [`import { ${used.join(', ')} } from '${from}';`];
      });
      return [
        name,
        [...lines, '', body.replace(/^return (.*);$/gm, '$1;').replace(/^return /gm, '')].join('\n').trim(),
      ];
    }),
  );
}

/** Everything that is exported, with its page: the calls of a canvas each as a thing of its own. */
export function readThings() {
  const things = [];
  const seen = new Set();
  for (const [entry, list] of Object.entries(readExports(entries)))
    for (const thing of list) {
      if (seen.has(thing.name)) continue;
      seen.add(thing.name);
      const page = pageOf(entry, thing.file);
      if (thing.name === 'Canvas')
        for (const call of thing.members.filter(({ calls }) => calls))
          things.push({
            ...call,
            sort: 'function',
            members: [],
            page,
            name: `canvas.${call.name}`,
            calls: shapeCalls(call),
          });
      const members = thing.name === 'Canvas' ? thing.members.filter(({ calls }) => !calls) : thing.members;
      things.push({ ...thing, members, page });
    }
  return things;
}

/** For each type, the names of what takes it, gives it or has it, calls first. */
function usersOfTypes(things) {
  const typesOf = ({ calls = [], made = [], members = [], written = '' }) => [
    written,
    ...[...calls, ...made, ...members.flatMap((one) => one.calls ?? [])].flatMap(({ parameters, returns }) => [returns, ...parameters.map(({ type }) => type)]), // prettier-ignore
    ...members.map(({ type }) => type),
  ];
  const users = new Map(things.filter(({ sort }) => sort === 'type').map(({ name }) => [name, []]));
  for (const thing of [...things].sort((one, other) => rankOf(one) - rankOf(other)))
    for (const name of new Set(typesOf(thing).flatMap((type) => type.match(/\b[A-Z]\w+/g) ?? [])))
      if (name !== thing.name) users.get(name)?.push(thing.name);
  return users;
}

/** The calls of a shape, with the name that its options have. */
function shapeCalls({ name, calls }) {
  const options = `${name[0].toUpperCase()}${name.slice(1)}Options & ShapeOptions`;
  const named = (one) => (one.type.includes('typeof shapes') ? { ...one, type: options } : one);
  return calls.map((call) => ({ ...call, parameters: call.parameters.map(named) }));
}

/** What is learned first stands first. */
const order = ['circle', 'rect', 'ellipse', 'line', 'triangle', 'polygon', 'polyline', 'star', 'arc', 'spline', 'dot', 'path'].map((name) => `canvas.${name}`); // prettier-ignore
const ranks = ['function', 'value', 'class', 'type'];
function rankOf({ name, sort }) {
  if (order.includes(name)) return order.indexOf(name) - 100;
  return name.startsWith('canvas.') ? -1 : ranks.indexOf(sort);
}

/** The pages, by name, as Markdown. */
export async function referencePages() {
  const things = readThings();
  const addresses = new Map(things.map(({ name, page }) => [name, `${page}.md#${anchorOf(name)}`]));
  const shapeOptions = things.find(({ name }) => name === 'ShapeOptions');
  const shared = { name: 'ShapeOptions', address: '#shapeoptions', names: new Set(shapeOptions.members.map(({ name }) => name)) }; // prettier-ignore
  const entry = pageWriter(addresses, { drawn: readExamples(), used: readUses() }, shared, usersOfTypes(things));
  const made = new Map();
  const index = [];
  for (const { name, title, words } of pages) {
    const own = things.filter(({ page }) => page === name).sort((one, other) => rankOf(one) - rankOf(other));
    made.set(name, `# ${title}\n\n${words}\n\n${own.map((thing) => entry(thing, name)).join('\n')}`);
    index.push(`## [${title}](${name}.md)\n\n${own.map((thing) => `[${thing.name}](${name}.md#${anchorOf(thing.name)})`).join(' · ')}\n`); // prettier-ignore
  }
  made.set('commands', await commandPage());
  made.set('index', `# Reference\n\nEverything that can be called, written or asked for. It is made of the library's own tables and types, and a test holds it to them.\n\n${index.join('\n')}\n## [The command](commands.md)\n`); // prettier-ignore
  const format = { ...(await prettier.resolveConfig('docs/reference/index.md')), parser: 'markdown' };
  for (const [name, text] of made) made.set(name, await prettier.format(text, format));
  return made;
}

/** Pictures in docs/screenshots of what commands show. */
const commandPictures = {
  play: { name: 'play', words: 'juggle play: an item of the demo chosen' },
  strip: { name: 'strip', words: 'juggle strip: frames of a run side by side' },
  explain: { name: 'terminal', words: 'juggle explain, check and render in a terminal' },
  check: { name: 'terminal', words: 'juggle explain, check and render in a terminal' },
  demo: { name: 'demo', words: 'juggle demo: a day at Pellan Quay' },
};

/** What every command says of itself. */
async function commandPage() {
  const juggle = async (...args) => (await promisify(execFile)(process.execPath, ['packages/cli/dist/juggle.js', ...args])).stdout; // prettier-ignore
  const help = await juggle('--help');
  const names = [...help.split('Commands:')[1].matchAll(/^ {2}(\w+)/gm)].map(([, name]) => name).filter((name) => name !== 'help'); // prettier-ignore
  const told = await Promise.all(names.map((name) => juggle(name, '--help')));
  const pictureOf = ({ name, words }) => `\n![${words}](../screenshots/${name}.png)\n`;
  const blocks = told.map((text, i) => {
    const shown = commandPictures[names[i]];
    return `## juggle ${names[i]}\n\n\`\`\`text\n${text.trim()}\n\`\`\`\n${shown ? pictureOf(shown) : ''}`;
  });
  return `# The command\n\nWhat \`juggle --help\` and the help of each command say.\n\n\`\`\`text\n${help.trim()}\n\`\`\`\n\n${blocks.join('\n')}`;
}

/** Draws the picture of every example. */
async function drawExamples(folder) {
  const { defineSketch } = await import('frame-juggler');
  const { render } = await import('frame-juggler/node');
  await build({ entryPoints: ['examples/reference/examples.ts'], outfile: 'out/reference-examples.mjs', bundle: true, format: 'esm', packages: 'external', tsconfigRaw: {} }); // prettier-ignore
  const { examples } = await import(pathToFileURL('out/reference-examples.mjs').href);
  mkdirSync(folder, { recursive: true });
  const canvas = { width: 320, height: 120, background: '#e4efe8' };
  for (const [name, paint] of Object.entries(examples))
    await render(defineSketch({ canvas, still: true, paint }), { to: `${folder}/${anchorOf(name)}.png`, density: 2 });
}

if (process.argv[1].endsWith('reference.mjs')) {
  rmSync('docs/reference', { recursive: true, force: true });
  await drawExamples('docs/reference/pictures');
  for (const [name, text] of await referencePages()) writeFileSync(`docs/reference/${name}.md`, text);
}
