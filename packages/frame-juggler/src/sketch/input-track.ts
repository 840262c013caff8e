import { SketchError } from '../error.ts';
import { convertedLater, finite, kindOf, listOf, name, oneOf, positive, text, whole } from '../schema/kind.ts';
import { pair } from '../schema/point.ts';
import { type Complete, schemaOf } from '../schema/schema.ts';
import type { InputEvent, InputSource } from './input.ts';
import type { Run } from './run.ts';
import { givenBy } from '../schema/given.ts';

/*
 * Input tracks: pointer, keys and turned dials of a run, recorded, as a small JSON file of our own. Each of `events` is
 * something that happened before a frame.
 */

export const trackFormat = 'frame-juggler-input';
export const trackVersion = 1;

/** Something that a person did, and the frame in which it arrived. */
export type TrackEvent = InputEvent & {
  /** The first frame that knows of it. */
  readonly frame: number;
};

const eventHead = { frame: whole(0) };
const eventSchemas = {
  move: schemaOf({ ...eventHead, type: oneOf('move'), at: pair }, '{ frame, type, at }'),
  leave: schemaOf({ ...eventHead, type: oneOf('leave') }, '{ frame, type }'),
  press: schemaOf({ ...eventHead, type: oneOf('press') }, '{ frame, type }'),
  release: schemaOf({ ...eventHead, type: oneOf('release') }, '{ frame, type }'),
  keydown: schemaOf({ ...eventHead, type: oneOf('keydown'), key: name }, '{ frame, type, key }'),
  keyup: schemaOf({ ...eventHead, type: oneOf('keyup'), key: name }, '{ frame, type, key }'),
  dial: schemaOf(
    { ...eventHead, type: oneOf('dial'), name, value: convertedLater('the value of a dial') },
    '{ frame, type, name, value }',
  ),
} satisfies Record<InputEvent['type'], unknown>;
const eventType = oneOf(...(Object.keys(eventSchemas) as InputEvent['type'][]));

const trackTable = {
  /** What kind of data it is. */
  format: oneOf(trackFormat),
  /** Increases where older readers could not read it. */
  version: kindOf<typeof trackVersion>(`${trackVersion}`, (value) => value === trackVersion, 'is not known'),
  /** The title of the sketch it was recorded with. */
  title: text,
  /** The canvas's width, in pixels of density 1. */
  width: whole(1),
  /** The canvas's height, in pixels of density 1. */
  height: whole(1),
  /** Frames per second. */
  frameRate: positive,
  /** The seed of the run. */
  seed: whole(0),
  /** In the order of their frames. */
  events: listOf(
    kindOf<TrackEvent>('an event', (value) => typeof value === 'object' && value !== null, 'is not an event'),
    'events',
  ),
};
const trackSchema = schemaOf(trackTable, '{ format, version, title, width, height, frameRate, seed, events }');

/** How many events one frame may have: far more than a person can give. */
const maxTogether = 10_000;

/** A recorded run's input, and the size, frame rate and seed that it was recorded at. */
export type InputTrack = Complete<typeof trackTable>;

const trackKind = /* @__PURE__ */ givenBy<InputTrack>('a track', 'readTrack or makeTrack', 'format', 'events');
const runKind = /* @__PURE__ */ givenBy<Run>('a run', 'new Run(sketch)', 'sketch', 'inputEvents');

/** The track of what happened in a run since its frame 0. */
export function makeTrack(run: Run): InputTrack {
  const { sketch, width, height, seed, inputEvents } = runKind.read('makeTrack', 'run', run);
  const { title, frameRate } = sketch;
  const events = inputEvents.map(({ frame, event }) => ({ frame, ...event }));
  return { format: trackFormat, version: trackVersion, title, width, height, frameRate, seed, events };
}

/** A track as the text of its file, one event per line. */
export function writeTrack(track: InputTrack): string {
  const { events, ...head } = trackKind.read('writeTrack', 'track', track);
  const lines = Object.entries(head).map(([key, value]) => `  ${JSON.stringify(key)}: ${JSON.stringify(value)},\n`);
  const listed = events.map((one) => `\n    ${JSON.stringify(one)}`).join(',');
  return `{\n${lines.join('')}  "events": [${listed}${events.length === 0 ? '' : '\n  '}]\n}\n`;
}

/**
 * Reads the text of a track's file.
 * @param file the file's name, for messages
 * @throws SketchError that names the place in the file
 */
export function readTrack(file: string, content: string): InputTrack {
  const fault = (problem: string, expected?: string): never => {
    throw new SketchError({ call: 'input track', problem: `${file} ${problem}`, expected });
  };
  text.read('readTrack', 'content', content);
  let parsed: unknown;
  try {
    parsed = JSON.parse(content);
  } catch (error) {
    return fault(`is not JSON: ${(error as Error).message}`);
  }
  if (typeof parsed !== 'object' || parsed === null || !('format' in parsed) || parsed.format !== trackFormat)
    return fault('is not an input track', `expected "format": "${trackFormat}"`);
  const track = trackSchema.read(`input track ${file}`, parsed);
  let last = 0;
  let together = 0;
  track.events.forEach((event, index) => {
    const call = `input track ${file} events[${index}]`;
    eventSchemas[eventType.read(call, 'type', event.type)].check(call, event);
    if (finite.read(call, 'frame', event.frame) < last)
      fault(`cannot be read at events[${index}].frame: ${event.frame} comes behind ${last}`);
    together = event.frame === last ? together + 1 : 1;
    if (together > maxTogether) fault(`has more than ${maxTogether} events in frame ${event.frame}`);
    last = event.frame;
  });
  return track;
}

/** A track as a run's source: the same events in the same frames. */
export function playTrack(track: InputTrack): InputSource {
  const { events } = trackKind.read('playTrack', 'track', track);
  const byFrame = new Map<number, InputEvent[]>();
  for (const { frame, ...what } of events) {
    let together = byFrame.get(frame);
    if (together === undefined) byFrame.set(frame, (together = []));
    together.push(what as InputEvent);
  }
  return { take: (frame) => byFrame.get(frame) ?? [] };
}
