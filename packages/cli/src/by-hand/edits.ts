import { createHash } from 'node:crypto';
import { chmod, readFile, stat } from 'node:fs/promises';
import path from 'node:path';
import { writeAtomically } from 'frame-juggler/node';
import type { CallFacts, Change } from '../viewer/protocol.ts';
import { parseAst } from 'rolldown/parseAst';
import { callAt, partsOfCall, type Node } from './call-parts.ts';
import { withChanges } from './changes.ts';

const versionOf = (text: string): string => createHash('sha1').update(text).digest('hex');

/** The syntax tree of a source file. @throws SyntaxError where it cannot be read */
function parse(file: string, code: string): Node {
  const lang = /\.[mc]?jsx?$/.test(file) ? 'js' : path.extname(file) === '.tsx' ? 'tsx' : 'ts';
  return parseAst(code, { lang }, file) as unknown as Node;
}

/** Writes a file whole, so that nobody ever reads half of it; its mode stays, and links that lead to it. */
async function replace(file: string, text: string): Promise<void> {
  const { mode } = await stat(file);
  await writeAtomically(file, Buffer.from(text));
  await chmod(file, mode);
}

/**
 * Changes of source files by hand: those literals and nothing else, never onto a file that has changed in the meantime.
 * A preview changes no file; an undo brings back the bytes there were.
 */
export class Edits {
  /** Files as they would be, while something is being dragged. */
  private readonly previews = new Map<string, string>();
  private readonly done: { readonly file: string; readonly before: string; readonly after: string }[] = [];

  /** A file as it would be; undefined where it is as it is. */
  preview(file: string): string | undefined {
    return this.previews.get(file);
  }

  /** What a call is given; undefined where that line holds none, as the file has just changed, or cannot be read. */
  async describe(file: string, line: number, column: number): Promise<CallFacts | undefined> {
    try {
      const code = await readFile(file, 'utf8');
      const call = callAt(parse(file, code), code, line, column);
      const undoable = this.done.at(-1)?.file === file;
      return call && { ...partsOfCall(call, code), file, version: versionOf(code), undoable };
    } catch {
      return undefined;
    }
  }

  /** Shows a change without writing it. */
  async show({ file, version, changes }: Change): Promise<void> {
    this.previews.set(file, withChanges(await this.unchanged(file, version), changes));
  }

  /** Takes back what is shown and not written. */
  hide(file: string): void {
    this.previews.delete(file);
  }

  /** Writes a change. */
  async write({ file, version, changes }: Change): Promise<void> {
    this.hide(file);
    const before = await this.unchanged(file, version);
    const after = withChanges(before, changes);
    if (after === before) return;
    await replace(file, after);
    this.done.push({ file, before, after });
  }

  /** Brings back what was before the last change; gives the file's name. */
  async undo(): Promise<string> {
    const last = this.done.at(-1);
    if (last === undefined) throw new Error('nothing was changed by hand');
    await this.unchanged(last.file, versionOf(last.after));
    await replace(last.file, last.before);
    this.done.pop();
    return last.file;
  }

  private async unchanged(file: string, version: string): Promise<string> {
    const code = await readFile(file, 'utf8');
    if (versionOf(code) !== version)
      throw new Error(`${path.basename(file)} has changed in the meantime: nothing was written`);
    return code;
  }
}
