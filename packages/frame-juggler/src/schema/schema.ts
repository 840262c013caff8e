import { fail, show } from '../error.ts';
import { suggest } from '../suggest.ts';
import { missing, type Kind, type ValueOf } from './kind.ts';

/*
 * A call's options are declared once, as a table: each name with its kind, and whether it may be left out. The comment
 * above an entry is what an editor shows of it and what the reference says; the type, the reader and the messages come
 * from the entry itself.
 */

/** An option that may be left out, and what it then is. */
export interface Optional<K, Initial = undefined> {
  readonly kind: K;
  readonly optional: true;
  readonly initial: Initial;
}

/** An option that may be left out; `initial` is then its value. */
export function optional<Value>(kind: Kind<Value>): Optional<Kind<Value>>;
export function optional<Value>(kind: Kind<Value>, initial: NoInfer<Value>): Optional<Kind<Value>, Value>;
/* @__NO_SIDE_EFFECTS__ */
export function optional<Value>(kind: Kind<Value>, initial?: Value): Optional<Kind<Value>, Value | undefined> {
  return { kind, optional: true, initial };
}

/** The options of a call, by name. */
export type Table = Readonly<Record<string, Kind<unknown> | Optional<Kind<unknown>, unknown>>>;
type Value<Entry> = Entry extends Optional<infer K, unknown> ? ValueOf<K> : ValueOf<Entry>;
type OptionalNames<T> = { [Name in keyof T]: T[Name] extends Optional<unknown, unknown> ? Name : never }[keyof T];

// Over a type parameter that extends `keyof T` each name keeps its declaration in the table: an editor shows its comment.
type MustBeGiven<T, Names extends keyof T> = { [Name in Names]: Value<T[Name]> };
type MayBeGiven<T, Names extends keyof T> = { [Name in Names]?: Value<T[Name]> };

/** What a caller may give for a table of options. */
export type Options<T> = MustBeGiven<T, Exclude<keyof T, OptionalNames<T>>> & MayBeGiven<T, OptionalNames<T> & keyof T>;

/** One of several sets of a table's names, all of it, and none of the table's other names. */
export type Form<T, Names extends keyof T> = { [Name in Names]: Value<T[Name]> } & {
  [Name in Exclude<keyof T, Names>]?: never;
};

/** The options of a call as read: those left out have their initial values. */
export type Complete<T> = {
  readonly [Name in keyof T]: T[Name] extends Optional<infer K, infer Initial>
    ? ValueOf<K> | Initial
    : ValueOf<T[Name]>;
};

interface Entry {
  readonly name: string;
  readonly kind: Kind<unknown>;
  readonly allows: (value: unknown) => boolean;
  readonly min: number;
  readonly max: number;
  readonly initial: unknown;
  /** Its place in a set of names, as one bit. */
  readonly bit: number;
}

/** A set of names of which all are given, or none; those that end in `?` may be left out. */
interface FormBits {
  readonly names: readonly string[];
  readonly needed: number;
  readonly allowed: number;
}

/** A table of options made ready for checking. */
export class Schema<T extends Table> {
  private readonly entries = new Map<string, Entry>();
  /** The entries last met, in order: a loop gives the same names again and again. */
  private readonly recent: Entry[] = [];
  private readonly required: number = 0;
  private readonly inForms: number = 0;
  private readonly forms: readonly FormBits[];
  private readonly initial: Record<string, unknown> = {};

  /**
   * @param table the options by name
   * @param example options that work, for the message where something else was passed
   * @param forms sets of names of which exactly one is to be given; a name that ends in `?` may be left out of its set
   * @param remark what helps to choose among those sets, for the message where two are mixed
   */
  constructor(
    readonly table: T,
    readonly example: string,
    private readonly formNames: readonly (readonly string[])[] = [],
    private readonly remark = '',
  ) {
    let bit = 1;
    for (const [name, given] of Object.entries(table)) {
      const { kind, initial } = 'optional' in given ? given : { kind: given, initial: undefined };
      const { allows, min, max } = kind;
      const entry = { name, kind, allows, min, max, initial, bit };
      this.entries.set(name, entry);
      if (initial !== undefined) this.initial[name] = initial;
      bit *= 2;
    }
    const bitOf = (name: string): number => this.entries.get(name.replace('?', ''))!.bit;
    const bitsOf = (names: readonly string[]): number => names.reduce((bits, name) => bits | bitOf(name), 0);
    this.forms = formNames.map((names) => ({
      names: names.map((name) => name.replace('?', '')),
      needed: bitsOf(names.filter((name) => !name.endsWith('?'))),
      allowed: bitsOf(names),
    }));
    this.inForms = this.forms.reduce((bits, { allowed }) => bits | allowed, 0);
    for (const [name, given] of Object.entries(table)) if (!('optional' in given)) this.required |= bitOf(name);
    this.required &= ~this.inForms;
  }

