import { checkKeys, finite, notNegative, OptionNames } from '../options.ts';
import { fail } from '../error.ts';

/** A mass on a spring, let go. */
export interface SpringOptions {
  /** Where it is at 0 s; 0 unless told otherwise. */
  from?: number;
  /** Where it comes to rest; 1 unless told otherwise. */
  to?: number;
  /** The force that draws it back, for each unit of distance; 120 unless told otherwise. */
  stiffness?: number;
  /** The force that brakes it, for each unit of speed; 12 unless told otherwise. */
  damping?: number;
  /** 1 unless told otherwise. */
  mass?: number;
  /** Its speed at 0 s, in units a second; 0 unless told otherwise. */
  velocity?: number;
}

const springKeys = new OptionNames(['from', 'to', 'stiffness', 'damping', 'mass', 'velocity']);

/**
 * Where a spring is at any moment, as a function of seconds: the damped harmonic oscillator solved, so that no moment
 * depends on how the one before was reached. Before 0 s it stands at `from`.
 */
export function spring(options: SpringOptions = {}): (seconds: number) => number {
  const call = 'spring';
  checkKeys(call, options, springKeys);
  const from = finite(call, 'from', options.from ?? 0);
  const to = finite(call, 'to', options.to ?? 1);
  const stiffness = aboveZero(call, 'stiffness', options.stiffness ?? 120);
  const damping = notNegative(call, 'damping', options.damping ?? 12);
  const mass = aboveZero(call, 'mass', options.mass ?? 1);
  const velocity = finite(call, 'velocity', options.velocity ?? 0);

  const offset = from - to;
  const rate = Math.sqrt(stiffness / mass);
  const ratio = damping / (2 * Math.sqrt(stiffness * mass));
  const decay = rate * ratio;
  const distance = (t: number): number => {
    if (ratio < 1) {
      const swing = rate * Math.sqrt(1 - ratio * ratio);
      return (
        Math.exp(-decay * t) *
        (offset * Math.cos(swing * t) + ((velocity + decay * offset) / swing) * Math.sin(swing * t))
      );
    }
    if (ratio === 1) return Math.exp(-rate * t) * (offset + (velocity + rate * offset) * t);
    const root = rate * Math.sqrt(ratio * ratio - 1);
    const [slow, fast] = [root - decay, -root - decay];
    const share = (velocity - fast * offset) / (slow - fast);
    return share * Math.exp(slow * t) + (offset - share) * Math.exp(fast * t);
  };
  return (seconds) => to + distance(Math.max(0, finite(call, 'seconds', seconds)));
}

function aboveZero(call: string, option: string, value: unknown): number {
  const number = notNegative(call, option, value);
  return number > 0 ? number : fail({ call, option, value, problem: 'is not above 0' });
}
