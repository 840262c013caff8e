/** How Vite names a module of Node's in a page. */
const ofNode = '__vite-browser-external:';

/**
 * What stands in a page for a module of Node's, which a sketch may import and use elsewhere only: whatever is taken from
 * it is an error that says so. Undefined for all other modules.
 * @param id what Vite is to load
 */
export function withoutNode(id: string): string | undefined {
  if (!id.startsWith(ofNode)) return undefined;
  const problem = `${id.slice(ofNode.length)} is not there in a page, where the sketch is shown; files are assets: asset.picture, asset.font, asset.json or asset.table`;
  // Bundlers ask for the first two by themselves.
  return `export default new Proxy({}, {
  get(_, name) {
    if (name === '__esModule' || name === 'default' || typeof name === 'symbol') return undefined;
    throw new Error(${JSON.stringify(problem)});
  },
});
`;
}
