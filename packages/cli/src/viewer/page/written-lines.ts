import type { SourceLine } from 'frame-juggler';
import { server } from './server.ts';

/** The sketch's lines as they were written, by its lines as they were served. Each is asked for once. */
export class WrittenLines {
  private readonly known = new Map<string, SourceLine>();

  /** After a save, a place may be another line's. */
  forget(): void {
    this.known.clear();
  }

  async of(served: SourceLine): Promise<SourceLine> {
    const [line] = await this.ofAll([served]);
    return line!;
  }

  async ofAll(served: readonly (SourceLine | undefined)[]): Promise<(SourceLine | undefined)[]> {
    const { known } = this;
    const unknown = new Map<string, SourceLine>();
    for (const line of served) if (line !== undefined && !known.has(keyOf(line))) unknown.set(keyOf(line), line);
    if (unknown.size > 0) {
      const asked = [...unknown.values()];
      const found = await server.originals(asked).catch(() => asked);
      asked.forEach((line, i) => known.set(keyOf(line), found[i]));
    }
    return served.map((line) => line && (known.get(keyOf(line)) ?? line));
  }
}

function keyOf({ file, line, column }: SourceLine): string {
  return `${file}:${line}:${column}`;
}
