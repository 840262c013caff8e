import { parse, stringify } from 'devalue';
import { randomFrom, stateOfRandom, type RandomState } from '../../chance/random.ts';
import { Color } from '../../paint/color.ts';
import { Picture, type PictureData } from '../../paint/picture.ts';
import type { Checkpoint } from '../../sketch/run.ts';
import { findUnkept, type Unkept } from './plain-data.ts';

/*
 * A checkpoint as text, and back. What appears twice in a state appears twice in the one that is read, too. Colors, pictures
 * and random streams are kept by what they are made of; what belongs to the sketch's files is kept by its place in them, so
 * that a state that holds a row of a table holds that very row again.
 */

type Files = Readonly<Record<string, unknown>>;
type Place = readonly (string | number)[];

/** The objects that a run's files consist of, each with its place. */
function placesIn(files: Files): Map<object, Place> {
  const places = new Map<object, Place>();
  const waiting: [unknown, Place][] = Object.entries(files).map(([name, value]) => [value, [name]]);
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    const [value, place] = next;
    if (typeof value !== 'object' || value === null || places.has(value)) continue;
    places.set(value, place);
    const prototype: unknown = Object.getPrototypeOf(value);
    if (Array.isArray(value)) value.forEach((part, at) => waiting.push([part, [...place, at]]));
    else if (prototype === Object.prototype)
      for (const [key, part] of Object.entries(value)) waiting.push([part, [...place, key]]);
  }
  return places;
}

type Pixels = Omit<PictureData, 'id'>;
const pixelsOf = ({ width, height, data, version }: Picture): Pixels => ({ width, height, data, version });

/** Writes checkpoints of a run, whose files stay the same. */
export class CheckpointWriter {
  private readonly places: Map<object, Place>;

  constructor(files: Files) {
    this.places = placesIn(files);
  }

  /** What of a state cannot be kept; undefined where all can. */
  unkept({ state }: Checkpoint): Unkept | undefined {
    return findUnkept(state, (value) => this.places.has(value));
  }

  /** The text of a checkpoint. Checkpoints are the same if their texts are. */
  write({ frame, state, random }: Checkpoint): string {
    return stringify(
      { frame, random, state },
      {
        file: (value) => this.places.get(value as object),
        color: (value) => value instanceof Color && [value.red, value.green, value.blue, value.alpha],
        picture: (value) => value instanceof Picture && pixelsOf(value),
        random: (value) => stateOfRandom(value),
      },
    );
  }
}

/** Reads a checkpoint for a run that has loaded the same files. */
export function readCheckpoint(text: string, files: Files): Checkpoint {
  return parse(text, {
    file: (place: Place) => place.reduce<unknown>((value, key) => (value as Record<string, unknown>)[key], files),
    color: ([red, green, blue, alpha]: [number, number, number, number]) => new Color(red, green, blue, alpha),
    picture: ({ width, height, data, version }: Pixels) => Object.assign(new Picture(width, height, data), { version }),
    random: (state: RandomState) => randomFrom(state),
  }) as Checkpoint;
}
