import { z } from 'zod';
import { SketchError } from '../error.ts';
import { trackFormat, trackVersion, type InputTrack } from './input-track.ts';

const event = z.discriminatedUnion('type', [
  z.strictObject({ frame: z.int().min(0), type: z.literal('move'), at: z.tuple([z.number(), z.number()]) }),
  z.strictObject({ frame: z.int().min(0), type: z.enum(['leave', 'press', 'release']) }),
  z.strictObject({ frame: z.int().min(0), type: z.enum(['keydown', 'keyup']), key: z.string().min(1) }),
]);

const track = z.strictObject({
  format: z.literal(trackFormat),
  version: z.literal(trackVersion),
  title: z.string(),
  width: z.int().min(1),
  height: z.int().min(1),
  frameRate: z.number().positive(),
  seed: z.int().min(0),
  events: z.array(event),
});

/**
 * Reads the text of a track's file.
 * @param name the file, for messages
 * @throws SketchError that names the place in the file
 */
export function readTrack(name: string, text: string): InputTrack {
  const fault = (problem: string, expected?: string): never => {
    throw new SketchError({ call: 'input track', problem: `${name} ${problem}`, expected });
  };
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch (error) {
    return fault(`is not JSON: ${(error as Error).message}`);
  }
  if (typeof parsed !== 'object' || parsed === null || !('format' in parsed) || parsed.format !== trackFormat)
    return fault('is not an input track', `expected "format": "${trackFormat}"`);
  const read = track.safeParse(parsed);
  if (!read.success) {
    const [{ path, message }] = read.error.issues;
    const place = path.map((step) => (typeof step === 'number' ? `[${step}]` : `.${String(step)}`)).join('');
    return fault(`cannot be read at ${place.replace(/^\./, '')}: ${message}`);
  }
  const { events } = read.data;
  const late = events.findIndex((one, index) => index > 0 && one.frame < events[index - 1].frame);
  if (late > 0)
    fault(`cannot be read at events[${late}].frame: ${events[late].frame} comes behind ${events[late - 1].frame}`);
  return read.data;
}
