// The files of a folder, served as any static server does: for what looks at built pages.
import { once } from 'node:events';
import { existsSync, readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import path from 'node:path';

const types = { html: 'text/html', js: 'text/javascript', css: 'text/css', png: 'image/png', json: 'application/json' };

/** @param headers what every answer carries; gives the server, and its address without a slash at its end */
export async function serveFiles(folder, headers = {}) {
  const server = createServer(({ url }, answer) => {
    const { pathname } = new URL(url, 'http://x');
    const file = path.join(folder, pathname.endsWith('/') ? `${pathname}index.html` : pathname);
    if (!existsSync(file)) return answer.writeHead(404).end();
    const type = types[path.extname(file).slice(1)] ?? 'text/plain';
    return answer.writeHead(200, { 'Content-Type': type, ...headers }).end(readFileSync(file));
  });
  await once(server.listen(0, '127.0.0.1'), 'listening');
  return { server, address: `http://127.0.0.1:${server.address().port}` };
}
