// A server that draws a poster for each seed: node examples/scripts/serve.mjs [port], then open /7.png, or /7.png?density=2.
import { createServer } from 'node:http';
import { loadSketch, render } from 'frame-juggler/node';

const poster = await loadSketch(new URL('./poster.js', import.meta.url).pathname);

const server = createServer(async (request, response) => {
  const { pathname, searchParams } = new URL(request.url, 'http://localhost');
  const [, seed, format] = /^\/(\d{1,9})\.(png|svg)$/.exec(pathname) ?? [];
  if (seed === undefined) return response.writeHead(404).end('Ask for /7.png, or any other number, or .svg');
  const density = Math.min(3, Math.max(0.25, Number(searchParams.get('density') ?? 1) || 1));
  try {
    const bytes = await render(poster, { seed: Number(seed), format, density });
    response.setHeader('content-type', format === 'png' ? 'image/png' : 'image/svg+xml').end(bytes);
  } catch (error) {
    response.writeHead(500).end(error.message);
  }
});
server.listen(Number(process.argv[2] ?? 4700), '127.0.0.1', () =>
  console.log(`Posters at http://127.0.0.1:${server.address().port}/ (try 7.png)`),
);
