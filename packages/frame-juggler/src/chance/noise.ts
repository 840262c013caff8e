import { createNoise2D, createNoise3D, createNoise4D } from 'simplex-noise';
import { finite } from '../schema/kind.ts';
import { readSeed, seededRandom } from './random.ts';
import { sinCos } from '../maths/degrees.ts';

/**
 * Smooth noise: places close together have similar values, all from −1 to 1 and 0 on average. Places more than about one unit apart are unrelated, so divide pixels by the size of the waves you want.
 */
export interface Noise {
  /** The value at a place of one, two or three dimensions. */
  (x: number, y?: number, z?: number): number;
  /**
   * Noise that comes back: `turn` 0 and `turn` 1 give the same value, and all between leads round without a seam. At
   * another place `x`, `y` it goes another way round; `reach` is how much it changes on the way.
   */
  loop(turn: number, x?: number, y?: number, reach?: number): number;
  /** Noise of its own for a key: the same key always gives the same values. */
  stream(key: string | number): Noise;
}

/** Noise from a seed: any finite number or text. */
export function seededNoise(seed: string | number): Noise {
  readSeed('seededNoise', seed);
  // Each dimension has a table of its own, made when it is first asked for.
  const lazily = <T>(make: (random: () => number) => T): (() => T) => {
    const begin = (): T => {
      const random = seededRandom(`${seed}/noise`);
      return make(() => random.between(0, 1));
    };
    let noise: T | undefined;
    return () => (noise ??= begin());
  };
  const plane = lazily(createNoise2D);
  const space = lazily(createNoise3D);
  const beyond = lazily(createNoise4D);

  const noise = (x: number, y = 0, z?: number): number => {
    finite.read('noise', 'x', x);
    finite.read('noise', 'y', y);
    return z === undefined ? plane()(x, y) : space()(x, y, finite.read('noise', 'z', z));
  };
  noise.loop = (turn: number, x = 0, y = 0, reach = 1): number => {
    const { sin, cos } = sinCos(finite.read('noise.loop', 'turn', turn) * 360);
    const radius = finite.read('noise.loop', 'reach', reach) / 2;
    const place = [finite.read('noise.loop', 'x', x), finite.read('noise.loop', 'y', y)] as const;
    // A circle in the third and the fourth dimension.
    return beyond()(...place, radius * cos, radius * sin);
  };
  noise.stream = (key: string | number): Noise => seededNoise(`${seed}/${key}`);
  return noise;
}
