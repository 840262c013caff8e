import { short } from '../../geometry/write-path-data.ts';

/** An element's attributes; what is undefined is left out. */
export type Attributes = Readonly<Record<string, string | number | undefined>>;

/** An element of XML, with children on lines of their own. */
export function element(name: string, attributes: Attributes, children: readonly string[] = []): string {
  if (children.length === 0) return emptyElement(name, attributes);
  return [...elementParts(name, attributes, children)].join('\n');
}

/** An element without children. Its attributes may come in several sets, one behind the other. */
export function emptyElement(name: string, ...attributes: readonly Attributes[]): string {
  let head = `<${name}`;
  for (const set of attributes) head += attributeText(set);
  return `${head}/>`;
}

/** An element with children in parts: how it begins, each child, how it ends. */
export function* elementParts(name: string, attributes: Attributes, children: readonly string[]): Generator<string> {
  yield `<${name}${attributeText(attributes)}>`;
  for (const child of children) yield indent(child);
  yield `</${name}>`;
}

/** An element that holds nothing but text. */
export function textElement(name: string, text: string, attributes: Attributes = {}): string {
  return `<${name}${attributeText(attributes)}>${escapeXml(text)}</${name}>`;
}

function attributeText(attributes: Attributes): string {
  let text = '';
  for (const name in attributes) {
    const value = attributes[name];
    if (value !== undefined) text += ` ${name}="${typeof value === 'number' ? short(value) : escapeXml(value)}"`;
  }
  return text;
}

function indent(lines: string): string {
  // Text may hold line breaks of its own: only lines that begin with an element are moved.
  return lines.replace(/^(?=\s*<)/gm, '  ');
}

/** Text as XML takes it. What XML 1.0 cannot hold at all becomes U+FFFD. */
export function escapeXml(text: string): string {
  // Most texts are plain: ASCII without &, <, > and ".
  if (!/[^ !#-%'-;=?-~]/.test(text)) return text;
  return text
    .replace(/[^\t\n\r\x20-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]/gu, '\ufffd')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');
}
