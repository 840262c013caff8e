/** Which asset a file is, by how its name ends. */
const endings = {
  picture: ['png', 'jpg', 'jpeg'],
  font: ['ttf', 'otf', 'woff', 'woff2'],
  json: ['json'],
  table: ['csv'],
};

/**
 * How a file is loaded that a sketch wants otherwise: as an asset, of the kind that its name tells.
 * @param file as the sketch names it
 */
export function assetHint(file: string): string {
  const [, name, ending] = /([^/\\]*)\.(\w+)$/.exec(file) ?? [];
  const kind = Object.entries(endings).find(([, some]) => some.includes(ending?.toLowerCase()))?.[0];
  if (kind === undefined) return 'files are assets: asset.picture, asset.font, asset.json or asset.table';
  const word = /^[a-z]\w*$/i.test(name) ? name : kind;
  // A whole path is another one elsewhere; only its end can be told.
  const isWhole = /^[/\\]|:/.test(file);
  const way = isWhole ? `./${name}.${ending}` : file.replace(/^(?!\.{1,2}\/)/, './');
  return `load it as an asset: { assets: { ${word}: asset.${kind}(new URL('${way}', import.meta.url)) } }`;
}
