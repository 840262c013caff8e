import { parse } from 'acorn';
import { transform } from 'sucrase';

/*
 * A sketch in TypeScript as a module that a browser runs, line for line, and what is wrong with it where it is none.
 */

/** Where each package that a sketch imports from lies. */
export type Addresses = Readonly<Record<string, string>>;

export type Compiled = { readonly code: string } | { readonly reason: string; readonly line: number | undefined };

interface Located {
  readonly message: string;
  readonly loc?: { readonly line: number };
}

/** Takes the types out of a sketch, and puts addresses in the place of packages' names. */
export function compileSketch(source: string, addresses: Addresses): Compiled {
  try {
    const { code } = transform(source, {
      transforms: ['typescript'],
      disableESTransforms: true,
      keepUnusedImports: false,
    });
    const { body } = parse(code, { ecmaVersion: 'latest', sourceType: 'module', locations: true });
    const changes: { start: number; end: number; text: string }[] = [];
    for (const statement of body) {
      if (!('source' in statement) || !statement.source) continue;
      const { value, start, end, loc } = statement.source;
      const address = addresses[String(value)];
      if (address === undefined)
        return {
          reason: `here a sketch can import from ${Object.keys(addresses).join(', ')}, and not from ${String(value)}`,
          line: loc?.start.line,
        };
      changes.push({ start, end, text: JSON.stringify(address) });
    }
    return { code: changes.reverse().reduce((text, { start, end, text: put }) => text.slice(0, start) + put + text.slice(end), code) }; // prettier-ignore
  } catch (thrown) {
    const { message, loc } = thrown as Located;
    // Both parsers write the place behind what they say.
    return { reason: message.replace(/^Error transforming .*?: /, '').replace(/ \(\d+:\d+\)$/, ''), line: loc?.line }; // prettier-ignore
  }
}
