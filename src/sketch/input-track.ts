import type { InputEvent, InputSource } from './input.ts';

/*
 * Input tracks: pointer and keys of a run, recorded, as a small JSON file of our own. Each of `events` is something
 * that happened before a frame.
 */

export const trackFormat = 'frame-juggler-input';
export const trackVersion = 1;

/** Something that a person did, and the frame that found it done. */
export type TrackEvent = InputEvent & { readonly frame: number };

/** A recorded run's input, and the size, frame rate and seed that it was recorded at. */
export interface InputTrack {
  readonly format: typeof trackFormat;
  readonly version: typeof trackVersion;
  readonly title: string;
  readonly width: number;
  readonly height: number;
  readonly frameRate: number;
  readonly seed: number;
  /** In the order of their frames. */
  readonly events: readonly TrackEvent[];
}

/** What a track tells of the run that it was recorded in. */
export type TrackSetting = Pick<InputTrack, 'title' | 'width' | 'height' | 'frameRate' | 'seed'>;

/** A track of what was noted. */
export function makeTrack(
  { title, width, height, frameRate, seed }: TrackSetting,
  noted: readonly { readonly frame: number; readonly event: InputEvent }[],
): InputTrack {
  const events = noted.map(({ frame, event }) => ({ frame, ...event }));
  return { format: trackFormat, version: trackVersion, title, width, height, frameRate, seed, events };
}

/** A track as the text of its file, an event a line. */
export function writeTrack({ events, ...head }: InputTrack): string {
  const lines = Object.entries(head).map(([key, value]) => `  ${JSON.stringify(key)}: ${JSON.stringify(value)},\n`);
  const listed = events.map((one) => `\n    ${JSON.stringify(one)}`).join(',');
  return `{\n${lines.join('')}  "events": [${listed}${events.length === 0 ? '' : '\n  '}]\n}\n`;
}

/** A track as a run's source: the same events in the same frames. */
export function playTrack({ events }: InputTrack): InputSource {
  const byFrame = new Map<number, InputEvent[]>();
  for (const { frame, ...what } of events) byFrame.set(frame, [...(byFrame.get(frame) ?? []), what as InputEvent]);
  return { take: (frame) => byFrame.get(frame) ?? [] };
}
