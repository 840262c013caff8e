/*
 * What of the documentation's code can be run where it stands: whole sketches, and the reference's lines made into one.
 */

/** Whether a block of code is a sketch of its own, with nothing beside it that it would have to load. */
export function isWholeSketch(code: string): boolean {
  const imports = [...code.matchAll(/^import [^;]*from '(.+)';$/gm)].map(([, from]) => from);
  return (
    /^export default defineSketch\(/m.test(code) &&
    imports.length > 0 &&
    imports.every((from) => from === 'frame-juggler') &&
    !code.includes('import.meta')
  );
}

/** The names that code uses. */
const usedIn = (code: string, names: readonly string[]): string[] =>
  names.filter((name) => new RegExp(`(?<![.'\\w])${name}\\b(?!')`).test(code));

/**
 * One of the mistakes, or its cure, as a whole sketch: with its canvas, with what its file makes for all of them, and with
 * what it imports.
 * @param made lines of the file by the names that they make, in order
 * @param names what the library exports
 */
export function sketchOfMistake(code: string, made: ReadonlyMap<string, string>, names: readonly string[]): string {
  const sketch = /^ {2}canvas\b/m.test(code) ? code : code.replace('defineSketch({\n', 'defineSketch({\n  canvas,\n');
  const lines: string[] = [];
  // From the last to the first, as a line may use what was made before it.
  for (const [name, line] of [...made].reverse())
    if (usedIn([...lines, sketch].join('\n'), [name]).length > 0) lines.unshift(line);
  const whole = `${lines.join('\n')}\n\n${sketch}`;
  const types = /\bCanvas\b/.test(whole) ? ['type Canvas'] : [];
  const imported = [...usedIn(whole, names).filter((name) => name !== 'Canvas'), ...types];
  return `import { ${imported.join(', ')} } from 'frame-juggler';\n\n${whole}`;
}

/** What the file of the mistakes makes for all of them, by name: the colors and what stands before the first. */
export function madeForMistakes(palette: string, mistakes: string): ReadonlyMap<string, string> {
  const colors = [...palette.matchAll(/^ {2}(\w+): ('#\w+'),$/gm)].map(([, name, color]) => [name, `const ${name} = ${color};`] as const); // prettier-ignore
  const rest = [...mistakes.matchAll(/^(?:const|let) (\w+).*;$/gm)].map(([line, name]) => [name, line] as const);
  return new Map([...colors, ...rest]);
}

/** What a sketch is told beside its canvas. */
const moment = ['seconds', 'progress', 'frame', 'width', 'height', 'random', 'noise', 'pointer', 'keys'];

/**
 * Lines of a `paint` as a whole sketch.
 * @param info what stands behind the fence: `ts example 640x360`, for a canvas of that size
 * @param names what the library exports
 */
export function sketchOfLines(lines: string, info: string, names: readonly string[]): string {
  const [, width = '320', height = '120'] = /(\d+)x(\d+)/.exec(info) ?? [];
  const used = usedIn(lines, names);
  const isTold = (name: string): boolean =>
    new RegExp(`(?<![.'\\w])${name}\\b(?![':\\w])`).test(lines) &&
    !new RegExp(`const ${name}\\b|const \\{[^}]*\\b${name}\\b|\\(\\{[^)]*\\b${name}\\b[^)]*\\}|\\b${name}:`).test(
      lines,
    );
  const told = moment.filter(isTold);
  const given = told.length === 0 ? '' : `, { ${told.join(', ')} }`;
  const body = lines.replaceAll(/^(?=.)/gm, '    ');
  return `import { ${['defineSketch', ...used].join(', ')} } from 'frame-juggler';

export default defineSketch({
  canvas: { width: ${width}, height: ${height}, background: '#e4efe8' },
  paint(canvas${given}) {
${body}
  },
});
`;
}