  /** The same options and others beside them. */
  with<More extends Table>(more: More): Schema<T & More> {
    return new Schema({ ...this.table, ...more }, this.example, this.formNames, this.remark);
  }

  /** The names of the options. */
  get names(): string[] {
    return [...this.entries.keys()];
  }

  /**
   * Checks what a caller gave: each name is known, has a value, and that of its kind; what is required is there, and of
   * names that exclude each other one set. This runs for every shape, so the good case stays short.
   * @throws SketchError
   */
  check(call: string, options: unknown): void {
    if (typeof options !== 'object' || options === null || Array.isArray(options))
      fail({ call, value: options, problem: 'is not an options object', expected: `expected ${this.example}` });
    const { recent } = this;
    let given = 0;
    let index = 0;
    for (const name in options) {
      let entry = recent[index];
      // Looked up only where it is not what stood here the last time.
      if (entry === undefined || entry.name !== name) {
        entry = this.entryOf(call, name);
        recent[index] = entry;
      }
      index++;
      const value = (options as Record<string, unknown>)[name];
      // Most values are numbers of a range: those are let through without a call.
      if (!(typeof value === 'number' && value >= entry.min && value <= entry.max))
        if (!entry.allows(value) || value === undefined) this.refuse(call, entry, value);
      given |= entry.bit;
    }
    if ((given & this.required) !== this.required || !this.hasForm(given)) this.incomplete(call, given);
  }

  /** What a caller gave, checked, with the initial values of what was left out. @throws SketchError */
  read(call: string, options: unknown): Complete<T> {
    this.check(call, options);
    // Spreading both takes V8 ten times as long.
    return Object.assign({}, this.initial, options) as Complete<T>;
  }

  /** What an option is where it is left out. */
  initialOf<Name extends keyof T & string>(name: Name): Complete<T>[Name] {
    return this.initial[name] as Complete<T>[Name];
  }

  private hasForm(given: number): boolean {
    if (this.inForms === 0) return true;
    const chosen = given & this.inForms;
    for (const { needed, allowed } of this.forms)
      if ((chosen & needed) === needed && (chosen & ~allowed) === 0) return true;
    return false;
  }

  private entryOf(call: string, name: string): Entry {
    const entry = this.entries.get(name);
    if (entry !== undefined) return entry;
    return fail({ call, problem: `there is no option ${show(name)}`, expected: suggest(name, this.entries.keys()) });
  }

  private refuse(call: string, { name, kind, bit }: Entry, value: unknown): never {
    if (value !== undefined) return kind.refuse(call, name, value);
    const isNeeded = ((this.required | this.inForms) & bit) !== 0;
    return fail({
      call,
      option: name,
      problem: 'is there, but undefined',
      expected: isNeeded ? `expected ${kind.words}; is a name misspelt?` : `give ${kind.words}, or leave the key out`,
    });
  }

  private incomplete(call: string, given: number): never {
    for (const { name, kind, bit } of this.entries.values())
      if ((bit & this.required) !== 0 && (bit & given) === 0) missing(call, name, kind.words);
    const either = this.forms.map(({ names }) => inWords(names)).join(', or ');
    const count = (bits: number): number => (bits === 0 ? 0 : 1 + count(bits & (bits - 1)));
    // The set that was most likely meant: the one with the most of its names given.
    const meant = this.forms.reduce((best, form) =>
      count(form.allowed & given) > count(best.allowed & given) ? form : best,
    );
    const extra = given & this.inForms & ~meant.allowed;
    const beside = meant.names.filter((name) => (this.entries.get(name)!.bit & given) !== 0);
    for (const { name, bit } of this.entries.values())
      if ((bit & extra) !== 0)
        fail({ call, option: name, problem: `cannot go with ${inWords(beside)}`, expected: `give ${either}${this.remark}` }); // prettier-ignore
    for (const { name, kind, bit } of this.entries.values())
      if ((bit & meant.needed & ~given) !== 0)
        fail({ call, option: name, problem: 'is missing', expected: `expected ${kind.words}; give ${either}` });
    return fail({ call, problem: 'is incomplete', expected: `give ${either}` });
  }
}

/** "a", "a and b", "a, b and c". */
function inWords(names: readonly string[]): string {
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

/** A table of options made ready for checking; see {@link Schema}. */
/* @__NO_SIDE_EFFECTS__ */
export function schemaOf<T extends Table>(
  table: T,
  example: string,
  forms?: readonly (readonly string[])[],
  remark?: string,
): Schema<T> {
  return new Schema(table, example, forms, remark);
}

/** Options without the names that have no value: for passing on options that may not have been given. */
export function withoutUndefined<T extends object>(options: T): { [Name in keyof T]: Exclude<T[Name], undefined> } {
  return Object.fromEntries(Object.entries(options).filter(([, value]) => value !== undefined)) as never;
}
