import Tinypool from 'tinypool';
import { draw, drawShare, type DrawTask, type PackTask, type ShareTask } from './draw.ts';
import { ReceivedPictures } from './picture-memory.ts';

const pictures = new ReceivedPictures();

/** What a worker of the draw pool does. Its bytes are handed over or shared, not copied. */
export default async function work(task: DrawTask | PackTask | ShareTask): Promise<unknown> {
  if ('frame' in task) return drawShare({ ...task, frame: pictures.restore(task.frame) });
  const received = 'frames' in task ? { ...task, frames: task.frames.map((frame) => pictures.restore(frame)) } : task;
  const bytes = await draw(received);
  if (bytes.buffer instanceof SharedArrayBuffer) return bytes;
  // Node's pooled buffers cannot be handed over.
  const own = bytes.byteLength === bytes.buffer.byteLength ? bytes : bytes.slice();
  return Tinypool.move(own);
}
