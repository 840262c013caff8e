// What the library's entry points export, as the type checker and the tables of options have it.
import path from 'node:path';
import ts from 'typescript';
import * as kinds from '../../packages/frame-juggler/dist/schema/kind.js';
import * as points from '../../packages/frame-juggler/dist/schema/point.js';

const source = path.resolve('packages/frame-juggler/src');
const flags =
  ts.TypeFormatFlags.NoTruncation |
  ts.TypeFormatFlags.UseAliasDefinedOutsideCurrentScope |
  ts.TypeFormatFlags.UseSingleQuotesForStringLiteralType |
  ts.TypeFormatFlags.WriteArrowStyleSignature;

/** @param entries files of the library's source, as `index.ts`; gives the exports of each, ready to be written down */
export function readExports(entries) {
  const { config } = ts.readConfigFile('tsconfig.json', ts.sys.readFile);
  const { options } = ts.parseJsonConfigFileContent(config, ts.sys, process.cwd());
  const program = ts.createProgram(entries.map((entry) => `${source}/${entry}`), options); // prettier-ignore
  const checker = program.getTypeChecker();

  /** Where a symbol is declared; one of several types at once is so where they are. */
  const declarationsOf = (symbol) =>
    symbol.declarations ?? checker.getRootSymbols(symbol).flatMap((root) => root.declarations ?? []);
  const resolved = (symbol) => (symbol.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(symbol) : symbol);
  const print = (type, node) => checker.typeToString(type, node, flags).replaceAll(/import\("[^"]*"\)\./g, '');
  const tags = (symbol) => symbol.getJsDocTags(checker);
  const wordsOf = (symbol) =>
    [symbol, ...checker.getRootSymbols(symbol)]
      .map((one) => ts.displayPartsToString(one.getDocumentationComment(checker)))
      .find((words) => words !== '') ?? '';
  const tagsNamed = (symbol, name) =>
    tags(symbol)
      .filter((tag) => tag.name === name)
      .map((tag) => ts.displayPartsToString(tag.text));
  const isInternal = (symbol) => tags(symbol).some((tag) => tag.name === 'internal');
  const isHidden = (symbol) =>
    isInternal(symbol) ||
    symbol.name.startsWith('__') ||
    declarationsOf(symbol).some(
      (one) => ts.getCombinedModifierFlags(one) & (ts.ModifierFlags.Private | ts.ModifierFlags.Protected),
    );
  const isOurs = (symbol) => declarationsOf(symbol).some((one) => one.getSourceFile().fileName.startsWith(source));

  /** The value that an expression of a table has: kinds are made by pure functions, which are simply called. */
  function valueOf(node) {
    const known = { ...kinds, ...points };
    const scope = new Proxy(known, {
      has: (_, name) => typeof name === 'string',
      get(_, name) {
        if (name === Symbol.unscopables) return undefined;
        if (name in known) return known[name];
        if (name in globalThis) return globalThis[name];
        const found = checker.resolveName(String(name), node, ts.SymbolFlags.Value, false);
        for (const declared of (found && resolved(found).declarations) ?? [])
          if (ts.isVariableDeclaration(declared) && declared.initializer) return valueOf(declared.initializer);
          else if (ts.isFunctionDeclaration(declared) && declared.body) return valueOf(declared);
        return undefined;
      },
    });
    const compilerOptions = { target: ts.ScriptTarget.ES2022, module: ts.ModuleKind.ESNext, alwaysStrict: false };
    const { outputText } = ts.transpileModule(`(${node.getText().replace(/^export /, '')})`, { compilerOptions });
    return new Function('scope', `with (scope) return ${outputText}`)(scope);
  }

  /** What the table says of an option: the words of its kind, and what it is where it is left out. */
  function entryOf(declaration) {
    const isEntry =
      declaration && (ts.isPropertyAssignment(declaration) || ts.isShorthandPropertyAssignment(declaration));
    if (!isEntry || !/^(\w*Table|table)$/.test(declaration.parent.parent.name?.getText() ?? '')) return {};
    const given = ts.isPropertyAssignment(declaration) ? declaration.initializer : declaration.name;
    const called = ts.isCallExpression(given) && given.expression.getText() === 'optional';
    return {
      kind: valueOf(called ? given.arguments[0] : given)?.words,
      initial: called ? given.arguments[1]?.getText() : undefined,
    };
  }

  function member(symbol, within) {
    const [declaration] = declarationsOf(symbol);
    const type = checker.getTypeOfSymbolAtLocation(symbol, within);
    const optional = Boolean(symbol.flags & ts.SymbolFlags.Optional);
    return {
      name: symbol.name,
      words: wordsOf(symbol),
      optional,
      type: print(optional ? checker.getNonNullableType(type) : type, within),
      ...entryOf(declaration),
      ...(type.getCallSignatures().length > 0 && { calls: type.getCallSignatures().map((one) => call(one, within)) }),
      throws: tagsNamed(symbol, 'throws'),
    };
  }

  const membersOf = (type, within) =>
    checker
      .getPropertiesOfType(type)
      .filter((one) => !isHidden(one) && isOurs(one))
      .map((one) => member(one, within));

  /** What something is called that has no name, by its type: `checkup` for a Checkup, `chunk` for a part of a Chunk. */
  function nameFor(type) {
    const [name] = /^\w+/.exec(type.replace(/^(?:Pick|Omit)</, '')) ?? ['options'];
    return name.replace(/^[A-Z]/, (letter) => letter.toLowerCase());
  }

  function call(signature, within) {
    const parameters = signature.getParameters().map((one) => {
      const type = checker.getTypeOfSymbolAtLocation(one, within);
      const declared = one.valueDeclaration;
      const optional = Boolean(declared && ts.isParameter(declared) && checker.isOptionalParameter(declared));
      // What is taken apart where it is declared has no name of its own, and TypeScript gives it the first comment.
      const isNamed = !declared || !ts.isParameter(declared) || ts.isIdentifier(declared.name);
      const written = declared?.type?.getText() ?? print(type, within);
      return {
        name: isNamed ? one.name : nameFor(written),
        optional,
        type: written,
        words: isNamed ? wordsOf(one) : '',
        options: /options|wish|setting/i.test(one.name) ? optionsOf(type, within) : [],
      };
    });
    return { parameters, returns: print(signature.getReturnType(), within) };
  }

  /** The options that an object type takes; those that only some of its forms take too. */
  function optionsOf(type, within) {
    const found = new Map();
    for (const form of type.isUnion() ? type.types : [type])
      for (const one of checker.getPropertiesOfType(form)) {
        if (isHidden(one) || !isOurs(one)) continue;
        const formed = member(one, within);
        if (formed.type === 'undefined' || formed.type === 'never') continue;
        const before = found.get(one.name);
        found.set(
          one.name,
          before === undefined ? formed : { ...before, optional: before.optional || formed.optional },
        );
      }
    if (type.isUnion())
      for (const [name, one] of found)
        if (!type.types.every((form) => form.getProperty(name) && checker.typeToString(checker.getTypeOfSymbolAtLocation(form.getProperty(name), within)) !== 'undefined')) one.optional = true; // prettier-ignore
    return [...found.values()];
  }

  /** What the comment at the head of a file says of it. */
  const aboutFile = ({ text }) => /^\/\*\n([\s\S]*?)\*\//.exec(text)?.[1].replaceAll(/^ \* ?/gm, '') ?? '';

  function describe(exported) {
    const symbol = resolved(exported);
    const [declaration] = symbol.declarations;
    const file = path.relative(source, declaration.getSourceFile().fileName);
    const about = symbol.flags & ts.SymbolFlags.Module ? aboutFile(declaration.getSourceFile()) : wordsOf(symbol);
    const common = { name: exported.name, file, words: about, throws: tagsNamed(symbol, 'throws'), internal: isInternal(symbol) }; // prettier-ignore
    if (symbol.flags & ts.SymbolFlags.Class) {
      const type = checker.getDeclaredTypeOfSymbol(symbol);
      const maker = checker.getTypeOfSymbolAtLocation(symbol, declaration);
      const isForAll = (one) =>
        one.getJsDocTags().every((tag) => tag.name !== 'internal') &&
        !(one.declaration && ts.getCombinedModifierFlags(one.declaration) & ts.ModifierFlags.Private);
      const made = maker.getConstructSignatures().filter(isForAll);
      const own = membersOf(maker, declaration).map((one) => ({ ...one, name: `${exported.name}.${one.name}` }));
      return { ...common, sort: 'class', made: made.map((one) => call(one, declaration)), members: [...own, ...membersOf(type, declaration)] }; // prettier-ignore
    }
    if (symbol.flags & ts.SymbolFlags.Function) {
      const type = checker.getTypeOfSymbolAtLocation(symbol, declaration);
      return { ...common, sort: 'function', calls: type.getCallSignatures().map((one) => call(one, declaration)) };
    }
    if (symbol.flags & (ts.SymbolFlags.Interface | ts.SymbolFlags.TypeAlias)) {
      const type = checker.getDeclaredTypeOfSymbol(symbol);
      const calls = type.getCallSignatures().map((one) => call(one, declaration));
      // An alias says what it stands for, an interface what it has of others.
      const parts = ts.isTypeAliasDeclaration(declaration) ? [declaration.type] : (declaration.heritageClauses ?? []);
      const written = parts.map((part) => part.getText().replaceAll(/\s+/g, ' ')).join(' ');
      // Of a choice of named things their names say more than their members.
      const isChoice = /^\|?[\w\s[\],]+(\|[\w\s[\],]+)+$/.test(written);
      const isObject = !isChoice && checker.getPropertiesOfType(type).some((one) => isOurs(one));
      const members = !isObject ? [] : type.isUnion() || type.isIntersection() ? optionsOf(type, declaration) : membersOf(type, declaration); // prettier-ignore
      return { ...common, sort: 'type', written, calls, members };
    }
    const type = checker.getTypeOfSymbolAtLocation(symbol, declaration);
    const members = symbol.flags & ts.SymbolFlags.Module ? checker.getExportsOfModule(symbol).map((one) => member(resolved(one), declaration)) : membersOf(type, declaration); // prettier-ignore
    return {
      ...common,
      file: symbol.flags & ts.SymbolFlags.Module ? file : common.file,
      sort: 'value',
      type: print(type, declaration),
      members,
      calls: type.getCallSignatures().map((one) => call(one, declaration)),
    };
  }

  return Object.fromEntries(
    entries.map((entry) => {
      const module = checker.getSymbolAtLocation(program.getSourceFile(`${source}/${entry}`));
      return [entry, checker.getExportsOfModule(module).map(describe)];
    }),
  );
}
