import { originalPositionFor, TraceMap, type SourceMapInput } from '@jridgewell/trace-mapping';
import type { ViteDevServer } from 'vite';
import type { SourceLine } from 'frame-juggler';

/** The line as it was written, for a line as it was served. */
export function sourceLine(server: ViteDevServer, served: SourceLine): SourceLine {
  const { line, column } = served;
  const file = decodeURIComponent(new URL(served.file, 'http://viewer').pathname).replace(/^\/@fs/, '');
  for (const module of server.moduleGraph.getModulesByFile(file) ?? []) {
    const map = module.transformResult?.map;
    if (!map || !('mappings' in map) || map.mappings === '') continue;
    const found = originalPositionFor(new TraceMap(map as SourceMapInput), { line, column: column - 1 });
    if (found.line !== null) return { file, line: found.line, column: found.column + 1 };
  }
  return { file, line, column };
}
