import Tinypool from 'tinypool';
import { draw, type DrawnPicture, type DrawTask, type PackTask, type Product } from './draw.ts';
import { fromWire, type WireFrame } from './wire.ts';

/** A task as it comes to a worker. */
export type SentTask =
  | PackTask
  | { readonly product: Product; readonly picture: DrawnPicture }
  | { readonly product: Product; readonly frames: readonly WireFrame[] };

/** What a worker of the draw pool does. Its bytes are handed over, not copied. */
export default function work(task: SentTask): unknown {
  const received: DrawTask | PackTask = 'frames' in task ? { ...task, frames: task.frames.map(fromWire) } : task;
  const bytes = draw(received);
  // Node's pooled buffers cannot be handed over.
  const own = bytes.byteLength === bytes.buffer.byteLength ? bytes : bytes.slice();
  return Tinypool.move(own);
}
