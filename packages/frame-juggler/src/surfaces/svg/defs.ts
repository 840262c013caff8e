import { short, type NumberWriter } from '../../geometry/write-path-data.ts';
import { element, type Attributes } from './xml.ts';

/** What a document defines once and refers to by name: gradients, patterns, clips, masks. */
export class Definitions {
  private readonly byContent = new Map<string, string>();
  private readonly written: string[] = [];
  private readonly counts = new Map<string, number>();
  private readonly ids: (wanted: string) => string;

  /** How places and lengths are written. */
  write: NumberWriter = short;

  /** @param ids makes a name that the document has not yet */
  constructor(ids: (wanted: string) => string) {
    this.ids = ids;
  }

  /** The name of an element: a new one, or that of one just like it. */
  add(name: string, attributes: Attributes, children: readonly string[]): string {
    const content = element(name, attributes, children);
    let id = this.byContent.get(content);
    if (id === undefined) {
      const count = (this.counts.get(name) ?? 0) + 1;
      this.counts.set(name, count);
      id = this.ids(`${name}-${short(count)}`);
      this.byContent.set(content, id);
      this.written.push(element(name, { id, ...attributes }, children));
    }
    return id;
  }

  /** All of it, as one element; none where there is nothing. */
  get elements(): readonly string[] {
    return this.written.length === 0 ? [] : [element('defs', {}, this.written)];
  }
}
