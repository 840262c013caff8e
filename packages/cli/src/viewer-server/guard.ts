import path from 'node:path';
import type { Connect } from 'vite';

/** A request that is refused, and why. */
class Refused extends Error {}

/** Whether a file lies in a folder, or is it. */
export function isWithin(folder: string, file: string): boolean {
  const relative = path.relative(folder, file);
  return relative === '' || (!relative.startsWith('..') && !path.isAbsolute(relative));
}

/** The file that a request is for, where it is for one by its path on this machine. */
export function fileOfRequest(url: string): string | undefined {
  const [, found] = /^\/@fs(\/[^?#]*)/.exec(url) ?? [];
  if (found === undefined) return undefined;
  try {
    const file = decodeURIComponent(found);
    // On Windows, a drive stands behind the slash.
    return path.resolve(/^\/[A-Za-z]:/.test(file) ? file.slice(1) : file);
  } catch {
    throw new Refused('this path cannot be read');
  }
}

/**
 * Lets only the viewer's own page in: not other sites that are open in the same browser (by their origin, or by a name
 * that leads to this machine), and to no file but those that the sketch is made of.
 * @param isOpen whether a file may be read
 */
export function guard(isOpen: (file: string) => boolean): Connect.NextHandleFunction {
  return (request, response, next) => {
    // With these a page has memory that it shares with its workers; and nobody else may frame it or read from it.
    response.setHeader('Cross-Origin-Opener-Policy', 'same-origin');
    response.setHeader('Cross-Origin-Embedder-Policy', 'require-corp');
    response.setHeader('Cross-Origin-Resource-Policy', 'same-origin');
    response.setHeader('X-Frame-Options', 'DENY');
    try {
      check(request, isOpen);
      next();
    } catch (error) {
      response.statusCode = 403;
      response.end(error instanceof Refused ? error.message : 'refused');
    }
  };
}

function check({ url = '', headers }: Connect.IncomingMessage, isOpen: (file: string) => boolean): void {
  const { host = '', origin } = headers;
  if (!/^(127\.0\.0\.1|localhost)(:\d+)?$/.test(host)) throw new Refused('this address is not the viewer’s');
  if (origin !== undefined && origin !== `http://${host}`) throw new Refused('only the viewer’s own page may ask this');
  const site = headers['sec-fetch-site'];
  const isVisit = headers['sec-fetch-mode'] === 'navigate' && (url === '/' || url.startsWith('/?'));
  if (site !== undefined && site !== 'same-origin' && site !== 'none' && !isVisit)
    throw new Refused('only the viewer’s own page may ask this');
  // What the development server would open or tell by itself.
  if (url.startsWith('/__')) throw new Refused('there is nothing here');
  const file = fileOfRequest(url);
  if (file !== undefined && !isOpen(file))
    throw new Refused('this file lies outside the folder of the sketch, and no code of the sketch names it');
}
