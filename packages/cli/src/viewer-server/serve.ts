import { randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { createServer as createHttpServer, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { stripVTControlCharacters } from 'node:util';
import { createServer, type Plugin, type ViteDevServer } from 'vite';
import { dialText, type SourceLine } from 'frame-juggler';
import { asSketchError, SketchError } from '../errors.ts';
import { checkSketchFile, dialFile, readDialFile, writeDialFile } from 'frame-juggler/node';
import { Edits } from '../by-hand/edits.ts';
import { canCompile, compile, readJson } from '../compile.ts';
import { refuseNoCode } from '../no-code.ts';
import { withoutNode } from '../without-node.ts';
import { checkWebPath } from '../web-path.ts';
import { paths, type Change, type Setup, type StuckRun } from '../viewer/protocol.ts';
import type { RenderWish } from '../viewer/render-wish.ts';
import { Answers } from './answers.ts';
import { Follower } from './follow.ts';
import { fileOfRequest, guard, isWithin } from './guard.ts';
import { keepTrack } from './keep-track.ts';
import { renderOut } from './render-out.ts';
import { SourceLines } from './source-lines.ts';
import { staticFiles } from './static-files.ts';
import { whereStuck } from './where-stuck.ts';

/** A viewer that is being served. */
export interface Viewer {
  /** The page's address, on this machine's loopback. */
  readonly url: string;
  close(): Promise<void>;
}

/** How the run is to begin, by the command's options. */
export type ViewerSetup = Omit<Setup, 'dials' | 'dialFile' | 'dialFault' | 'file'>;

/** The port that is tried first where none is asked for; where it is taken, the next. */
const usualPort = 4646;
const portsTried = 200;
const loopback = '127.0.0.1';

/** The viewer as it was built, with the library that sketches get in it: what is served of it is no sketch. */
const viewerFolder = fileURLToPath(new URL('../viewer', import.meta.url));
const library: Readonly<Record<string, string>> = {
  'frame-juggler': path.join(viewerFolder, 'library/index.js'),
  'frame-juggler/browser': path.join(viewerFolder, 'library/browser.js'),
};
const isOwnCode = (file: string): boolean => isWithin(viewerFolder, file);

/**
 * Serves the viewer for a sketch file, on loopback only, and tells the page of every save of what the sketch is made of.
 * @param port the port to listen on; the usual one, or the next that is free, if left out
 * @param print shows a line in the terminal
 * @throws SketchError where there is no such sketch, its path cannot be in an address, or the port is taken
 */
export async function serveViewer(
  file: string,
  port: number | undefined,
  setup: ViewerSetup,
  print: (line: string) => void,
): Promise<Viewer> {
  checkSketchFile(file);
  checkWebPath(file);
  const full = path.resolve(file);
  const sketch = new SketchService(full, setup, print);
  const vite = await createServer({
    configFile: false,
    envFile: false,
    // Whatever is not there is said to be missing, instead of a page in its place.
    appType: 'mpa',
    root: viewerFolder,
    logLevel: 'silent',
    clearScreen: false,
    // Everything the viewer imports is ES modules already: there is nothing to prepare, and nothing to write.
    optimizeDeps: { noDiscovery: true, include: [] },
    server: {
      middlewareMode: true,
      cors: false,
      // The guard decides which files may be read; it knows what the sketch is made of.
      fs: { allow: [path.parse(full).root] },
      // Saves are sent to the page through our own channel, and only those that matter.
      ws: false,
      hmr: false,
      watch: null,
    },
    plugins: sketch.plugins(),
  });
  const server = createHttpServer(vite.middlewares);
  const close = async (): Promise<void> => {
    sketch.close();
    server.closeAllConnections();
    server.close();
    await vite.close();
  };
  try {
    const found = await listen(server, port);
    return { url: `http://${loopback}:${found}/`, close };
  } catch (error) {
    await close();
    throw error;
  }
}

/** Listens on a port, or on the usual one or the next that is free; gives the port. */
async function listen(server: Server, port: number | undefined): Promise<number> {
  for (let wanted = port ?? usualPort; ; wanted++) {
    try {
      await new Promise<void>((resolve, reject) => {
        server.once('error', reject);
        server.listen(wanted, loopback, () => {
          server.off('error', reject);
          resolve();
        });
      });
      return (server.address() as AddressInfo).port;
    } catch (error) {
      const { code } = error as NodeJS.ErrnoException;
      const next = port === undefined && wanted < usualPort + portsTried;
      if (next && (code === 'EADDRINUSE' || code === 'EACCES')) continue;
      const problem = code === 'EADDRINUSE' ? `port ${wanted} is taken` : `port ${wanted} cannot be had (${code})`;
      throw new SketchError({ problem, expected: 'leave --port out for one that is free' });
    }
  }
}

/** What a page's code names beside its imports: files, relative to itself. */
const namedFile = /new URL\(\s*(['"`])([^'"`]+)\1\s*,\s*import\.meta\.url/g;

/** Serves one sketch, and looks after the files that it is made of. */
class SketchService {
  private readonly folder: string;
  private readonly token = randomUUID();
  /** Files outside the sketch's folder that its code names. */
  private readonly named = new Set<string>();
  private readonly follower: Follower;
  private readonly edits = new Edits();
  private readonly lines = new SourceLines();
  /** Pages that are open, to be told of saves. */
  private readonly pages = new Set<ServerResponse>();
  private server: ViteDevServer | undefined;
  private announcing: NodeJS.Timeout | undefined;
  /** Ends the search for the line that the sketch is stuck at. */
  private search = new AbortController();

  constructor(
    private readonly file: string,
    private readonly setup: ViewerSetup,
    private readonly print: (line: string) => void,
  ) {
    this.folder = path.dirname(file);
    this.follower = new Follower((changed, added) => this.changed(changed, added));
    this.follower.add(file);
  }

  close(): void {
    this.follower.close();
    this.search.abort();
    clearTimeout(this.announcing);
    for (const page of this.pages) page.end();
  }

  plugins(): Plugin[] {
    return [this.plugin(), this.lines.plugin()];
  }

  private plugin(): Plugin {
    return {
      name: 'frame-juggler-sketch',
      enforce: 'pre',
      resolveId: (id, importer) => {
        refuseNoCode(id, importer?.split('?')[0]);
        return library[id];
      },
      load: (id) => this.edits.preview(id.split('?')[0]) ?? withoutNode(id),
      // Read as `juggle render` reads it, so that both say the same where it cannot be.
      transform: (source, id) => {
        const [code] = id.split('?');
        const isJson = code.endsWith('.json');
        if (!(canCompile(code) || isJson) || isOwnCode(code) || code.includes('/node_modules/')) return undefined;
        this.follower.add(code);
        if (isJson) return void readJson(code, source);
        for (const [, , name] of source.matchAll(namedFile))
          if (!/^[a-z]+:/i.test(name)) this.named.add(path.resolve(path.dirname(code), decodeURIComponent(name)));
        return compile(code, source) as { code: string; map: never };
      },
      configureServer: (server) => {
        this.server = server;
        server.middlewares.use(guard((file) => this.isOpen(file)));
        server.middlewares.use(staticFiles(viewerFolder, this.token));
        server.middlewares.use((request, _, next) => {
          // Pictures, fonts and data are followed as code is; those that are missing too.
          const file = fileOfRequest(request.url ?? '');
          if (file !== undefined && !isOwnCode(file) && !file.includes('/node_modules/')) this.follower.add(file);
          next();
        });
        this.answer(server);
      },
    };
  }

  private answer(server: ViteDevServer): void {
    const answers = new Answers(this.token);
    const { middlewares } = server;
    middlewares.use(
      paths.setup,
      answers.get(async () => JSON.stringify(await this.beginning())),
    );
    middlewares.use(
      paths.source,
      answers.post((text) => {
        const served = JSON.parse(text) as SourceLine[];
        return JSON.stringify(served.map((line) => this.lines.original(line)));
      }),
    );
    middlewares.use(
      paths.dials,
      answers.post(async (text) => {
        await writeDialFile(this.file, JSON.parse(text) as Record<string, unknown>);
        return path.basename(dialFile(this.file));
      }),
    );
    middlewares.use(
      paths.track,
      answers.post((text) => keepTrack(this.file, text)),
    );
    middlewares.use(
      paths.print,
      answers.post((text) => {
        // Control characters are removed, so that a sketch cannot control the terminal.
        for (const line of JSON.parse(text) as string[]) this.print(stripVTControlCharacters(line));
        return '';
      }),
    );
    const { edits } = this;
    middlewares.use(
      paths.call,
      answers.post(async (text) => {
        const { file, line, column } = JSON.parse(text) as SourceLine;
        return JSON.stringify((await edits.describe(this.partOfSketch(file), line, column)) ?? null);
      }),
    );
    middlewares.use(
      paths.tryOut,
      answers.post(async (text) => {
        const change = JSON.parse(text) as Change;
        const file = this.partOfSketch(change.file);
        if (change.changes.length === 0) edits.hide(file);
        else await edits.show(change);
        this.changed([file], []);
        return '';
      }),
    );
    middlewares.use(
      paths.change,
      answers.post(async (text) => {
        const change = JSON.parse(text) as Change;
        const file = this.partOfSketch(change.file);
        await edits.write(change).finally(() => this.written(file));
        return '';
      }),
    );
    middlewares.use(
      paths.undo,
      answers.post(async () => {
        const file = await edits.undo();
        await this.written(file);
        return path.basename(file);
      }),
    );
    middlewares.use(
      paths.render,
      answers.stream((text, response) => renderOut(this.file, JSON.parse(text) as RenderWish, response)),
    );
    middlewares.use(
      paths.stuck,
      answers.post(async (text) => JSON.stringify((await this.whereStuck(JSON.parse(text) as StuckRun)) ?? null)),
    );
    middlewares.use(
      paths.edit,
      answers.post(async (text) => {
        const { file, line } = JSON.parse(text) as SourceLine;
        await openEditor(this.partOfSketch(file), line);
        return '';
      }),
    );
    middlewares.use(paths.changes, (request, response) => {
      response.setHeader('Content-Type', 'text/event-stream');
      response.setHeader('Cache-Control', 'no-store');
      response.write('\n');
      this.pages.add(response);
      request.on('close', () => this.pages.delete(response));
    });
    middlewares.use(paths.sketch, (request, response) => {
      response.setHeader('Cache-Control', 'no-store');
      if (/[?&]why/.test(request.url ?? '')) {
        void this.whyNot(server).then((why) => response.end(why));
        return;
      }
      const stamp = /t=(\d+)/.exec(request.url ?? '')?.[1] ?? '';
      response.setHeader('Content-Type', 'text/javascript');
      response.end(`export { default } from ${JSON.stringify(`${this.module}?t=${stamp}`)};
export const file = ${JSON.stringify(path.basename(this.file))};\n`);
    });
  }

  /** The address of the sketch's module. */
  private get module(): string {
    return addressOf(this.file);
  }

  private async beginning(): Promise<Setup> {
    const setup = { ...this.setup, file: path.basename(this.file), dialFile: path.basename(dialFile(this.file)) };
    try {
      return { ...setup, dials: (await readDialFile(this.file)) ?? {} };
    } catch (error) {
      // The sketch plays without them; the page shows a note.
      return { ...setup, dials: {}, dialFault: asSketchError(error).reason };
    }
  }

  private async whereStuck({ kind, frame, seed = this.setup.seed, dials }: StuckRun): Promise<SourceLine | undefined> {
    this.search.abort();
    this.search = new AbortController();
    const turned = Object.entries(dials).map(([name, value]) => [name, dialText(value)] as const);
    const run = { ...(seed !== undefined && { seed }), dial: [...this.setup.dialTexts, ...turned] };
    return whereStuck(this.file, run, { kind, frame }, this.search.signal);
  }

  /** Whether the page may read a file: one of the sketch's folder, of the library, or one that the sketch's code names. */
  private isOpen(file: string): boolean {
    if (isWithin(this.folder, file) || isOwnCode(file) || this.named.has(file)) return true;
    return (this.server?.moduleGraph.getModulesByFile(file.replaceAll('\\', '/'))?.size ?? 0) > 0;
  }

  /** The file, if it is code of the sketch's. */
  private partOfSketch(file: string): string {
    const full = path.resolve(file);
    if (!this.isOpen(full) || isOwnCode(full) || !canCompile(full) || full.includes('/node_modules/'))
      throw new Error('this file is no part of the sketch');
    return full;
  }

  /** A file was written by hand: the page shows it at once, and once. */
  private async written(file: string): Promise<void> {
    await this.follower.know(file);
    this.changed([file], []);
  }

  private changed(changed: readonly string[], added: readonly string[]): void {
    const { server } = this;
    if (server === undefined) return;
    // A new file of code may be one that was missing. Other new files are no business of the page's: renderings, say.
    if (changed.length === 0 && !added.some(canCompile)) return;
    this.search.abort();
    const seen = new Set<never>();
    for (const file of changed)
      for (const module of server.moduleGraph.getModulesByFile(file.replaceAll('\\', '/')) ?? [])
        server.moduleGraph.invalidateModule(module, seen, Date.now(), true);
    // Editors write several times and to several files; one message is sent for all of them.
    clearTimeout(this.announcing);
    this.announcing = setTimeout(() => {
      for (const page of this.pages) page.write('data: changed\n\n');
    }, 20);
  }

  /** Why the sketch cannot be loaded, in words; empty where it can. */
  private async whyNot(server: ViteDevServer): Promise<string> {
    const name = path.basename(this.file);
    if (!existsSync(this.file)) return `${name} is not there any more; once it is back, it is shown`;
    try {
      await this.transformAll(server, this.module);
      return '';
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      const [, missing, from] = /Failed to resolve import "([^"]+)" from "([^"]+)"/.exec(why) ?? [];
      return missing === undefined ? why : `${path.basename(from)} imports ${missing}, which is not there`;
    }
  }

  /** Transforms a module and all of the sketch's own that it imports, so that the first that fails says why. */
  private async transformAll(server: ViteDevServer, url: string, seen = new Set<string>()): Promise<void> {
    if (seen.has(url)) return;
    seen.add(url);
    await server.transformRequest(url);
    const module = await server.moduleGraph.getModuleByUrl(url);
    for (const imported of module?.importedModules ?? [])
      if (!imported.url.includes('/node_modules/') && !isOwnCode(imported.file ?? ''))
        await this.transformAll(server, imported.url, seen);
  }
}

/** Where the development server has a file. */
function addressOf(file: string): string {
  return `/@fs/${file.replaceAll('\\', '/').replace(/^\//, '')}`;
}

async function openEditor(file: string, line: number): Promise<void> {
  const { default: launch } = await import('launch-editor');
  await new Promise<void>((resolve, reject) => {
    launch(`${file}:${line}`, undefined, (_, why) =>
      reject(new Error(`no editor could be opened${why ? `: ${why}` : ''}; set EDITOR to yours`)),
    );
    // Only failures are reported: if none came after a while, the editor is open.
    setTimeout(resolve, 500);
  });
}
