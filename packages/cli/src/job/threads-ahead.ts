import path from 'node:path';
import type { DrawingThreads } from 'frame-juggler/threads';
import type { JobRequest, RenderJob } from './messages.ts';

/** From so many frames on, however small, the library draws with threads. */
const manyFrames = 6;

/**
 * The threads of a render that draws many frames, started before the library and the sketch are loaded, as starting them
 * takes as long. Undefined where it may do without, as far as the order alone tells.
 */
export async function threadsAhead(request: JobRequest): Promise<DrawingThreads | undefined> {
  if (!drawsMany(request)) return undefined;
  const { threads } = request.options as RenderJob;
  const { DrawingThreads } = await import('frame-juggler/threads');
  return new DrawingThreads(threads);
}

function drawsMany({ name, output, options }: JobRequest): boolean {
  if (name !== 'render' || output === undefined) return false;
  const { farm, frame, frames, seconds, format } = options as RenderJob;
  if (farm !== undefined || frame !== undefined || typeof seconds === 'number') return false;
  if (frames !== undefined) return frames[1] - frames[0] + 1 >= manyFrames;
  const kind = format ?? path.extname(output).slice(1).toLowerCase();
  return path.basename(output).includes('%') || !['', 'png', 'svg'].includes(kind);
}
