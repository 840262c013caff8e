import { short } from '../../geometry/write-path-data.ts';

/** An element's attributes; what is undefined is left out. */
export type Attributes = Readonly<Record<string, string | number | undefined>>;

/** An element of XML, with children on lines of their own. */
export function element(name: string, attributes: Attributes, children: readonly string[] = []): string {
  const head = `<${name}${attributeText(attributes)}`;
  if (children.length === 0) return `${head}/>`;
  return `${head}>\n${children.map(indent).join('\n')}\n</${name}>`;
}

/** An element that holds nothing but text. */
export function textElement(name: string, text: string, attributes: Attributes = {}): string {
  return `<${name}${attributeText(attributes)}>${escapeXml(text)}</${name}>`;
}

function attributeText(attributes: Attributes): string {
  let text = '';
  for (const [name, value] of Object.entries(attributes))
    if (value !== undefined) text += ` ${name}="${typeof value === 'number' ? short(value) : escapeXml(value)}"`;
  return text;
}

function indent(lines: string): string {
  // Text may hold line breaks of its own: only lines that begin with an element are moved.
  return lines.replace(/^(?=\s*<)/gm, '  ');
}

/** Text as XML takes it. What XML 1.0 cannot hold at all becomes U+FFFD. */
export function escapeXml(text: string): string {
  return text
    .replace(/[^\t\n\r\x20-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]/gu, '\ufffd')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');
}
