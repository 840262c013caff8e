import Tinypool from 'tinypool';
import { draw, type DrawTask } from './draw.ts';
import { fromWire } from './wire.ts';

/** What a worker of the draw pool does. Its bytes are handed over, not copied. */
export default function work(task: DrawTask): unknown {
  const received = 'frames' in task ? { ...task, frames: task.frames.map(fromWire) } : task;
  const bytes = draw(received);
  // Node's pooled buffers cannot be handed over.
  const own = bytes.byteLength === bytes.buffer.byteLength ? bytes : bytes.slice();
  return Tinypool.move(own);
}
