import { kindOf, type Kind } from './kind.ts';

/**
 * The kind of a thing that another call gives, known by what it has. What is most often handed in instead is the promise
 * of it.
 * @param noun what it is: "a frame"
 * @param call what gives it: "await run.paint()"
 */
/* @__NO_SIDE_EFFECTS__ */
export function givenBy<Value>(noun: string, call: string, ...parts: readonly (keyof Value & string)[]): Kind<Value> {
  return kindOf(
    `${noun}, as ${call} gives it`,
    (value) => typeof value === 'object' && value !== null && parts.every((part) => part in value),
    (value) => (value instanceof Promise ? 'is a promise, which is not awaited' : `is not ${noun}`),
  );
}
