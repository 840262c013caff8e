import { cp, mkdir, readdir, readFile, realpath, rm, writeFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { SketchError } from './errors.ts';
import { describe } from 'frame-juggler/node';
import { checkWebPath } from './web-path.ts';
import { compilerOptions } from './editor-types.ts';

/** What kinds of project there are. */
export const projectKinds = ['animated', 'still', 'page'] as const;
export type ProjectKind = (typeof projectKinds)[number];

/** The frame that is kept, and that the project's test compares. */
export const keptFrame: Readonly<Record<ProjectKind, number>> = { animated: 60, still: 0, page: 60 };
export const sketchFile = 'sketch.ts';
export const keptFile = 'kept.png';

const templates = fileURLToPath(new URL('../examples/start', import.meta.url));
const require = createRequire(import.meta.url);

/** Writes a new project into a folder that is new or empty. @throws SketchError where it is neither, or no page can name it */
export async function writeProject(folder: string, kind: ProjectKind): Promise<void> {
  await checkEmpty(folder);
  checkWebPath(folder);
  const made = (await mkdir(folder, { recursive: true })) !== undefined;
  try {
    const link = await links();
    await cp(path.join(templates, kind === 'still' ? 'still' : 'animated'), folder, { recursive: true });
    if (kind === 'page') await cp(path.join(templates, 'page'), folder, { recursive: true });
    const write = (name: string, content: string): Promise<void> => writeFile(path.join(folder, name), content);
    await write('package.json', inJson(packageOf(path.basename(path.resolve(folder)), kind, link)));
    await write('tsconfig.json', inJson({ compilerOptions, include: ['*.ts'] }));
    await write('.gitignore', ['node_modules/', 'public/', 'picture.png', 'loop.gif', 'series.png', ''].join('\n'));
    await write('README.md', readme(kind));
    if (kind === 'page') await write('vite.config.js', viteConfig(link));
  } catch (error) {
    if (made) await rm(folder, { recursive: true, force: true });
    throw new SketchError({ problem: `${folder} cannot be written: ${describe(error, 'it')}` });
  }
}

async function checkEmpty(folder: string): Promise<void> {
  let there: string[] = [];
  try {
    there = await readdir(folder);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code !== 'ENOENT') throw new SketchError({ problem: `${folder} cannot be written: ${describe(error, 'it')}`, expected: 'expected a folder' }); // prettier-ignore
  }
  if (there.length === 0) return;
  const names = there.slice(0, 3).join(', ');
  throw new SketchError({
    problem: `${folder} is not empty: it holds ${names}${there.length > 3 ? ' and more' : ''}`,
    expected: 'expected a new folder, or an empty one',
  });
}

/** How a project names each package that it needs. */
type Links = Readonly<Record<'frame-juggler' | '@frame-juggler/cli' | 'vite', string>>;

/** A tool that was installed is named by its version; one that runs from its sources is linked, as nobody else has it. */
async function links(): Promise<Links> {
  const of = async (name: string): Promise<string> => {
    const folder = await realpath(path.dirname(require.resolve(`${name}/package.json`)));
    const { version } = JSON.parse(await readFile(path.join(folder, 'package.json'), 'utf8')) as { version: string };
    return isFromSources ? `file:${folder.split(path.sep).join('/')}` : version;
  };
  return { 'frame-juggler': await of('frame-juggler'), '@frame-juggler/cli': await of('@frame-juggler/cli'), vite: await of('vite') }; // prettier-ignore
}

const isFromSources = !fileURLToPath(import.meta.url).includes(`${path.sep}node_modules${path.sep}`);

function packageOf(name: string, kind: ProjectKind, links: Links): object {
  const scripts = {
    picture: `juggle render ${sketchFile} -o picture.png`,
    ...(kind !== 'still' && { loop: `juggle render ${sketchFile} -o loop.gif --size 480x270` }),
    ...(kind === 'still' && { series: `juggle strip ${sketchFile} -o series.png --seeds 1..12` }),
    check: `juggle check ${sketchFile}`,
    test: `juggle compare ${sketchFile} ${keptFile} --frame ${keptFrame[kind]}`,
    keep: `juggle render ${sketchFile} -o ${keptFile} --frame ${keptFrame[kind]}`,
  };
  const { vite, ...own } = links;
  const isPage = kind === 'page';
  return {
    name: name.toLowerCase().replace(/[^a-z0-9._-]+/g, '-').replace(/^[._-]+/, '') || 'sketch',
    private: true,
    version: '0.0.0',
    type: 'module',
    scripts: isPage
      ? { start: 'vite', play: `juggle play ${sketchFile}`, ...scripts, build: 'vite build' }
      : { start: `juggle play ${sketchFile}`, ...scripts, build: `juggle pack ${sketchFile} -o public` },
    dependencies: { 'frame-juggler': own['frame-juggler'] },
    devDependencies: { '@frame-juggler/cli': own['@frame-juggler/cli'], ...(isPage && { vite }) },
  }; // prettier-ignore
}

/** A server shows what is linked from elsewhere only where that is allowed. */
function viteConfig(links: Links): string {
  const linked = Object.values(links).filter((link) => link.startsWith('file:')).map((link) => path.dirname(link.slice('file:'.length))); // prettier-ignore
  const allow =
    linked.length === 0 ? '' : `  server: { fs: { allow: ${JSON.stringify(['.', ...new Set(linked)])} } },\n`;
  return `export default {\n  // Works from any path.\n  base: './',\n  build: { outDir: 'public' },\n${allow}};\n`;
}

function readme(kind: ProjectKind): string {
  const rows = [
    ['npm start', kind === 'page' ? 'shows the page; it follows every save' : 'opens the viewer; it follows every save'],
    ...(kind === 'page' ? [['npm run play', 'opens the viewer, to look inside the picture']] : []),
    ['npm run picture', 'makes picture.png'],
    ...(kind === 'still' ? [['npm run series', 'makes series.png: twelve seeds side by side']] : [['npm run loop', 'makes loop.gif']]),
    ['npm run check', 'looks for likely mistakes'],
    ['npm test', `holds the picture against ${keptFile}`],
    ['npm run keep', `keeps the picture as it is now, as ${keptFile}`],
    ['npm run build', 'makes public/: a page of static files, to be put anywhere'],
  ]; // prettier-ignore
  return `# A sketch with Frame Juggler

\`${sketchFile}\` is the sketch.

| | |
|---|---|
${rows.map(([command, what]) => `| \`${command}\` | ${what} |`).join('\n')}

With \`tsconfig.json\` your editor checks what the calls are given. It asks for no types of your own; with \`"strict": true\` in there it does.
`;
}

function inJson(value: object): string {
  return `${JSON.stringify(value, undefined, 2)}\n`;
}
