import type { Change } from '../viewer/protocol.ts';

/** A text with some places of it written otherwise. */
export function withChanges(text: string, changes: Change['changes']): string {
  let result = text;
  for (const { start, end, text: written } of [...changes].sort((one, other) => other.start - one.start))
    result = result.slice(0, start) + written + result.slice(end);
  return result;
}
