import type { FillRule } from '../../geometry/fill-rule.ts';
import { identity, type Matrix } from '../../geometry/matrix.ts';
import type { Path } from '../../geometry/path.ts';
import { caps, joins } from '../../geometry/pen.ts';
import type { PenStyle } from '../../frame/frame.ts';
import type { Box } from '../../geometry/box.ts';
import { instantiate } from '../../web-assembly.ts';

/*
 * The raster engine as JavaScript calls it: a WebAssembly module, compiled from the folder `engine` beside this file,
 * and its memory. Each engine has a memory of its own, which goes with it.
 */

/** How many bits a channel of a picture has. */
export type Bits = 8 | 16;

/** A form of the engine: how it keeps pixels differs, all else is of the same sources. */
export interface EngineForm {
  /** What its pictures are written with. */
  readonly bits: Bits;
  /** The module, as base64. */
  readonly packed: string;
}

/** How many bytes a pixel takes in the engine's memory: four bytes, or four floats. */
export function bytesPerPixel(bits: Bits): number {
  return bits === 8 ? 4 : 16;
}

type Address = number;
type Layer = number;

/** What the engine exports; each is explained where it is written, in engine/index.ts and the files that it names. */
export interface EngineCalls {
  readonly memory: { readonly buffer: ArrayBuffer };
  reserve(bytes: number): Address;
  release(address: Address): void;
  resize(width: number, height: number, top: number, bottom: number): void;
  look(left: number, top: number, right: number, bottom: number): void;
  lookAtCanvas(): void;
  clear(color: number): void;
  fade(color: number, carry: number): void;
  openLayer(): Layer;
  releaseLayer(layer: Layer): void;
  maskLayer(layer: Layer, mask: Layer): void;
  compositeLayer(layer: Layer, onto: Layer, opacity: number, blend: number): void;
  paintList(): void;
  pixelsOf(layer: Layer): Address;
  pixelsToWrite(): Address;
  straighten(out: Address): void;
  packRows(out: Address, withAlpha: boolean, from: number, to: number): Address;
  packVideo(out: Address, wide: number, high: number, halved: boolean): void;
  takeColor(layer: Layer, color: number, opacity: number, blend: number): void;
  takePaint(layer: Layer, record: Address, opacity: number, blend: number): void;
  fillTable(stops: Address, count: number, out: Address): void;
  premultiplyAll(at: Address, count: number): number;
  takeOutline(from: Address, to: Address, a: number, b: number, c: number, d: number, e: number, f: number): void;
  fill(evenOdd: boolean, isLetters: boolean, isSimple: boolean, tolerance: number): void;
  stroke(...pen: PenArguments): void;
  fillHits(evenOdd: boolean, tolerance: number, x: number, y: number): number;
  strokeHits(...penAndPoint: [...PenArguments, x: number, y: number]): number;
  subpathsOf(stage: number): number;
  subpathAt(stage: number, subpath: number): Address;
  isClosed(stage: number, subpath: number): number;
}

/** A pen as the engine takes it: caps and joins by their places in the lists of geometry/pen.ts. */
type PenArguments = [
  tolerance: number,
  width: number,
  cap: number,
  join: number,
  miterLimit: number,
  pattern: Address,
  lengths: number,
  offset: number,
];

/** A pen drawn along outlines. Lengths are in the outlines' own units. */
export interface Pen extends PenStyle {
  readonly width: number;
}

/** An engine and its memory. */
export class Engine {
  readonly bits: Bits;
  readonly calls: EngineCalls;
  private readonly path: Numbers;
  private readonly pattern: Numbers;
  private lastPath: Path | undefined;
  private lastDash: readonly number[] = [];

  constructor(form: EngineForm) {
    this.bits = form.bits;
    this.calls = instantiate(form.packed) as EngineCalls;
    this.path = new Numbers(this.calls);
    this.pattern = new Numbers(this.calls);
  }

  /** The address of so much new memory, in bytes. */
  reserve(bytes: number): Address {
    return unsigned(this.calls.reserve(bytes));
  }

  /** Bytes of the engine's memory. They are there until it next reserves any. */
  bytes(at: Address, length: number): Uint8Array {
    return new Uint8Array(this.calls.memory.buffer, unsigned(at), length);
  }

  /** Numbers of the engine's memory. They are there until it next reserves any. */
  numbers(at: Address, length: number): Float64Array {
    return new Float64Array(this.calls.memory.buffer, unsigned(at), length);
  }

