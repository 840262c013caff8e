import { readFile, stat } from 'node:fs/promises';
import path from 'node:path';
import type { Connect } from 'vite';

const types: Readonly<Record<string, string>> = {
  '.html': 'text/html; charset=utf-8',
  '.css': 'text/css; charset=utf-8',
  '.js': 'text/javascript; charset=utf-8',
};

/**
 * Serves the viewer's own files as they were built; other requests go on to the next.
 * @param token put into the page, for its requests to be known by
 */
export function staticFiles(folder: string, token: string): Connect.NextHandleFunction {
  return (request, response, next) => {
    const [address] = (request.url ?? '').split('?');
    const name = address === '/' ? '/index.html' : address;
    if (request.method !== 'GET' || !/^\/(?:library\/)?[\w-]+\.(?:html|css|js)$/.test(name)) return next();
    const file = path.join(folder, name);
    void (async () => {
      try {
        const { mtimeMs, size } = await stat(file);
        // The page is another each time, by its token.
        const tag = `"${mtimeMs}-${size}-${name === '/index.html' ? token : ''}"`;
        response.setHeader('ETag', tag);
        response.setHeader('Cache-Control', 'no-cache');
        response.setHeader('Content-Type', types[path.extname(file)]);
        if (request.headers['if-none-match'] === tag) {
          response.statusCode = 304;
          return response.end();
        }
        const bytes = await readFile(file);
        response.end(name === '/index.html' ? bytes.toString().replace('%TOKEN%', token) : bytes);
      } catch {
        next();
      }
    })();
  };
}
