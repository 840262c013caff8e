import { finite, length, positive } from '../schema/kind.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';
import { exp } from '../maths/exponent.ts';
import { cos, sin } from '../maths/sine.ts';

const springTable = {
  /** Where it is at 0 s. */
  from: optional(finite, 0),
  /** Where it comes to rest. */
  to: optional(finite, 1),
  /** The force that pulls it back, per unit of distance. */
  stiffness: optional(positive, 120),
  /** The force that slows it down, per unit of speed. */
  damping: optional(length, 12),
  /** Its mass. */
  mass: optional(positive, 1),
  /** Its speed at 0 s, in units per second. */
  velocity: optional(finite, 0),
};
/** A mass on a spring, let go. */
export interface SpringOptions extends Options<typeof springTable> {}
const springOptions = schemaOf(springTable, '{ from: 0, to: 100 }');

/**
 * Where a spring is at any moment, as a function of seconds: the damped harmonic oscillator solved, so that no moment
 * depends on how the one before was reached. Before 0 s it stands at `from`.
 */
export function spring(options: SpringOptions = {}): (seconds: number) => number {
  const { from, to, stiffness, damping, mass, velocity } = springOptions.read('spring', options);

  const offset = from - to;
  const rate = Math.sqrt(stiffness / mass);
  const ratio = damping / (2 * Math.sqrt(stiffness * mass));
  const decay = rate * ratio;
  const distance = (t: number): number => {
    if (ratio < 1) {
      const swing = rate * Math.sqrt(1 - ratio * ratio);
      return exp(-decay * t) * (offset * cos(swing * t) + ((velocity + decay * offset) / swing) * sin(swing * t));
    }
    if (ratio === 1) return exp(-rate * t) * (offset + (velocity + rate * offset) * t);
    const root = rate * Math.sqrt(ratio * ratio - 1);
    const [slow, fast] = [root - decay, -root - decay];
    const share = (velocity - fast * offset) / (slow - fast);
    return share * exp(slow * t) + (offset - share) * exp(fast * t);
  };
  return (seconds) => to + distance(Math.max(0, finite.read('spring', 'seconds', seconds)));
}
