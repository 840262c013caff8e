import { expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

/** The files of a package's sources, each with those that it imports, types too. */
function importsOf(root: string): Map<string, string[]> {
  const files = (readdirSync(root, { recursive: true }) as string[]).filter((file) => /\.tsx?$/.test(file));
  return new Map(
    files.map((file) => {
      const source = readFileSync(path.join(root, file), 'utf8');
      const found = [...source.matchAll(/(?:from|import\()\s*'(\.[^']+\.tsx?)'/g)];
      return [file, found.map(([, to]) => path.normalize(path.join(path.dirname(file), to)))];
    }),
  );
}

/** A way of imports that comes back to where it began; undefined where none does. */
function circleIn(imports: Map<string, string[]>): string[] | undefined {
  const done = new Set<string>();
  const visit = (file: string, way: string[]): string[] | undefined => {
    if (way.includes(file)) return [...way.slice(way.indexOf(file)), file];
    if (done.has(file)) return undefined;
    for (const next of imports.get(file) ?? []) {
      const circle = visit(next, [...way, file]);
      if (circle !== undefined) return circle;
    }
    done.add(file);
    return undefined;
  };
  for (const file of imports.keys()) {
    const circle = visit(file, []);
    if (circle !== undefined) return circle;
  }
  return undefined;
}

test.each(['packages/frame-juggler/src', 'packages/cli/src'])('no import of %s comes round in a circle', (root) => {
  const imports = importsOf(root);
  expect(imports.size).toBeGreaterThan(15);
  expect(circleIn(imports)).toBeUndefined();
});
