import type { ServerResponse } from 'node:http';
import type { Connect } from 'vite';

/** The most that the page may send, in bytes. */
const maxSent = 64e6;

/** Answers what the viewer's page asks: it shows by its token that it is this page. */
export class Answers {
  constructor(private readonly token: string) {}

  /** Answers with a text. */
  get(work: () => Promise<string> | string): Connect.NextHandleFunction {
    return this.answer('GET', () => work());
  }

  /** Takes a text, and answers with another. */
  post(work: (text: string) => Promise<string> | string): Connect.NextHandleFunction {
    return this.answer('POST', async (request) => work(await read(request)));
  }

  /** Takes a text, and answers bit by bit. */
  stream(work: (text: string, response: ServerResponse) => Promise<void>): Connect.NextHandleFunction {
    return this.handle('POST', async (request, response) => work(await read(request), response));
  }

  private answer(
    method: string,
    work: (request: Connect.IncomingMessage) => Promise<string> | string,
  ): Connect.NextHandleFunction {
    return this.handle(method, async (request, response) => end(response, 200, await work(request)));
  }

  private handle(
    method: string,
    work: (request: Connect.IncomingMessage, response: ServerResponse) => Promise<void>,
  ): Connect.NextHandleFunction {
    return (request, response) => {
      if (request.method !== method || request.headers['x-juggle-token'] !== this.token)
        return end(response, 403, 'only the viewer’s own page may ask this');
      response.setHeader('Cache-Control', 'no-store');
      work(request, response).catch((error: unknown) =>
        end(response, 500, error instanceof Error ? error.message : String(error)),
      );
    };
  }
}

function end(response: ServerResponse, status: number, text: string): void {
  if (response.headersSent) return void response.end();
  response.statusCode = status;
  response.setHeader('Content-Type', 'text/plain; charset=utf-8');
  response.end(text);
}

async function read(request: Connect.IncomingMessage): Promise<string> {
  const parts: Buffer[] = [];
  let length = 0;
  for await (const part of request as AsyncIterable<Buffer>) {
    length += part.length;
    if (length > maxSent) throw new Error('this is too long to be kept');
    parts.push(part);
  }
  return Buffer.concat(parts).toString();
}
