/** A file system error in words. */
export function describe(error: unknown, place: string): string {
  const code = error instanceof Error && 'code' in error ? error.code : undefined;
  switch (code) {
    case 'ENOENT':
      return `${place} is not there`;
    case 'ENOTDIR':
      return `${place} is not a folder`;
    case 'EISDIR':
      return 'it is a folder';
    case 'EACCES':
    case 'EPERM':
    case 'EROFS':
      return `${place} may not be used so (${String(code)})`;
    case 'ENOSPC':
      return 'the disk is full';
    default:
      return error instanceof Error ? error.message : String(error);
  }
}
