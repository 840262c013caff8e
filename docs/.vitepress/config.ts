import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { deflateRawSync } from 'node:zlib';
import { defineConfig, type DefaultTheme, type MarkdownOptions } from 'vitepress';
import {
  isWholeSketch,
  madeForMistakes,
  madeForOptions,
  sketchOfLines,
  sketchOfMistake,
  sketchOfOption,
} from './playground/whole-sketch.ts';

/*
 * The documentation as a site: `npm run docs` serves it while one writes, `npm run docs:build` builds it.
 */

type Markdown = Parameters<NonNullable<MarkdownOptions['config']>>[0];

const docs = fileURLToPath(new URL('..', import.meta.url));
const exported =
  [...readFileSync(`${docs}/../packages/frame-juggler/src/index.ts`, 'utf8').matchAll(/^export \{([^}]+)\}|^export \* as (\w+)/gm)] // prettier-ignore
    .flatMap(([, list, name]) => (name === undefined ? list.split(',') : [name]))
    .map((name) => name.trim())
    .filter((name) => name !== '');

const made = madeForMistakes(
  readFileSync(`${docs}/../examples/palette.ts`, 'utf8'),
  readFileSync(`${docs}/../examples/mistakes/mistakes.ts`, 'utf8'),
);

const shared = madeForOptions(readFileSync(`${docs}/../examples/reference/options.ts`, 'utf8'));

/** A block of code as a sketch that runs by itself; undefined where it is none. */
function runnable(content: string, info: string, page: string | undefined): string | undefined {
  if (/\bexample\b/.test(info)) return sketchOfLines(content.trimEnd(), info, exported);
  if (page === 'mistakes.md') return sketchOfMistake(content, made, exported);
  return isWholeSketch(content) ? content : undefined;
}

/** The pages of a folder, by the titles that they begin with. */
function chapters(folder: string, names: readonly string[]): DefaultTheme.SidebarItem[] {
  return names.map((name) => {
    const [, title] = /^# (.+)$/m.exec(readFileSync(`${docs}/${folder}/${name}.md`, 'utf8')) ?? [];
    return { text: title, link: `/${folder}/${name}` };
  });
}

/** The first steps, in the order of their numbers. */
const steps = readdirSync(`${docs}/first-steps`)
  .filter((file) => file.endsWith('.md'))
  .sort()
  .map((file) => path.basename(file, '.md'));

/** Code that can be run gets a button that opens it beside its picture. */
function changeable(markdown: Markdown): void {
  const { fence } = markdown.renderer.rules;
  markdown.renderer.rules.fence = (tokens, index, options, env: { relativePath?: string }, self) => {
    const { content, info } = tokens[index];
    const shown = fence!(tokens, index, options, env, self);
    if (!/^ts\b/.test(info)) return shown;
    const code = runnable(content, info, env.relativePath);
    if (code === undefined) return shown;
    return `<TrySketch code="${encodeURIComponent(code).replaceAll("'", '%27')}">${shown}</TrySketch>`;
  };
}

/** The sketch of a picture of what an option does opens below it; without a script the link leads to the playground. */
function changeableOptions(markdown: Markdown): void {
  markdown.core.ruler.push('changeable-options', ({ tokens, Token, env }) => {
    if (!(env as { relativePath?: string }).relativePath?.startsWith('reference/')) return;
    let lines: string[] = [];
    for (const { type, children } of tokens) {
      if (type === 'tr_open') lines = [];
      const cell = children ?? [];
      // The first code of a row is the option's name.
      lines.push(...cell.filter((one) => one.type === 'code_inline').map(({ content }) => content));
      const picture = cell.findIndex((one) => one.type === 'image');
      if (picture < 0 || lines.length < 2 || cell.length > 1) continue;
      const source = sketchOfOption(lines.slice(1).join('\n'), shared, exported);
      const open = new Token('html_inline', '', 0);
      open.content = `<TryOption href="../playground.html#sketch=${deflateRawSync(source).toString('base64url')}">`; // prettier-ignore
      const close = new Token('html_inline', '', 0);
      close.content = '</TryOption>';
      cell.splice(picture, 1, open, cell[picture], close);
    }
  });
}