  /** Copies a frame's outlines into the engine's memory, unless they are there already: a frame's outlines never change. */
  takePath(path: Path): void {
    if (path === this.lastPath) return;
    this.lastPath = path;
    this.path.take(path);
  }

  /** Says which of the outlines is drawn or tested next, from where to where in the list, and under what transform. */
  chooseOutline(from: number, to: number, m: Matrix): void {
    const { address } = this.path;
    this.calls.takeOutline(address + from * 8, address + to * 8, m[0], m[1], m[2], m[3], m[4], m[5]);
  }

  /** Paints along the outline. */
  stroke(pen: Pen, tolerance: number): void {
    const { dash } = pen;
    this.takeDash(dash);
    this.calls.stroke(
      tolerance,
      pen.width,
      caps.indexOf(pen.cap),
      joins.indexOf(pen.join),
      pen.miterLimit,
      this.pattern.address,
      dash.length,
      pen.dashOffset,
    );
  }

  /** Whether a point lies on the inside of a path that is part of what can be `seen`. */
  fillHits(path: Path, rule: FillRule, tolerance: number, seen: Box, x: number, y: number): boolean {
    this.chooseWhole(path, identity, seen);
    return this.calls.fillHits(rule === 'evenodd', tolerance, x, y) !== 0;
  }

  /** Whether a point lies on what a pen covers along a path. */
  strokeHits(path: Path, pen: Pen, tolerance: number, seen: Box, x: number, y: number): boolean {
    this.chooseWhole(path, identity, seen);
    this.takeDash(pen.dash);
    const { width, cap, join, miterLimit, dash, dashOffset } = pen;
    const { address } = this.pattern;
    return (
      this.calls.strokeHits(
        tolerance,
        width,
        caps.indexOf(cap),
        joins.indexOf(join),
        miterLimit,
        address,
        dash.length,
        dashOffset,
        x,
        y,
      ) !== 0
    );
  }

  /** The straight lines that a path is drawn as. */
  flattened(path: Path, matrix: Matrix, tolerance: number, seen: Box): Subpath[] {
    this.chooseWhole(path, matrix, seen);
    this.calls.fillHits(false, tolerance, 0, 0);
    return this.subpaths(0);
  }

  /** The dashes that a pen makes of a path, and the outline that it draws. */
  stroked(path: Path, pen: Pen, tolerance: number, seen: Box): { dashes: Subpath[]; outline: Subpath[] } {
    this.strokeHits(path, pen, tolerance, seen, 0, 0);
    return { dashes: pen.dash.length > 0 ? this.subpaths(1) : [], outline: this.subpaths(2) };
  }

  private subpaths(stage: number): Subpath[] {
    const { calls } = this;
    return Array.from({ length: calls.subpathsOf(stage) }, (_, i) => {
      const at = calls.subpathAt(stage, i);
      const points = this.numbers(at, (calls.subpathAt(stage, i + 1) - at) / 8);
      return { points: Array.from(points), closed: calls.isClosed(stage, i) !== 0 };
    });
  }

  private chooseWhole(path: Path, matrix: Matrix, { left, top, right, bottom }: Box): void {
    this.lastPath = undefined;
    this.path.take(path);
    this.chooseOutline(0, path.length, matrix);
    this.calls.look(left, top, right, bottom);
  }

  private takeDash(dash: readonly number[]): void {
    if (dash === this.lastDash) return;
    this.lastDash = dash;
    this.pattern.take(dash);
  }
}

/** An address as an unsigned number: WebAssembly returns those above two gigabytes as negative ones. */
function unsigned(address: Address): number {
  return address >>> 0;
}

/** A flattened subpath: x and y of each point, and whether a line leads from the last to the first. */
export interface Subpath {
  readonly points: readonly number[];
  readonly closed: boolean;
}

/** Numbers in the engine's memory, in a place that grows. */
class Numbers {
  address: Address = 0;
  private room = 0;

  constructor(private readonly calls: EngineCalls) {}

  take(numbers: ArrayLike<number>): void {
    if (numbers.length > this.room) {
      if (this.address !== 0) this.calls.release(this.address);
      this.room = Math.max(64, Math.ceil(numbers.length * 1.25));
      this.address = this.calls.reserve(this.room * 8);
    }
    new Float64Array(this.calls.memory.buffer, unsigned(this.address), numbers.length).set(numbers);
  }
}
