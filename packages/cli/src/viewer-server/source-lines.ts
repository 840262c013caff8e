import { originalPositionFor, TraceMap, type SourceMapInput } from '@jridgewell/trace-mapping';
import type { Plugin } from 'vite';
import type { SourceLine } from 'frame-juggler';

/**
 * Lines as they were written, for lines as they were served. The maps are its own: those of the development server go
 * whenever a file is touched, while a page still shows what the file was before.
 */
export class SourceLines {
  private readonly maps = new Map<string, TraceMap>();

  /** Notes the map of each file that is served, once all that changes its lines is done. */
  plugin(): Plugin {
    const { maps } = this;
    return {
      name: 'frame-juggler-source-lines',
      enforce: 'post',
      transform(_, id) {
        const [file] = id.split('?');
        if (!file.includes('/node_modules/'))
          maps.set(file, new TraceMap(this.getCombinedSourcemap() as unknown as SourceMapInput));
      },
    };
  }

  /** The line as it was written; as it was served where nothing is known of the file. */
  original({ file: url, line, column }: SourceLine): SourceLine {
    const file = decodeURIComponent(new URL(url, 'http://viewer').pathname).replace(/^\/@fs/, '');
    const map = this.maps.get(file);
    const found = map && originalPositionFor(map, { line, column: column - 1 });
    if (found === undefined || found.line === null) return { file, line, column };
    return { file, line: found.line, column: found.column + 1 };
  }
}
