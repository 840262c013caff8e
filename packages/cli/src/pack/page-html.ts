/** What a page is made of. */
export interface PageParts {
  readonly title: string;
  /** What is to be seen, in a sentence. */
  readonly description: string;
  readonly width: number;
  readonly height: number;
  /** The color around the picture, in CSS. */
  readonly background: string;
  /** Where it will be found, with a slash at its end; empty where that is not known. */
  readonly address: string;
  /** The addresses of its files; or, in a page of one file, what is in them. */
  readonly script: Part;
  readonly style: Part;
  readonly preview: string;
  readonly icon: string;
}

type Part = { readonly file: string } | { readonly content: string };

/** By this line a page is known that may be written anew. */
export const generator = '<meta name="generator" content="juggle pack" />';

/** The page around a sketch: without scripts, its picture is seen. */
export function pageHtml(page: PageParts): string {
  const { title, description, width, height, background, address, script, style, preview, icon } = page;
  const named = [
    ['description', description],
    ['theme-color', background],
  ];
  const shared = [
    ['og:type', 'website'],
    ['og:title', title],
    ['og:description', description],
    ...(address === '' ? [] : [['og:url', address]]),
    // Who shows a link elsewhere has to find the picture from there.
    ...(preview.startsWith('data:') ? [] : [['og:image', address + preview], ['og:image:alt', description]]),
  ]; // prettier-ignore
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8" />
<meta name="viewport" content="width=device-width, initial-scale=1, viewport-fit=cover" />
<title>${escape(title)}</title>
${generator}
${named.map(([name, content]) => `<meta name="${name}" content="${escape(content)}" />`).join('\n')}
${shared.map(([name, content]) => `<meta property="${name}" content="${escape(content)}" />`).join('\n')}
<link rel="icon" type="image/png" href="${icon}" />
${'file' in style ? `<link rel="stylesheet" href="${style.file}" />` : `<style>${style.content}</style>`}
</head>
<body>
<main>
<h1>${escape(title)}</h1>
<div id="stage"><img src="${preview}" width="${width}" height="${height}" alt="${escape(description)}" /></div>
</main>
${'file' in script ? `<script type="module" src="${script.file}"></script>` : `<script type="module">${inScript(script.content)}</script>`}
</body>
</html>
`;
}

/** The looks of the page: the picture as large as it fits, the controls below it. */
export function pageStyle(background: string, isDark: boolean): string {
  return `html, body { height: 100%; margin: 0 }
body { background: ${background}; color: ${isDark ? '#f6efdf' : '#1b2f3a'}; font: 16px/1.4 system-ui, sans-serif }
main { height: 100vh; height: 100dvh; box-sizing: border-box; padding: env(safe-area-inset-top) env(safe-area-inset-right) env(safe-area-inset-bottom) env(safe-area-inset-left) }
h1 { position: absolute; width: 1px; height: 1px; margin: 0; overflow: hidden; clip-path: inset(50%) }
#stage { height: 100%; display: grid; grid-template: minmax(0, 1fr) auto / minmax(0, 1fr) }
#stage > canvas, #stage > img { grid-area: 1 / 1 }
#stage > img { width: 100%; height: 100%; object-fit: contain }
#stage > div { padding-left: 16px; padding-right: 16px }
`;
}

function escape(text: string): string {
  const names: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
  return text.replace(/[&<>"]/g, (character) => names[character]);
}

/** Code between the tags of a script must not end it. */
function inScript(code: string): string {
  return code.replace(/<(?=\/script|!--)/gi, '\\x3C');
}
