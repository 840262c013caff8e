// Makes docs/reference of the library's types, its tables of options and its comments, of the help of the command, and of
// the examples in examples/reference. A test makes it again and compares.
import { execFile } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';
import { promisify } from 'node:util';
import prettier from 'prettier';
import { findOptionExamples } from './reference/option-examples.mjs';
import { drawExamples } from './reference/draw-examples.mjs';
import { pageOf, pages } from './reference/pages.mjs';
import { readExamples, readOptionExamples, readUses } from './reference/read-examples.mjs';
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

/** For each thing, which examples its options have. */
export const optionExamplesOf = (things) => findOptionExamples(things, readOptionExamples(), usersOfTypes(things));

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
  const examples = { drawn: readExamples(), used: readUses(), options: optionExamplesOf(things) };
  const entry = pageWriter(addresses, examples, shared, usersOfTypes(things));
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
  new: { name: 'project', words: 'juggle new, types and pack in a terminal' },
  render: { name: 'terminal', words: 'juggle explain, check and render in a terminal' },
  strip: { name: 'strip', words: 'juggle strip: frames of a run side by side' },
  explain: { name: 'terminal', words: 'juggle explain, check and render in a terminal' },
  check: { name: 'terminal', words: 'juggle explain, check and render in a terminal' },
  compare: { name: 'compare', words: 'juggle compare: two frames, and where they differ' },
  pack: { name: 'project', words: 'juggle new, types and pack in a terminal' },
  types: { name: 'project', words: 'juggle new, types and pack in a terminal' },
  demo: { name: 'demo', words: 'juggle demo: a day at Pellan Quay' },
  work: { name: 'farm', words: 'juggle work and render: a film by two workers' },
};

/** What every command says of itself. */
async function commandPage() {
  const juggle = async (...args) => (await promisify(execFile)(process.execPath, ['packages/cli/dist/juggle.js', ...args])).stdout; // prettier-ignore
  const help = await juggle('--help');
  const names = [...help.split('Commands:')[1].matchAll(/^ {2}(\w+)/gm)].map(([, name]) => name).filter((name) => name !== 'help'); // prettier-ignore
  const told = await Promise.all(names.map((name) => juggle(name, '--help')));
  const pictureOf = ({ name, words }) => `\n![${words}](../screenshots/${name}.png)\n`;
  const blocks = told.map((text, i) => {
    return `## juggle ${names[i]}\n\n\`\`\`text\n${text.trim()}\n\`\`\`\n${pictureOf(commandPictures[names[i]])}`;
  });
  return `# The command\n\nWhat \`juggle --help\` and the help of each command say.\n\n\`\`\`text\n${help.trim()}\n\`\`\`\n\n${blocks.join('\n')}`;
}

if (process.argv[1].endsWith('reference.mjs')) {
  rmSync('docs/reference', { recursive: true, force: true });
  await drawExamples('docs/reference/pictures');
  for (const [name, text] of await referencePages()) writeFileSync(`docs/reference/${name}.md`, text);
}
