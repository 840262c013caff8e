import type { Rule } from '../rule.ts';

/* What a sketch declares and never takes. */

const unused: Rule = {
  name: 'unused',
  title: 'A dial or a file that nothing uses',
  why: 'Turning the dial changes nothing, and the file is loaded for nothing.',
  cure: 'Take it from the moment: paint(canvas, { dials }) { canvas.circle({ at: [100, 90], radius: dials.size }) }. Or leave it out.',
  find({ sketch, noted }) {
    const idle = sketch.declared
      .filter(({ part, name }) => !noted.taken.has(name) && !mayTake(sketch.code, part, name))
      .map(({ part, name }) => `the ${part === 'dials' ? 'dial' : 'file'} “${name}”`);
    if (idle.length === 0) return [];
    const text = `${idle.join(', ')} ${idle.length === 1 ? 'is' : 'are'} never asked for`;
    return [{ line: undefined, frame: undefined, text }];
  },
};

/** Whether the code names one that it has not taken so far: it may wait for a press, or for a later scene. */
const mayTake = (code: string, part: string, name: string): boolean => code.includes(part) && code.includes(name);

export const unusedRules: readonly Rule[] = [unused];
