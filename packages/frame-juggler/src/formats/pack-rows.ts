import { instantiate } from '../web-assembly.ts';
import { packed } from './generated/packer.ts';

/*
 * The rows of a picture as zlib data, as PNG has them. The packer is written in AssemblyScript, in the folder `packer`
 * beside this file: as it looks first where a drawing repeats, it takes two thirds of zlib's time for smaller files.
 */

type Address = number;

/** What the packer exports; each is explained in packer/index.ts. */
interface PackerCalls {
  readonly memory: { readonly buffer: ArrayBuffer };
  readonly mostAtOnce: { readonly value: number };
  begin(): void;
  input(): Address;
  output(): Address;
  pack(count: number, perPixel: number, perRow: number, isLast: boolean): number;
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

/** Rows as zlib data. The same rows, the same bytes, on every machine. */
export function packRows(rows: Uint8Array, { perPixel, perRow }: RowForm): Uint8Array {
  packer ??= instantiate(packed) as PackerCalls;
  const most = packer.mostAtOnce.value;
  const parts: Uint8Array[] = [zlibHead];
  packer.begin();
  for (let from = 0; from < rows.length; from += most) {
    const part = rows.subarray(from, from + most);
    new Uint8Array(packer.memory.buffer, packer.input()).set(part);
    const length = packer.pack(part.length, perPixel, perRow, from + most >= rows.length);
    parts.push(new Uint8Array(packer.memory.buffer, packer.output(), length).slice());
  }
  const sum = new Uint8Array(4);
  new DataView(sum.buffer).setUint32(0, packer.sum());
  parts.push(sum);
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
