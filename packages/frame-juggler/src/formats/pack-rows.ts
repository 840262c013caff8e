import { instantiate } from '../web-assembly.ts';
import { packed } from './generated/packer.ts';

/*
 * The rows of a picture as zlib data, as PNG has them. The packer is written in AssemblyScript, in the folder `packer`
 * beside this file: as it looks first where a drawing repeats, it takes two thirds of zlib's time, and drawings become
 * smaller files.
 */

type Address = number;

/** What the packer exports; each is explained in packer/index.ts. */
interface PackerCalls {
  readonly memory: { readonly buffer: ArrayBuffer };
  readonly mostAtOnce: { readonly value: number };
  begin(): void;
  input(): Address;
  output(): Address;
  pack(count: number, perPixel: number, perRow: number): number;
  finish(): number;
  sum(): number;
}

/** How a picture's bytes lie. */
export interface RowForm {
  /** How many bytes a pixel has. */
  readonly perPixel: number;
  /** How many bytes a row has, with the one before its pixels. */
  readonly perRow: number;
}

/** Deflated, with a window of 32 kB, by the fastest method (RFC 1950, 2.2). */
const zlibHead = Uint8Array.of(0x78, 0x01);

let packer: PackerCalls | undefined;

/**
 * Rows as zlib data. The same rows, the same bytes, on every machine.
 * @param rows their bytes, some at a time; none is looked at again
 */
export function packRows(rows: Iterable<Uint8Array>, { perPixel, perRow }: RowForm): Uint8Array {
  const { begin, input, output, pack, finish, sum, memory, mostAtOnce } = (packer ??= instantiate(
    packed,
  ) as PackerCalls);
  const parts: Uint8Array[] = [zlibHead];
  const take = (length: number): void => {
    if (length > 0) parts.push(new Uint8Array(memory.buffer, output(), length).slice());
  };
  begin();
  for (const some of rows)
    for (let from = 0; from < some.length; from += mostAtOnce.value) {
      const part = some.subarray(from, from + mostAtOnce.value);
      new Uint8Array(memory.buffer, input()).set(part);
      take(pack(part.length, perPixel, perRow));
    }
  take(finish());
  const end = new Uint8Array(4);
  new DataView(end.buffer).setUint32(0, sum());
  parts.push(end);
  return joined(parts);
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const all = new Uint8Array(parts.reduce((length, part) => length + part.length, 0));
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
}
