import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { originalPositionFor, TraceMap, type SourceMapInput } from '@jridgewell/trace-mapping';
import { createServer, searchForWorkspaceRoot, type Connect, type Plugin, type ViteDevServer } from 'vite';
import type { SourceLine } from 'frame-juggler';
import { checkSketchFile, dialFile, readDialFile, writeAtomically, writeDialFile } from 'frame-juggler/node';
import {
  changedEvent,
  dialsPath,
  setupPath,
  sketchModule,
  sourcePath,
  trackPath,
  type Setup,
} from './viewer/protocol.ts';
import { canCompile, compile } from './compile.ts';
import { entryPoints } from './load.ts';

/** A viewer that is being served. */
export interface Viewer {
  /** The page's address, on this machine's loopback. */
  readonly url: string;
  close(): Promise<void>;
}

/** This tool's own code, and the library's: what is served of it is no sketch. */
const ownFolders = [
  fileURLToPath(new URL('.', import.meta.url)),
  path.dirname(fileURLToPath(entryPoints['frame-juggler'])),
];
const packageFolders = ownFolders.map((folder) => path.dirname(path.resolve(folder)));
const isOwnCode = (file: string): boolean => ownFolders.some((folder) => file.startsWith(folder));

/**
 * Serves the viewer for a sketch file, on loopback only, and tells the page of every save in the sketch's folder.
 * @param port the port to listen on; 0 for any that is free
 * @param setup how the run is to begin, beside the dials that are kept
 */
export async function serveViewer(file: string, port: number, setup: Omit<Setup, 'dials'>): Promise<Viewer> {
  const full = path.resolve(file);
  checkSketchFile(file);
  const server = await createServer({
    configFile: false,
    envFile: false,
    root: path.join(ownFolders[0], 'viewer'),
    logLevel: 'silent',
    clearScreen: false,
    // Everything the viewer imports is ES modules already: there is nothing to prepare, and nothing to write.
    optimizeDeps: { noDiscovery: true, include: [] },
    server: {
      host: '127.0.0.1',
      port,
      strictPort: port !== 0,
      // A sketch may import what lies elsewhere in its project.
      fs: { allow: [searchForWorkspaceRoot(path.dirname(full)), ...packageFolders] },
      hmr: { overlay: false },
    },
    plugins: [sketchPlugin(full, setup)],
  });
  await server.listen();
  const url = server.resolvedUrls?.local[0];
  if (url === undefined) throw new Error('the viewer found no address to listen on');
  return { url, close: () => server.close() };
}

function sketchPlugin(file: string, setup: Omit<Setup, 'dials'>): Plugin {
  return {
    name: 'frame-juggler-sketch',
    enforce: 'pre',
    resolveId: (id) => (id in entryPoints ? fileURLToPath(entryPoints[id]) : undefined),
    // Read as `juggle render` reads it, so that both say the same where it cannot be.
    transform(source, id) {
      const [code] = id.split('?');
      if (!canCompile(code) || isOwnCode(code) || code.includes('/node_modules/')) return undefined;
      return compile(code, source) as { code: string; map: never };
    },
    configureServer(server) {
      followSaves(server, path.dirname(file));
      server.middlewares.use(sourcePath, answerSource(server));
      server.middlewares.use(
        setupPath,
        answering(async () => JSON.stringify({ ...setup, dials: (await readDialFile(file)) ?? {} })),
      );
      server.middlewares.use(
        dialsPath,
        keeping(async (text) => {
          await writeDialFile(file, JSON.parse(text) as Record<string, unknown>);
          return path.basename(dialFile(file));
        }),
      );
      server.middlewares.use(
        trackPath,
        keeping(async (text) => {
          const { dir, name } = path.parse(file);
          await writeAtomically(path.join(dir, `${name}.input.json`), Buffer.from(text));
          return `${name}.input.json`;
        }),
      );
      server.middlewares.use(sketchModule, (request, response) => void answerSketch(server, file, request, response));
    },
    // The page loads the sketch anew by itself; the page stays.
    handleHotUpdate: () => [],
  };
}

/**
 * Every save of the sketch, of what it imports and of the files it loads is announced to the page; so is a new file of code
 * beside it, which may be one that was missing. Other files are no business of the page's: pictures that are rendered
 * there, say.
 */
