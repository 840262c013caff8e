// The reference as Markdown: what read-exports.mjs found of one thing, written down.

import { isOptionType } from './option-examples.mjs';

const anchorOf = (name) => name.toLowerCase().replaceAll('.', '-');
const escapes = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '|': '&#124;', '{': '&#123;', '}': '&#125;' };
const escape = (text) => text.replaceAll(/[&<>|{}]/g, (sign) => escapes[sign]);
/** So many places where a type is met are named. */
const maxUsers = 6;
const oneLine = (text) => text.replaceAll(/\s+/g, ' ');
/** Lines of code in the cell of a table. */
const inCell = (lines) => lines.map((line) => `\`\` ${line.replaceAll('|', '\\|')} \`\``).join('<br>');
/** Comments, as the reference says them: links become code, and what a table would break on is escaped. */
const said = (text) => oneLine(text.replaceAll(/\{@link ([^}\s]+)[^}]*\}/g, '`$1`')).replaceAll('|', '\\|').replaceAll('<', '&lt;'); // prettier-ignore

/**
 * @param addresses where each export stands, by its name: `color.md#ramp`
 * @param examples lines of code by the name of what they show: those that draw, those that are only used, and those of
 *   options
 * @param users for each type, the names of what takes or gives it
 */
export function pageWriter(addresses, examples, shared, users) {
  const linkTo = (name, page) => {
    const address = addresses.get(name);
    return address.startsWith(`${page}.md`) ? address.slice(page.length + 3) : `./${address}`;
  };

  /** A type with links to what it names. */
  const typed = (type, page) =>
    `<code>${escape(oneLine(type)).replaceAll(/\b[A-Z]\w+\b/g, (word) =>
      addresses.has(word) ? `<a href="${linkTo(word, page)}">${word}</a>` : word,
    )}</code>`;

  /** Where a type is met: a few of the calls, and of what has it. */
  const userParts = (name, page) => {
    const all = users.get(name) ?? [];
    const some = all.slice(0, maxUsers).map((one) => `[${one}](${linkTo(one, page)})`);
    const more = all.length > maxUsers ? `, and ${all.length - maxUsers} more` : '';
    return all.length === 0 ? [] : [`Used by ${some.join(', ')}${more}.\n`];
  };

  const signature = (name, { parameters, returns }, width = Infinity) => {
    const list = parameters.map((one) => `${one.name}${one.optional ? '?' : ''}: ${oneLine(one.type)}`);
    const end = returns === 'void' ? '' : `: ${returns}`;
    const flat = `${name}(${list.join(', ')})${end}`;
    return flat.length <= width ? flat : `${name}(\n${list.map((one) => `  ${one},\n`).join('')})${end}`;
  };

  const optionTable = (options, page) => {
    const rows = options.map(({ name, words, optional, kind, type, initial }) => {
      const value = initial === undefined ? (optional ? '' : 'required') : `\`${initial.replaceAll('|', '\\|')}\``;
      return `| \`${name}\` | ${said(words)} | ${kind === undefined ? typed(type, page) : said(kind)} | ${value} |`;
    });
    return `| option | what it is | what it takes | default |\n| --- | --- | --- | --- |\n${rows.join('\n')}\n`;
  };

  const memberTable = (members, page) => {
    const rows = members.map((one) => {
      const name = one.calls ? signature(one.name, one.calls[0]) : `${one.name}${one.optional ? '?' : ''}`;
      const type = one.calls ? '' : one.kind === undefined ? typed(one.type, page) : said(one.kind);
      return `| <code>${escape(oneLine(name))}</code> | ${said(one.words)} | ${type} |`;
    });
    return `| member | what it is | type |\n| --- | --- | --- |\n${rows.join('\n')}\n`;
  };

  const callParts = (name, calls, page) => {
    const parts = [`\`\`\`ts\n${[...new Set(calls.map((one) => signature(name, one, 76)))].join('\n')}\n\`\`\`\n`];
    const told = calls[0].parameters.filter(({ words }) => words !== '');
    if (told.length > 0) parts.push(told.map((one) => `- \`${one.name}\`: ${said(one.words)}`).join('\n') + '\n');
    const isLeftOut = (name, at) => calls.some(({ parameters }) => parameters[at] && !parameters[at].options.some((one) => one.name === name && !one.optional)); // prettier-ignore
    for (const [at, parameter] of calls[0].parameters.entries()) {
      const options = parameter.options.map((one) => ({ ...one, optional: isLeftOut(one.name, at) }));
      const own = options.filter((one) => !shared.names.has(one.name) || options.length <= shared.names.size);
      if (own.length > 0) parts.push(optionTable(own, page));
      if (own.length < options.length)
        parts.push(`And what every shape takes: ${[...shared.names].map((one) => `\`${one}\``).join(', ')} ([${shared.name}](${shared.address})).\n`); // prettier-ignore
    }
    return parts;
  };

  const exampleParts = (name) => {
    if (examples.drawn.has(name)) return drawnParts(name);
    // Of what has no example of its own, one in which it is used.
    const used =
      examples.used.get(name) ??
      [...examples.used.values()].find((code) => new RegExp(`(?<!\\w)${name}\\(`).test(code));
    return used === undefined ? [] : [`\`\`\`ts\n${used}\n\`\`\`\n`];
  };

  const drawnParts = (name) => [
    `\`\`\`ts example\n${examples.drawn.get(name)}\n\`\`\`\n`,
    `![What ${name} draws](pictures/${anchorOf(name)}.png)\n`,
  ];

  /** Its options one by one, and where there are examples of the others. */
  const optionParts = (name, page) => {
    // Where every shape's options are named, they have a link already.
    const all = (examples.options.get(name) ?? []).filter((one) => one.lines || !shared.names.has(one.name) || !name.startsWith('canvas.')); // prettier-ignore
    const own = all.filter(({ lines }) => lines !== undefined);
    const isDrawn = own.some((one) => one.isDrawn);
    const cells = (one) => [`\`${one.name}\``, inCell(one.lines), ...(isDrawn ? [one.isDrawn ? `![What ${one.name} does](pictures/${anchorOf(`${name}.${one.name}`)}.png)` : ''] : [])]; // prettier-ignore
    const rows = [isDrawn ? ['option', 'example', 'result'] : ['option', 'example'], ...own.map(cells)];
    rows.splice(
      1,
      0,
      rows[0].map(() => '---'),
    );
    const table = rows.map((row) => `| ${row.join(' | ')} |\n`).join('');
    const homes = new Map();
    for (const { name: option, home } of all) if (home !== undefined) homes.set(home, [...(homes.get(home) ?? []), `\`${option}\``]); // prettier-ignore
    const others = [...homes].map(
      ([home, options]) => `of ${options.join(', ')} with [${home}](${linkTo(home, page)})`,
    );
    return [...(own.length > 0 ? [table] : []), ...(others.length > 0 ? [`Examples ${others.join('; ')}.\n`] : [])];
  };

  /** @param thing what is written down @param name how it is called there: `canvas.circle` */
  return function entry(thing, page, name = thing.name) {
    const parts = [`## ${name}\n`];
    if (thing.words !== '') parts.push(`${said(thing.words)}\n`);
    if (thing.sort === 'type' && thing.written !== '' && thing.members.length === 0)
      parts.push(typed(thing.written, page) + '\n');
    if (thing.made?.length > 0 && !thing.internal) parts.push(...callParts(`new ${name}`, thing.made, page));
    if (thing.calls?.length > 0) parts.push(...callParts(name, thing.calls, page));
    if (thing.members?.length > 0)
      parts.push(isOptionType(name) ? optionTable(thing.members, page) : memberTable(thing.members, page)); // prettier-ignore
    parts.push(...exampleParts(name), ...optionParts(name, page), ...userParts(name, page));
    if (thing.throws.length > 0)
      parts.push(`**Throws** ${thing.throws.map((one) => said(one).replace(/\.$/, '')).join('; ')}.\n`);
    return parts.join('\n');
  };
}

export { anchorOf };
