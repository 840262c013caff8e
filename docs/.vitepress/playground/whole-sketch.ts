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

/** What the examples of options share, by name, with the lines that make it: a picture, a tile, a shape. */
export function madeForOptions(options: string): ReadonlyMap<string, string> {
  return new Map([...options.matchAll(/^const (\w+) = (?:.*;|[^]*?^\}\);)$/gm)].map(([lines, name]) => [name, lines]));
}

/**
 * The example of an option as a whole sketch: what it draws over a grid, a paint that it gives on a rectangle, a function
 * of time as a curve, or the sketch that it is.
 * @param made what examples share
 * @param names what the library exports
 */
export function sketchOfOption(lines: string, made: ReadonlyMap<string, string>, names: readonly string[]): string {
  if (lines.startsWith('defineSketch('))
    return `import { ${usedIn(lines, names).join(', ')} } from 'frame-juggler';\n\nexport default ${lines};\n`;
  const shared = [...made].filter(([name]) => new RegExp(`(?<![.'\\w])${name}\\b`).test(lines)).map(([, text]) => text);
  const drawn = /^(?:\w+Gradient|pattern)\(/.test(lines)
    ? `canvas.rect({ at: [80, 45], size: [140, 74], fill: ${lines} });`
    : /^(?:spring|keyframes)\(/.test(lines)
      ? `for (const y of [20, 70]) canvas.line({ from: [0, y], to: [160, y], stroke: { color: '#24506a', width: 0.5, dash: [3, 3] } });\nconst curve = ${lines};\nfor (let s = 0; s <= 4; s += 0.01) {\n  const value = curve(s);\n  if (value !== undefined) canvas.dot({ at: [s * 40, 70 - 50 * value], size: 3, fill: '#24506a' });\n}`
      : `${lines.startsWith('canvas.grid') ? '' : 'canvas.grid({ spacing: 20, numbers: false });\n'}canvas.style({ fill: '#3a8391' });\n${lines}`;
  return sketchOfLines([...shared, drawn].join('\n'), 'ts example 160x90', names);
}

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
    !new RegExp(
      `const ${name}\\b|const \\{[^}]*\\b${name}\\b|\\(\\{[^)]*\\b${name}\\b(?!\\.)[^)]*\\}|\\b${name}:`,
    ).test(lines);
  const told = moment.filter(isTold);
  const taken = told.length === 0 ? '' : `, { ${told.join(', ')} }`;
  const given = /\bmoment\b/.test(lines) ? ', moment' : taken;
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