function followSaves(server: ViteDevServer, folder: string): void {
  const asked = new Set<string>();
  server.middlewares.use((request, _, next) => {
    const found = /^\/@fs(\/[^?]*)/.exec(request.url ?? '');
    if (found) asked.add(decodeURIComponent(found[1]));
    next();
  });
  server.watcher.add(folder);
  let timer: NodeJS.Timeout | undefined;
  const changed = (saved: string, isNew: boolean): void => {
    const modules = server.moduleGraph.getModulesByFile(saved);
    const file = saved.replaceAll('\\', '/');
    const known = modules !== undefined || asked.has(file) || asked.has(`/${file}`);
    if (!known && !(isNew && canCompile(saved) && isBeside(folder, saved))) return;
    const now = Date.now();
    const seen = new Set<never>();
    for (const module of modules ?? []) server.moduleGraph.invalidateModule(module, seen, now, true);
    // Editors write in several goes: one message for all of them.
    clearTimeout(timer);
    timer = setTimeout(() => server.ws.send({ type: 'custom', event: changedEvent }), 30);
  };
  for (const event of ['change', 'add', 'unlink'] as const)
    server.watcher.on(event, (saved) => changed(saved, event === 'add'));
}

/** Answers with a text, or with what is wrong. */
function answering(work: (request: Connect.IncomingMessage) => Promise<string>): Connect.NextHandleFunction {
  return (request, response) => {
    work(request).then(
      (text) => response.end(text),
      (error: unknown) => {
        response.statusCode = 500;
        response.end(error instanceof Error ? error.message : String(error));
      },
    );
  };
}

/** The most that the page may send to be kept, in bytes. */
const maxKept = 64e6;

/** Keeps what the page sends; other pages that are open in the same browser are refused. */
function keeping(keep: (text: string) => Promise<string>): Connect.NextHandleFunction {
  return answering(async (request) => {
    const { origin, host } = request.headers;
    if (request.method !== 'POST' || origin !== `http://${host ?? ''}`)
      throw new Error('only the viewer may send this');
    const parts: Buffer[] = [];
    let length = 0;
    for await (const part of request as AsyncIterable<Buffer>) {
      length += part.length;
      if (length > maxKept) throw new Error('this is too long to be kept');
      parts.push(part);
    }
    return keep(Buffer.concat(parts).toString());
  });
}

function isBeside(folder: string, file: string): boolean {
  const relative = path.relative(folder, file);
  return !relative.startsWith('..') && !/(^|[/\\])(node_modules|\.)/.test(relative);
}

/** Leads to the sketch's module; with `?why`, answers in words why it cannot be loaded. */
async function answerSketch(
  server: ViteDevServer,
  file: string,
  request: Connect.IncomingMessage,
  response: import('node:http').ServerResponse,
): Promise<void> {
  const module = `/@fs/${file.replaceAll('\\', '/').replace(/^\//, '')}`;
  if (request.url?.includes('why')) {
    try {
      await importAll(server, module);
      response.end('');
    } catch (error) {
      response.statusCode = 500;
      response.end(error instanceof Error ? error.message : String(error));
    }
    return;
  }
  const stamp = /t=(\d+)/.exec(request.url ?? '')?.[1] ?? '';
  response.setHeader('content-type', 'text/javascript');
  response.setHeader('cache-control', 'no-store');
  response.end(`export { default } from ${JSON.stringify(`${module}?t=${stamp}`)};\n`);
}

/** Transforms a module and all of the sketch's own that it imports, so that the first that fails says why. */
async function importAll(server: ViteDevServer, url: string, seen = new Set<string>()): Promise<void> {
  if (seen.has(url)) return;
  seen.add(url);
  await server.transformRequest(url);
  const module = await server.moduleGraph.getModuleByUrl(url);
  for (const imported of module?.importedModules ?? [])
    if (!imported.url.includes('/node_modules/') && !isOwnCode(imported.file ?? ''))
      await importAll(server, imported.url, seen);
}

function answerSource(server: ViteDevServer): Connect.NextHandleFunction {
  return (request, response) => {
    const query = new URL(request.url ?? '', 'http://viewer').searchParams;
    const line = Number(query.get('line'));
    const column = Number(query.get('column'));
    const file = decodeURIComponent(new URL(query.get('file') ?? '', 'http://viewer').pathname).replace(/^\/@fs/, '');
    response.setHeader('content-type', 'application/json');
    response.end(JSON.stringify(sourceLine(server, file, line, column)));
  };
}

function sourceLine(server: ViteDevServer, file: string, line: number, column: number): SourceLine {
  for (const module of server.moduleGraph.getModulesByFile(file) ?? []) {
    const map = module.transformResult?.map;
    if (!map || !('mappings' in map) || map.mappings === '') continue;
    const found = originalPositionFor(new TraceMap(map as SourceMapInput), { line, column: column - 1 });
    if (found.line !== null) return { file, line: found.line, column: found.column + 1 };
  }
  return { file, line, column };
}
