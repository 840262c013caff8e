import path from 'node:path';
import { SketchError } from '../error.ts';

/** A file system error in words. */
export function describe(error: unknown, place: string): string {
  const code = error instanceof Error && 'code' in error ? error.code : undefined;
  switch (code) {
    case 'ENOENT':
      return `${place} is not there`;
    case 'ENOTDIR':
    case 'EEXIST':
      return `${place} is not a folder`;
    case 'EISDIR':
      return 'it is a folder';
    case 'EACCES':
    case 'EPERM':
      return `there is no permission for ${place}`;
    case 'EROFS':
      return `${place} can only be read`;
    case 'ENOSPC':
      return 'the disk is full';
    case 'ENAMETOOLONG':
      return 'its name is too long';
    case 'EPIPE':
      return 'nobody reads it any more';
    default:
      return error instanceof Error ? error.message : String(error);
  }
}

/** Does what writes a file. @throws SketchError that says in words why it could not be done */
export async function guardWriting<T>(file: string, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    throw new SketchError({ problem: `${file} could not be written: ${describe(error, path.dirname(file))}` });
  }
}
