import { z } from 'zod';
import { SketchError } from '../error.ts';
import type { InputEvent, InputSource } from './input.ts';

/*
 * Input tracks: pointer and keys of a run, recorded, as a small JSON file of our own. Each line of `events` is what
 * happened before one frame.
 */

const format = 'frame-juggler-input';
const version = 1;

const event = z.discriminatedUnion('type', [
  z.strictObject({ frame: z.int().min(0), type: z.literal('move'), at: z.tuple([z.number(), z.number()]) }),
  z.strictObject({ frame: z.int().min(0), type: z.enum(['leave', 'press', 'release']) }),
  z.strictObject({ frame: z.int().min(0), type: z.enum(['keydown', 'keyup']), key: z.string().min(1) }),
]);

const track = z.strictObject({
  format: z.literal(format),
  version: z.literal(version),
  title: z.string(),
  width: z.int().min(1),
  height: z.int().min(1),
  frameRate: z.number().positive(),
  seed: z.int().min(0),
  events: z.array(event),
});

/** A recorded run's input, and the size, frame rate and seed that it was recorded at. */
export type InputTrack = z.infer<typeof track>;

/** What a track tells of the run that it was recorded in. */
export type TrackSetting = Pick<InputTrack, 'title' | 'width' | 'height' | 'frameRate' | 'seed'>;

/** A track of what was noted. */
export function makeTrack(
  setting: TrackSetting,
  noted: readonly { readonly frame: number; readonly event: InputEvent }[],
): InputTrack {
  const { title, width, height, frameRate, seed } = setting;
  const events = noted.map(({ frame, event: { ...what } }) => ({ frame, ...what }) as InputTrack['events'][number]);
  return { format, version, title, width, height, frameRate, seed, events };
}

/** A track as the text of its file, an event a line. */
export function writeTrack({ events, ...head }: InputTrack): string {
  const lines = Object.entries(head).map(([key, value]) => `  ${JSON.stringify(key)}: ${JSON.stringify(value)},\n`);
  const listed = events.map((one) => `\n    ${JSON.stringify(one)}`).join(',');
  return `{\n${lines.join('')}  "events": [${listed}${events.length === 0 ? '' : '\n  '}]\n}\n`;
}

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
  if (typeof parsed !== 'object' || parsed === null || !('format' in parsed) || parsed.format !== format)
    return fault('is not an input track', `expected "format": "${format}"`);
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

/** A track as a run's source: the same events in the same frames. */
export function playTrack({ events }: InputTrack): InputSource {
  const byFrame = new Map<number, InputEvent[]>();
  for (const { frame, ...what } of events) byFrame.set(frame, [...(byFrame.get(frame) ?? []), what as InputEvent]);
  return { take: (frame) => byFrame.get(frame) ?? [] };
}