/** Links to files that are not pages of the site say their name only. */
function onlyPages(markdown: Markdown): void {
  const { link_open: open, link_close: close } = markdown.renderer.rules;
  const leads = (href: string, page: string): boolean =>
    /^(https?:|#|\/)/.test(href) || !path.join(path.dirname(page), href).startsWith('..');
  let hidden = false;
  markdown.renderer.rules.link_open = (tokens, index, options, env: { relativePath: string }, self) => {
    hidden = !leads(tokens[index].attrGet('href') ?? '', env.relativePath);
    return hidden ? '<span>' : (open?.(tokens, index, options, env, self) ?? self.renderToken(tokens, index, options));
  };
  markdown.renderer.rules.link_close = (tokens, index, options, env, self) =>
    hidden ? '</span>' : (close?.(tokens, index, options, env, self) ?? self.renderToken(tokens, index, options));
}

/** Addresses written as HTML lead to pages as those of Markdown do. */
function pagesInHtml(markdown: Markdown): void {
  markdown.renderer.rules.html_inline = (tokens, index) =>
    tokens[index].content.replace(/^(<a href="\.\/\w+)\.md#/, '$1.html#');
}

/** Colors of code, in the colors of the pages. */
const codeColors = (type: 'light' | 'dark', colors: Readonly<Record<string, string>>, ground: string) => ({
  name: `pellan-quay-${type}`,
  type,
  fg: colors.text,
  bg: ground,
  colors: { 'editor.foreground': colors.text, 'editor.background': ground },
  tokenColors: Object.entries({
    comment: ['comment', 'punctuation.definition.comment'],
    keyword: ['keyword', 'storage'],
    text: ['keyword.operator', 'punctuation', 'meta.brace'],
    string: ['string', 'markup.inline.raw'],
    number: ['constant.numeric', 'constant.language'],
    call: ['entity.name.function', 'support.function', 'entity.name.tag'],
    type: ['entity.name.type', 'support.type', 'support.class', 'entity.other.attribute-name'],
  }).map(([name, scope]) => ({ scope, settings: { foreground: colors[name] } })),
});
const light = { text: '#1b2f3a', comment: '#566366', keyword: '#8a3a6b', string: '#246038', number: '#99401c', call: '#1f5c84', type: '#6d4a1f' }; // prettier-ignore
const dark = { text: '#e9efe8', comment: '#93a7aa', keyword: '#e0a3cf', string: '#a5d6a7', number: '#f1b287', call: '#93cfe6', type: '#e3c48d' }; // prettier-ignore

export default defineConfig({
  title: 'Frame Juggler',
  description: 'Frame-based sketches: styled shapes, transforms, time.',
  cleanUrls: false,
  srcExclude: ['schemas/**'],
  head: [['link', { rel: 'icon', href: 'data:image/svg+xml,<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 16 16"><path fill="%2324506a" d="M0 9q4-4 8 0t8 0v7H0z"/><circle cx="11" cy="4" r="3" fill="%23f1b64e"/></svg>' }]], // prettier-ignore
  markdown: {
    // Braces are words of this trade.
    attrs: { disable: true },
    theme: { light: codeColors('light', light, '#f2eee1'), dark: codeColors('dark', dark, '#0e1a21') },
    config(markdown) {
      changeable(markdown);
      changeableOptions(markdown);
      onlyPages(markdown);
      pagesInHtml(markdown);
    },
  },
  themeConfig: {
    nav: [
      { text: 'First steps', link: '/first-steps' },
      { text: 'Cookbook', link: '/cookbook' },
      { text: 'Reference', link: '/reference/' },
      { text: 'Playground', link: '/playground' },
      // Not a page of this site's own making.
      { text: 'Gallery', link: '/gallery/index.html', target: '_self' },
    ],
    sidebar: [
      {
        text: 'Learn',
        items: [
          { text: 'First steps', link: '/first-steps', collapsed: false, items: chapters('first-steps', steps) },
          { text: 'From loops and counters', link: '/from-loops' },
          { text: 'The guide', link: '/guide' },
          { text: 'Mistakes, and how to fix them', link: '/mistakes' },
          { text: 'How it works', link: '/how-it-works' },
        ],
      },
      {
        text: 'Cookbook',
        link: '/cookbook',
        collapsed: false,
        items: chapters('cookbook', ['places', 'loops', 'turning', 'color', 'text', 'time', 'chance', 'pointer', 'charts']), // prettier-ignore
      },
      {
        text: 'Use',
        items: [
          { text: 'The viewer', link: '/viewer' },
          { text: 'Files and films', link: '/files' },
          { text: 'On your own site', link: '/page' },
          { text: 'From a script', link: '/script' },
          { text: 'Explain, check, compare', link: '/review' },
          { text: 'Films on several machines', link: '/farm' },
          { text: 'What you can rely on', link: '/trust' },
        ],
      },
      {
        text: 'Reference',
        link: '/reference/',
        collapsed: false,
        items: chapters('reference', ['sketch', 'canvas', 'color', 'motion', 'chance', 'text', 'input', 'review', 'page', 'script', 'testing', 'frames', 'commands']), // prettier-ignore
      },
    ],
    outline: { level: [2, 3] },
    search: {
      provider: 'local',
      options: {
        detailedView: true,
        translations: { button: { buttonText: 'Search (Ctrl K)', buttonAriaLabel: 'Search (Ctrl K)' } },
      },
    },
    docFooter: { prev: 'Before', next: 'Next' },
  },
});
