// The lines of what stands in examples/reference, as the reference shows them.
import { readFileSync } from 'node:fs';
import ts from 'typescript';

const read = (file) => ts.createSourceFile(file, readFileSync(`examples/reference/${file}`, 'utf8'), ts.ScriptTarget.Latest, true); // prettier-ignore

/** The entries of the one object that a file exports, by name: functions, or objects of functions. */
function entriesOf(source) {
  const exported = source.statements.find((one) => one.modifiers?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword)); // prettier-ignore
  return namedIn(exported.declarationList.declarations[0].initializer);
}
const namedIn = (object) => object.properties.map((one) => [one.name.text, one.initializer ?? one]);

/** What a method does, line by line. */
const bodyOf = (method) => method.body.getText().slice(2, -1).replace(/^ {4}/gm, '').trimEnd();

/** An array, an object or a call over several lines on one. */
const onOneLine = (code) => code.replaceAll(/\s+/g, ' ').replaceAll(/([[(]) /g, '$1').replaceAll(/,? ([\])])/g, '$1').replaceAll(', }', ' }'); // prettier-ignore

/** What a short function does: a statement or an expression per line. */
function linesOf({ body }) {
  const parts = ts.isBlock(body) ? body.statements : [body];
  return parts.map((one) => onOneLine(ts.isReturnStatement(one) ? one.expression.getText() : one.getText()));
}

/** The lines of each example that draws, by the name of what it shows. */
export const readExamples = () =>
  new Map(entriesOf(read('examples.ts')).map(([name, method]) => [name, bodyOf(method)]));

/** The lines of each use that draws nothing by itself, with the imports that they need. */
export function readUses() {
  const source = read('uses.ts');
  const imports = source.statements.filter(ts.isImportDeclaration).map(({ importClause, moduleSpecifier }) => [moduleSpecifier.text, importClause.namedBindings.elements.filter((one) => !one.isTypeOnly).map((one) => one.getText())]); // prettier-ignore
  return new Map(
    entriesOf(source).map(([name, method]) => {
      const body = bodyOf(method);
      const lines = imports.flatMap(([from, names]) => {
        const used = names.filter((one) => new RegExp(`(?<![.\\w])${one}\\b`).test(body));
        return used.length === 0 ? [] : [`import { ${used.join(', ')} } from '${from}';`];
      });
      return [name, [...lines, '', body.replaceAll(/^return /gm, '')].join('\n').trim()];
    }),
  );
}

/** For each call and type, its options that have an example: the lines, and whether there is a picture of them. */
export function readOptionExamples() {
  const found = new Map();
  for (const [file, isDrawn] of [
    ['options.ts', true],
    ['option-uses.ts', false],
  ])
    // prettier-ignore
    for (const [name, object] of entriesOf(read(file))) {
      const options = namedIn(object).map(([option, made]) => [option, { lines: linesOf(made), isDrawn }]);
      found.set(name, new Map([...(found.get(name) ?? []), ...options]));
    }
  return found;
}
